import { counts, onStep, type EntryOf, type JobState } from '../job';
import { si, type Torque } from '../quantity';
import type { TighteningPass } from '../workings';
import type { Shown } from './shown';
import type { TaskKind } from './task-kind';

/** Studs pulled up in passes. */
export interface BoltUpTask {
  readonly kind: 'bolt-up';
  readonly bolts: number;
  readonly torque: Torque;
  readonly passes: readonly TighteningPass[];
  readonly lowPercent: number;
  readonly shown: Shown;
}

export const boltUpTask: TaskKind<BoltUpTask> = {
  finishedBy: (task, { state, id }) => {
    const progress = boltProgress(state, id, task);
    return progress.done ? progress.clicks.findLast(({ verdict }) => verdict === 'counts')?.entry : undefined;
  },
  plainly: (task, { step, state, click, instrument }) => {
    const { pass, next } = boltProgress(state, step, task);
    const setting = task.passes[pass]?.torque;
    return next === undefined || !setting
      ? []
      : [
          {
            kind: 'tighten-bolt',
            body: { step, bolt: next, torque: click(setting), readBy: instrument('torque wrench') },
          },
        ];
  },
  handsOver: (title) => ({ list: 'loose', line: `not torqued yet: ${title}` }),
};

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
export function boltProgress(state: JobState, step: string, task: BoltUpTask): BoltProgress {
  let pass = 0;
  let place = 0;
  const clicks = onStep(state, 'bolt-tightened', step).map((entry): JudgedClick => {
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
  task: BoltUpTask,
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
