import type { Moving } from '../analysis';
import { stepResponse } from '../analysis';
import type { Screw } from '../job';
import { quantity, type Quantity } from '../quantity';

/** A step of the signal, percent of its range. */
export interface SignalStep {
  readonly from: number;
  readonly to: number;
}

/** What a valve is asked on the bench, one after the other: to stand at a signal, or to answer a step to it. */
export type Move =
  | { readonly kind: 'stand'; readonly signal: number; readonly saying: string }
  | { readonly kind: 'step'; readonly signal: number; readonly saying: string };

/** What it did: where it stood; or its travel over time, with when the step came. */
export interface Moved {
  readonly stood: number;
  readonly samples: readonly Moving[];
  readonly at: number;
}

/** The figures of a response test. */
export const RESPONSE = {
  deadBand: 'dead band',
  resolution: 'resolution',
  rising: 'stroke time, signal rising',
  falling: 'stroke time, signal falling',
} as const;
/** Steps that it is asked to answer (handbook part 6.5). */
export const RESPONSE_STEPS: readonly SignalStep[] = [
  { from: 45, to: 55 },
  { from: 50, to: 90 },
  { from: 90, to: 50 },
];
export const STEP_FIGURES = ['dead time', 'T63', 'T86', 'overshoot'] as const;
export const stepFigure = (figure: (typeof STEP_FIGURES)[number], { from, to }: SignalStep): string =>
  `${figure}, ${from} to ${to} %`;

/** A step that is read by itself: dead band, steps and stroke times, one after the other. */
export interface Response {
  readonly kind: 'response';
  readonly screws: readonly Screw[];
}

/** The signal goes on in steps so small until travel follows, and no further than this, percent. */
const [LITTLE, MOST] = [0.1, 3];
const MIDDLE = 50;
/** It has moved: three times the noise of the scale, and a tenth of a percent at least. */
const MOVED = 0.1;

type Run<T> = Generator<Move, T, Moved>;
interface Figure {
  readonly what: string;
  readonly value: Quantity;
}

/** The whole test: each move is done by whoever holds the bench, and answered with what the valve did. */
export function* responseRun(): Run<readonly Figure[]> {
  let [deadBand, resolution] = [0, 0];
  for (const way of [1, -1]) {
    deadBand = Math.max(deadBand, yield* tillItMoves(way, -1));
    resolution = Math.max(resolution, yield* tillItMoves(way, 1));
  }
  const figures: Figure[] = [percent(RESPONSE.deadBand, deadBand), percent(RESPONSE.resolution, resolution)];
  for (const step of RESPONSE_STEPS) figures.push(...(yield* answerTo(step)));
  for (const [what, step] of [
    [RESPONSE.rising, { from: 0, to: 100 }],
    [RESPONSE.falling, { from: 100, to: 0 }],
  ] as const) {
    const moved = yield* stepOf(step);
    figures.push(seconds(what, timeToFull(moved, step)));
  }
  return figures;
}

/** How far the signal goes on, the same way or back, before travel follows; come to the middle from `way`. */
function* tillItMoves(way: number, on: number): Run<number> {
  const saying = on > 0 ? 'how little it answers' : 'how far back until it moves';
  yield { kind: 'stand', signal: MIDDLE - 10 * way, saying };
  const { stood } = yield { kind: 'stand', signal: MIDDLE, saying };
  for (let steps = 1; steps * LITTLE <= MOST; steps++) {
    const signal = MIDDLE + on * way * steps * LITTLE;
    const now = yield { kind: 'stand', signal, saying };
    if (Math.abs(now.stood - stood) > MOVED) return steps * LITTLE;
  }
  return MOST;
}

function* stepOf({ from, to }: SignalStep): Run<Moved> {
  const saying = `a step from ${from} to ${to} %`;
  yield { kind: 'stand', signal: from, saying };
  return yield { kind: 'step', signal: to, saying };
}

function* answerTo(step: SignalStep): Run<readonly Figure[]> {
  const { samples, at } = yield* stepOf(step);
  const found = stepResponse(samples, at);
  if (!found) return [];
  const { deadTime, t63, t86, overshoot } = found;
  return [
    seconds(stepFigure('dead time', step), deadTime),
    seconds(stepFigure('T63', step), t63),
    seconds(stepFigure('T86', step), t86),
    percent(stepFigure('overshoot', step), overshoot),
  ];
}

/** From the step until it has all of its travel but this, percent. */
const ALL_BUT = 1;
function timeToFull({ samples, at }: Moved, { to }: SignalStep): number {
  const there = samples.find(
    ({ seconds: now, value }) => now > at && (to > 50 ? value >= to - ALL_BUT : value <= to + ALL_BUT),
  );
  return (there?.seconds ?? samples.at(-1)?.seconds ?? at) - at;
}

const rounded = (value: number, places: number) => Math.round(value * 10 ** places) / 10 ** places;
const percent = (what: string, value: number): Figure => ({
  what,
  value: quantity('ratio', rounded(value, 1), '%'),
});
const seconds = (what: string, value: number): Figure => ({
  what,
  value: quantity('time', rounded(value, 2), 's'),
});
