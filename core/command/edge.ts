import type { Counts, SymptomId } from '../diagnosis';
import type { InstrumentId, InstrumentStamp, PersonId, PersonStamp, PhotoId } from '../job';
import type { KitSheet } from '../stock';
import type { ShelfUnitKind } from '../valve';

/** Said by a place that cannot know: the command passes there, and the server has the last word. */
export const NOT_KNOWN_HERE = 'not known here';
export type NotKnownHere = typeof NOT_KNOWN_HERE;

/** A unit as it stands in the shop. */
export interface UnitInShop {
  readonly kind: ShelfUnitKind;
  readonly serial: string;
  /** The valves it fits: their `valveKey`. */
  readonly key: string;
  readonly onShelf: boolean;
}

/** What is true outside the job's own log, and is told when a command is decided. */
export interface Edge {
  readonly person: PersonStamp;
  /** ISO date and time. */
  readonly now: string;
  readonly instrument: (id: InstrumentId) => InstrumentStamp | undefined;
  /** What this shop's closed jobs with a symptom were; the finder goes by usual odds where there were none. */
  readonly faultCounts: (symptom: SymptomId) => Counts;
  /** Somebody who works here, by the stamp of today. */
  readonly colleague: (id: PersonId) => PersonStamp | NotKnownHere | undefined;
  /** Kit sheets on file. */
  readonly kits: () => readonly KitSheet[] | NotKnownHere;
  /** Whether a photograph was sent for this job. */
  readonly isPhotoOfJob: (id: PhotoId) => boolean | NotKnownHere;
  readonly unit: (id: string) => UnitInShop | NotKnownHere | undefined;
}

/** The edge of a place that knows of nothing outside the log. */
export const NOTHING_OUTSIDE: Omit<Edge, 'person' | 'now'> = {
  instrument: () => undefined,
  faultCounts: () => ({}),
  colleague: () => NOT_KNOWN_HERE,
  kits: () => NOT_KNOWN_HERE,
  isPhotoOfJob: () => NOT_KNOWN_HERE,
  unit: () => NOT_KNOWN_HERE,
};
