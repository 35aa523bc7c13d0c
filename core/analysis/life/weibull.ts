import type { Ages } from './survival';

/** A Weibull life: its shape β with 90 % bounds, its scale η, and the age by which one in ten has failed. */
export interface Weibull {
  readonly shape: number;
  readonly scale: number;
  readonly b10: number;
  readonly shapeLow: number;
  readonly shapeHigh: number;
}

/** Two-sided 90 % of the normal distribution. */
const NINETY_PERCENT = 1.645;
const [FLATTEST, STEEPEST] = [0.01, 200];
const CLOSE = 1e-12;

/**
 * A Weibull life by maximum likelihood from ages of failures and of what had not failed. The bounds of its shape are
 * β·exp(± 1.645·se(ln β)), by the observed information. Undefined where the ages do not bound a shape: all failures
 * at one age, or none. Source: Lawless 2003, chapter 5; NIST/SEMATECH e-Handbook 8.4.1.3.
 */
export function weibullOf({ failures, running }: Ages): Weibull | undefined {
  // Ages as shares of the oldest: their powers stay finite.
  const oldest = Math.max(...failures, ...running);
  const failed = failures.map((age) => Math.log(age / oldest));
  const all = [...failures, ...running].map((age) => Math.log(age / oldest));
  if (failed.length === 0 || new Set(failed).size < 2) return undefined;
  const meanLog = failed.reduce((sum, log) => sum + log, 0) / failed.length;
  const sums = (shape: number) => {
    let [s0, s1, s2] = [0, 0, 0];
    for (const log of all) {
      const power = Math.exp(shape * log);
      s0 += power;
      s1 += power * log;
      s2 += power * log * log;
    }
    return { s0, s1, s2 };
  };
  // Rises all the way: one shape alone makes it nothing.
  const score = (shape: number) => {
    const { s0, s1 } = sums(shape);
    return s1 / s0 - 1 / shape - meanLog;
  };
  let [low, high] = [FLATTEST, STEEPEST];
  if (score(low) > 0 || score(high) < 0) return undefined;
  while (high - low > CLOSE * high) {
    const middle = (low + high) / 2;
    if (score(middle) > 0) high = middle;
    else low = middle;
  }
  const shape = (low + high) / 2;
  const { s0, s1, s2 } = sums(shape);
  const scale = oldest * (s0 / failed.length) ** (1 / shape);
  // The scale settled for each shape, what is left of the information on ln β.
  const information = failed.length * (1 + shape * shape * (s2 / s0 - (s1 / s0) ** 2));
  const apart = Math.exp(NINETY_PERCENT / Math.sqrt(information));
  return {
    shape,
    scale,
    b10: scale * (-Math.log(0.9)) ** (1 / shape),
    shapeLow: shape / apart,
    shapeHigh: shape * apart,
  };
}
