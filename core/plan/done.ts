import {
  apartDegrees,
  counts,
  markOf,
  MARKS_MEET_DEGREES,
  valveOf,
  type Entry,
  type EntryOf,
  type JobState,
} from '../job';
import { asksOf, matchSpares, mismatches } from '../valve';
import type { Draft, TaskOf } from '../procedure';
import { meets } from '../procedure';
import { si } from '../quantity';
import { boltProgress } from './bolt-progress';

/** The entry that finished a step, or undefined while it is open. */
export function finishedBy(id: string, draft: Draft, state: JobState): Entry | undefined {
  const { task } = draft;
  const { records } = state;
  const onStep = <E extends { body: { step: { id: string } } }>(entries: readonly E[]) =>
    entries.filter(({ body }) => body.step.id === id);
  switch (task.kind) {
    case 'do':
    case 'lapping':
    case 'wants':
      return onStep(records['step-done']).at(-1);
    case 'place':
      return onStep(records['fault-placed']).at(-1) ?? onStep(records['step-done']).at(-1);
    case 'marks':
      return marksStand(state, id, task);
    case 'makers-sheet':
      return records['makers-sheet-filed'].at(-1) ?? onStep(records['step-done']).at(-1);
    case 'spares': {
      const laid = onStep(records['spares-matched']).at(-1);
      const valve = valveOf(state);
      return laid && valve && mismatches(matchSpares(valve, laid.body.laid)).length === 0 ? laid : undefined;
    }
    case 'line':
      return records['line-drawn'].at(-1);
    case 'lock':
      return onStep(records['lock-hung']).at(-1);
    case 'unlock':
      return onStep(records['lock-removed']).at(-1);
    case 'sign-off':
      // Settled by the plan, which knows what a signature covers.
      return undefined;
    case 'ask': {
      const valve = valveOf(state);
      const answered = records['valve-identified'].findLast(
        ({ body }) => body.details[task.ask.id] !== undefined,
      );
      return valve && !asksOf(valve).some((ask) => ask.id === task.ask.id) ? answered : undefined;
    }
    case 'look':
      return onStep(records['finding-made']).at(-1);
    case 'measure':
      return (
        measuredAll(onStep(records.measured), task) ??
        (draft.optional === undefined ? undefined : onStep(records['step-done']).at(-1))
      );
    case 'runout':
      return onStep(records['runout-taken']).findLast(({ body }) => counts(body.readBy));
    case 'bluing':
      return onStep(records['bluing-checked']).at(-1);
    case 'packing':
      return onStep(records['packing-fitted']).at(-1);
    case 'bolt-up':
      return boltUpDone(state, id, task);
    case 'pressure-test': {
      const test = onStep(records['pressure-tested']).findLast(({ body }) => counts(body.readBy));
      return test && (task.test === 'seat' || passed(test, task)) ? test : undefined;
    }
    case 'order':
      return (
        records['part-ordered'].findLast(({ body }) => body.part === task.part) ?? arrived(state, task.part)
      );
    case 'arrive':
      return arrived(state, task.part);
    case 'hold':
      return onStep(records['hold-released']).at(-1);
    case 'sign':
      return onStep(records['certificate-signed']).at(-1);
  }
}

/** Every mark set, and where they were set before, meeting. */
function marksStand(state: JobState, id: string, { parts, was }: TaskOf<'marks'>): Entry | undefined {
  const stand = parts.every((part) => {
    const now = markOf(state, id, part);
    if (!now || was === undefined) return now !== undefined;
    const before = markOf(state, was, part);
    return before === undefined || apartDegrees(now, before) <= MARKS_MEET_DEGREES;
  });
  return stand ? state.records['mark-set'].findLast(({ body }) => body.step.id === id) : undefined;
}

const arrived = (state: JobState, part: string) =>
  state.records['part-arrived'].findLast(({ body }) => body.part === part);

function boltUpDone(state: JobState, id: string, task: TaskOf<'bolt-up'>): Entry | undefined {
  const progress = boltProgress(state, id, task);
  return progress.done ? progress.clicks.findLast(({ verdict }) => verdict === 'counts')?.entry : undefined;
}

function measuredAll(entries: readonly EntryOf<'measured'>[], task: TaskOf<'measure'>): Entry | undefined {
  const latest = task.asks.map((ask) =>
    entries.findLast(({ body }) => body.what === ask.what && counts(body.readBy)),
  );
  const all = latest.every((entry, i) => {
    const ask = task.asks[i];
    return entry !== undefined && ask !== undefined && meets(ask, entry.body.value);
  });
  return all
    ? latest.reduce((last, entry) => (entry && (!last || entry.seq > last.seq) ? entry : last), undefined)
    : undefined;
}

/** Whether a pressure test stayed within its allowance at its pressure for its hold. */
export function passed({ body }: EntryOf<'pressure-tested'>, task: TaskOf<'pressure-test'>): boolean {
  return (
    body.leakPerMinute <= task.allowedPerMinute &&
    si(body.pressure) >= si(task.pressure) * 0.98 &&
    si(body.hold) >= si(task.hold)
  );
}
