import { counts, type EntryOf, type Screw } from '../job';
import { quantity, valueIn, type Ratio } from '../quantity';
import { POSITIONER_LIMITS, STRAIGHT_LIMITS } from '../standards';
import { positionerStroke, type StrokeTest, type Worked } from '../workings';
import type { TaskKind } from './task-kind';

/** A stroke in points, up and down, by a signal. */
export interface StrokeTestTask {
  readonly kind: 'stroke-test';
  /** What answers the signal: without a positioner more is let pass. */
  readonly by: 'positioner' | 'signal';
  /** Shares of the signal, rising. */
  readonly at: readonly Ratio[];
  /** What it may be set right by, between two runs. */
  readonly screws: readonly Screw[];
  /** As it was found: kept whatever it says. */
  readonly asFound?: true;
  /** The step that found it before, whose curve lies under this one. */
  readonly was?: string;
}

/** Percent of the signal at which an end is judged that a stop holds (handbook part 6.5). */
export const CLEAR_OF_STOPS = { low: 5, high: 95 } as const;

type Points = EntryOf<'stroke-tested'>['body']['points'];

export const strokeTestTask: TaskKind<StrokeTestTask> = {
  finishedBy: (task, facts) => {
    const last = facts.on('stroke-tested').findLast(({ body }) => counts(body.readBy));
    const isIn =
      last && (task.asFound === true || strokeVerdicts(last.body.points, task.by)?.every(({ fits }) => fits));
    return isIn === true ? last : facts.optional ? facts.byHand() : undefined;
  },
  wantsByHand: () => 'its points, up and down',
  plainly: ({ at }, { step, instrument }) => [
    {
      kind: 'keep-stroke',
      body: {
        step,
        points: at.map((signal) => ({ signal, up: signal, down: signal })),
        readBy: instrument('gauge set'),
      },
    },
  ],
};

/** What a stroke test says, by its working. */
export function workedStroke(points: Points): Worked<StrokeTest> | undefined {
  const worked = positionerStroke.work({
    points: points.map(({ signal, up, down }) => ({
      signal: inPercent(signal),
      up: inPercent(up),
      down: inPercent(down),
    })),
    held: heldOf(points),
  });
  return worked.ok ? worked.value : undefined;
}

/** An end that a stop holds was read clear of it too, and is judged there. */
function heldOf(points: Points): 'neither end' | '0 %' | '100 %' | 'both ends' {
  const has = (percent: number) =>
    points.some(({ signal }) => Math.abs(valueIn(signal, '%') - percent) < 0.5);
  const { low, high } = CLEAR_OF_STOPS;
  if (has(low)) return has(high) ? 'both ends' : '0 %';
  return has(high) ? '100 %' : 'neither end';
}

const inPercent = (share: Ratio): Ratio => quantity('ratio', valueIn(share, '%'), '%');

/** One figure of a stroke test against its limit. */
export interface StrokeVerdict {
  readonly label: string;
  readonly found: Ratio;
  readonly limit: Ratio;
  readonly fits: boolean;
}

/** The four figures that a stroke is judged by; undefined where the points make no stroke. */
export function strokeVerdicts(
  points: Points,
  by: StrokeTestTask['by'],
): readonly StrokeVerdict[] | undefined {
  const worked = workedStroke(points);
  if (!worked) return undefined;
  const { error, hysteresis, ends } = by === 'positioner' ? POSITIONER_LIMITS : STRAIGHT_LIMITS;
  const { measuredError, zeroError, spanError, hysteresis: apart } = worked.result;
  const against = (label: string, found: Ratio, limit: number): StrokeVerdict => ({
    label,
    found,
    limit: quantity('ratio', limit, '%'),
    fits: Math.abs(valueIn(found, '%')) <= limit + 1e-9,
  });
  return [
    against('largest error', measuredError, error),
    against('hysteresis and dead band', apart, hysteresis),
    against('zero', zeroError, ends),
    against('span', spanError, ends),
  ];
}
