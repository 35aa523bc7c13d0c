import { linearFit } from './linear-fit';

/** What a ring of dial readings says: the axis offset (bow) apart from the out-of-round. All lengths in the unit given. */
export interface RunoutFit {
  /** Mean reading: the dial's own zero. */
  readonly mean: number;
  /** Half the reading range that bending alone would give: the offset of the axis. */
  readonly bow: number;
  /** Where the high spot of the bow is, radians from the first reading, 0 ≤ angle < 2π. */
  readonly bowAngle: number;
  /** Amplitude of the two-lobed part as it was read; the diameter difference of an oval is four times this. */
  readonly ovality: number;
  readonly ovalityAngle: number;
  /** Largest less smallest reading, the creep of the dial taken off. */
  readonly tir: number;
  /** Root mean square of what the fit does not explain. */
  readonly residual: number;
  /** How far the dial crept in one turn; taken off the readings. */
  readonly creep: number;
  /** Readings round the stem, a closing one not among them. */
  readonly count: number;
}

/** One turn of readings: at equal angles unless `angles`, radians, are given; `closing` is the first place again. */
export interface Turn {
  readonly readings: readonly number[];
  readonly angles?: readonly number[];
  readonly closing?: number;
}

export const LEAST_READINGS = 5;
/** With fewer there is not enough left over to tell a nick from a bend. */
export const LEAST_FOR_VERDICT = 8;

/**
 * Fits `c + A1·cos(θ − φ1) + A2·cos(2θ − φ2)` by least squares (on equal spacing the discrete Fourier sum). A closing
 * reading tells how far the dial crept, which is taken off evenly. Needs at least `LEAST_READINGS`; the caller refuses
 * fewer. Undefined when the angles cannot tell the terms apart.
 */
export function fitRunout({ readings, angles, closing }: Turn): RunoutFit | undefined {
  const count = readings.length;
  const at = (i: number) => angles?.[i] ?? (2 * Math.PI * i) / count;
  const creep = closing === undefined ? 0 : closing - (readings[0] ?? 0);
  const steady = readings.map((reading, i) => reading - (creep * at(i)) / (2 * Math.PI));
  const terms = (i: number): readonly number[] => [
    1,
    Math.cos(at(i)),
    Math.sin(at(i)),
    Math.cos(2 * at(i)),
    Math.sin(2 * at(i)),
  ];
  const fit = linearFit(count, 5, steady, (i, into) => {
    into.set(terms(i));
  });
  if (!fit) return undefined;
  const [mean = 0, a1 = 0, b1 = 0, a2 = 0, b2 = 0] = fit;
  const left = steady.map(
    (reading, i) => reading - terms(i).reduce((sum, term, k) => sum + term * (fit[k] ?? 0), 0),
  );
  return {
    mean,
    bow: Math.hypot(a1, b1),
    bowAngle: turned(Math.atan2(b1, a1)),
    ovality: Math.hypot(a2, b2),
    ovalityAngle: turned(Math.atan2(b2, a2)) / 2,
    tir: Math.max(...steady) - Math.min(...steady),
    residual: Math.sqrt(left.reduce((sum, each) => sum + each * each, 0) / count),
    creep,
    count,
  };
}

/** A full turn less than a rounding is none. */
const turned = (angle: number): number => {
  const positive = angle < 0 ? angle + 2 * Math.PI : angle;
  return 2 * Math.PI - positive < 1e-9 ? 0 : positive;
};

/** A last reading is the first place again when that leaves this much less unexplained. */
const FAR_BETTER = 0.5;

/**
 * The same for readings at equal angles that may end where they began: the last one is taken as the closing reading
 * when the others then lie on a ring far better, and it is near the first.
 */
export function fitEqualReadings(readings: readonly number[]): RunoutFit | undefined {
  const open = fitRunout({ readings });
  const closing = readings.at(-1);
  if (!open || closing === undefined || readings.length <= LEAST_FOR_VERDICT) return open;
  const closed = fitRunout({ readings: readings.slice(0, -1), closing });
  const isClosed =
    closed !== undefined &&
    closed.residual < FAR_BETTER * open.residual &&
    Math.abs(closed.creep) <= closed.tir / 3;
  return isClosed ? closed : open;
}
