import { counts, type EntryOf, type PressureTest } from '../job';
import { isWithin, si, type Flow, type GaugePressure, type Leak, type Time, type Volume } from '../quantity';
import { leakConvert, type BubbleTube } from '../workings';
import { reopenedBy } from './reopened';
import type { Shown } from './shown';
import type { StepFacts, TaskKind } from './task-kind';

export interface PressureTestTask {
  readonly kind: 'pressure-test';
  readonly test: PressureTest;
  readonly fluid: 'liquid' | 'gas';
  /** Not less than this, as the gauge shows it. */
  readonly pressure: GaugePressure;
  /** No more than this, where the standard or the part has a limit. */
  readonly most?: GaugePressure;
  readonly hold: Time;
  /** The most it may leak, with what is counted. */
  readonly allowed: Leak;
  /** The tube that bubbles are counted from. */
  readonly tube?: BubbleTube;
  /** What is under gas, as its size lets one think. */
  readonly volume?: Volume;
  readonly shown: Shown;
}

export const pressureTestTask: TaskKind<PressureTestTask> = {
  letsPressureIn: true,
  finishedBy: (task, facts) => {
    const traced = facts.on('leak-traced');
    if (reopenedBy(traced.map(({ body }) => body.to))) return traced.at(-1);
    const test = facts.on('pressure-tested').findLast(({ body }) => counts(body.readBy));
    if (!test) return undefined;
    const outcome = outcomeOf(test.body, task);
    return outcome === 'holds' || (outcome === 'leaks' && task.test === 'seat') ? test : undefined;
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

/** The last run, where it leaked and nobody has found where. */
export function untracedLeak(
  task: PressureTestTask,
  facts: StepFacts,
): EntryOf<'pressure-tested'> | undefined {
  const last = facts.on('pressure-tested').findLast(({ body }) => counts(body.readBy));
  if (!last || outcomeOf(last.body, task) !== 'leaks') return undefined;
  return facts.on('leak-traced').some(({ seq }) => seq > last.seq) ? undefined : last;
}

/** A leak as a flow: a bubble is that of its own tube, and of no other. */
export function asFlow({ perMinute, of }: Leak, tube: BubbleTube | undefined): Flow | undefined {
  if (of === 'mL' || perMinute === 0) return undefined;
  const worked = leakConvert.work(
    of === 'drops'
      ? { dropsPerMinute: perMinute }
      : { bubblesPerMinute: perMinute, ...(tube ? { tube } : {}) },
  );
  return worked.ok ? worked.value.result.flow : undefined;
}

/** What came of a pressure test; only one that was run as asked says anything of the valve. */
export type TestOutcome = 'holds' | 'leaks' | 'pressure too low' | 'pressure too high' | 'hold too short';

/** What is too low by less than this share is the rounding of a unit, not of a gauge. */
const ROUNDING = 1e-6;

/** A leak over the allowance is one at any pressure short of the limit; without a leak the test must have been whole. */
export function outcomeOf(
  { pressure, hold, leak }: Pick<EntryOf<'pressure-tested'>['body'], 'pressure' | 'hold' | 'leak'>,
  task: PressureTestTask,
): TestOutcome {
  if (task.most && si(pressure) > si(task.most) * (1 + ROUNDING)) return 'pressure too high';
  if (!isWithin(leak, task.allowed)) return 'leaks';
  if (si(pressure) < si(task.pressure) * (1 - ROUNDING)) return 'pressure too low';
  return si(hold) < si(task.hold) * (1 - ROUNDING) ? 'hold too short' : 'holds';
}

/** Whether a pressure test stayed within its allowance at its pressure for its hold. */
export const passed = ({ body }: EntryOf<'pressure-tested'>, task: PressureTestTask): boolean =>
  outcomeOf(body, task) === 'holds';
