/** What a ring of dial readings says: the axis offset (bow) apart from the out-of-round. All lengths in the unit given. */
export interface RunoutFit {
  /** Mean reading: the dial's own zero. */
  mean: number;
  /** Half the reading range that bending alone would give: the offset of the axis. */
  bow: number;
  /** Where the high spot of the bow is, radians from the first reading, 0 ≤ angle < 2π. */
  bowAngle: number;
  /** Amplitude of the two-lobed part; the diameter difference of an oval is four times this. */
  ovality: number;
  ovalityAngle: number;
  /** Largest less smallest reading. */
  tir: number;
  /** Root mean square of what the fit does not explain. */
  residual: number;
}

export const LEAST_READINGS = 5;

/**
 * Fits `c + A1·cos(θ − φ1) + A2·cos(2θ − φ2)` to equally spaced readings. On equal spacing the harmonics are
 * orthogonal, so least squares is the discrete Fourier sum (any text on Fourier series). Needs at least
 * `LEAST_READINGS`; the caller refuses fewer.
 */
export function fitRunout(readings: readonly number[]): RunoutFit {
  const n = readings.length;
  const mean = sum(readings) / n;
  const first = harmonic(readings, 1);
  const second = harmonic(readings, 2);
  const fitted = readings.map(
    (_, i) =>
      mean +
      first.amplitude * Math.cos(angleAt(i, n) - first.phase) +
      second.amplitude * Math.cos(2 * angleAt(i, n) - second.phase),
  );
  return {
    mean,
    bow: first.amplitude,
    bowAngle: first.phase,
    ovality: second.amplitude,
    ovalityAngle: second.phase / 2,
    tir: Math.max(...readings) - Math.min(...readings),
    residual: Math.sqrt(sum(readings.map((reading, i) => (reading - (fitted[i] ?? 0)) ** 2)) / n),
  };
}

const angleAt = (i: number, n: number) => (2 * Math.PI * i) / n;

function harmonic(readings: readonly number[], order: number): { amplitude: number; phase: number } {
  const n = readings.length;
  const a = (2 / n) * sum(readings.map((reading, i) => reading * Math.cos(order * angleAt(i, n))));
  const b = (2 / n) * sum(readings.map((reading, i) => reading * Math.sin(order * angleAt(i, n))));
  const phase = Math.atan2(b, a);
  return { amplitude: Math.hypot(a, b), phase: phase < 0 ? phase + 2 * Math.PI : phase };
}

/** Neumaier's compensated sum (Z. Angew. Math. Mech. 54, 1974). */
function sum(values: readonly number[]): number {
  let total = 0;
  let lost = 0;
  for (const value of values) {
    const next = total + value;
    lost += Math.abs(total) >= Math.abs(value) ? total - next + value : value - next + total;
    total = next;
  }
  return total + lost;
}
