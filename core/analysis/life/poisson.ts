/** The smallest count that a Poisson number with this mean does not pass with at least this chance. */
export function poissonQuantile(mean: number, chance: number): number {
  // By logarithms: e^-mean alone is nothing for a mean of some hundreds.
  let [count, logTerm, sum] = [0, -mean, Math.exp(-mean)];
  while (sum < chance && count < MOST) {
    count++;
    logTerm += Math.log(mean / count);
    sum += Math.exp(logTerm);
  }
  return count;
}

const MOST = 1e6;
