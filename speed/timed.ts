/** Prints what a piece of work takes against its limit, median of some rounds; throws when it takes longer. */
export function timed(what: string, limitMilliseconds: number, work: () => unknown, rounds = 50): number {
  work();
  const times = Array.from({ length: rounds }, () => {
    const began = performance.now();
    work();
    return performance.now() - began;
  }).sort((a, b) => a - b);
  const middle = times[Math.floor(rounds / 2)] ?? 0;
  const kept = middle <= limitMilliseconds;
  console.log(
    `  ${kept ? 'within' : 'MISSED'}  ${what}: ${middle.toFixed(2)} ms, median of ${rounds} (limit ${limitMilliseconds} ms)`,
  );
  if (!kept) throw new Error(`${what} took too long`);
  return middle;
}
