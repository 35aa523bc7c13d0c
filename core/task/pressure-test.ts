import { counts, type EntryOf, type PressureTest } from '../job';
import { isWithin, si, type GaugePressure, type Leak, type Time } from '../quantity';
import type { Shown } from './shown';
import type { TaskKind } from './task-kind';

export interface PressureTestTask {
  readonly kind: 'pressure-test';
  readonly test: PressureTest;
  readonly fluid: 'liquid' | 'gas';
  readonly pressure: GaugePressure;
  readonly hold: Time;
  /** The most it may leak, with what is counted. */
  readonly allowed: Leak;
  readonly shown: Shown;
}

export const pressureTestTask: TaskKind<PressureTestTask> = {
  letsPressureIn: true,
  finishedBy: (task, facts) => {
    const test = facts.on('pressure-tested').findLast(({ body }) => counts(body.readBy));
    return test && (task.test === 'seat' || passed(test, task)) ? test : undefined;
  },
  plainly: ({ test, pressure, hold, allowed, fluid }, { step, leak, rigPressure, instrument }) => [
    {
      kind: 'run-pressure-test',
      body: {
        step,
        pressure: rigPressure(pressure),
        hold,
        leak: leak({ test, fluid, pressure, of: allowed.of }),
        readBy: instrument('test rig'),
      },
    },
  ],
};

/** Whether a pressure test stayed within its allowance at its pressure for its hold. */
export function passed({ body }: EntryOf<'pressure-tested'>, task: PressureTestTask): boolean {
  return (
    isWithin(body.leak, task.allowed) &&
    si(body.pressure) >= si(task.pressure) * 0.98 &&
    si(body.hold) >= si(task.hold)
  );
}
