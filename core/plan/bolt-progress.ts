import { counts, type EntryOf, type JobState } from '../job';
import type { TaskOf } from '../procedure';
import { si } from '../quantity';

export type ClickVerdict = 'counts' | 'wrong bolt' | 'low' | 'wrong pass' | 'out of calibration';

export interface JudgedClick {
  readonly entry: EntryOf<'bolt-tightened'>;
  readonly verdict: ClickVerdict;
}

export interface BoltProgress {
  /** Pass in hand; equals the number of passes when all are done. */
  readonly pass: number;
  /** The bolt to tighten next; undefined when done. */
  readonly next: number | undefined;
  /** Bolts done in the pass in hand. */
  readonly doneInPass: readonly number[];
  readonly clicks: readonly JudgedClick[];
  readonly done: boolean;
}

/**
 * Where a bolt-up stands. A click counts when it lands on the next bolt of the order at the pass's torque; a click on
 * another bolt, or under the setting by more than the site's share, stays in the log and counts for nothing.
 */
export function boltProgress(state: JobState, step: string, task: TaskOf<'bolt-up'>): BoltProgress {
  let pass = 0;
  let place = 0;
  const clicks = state.records['bolt-tightened']
    .filter(({ body }) => body.step.id === step)
    .map((entry): JudgedClick => {
      const verdict = judge(entry, task, pass, place);
      if (verdict === 'counts') {
        place += 1;
        if (place === task.passes[pass]?.order.length) [pass, place] = [pass + 1, 0];
      }
      return { entry, verdict };
    });
  const order = task.passes[pass]?.order ?? [];
  return {
    pass,
    next: order[place],
    doneInPass: order.slice(0, place),
    clicks,
    done: pass >= task.passes.length,
  };
}

function judge(
  entry: EntryOf<'bolt-tightened'>,
  task: TaskOf<'bolt-up'>,
  pass: number,
  place: number,
): ClickVerdict {
  const { body } = entry;
  const wanted = task.passes[pass];
  if (!counts(body.readBy)) return 'out of calibration';
  if (!wanted || body.pass !== pass) return 'wrong pass';
  if (wanted.order[place] !== body.bolt) return 'wrong bolt';
  return si(body.torque) < si(wanted.torque) * (1 - task.lowPercent / 100) ? 'low' : 'counts';
}
