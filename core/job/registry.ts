import { z } from 'zod';
import { atLeastOne, handle } from '../problem';
import { say, type Phrase, type UnitSystem } from '../quantity';
import { bluingChecked } from './events/bluing-checked';
import { boltTightened } from './events/bolt-tightened';
import { callOverruled } from './events/call-overruled';
import { lineDrawn } from './events/line-drawn';
import { lockHung } from './events/lock-hung';
import { lockRemoved } from './events/lock-removed';
import { isolationSigned } from './events/isolation-signed';
import { evidenceTaken } from './events/evidence-taken';
import { faultPlaced } from './events/fault-placed';
import { markSet } from './events/mark-set';
import { partLaid } from './events/part-laid';
import { photoAdded } from './events/photo-added';
import { sparesMatched } from './events/spares-matched';
import { makersSheetChecked } from './events/makers-sheet-checked';
import { makersSheetFiled } from './events/makers-sheet-filed';
import { certificateSigned } from './events/certificate-signed';
import { entryStruck } from './events/entry-struck';
import { findingMade } from './events/finding-made';
import { leakTraced } from './events/leak-traced';
import { holdReleased } from './events/hold-released';
import { jobImported } from './events/job-imported';
import { jobOpened } from './events/job-opened';
import { lappingLogged } from './events/lapping-logged';
import { measured } from './events/measured';
import { leftForNow } from './events/left-for-now';
import { noteAdded } from './events/note-added';
import { packingFitted } from './events/packing-fitted';
import { partArrived } from './events/part-arrived';
import { partOrdered } from './events/part-ordered';
import { personAssigned } from './events/person-assigned';
import { placeChanged } from './events/place-changed';
import { scopeChanged } from './events/scope-changed';
import { pressureTested } from './events/pressure-tested';
import { curveKept } from './events/curve-kept';
import { strokeTested } from './events/stroke-tested';
import { screwTurned } from './events/screw-turned';
import { runoutTaken } from './events/runout-taken';
import { stepDone } from './events/step-done';
import { valveIdentified } from './events/valve-identified';
import { kitChecked } from './events/kit-checked';
import { unitTaken } from './events/unit-taken';
import type { StepRef } from './stage';
import { wayRoundSeen } from './events/way-round-seen';
import { wayChosen } from './events/way-chosen';
import { workingAttached } from './events/working-attached';

/** Every kind of event there is. */
export const EVENTS = {
  'job-opened': jobOpened,
  'place-changed': placeChanged,
  'scope-changed': scopeChanged,
  'valve-identified': valveIdentified,
  'step-done': stepDone,
  measured,
  'screw-turned': screwTurned,
  'curve-kept': curveKept,
  'stroke-tested': strokeTested,
  'runout-taken': runoutTaken,
  'finding-made': findingMade,
  'leak-traced': leakTraced,
  'call-overruled': callOverruled,
  'part-ordered': partOrdered,
  'part-arrived': partArrived,
  'bluing-checked': bluingChecked,
  'lapping-logged': lappingLogged,
  'packing-fitted': packingFitted,
  'bolt-tightened': boltTightened,
  'pressure-tested': pressureTested,
  'hold-released': holdReleased,
  'entry-struck': entryStruck,
  'note-added': noteAdded,
  'left-for-now': leftForNow,
  'kit-checked': kitChecked,
  'unit-taken': unitTaken,
  'way-chosen': wayChosen,
  'way-round-seen': wayRoundSeen,
  'working-attached': workingAttached,
  'person-assigned': personAssigned,
  'line-drawn': lineDrawn,
  'lock-hung': lockHung,
  'lock-removed': lockRemoved,
  'isolation-signed': isolationSigned,
  'evidence-taken': evidenceTaken,
  'fault-placed': faultPlaced,
  'mark-set': markSet,
  'part-laid': partLaid,
  'photo-added': photoAdded,
  'spares-matched': sparesMatched,
  'makers-sheet-filed': makersSheetFiled,
  'makers-sheet-checked': makersSheetChecked,
  'job-imported': jobImported,
  'certificate-signed': certificateSigned,
} as const;

export type EventKind = keyof typeof EVENTS;
export type BodyOf<K extends EventKind> = z.output<(typeof EVENTS)[K]['body']>;
export type EntryOf<K extends EventKind> = z.output<(typeof EVENTS)[K]['entry']>;
/** Kinds that are facts of a step. */
export type StepEventKind = {
  [K in EventKind]: BodyOf<K> extends { step: StepRef } ? K : never;
}[EventKind];
/** One entry of a job's log. */
export type Entry = { [K in EventKind]: EntryOf<K> }[EventKind];
/** What `decide` answers with: the fact, before the edge stamps who and when. */
export type Fact = { [K in EventKind]: { kind: K; body: BodyOf<K> } }[EventKind];

/** One entry of a log, of any kind. */
export const entrySchema = z.discriminatedUnion(
  'kind',
  atLeastOne(Object.values(EVENTS).map(({ entry }) => entry)),
);

export function isEventKind(kind: string): kind is EventKind {
  return Object.hasOwn(EVENTS, kind);
}

/** The entry in a line, for the log and for paper. */
export const wordEntry = (entry: Entry): Phrase => handle(EVENTS[entry.kind].describe, entry.body);

/** The same in the reader's units. */
export const describeEntry = (entry: Entry, system: UnitSystem): string => say(wordEntry(entry), system);
