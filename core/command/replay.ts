import {
  apply,
  EMPTY_JOB,
  type Entry,
  type EventKind,
  type Fact,
  type InstrumentId,
  type InstrumentStamp,
  type JobState,
} from '../job';
import { plan } from '../plan';
import type { Problem } from '../problem';
import { seconds } from '../quantity';
import { NOTHING_OUTSIDE } from './edge';
import { decide, readCommand } from './decide';
import { COMMANDS, type CommandKind } from './registry';

/** An entry that would have been refused here, and why. */
export interface RefusedEntry {
  readonly seq: number;
  readonly problem: Problem;
}

/** The command that puts a kind of event into a log; none for what the opening or an import itself writes. */
const WRITTEN_BY: Readonly<Record<EventKind, CommandKind | undefined>> = {
  'job-opened': undefined,
  'job-imported': undefined,
  'place-changed': 'change-place',
  'scope-changed': 'change-scope',
  'valve-identified': 'identify-valve',
  'step-done': 'do-step',
  measured: 'take-measurement',
  'screw-turned': 'turn-screw',
  'curve-kept': 'keep-curve',
  'stroke-tested': 'keep-stroke',
  'runout-taken': 'take-runout',
  'finding-made': 'make-finding',
  'leak-traced': 'trace-leak',
  'call-overruled': 'overrule-call',
  'part-ordered': 'order-part',
  'part-arrived': 'receive-part',
  'bluing-checked': 'check-bluing',
  'lapping-logged': 'log-lapping',
  'packing-fitted': 'fit-packing',
  'bolt-tightened': 'tighten-bolt',
  'pressure-tested': 'run-pressure-test',
  'hold-released': 'release-hold',
  'entry-struck': 'strike-entry',
  'note-added': 'add-note',
  'left-for-now': 'leave-for-now',
  'kit-checked': 'check-kit',
  'unit-taken': 'take-unit',
  'way-chosen': 'choose-way',
  'way-round-seen': 'see-way-round',
  'working-attached': 'attach-working',
  'person-assigned': 'assign-person',
  'line-drawn': 'draw-line',
  'lock-hung': 'hang-lock',
  'lock-removed': 'remove-lock',
  'isolation-signed': 'sign-isolation',
  'evidence-taken': 'take-evidence',
  'fault-placed': 'place-fault',
  'mark-set': 'set-mark',
  'part-laid': 'lay-part',
  'photo-added': 'add-photo',
  'spares-matched': 'match-spares',
  'makers-sheet-filed': 'file-makers-sheet',
  'makers-sheet-checked': 'check-makers-sheet',
  'certificate-signed': 'sign-certificate',
};

/**
 * Goes through a log that came from elsewhere and asks of each command, on what stood before it, whether it would have
 * been taken here: who may, what waits, what follows. Answers with what would not; the log itself stays as it is. `which`
 * are asked; the others are taken as they stand.
 */
export function replay(
  entries: readonly Entry[],
  which: (entry: Entry) => boolean = () => true,
): RefusedEntry[] {
  const refused: RefusedEntry[] = [];
  let state = EMPTY_JOB;
  for (let at = 0; at < entries.length;) {
    const first = entries[at];
    if (!first) break;
    const together = entries.slice(at, at + sameCommand(entries, at));
    const problem = which(first) ? problemOf(state, together) : undefined;
    if (problem) refused.push({ seq: first.seq, problem });
    for (const entry of together) {
      const next = apply(state, entry);
      if (!next.ok) return [...refused, { seq: entry.seq, problem: next.problem }];
      state = next.value;
    }
    at += together.length;
  }
  return refused;
}

/** How many entries from here on one command wrote. */
function sameCommand(entries: readonly Entry[], from: number): number {
  const id = entries[from]?.commandId;
  const end = entries.findIndex(({ commandId }, i) => i > from && commandId !== id);
  return (end < 0 ? entries.length : end) - from;
}

function problemOf(state: JobState, together: readonly Entry[]): Problem | undefined {
  const first = together[0];
  if (!first || first.kind === 'job-imported') return undefined;
  const unfounded: Problem = { code: 'entry.unfounded', seq: first.seq };
  if (first.kind === 'job-opened') return state.version === 0 ? undefined : unfounded;
  const command = readCommand(commandOf(state, first));
  if (!command.ok) return command.problem;
  const facts = decide(state, command.value, {
    ...NOTHING_OUTSIDE,
    person: first.by,
    now: first.at,
    instrument: (id) => stampIn(first, id),
  });
  if (!facts.ok) return facts.problem;
  const told = facts.value.map(withoutChance);
  const stored = together.map(withoutChance);
  return sameFacts(told, stored) ? undefined : unfounded;
}

/** The command behind an entry: its body with the step and the instrument by their ids, and nothing the command has no field for. */
function commandOf(state: JobState, entry: Entry): unknown {
  const kind = WRITTEN_BY[entry.kind];
  if (kind === undefined) return { kind: entry.kind };
  const { body } = entry;
  const told: Record<string, unknown> = {
    ...body,
    ...('step' in body ? { step: body.step.id } : {}),
    ...('readBy' in body && body.readBy !== 'hand' ? { readBy: body.readBy.id } : {}),
    ...(entry.kind === 'measured' && entry.body.steadyFor
      ? { watched: stoodAt(entry.body.value, entry.body.steadyFor.value) }
      : {}),
    ...(entry.kind === 'part-ordered' ? { step: partStep(state, 'order', entry.body.part) } : {}),
    ...(entry.kind === 'part-arrived' ? { step: partStep(state, 'arrive', entry.body.part) } : {}),
  };
  const fields = Object.keys(COMMANDS[kind].body.shape);
  return {
    kind,
    body: Object.fromEntries(Object.entries(told).filter(([field]) => fields.includes(field))),
  };
}

/** How likely a finder held a fault follows from the jobs of its own shop. */
const withoutChance = ({ kind, body }: Fact): unknown =>
  kind === 'fault-placed' ? { kind, body: { ...body, chance: 0 } } : { kind, body };

/** A gauge that stood still for so long, as it was watched. */
const stoodAt = (reads: unknown, length: number) =>
  Array.from({ length: 6 }, (_, i) => ({ after: seconds((i * length) / 5), reads }));

function partStep(state: JobState, kind: 'order' | 'arrive', part: string): string {
  const planned = plan(state);
  const steps = planned.ok ? (planned.value?.steps ?? []) : [];
  return steps.find(({ task }) => task.kind === kind && task.part === part)?.id ?? '';
}

/** The instrument as the entry names it, in calibration as of the moment it came. */
function stampIn({ body, at, receivedAt }: Entry, id: InstrumentId): InstrumentStamp | undefined {
  if (!('readBy' in body) || body.readBy === 'hand' || body.readBy.id !== id) return undefined;
  return {
    ...body.readBy,
    inCalibration: body.readBy.calibrationDue >= (receivedAt ?? at).slice(0, 10),
  };
}

/** Facts as JSON, fields in one order: what a command answers now against what was stored. */
const sameFacts = (a: unknown, b: unknown): boolean =>
  JSON.stringify(inOrder(a)) === JSON.stringify(inOrder(b));

function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, each]) => [key, inOrder(each)]),
  );
}
