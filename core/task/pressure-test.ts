import { counts, type EntryOf, type PressureTest } from '../job';
import { si, type GaugePressure, type Time } from '../quantity';
import type { Shown } from './shown';
import type { TaskKind } from './task-kind';

export interface PressureTestTask {
  readonly kind: 'pressure-test';
  readonly test: PressureTest;
  readonly fluid: 'liquid' | 'gas';
  readonly pressure: GaugePressure;
  readonly hold: Time;
  readonly allowedPerMinute: number;
  /** What is counted, where it is not drops or bubbles. */
  readonly counted?: 'mL';
  readonly shown: Shown;
}

export const pressureTestTask: TaskKind<PressureTestTask> = {
  letsPressureIn: true,
  finishedBy: (task, facts) => {
    const test = facts.on('pressure-tested').findLast(({ body }) => counts(body.readBy));
    return test && (task.test === 'seat' || passed(test, task)) ? test : undefined;
  },
  plainly: ({ test, pressure, hold }, { step, leak, rigPressure, instrument }) => [
    {
      kind: 'run-pressure-test',
      body: {
        step,
        pressure: rigPressure(pressure),
        hold,
        leakPerMinute: leak(test, pressure),
        readBy: instrument('test rig'),
      },
    },
  ],
};

/** Whether a pressure test stayed within its allowance at its pressure for its hold. */
export function passed({ body }: EntryOf<'pressure-tested'>, task: PressureTestTask): boolean {
  return (
    body.leakPerMinute <= task.allowedPerMinute &&
    si(body.pressure) >= si(task.pressure) * 0.98 &&
    si(body.hold) >= si(task.hold)
  );
}
