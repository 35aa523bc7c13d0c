import { leastSquares, type Line } from '../straight-line';
import type { StrokeRecording } from './recording';
import type { Range } from './strokes';

/** A stop: where the stroke meets it, and the pressure it ends with. */
export interface Stop {
  readonly travel: number;
  readonly contact: number;
  readonly end: number;
}

/** A stroke that presses on a stop leaves the spring line by more than this share of the pressure range. */
const LEAVES_THE_LINE = 0.03;
/** The upright part is fitted between these shares of the way from the line to the end. */
const [UPRIGHT_FROM, UPRIGHT_TO] = [0.1, 0.7];

/**
 * Where a stroke meets its stop: beyond it pressure goes on changing while travel hardly does. The nearly upright part
 * is fitted as travel over pressure; where it crosses the spring line is the contact.
 */
export function stopOf(
  { travel, pressure }: StrokeRecording,
  [from, to]: Range,
  spring: Line,
  low: number,
  high: number,
  at: 'low' | 'high',
): Stop | undefined {
  const tail = Math.min(200, Math.max(3, Math.floor((to - from) / 4000)));
  let end = 0;
  for (let i = to - tail; i < to; i++) end += (pressure[i] ?? 0) / tail;
  const edge = at === 'low' ? low : high;
  const beyond = spring.intercept + spring.slope * edge - end;
  if (Math.abs(beyond) < LEAVES_THE_LINE * Math.abs(spring.slope * (high - low))) return undefined;
  const near = 0.1 * (high - low);
  const stride = Math.max(1, Math.floor((to - from) / 40_000));
  const [travels, pressures]: [number[], number[]] = [[], []];
  for (let i = from; i < to; i += stride) {
    const share = ((pressure[i] ?? 0) - end) / beyond;
    if (share <= UPRIGHT_FROM || share >= UPRIGHT_TO || Math.abs((travel[i] ?? 0) - edge) > near) continue;
    travels.push(travel[i] ?? 0);
    pressures.push(pressure[i] ?? 0);
  }
  // Too few rows on the stop to see how stiff it is: it is met where the spring line reaches the end.
  if (travels.length < 5) return { travel: edge, contact: spring.intercept + spring.slope * edge, end };
  const upright = leastSquares(pressures, travels);
  const contact = (spring.intercept + spring.slope * upright.intercept) / (1 - spring.slope * upright.slope);
  return { travel: upright.intercept + upright.slope * contact, contact, end };
}
