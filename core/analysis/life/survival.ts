/** Ages: of what failed, and of what was still running, or went for another cause. */
export interface Ages {
  readonly failures: readonly number[];
  readonly running: readonly number[];
}

export interface SurvivalStep {
  readonly age: number;
  /** The share that outlives this age. */
  readonly survival: number;
  readonly failed: number;
  readonly atRisk: number;
}

/**
 * Kaplan and Meier's estimate, just after each age at which something failed: what went at the very age of a failure
 * for another cause counts as still at risk. Source: Kaplan and Meier 1958.
 */
export function survivalOf({ failures, running }: Ages): SurvivalStep[] {
  const all = [...failures, ...running];
  let survival = 1;
  return [...new Set(failures)]
    .sort((a, b) => a - b)
    .map((age) => {
      const atRisk = all.filter((each) => each >= age).length;
      const failed = failures.filter((each) => each === age).length;
      survival *= 1 - failed / atRisk;
      return { age, survival, failed, atRisk };
    });
}
