/**
 * At most so many of a curve's points, the ends and every turn of it kept: of each stretch the first, the lowest and the
 * highest, in order of time. Answers with their indices.
 */
export function thinned(values: readonly number[], most: number): number[] {
  if (values.length <= most) return values.map((_, i) => i);
  const stretches = Math.max(1, Math.floor((most - 1) / 3));
  const kept = new Set<number>([0, values.length - 1]);
  for (let s = 0; s < stretches; s++) {
    const [from, to] = [s, s + 1].map((each) => Math.floor((each * values.length) / stretches)) as [
      number,
      number,
    ];
    let [low, high] = [from, from];
    for (let i = from; i < to; i++) {
      if ((values[i] ?? 0) < (values[low] ?? 0)) low = i;
      if ((values[i] ?? 0) > (values[high] ?? 0)) high = i;
    }
    if (to > from) [low, high].forEach((each) => kept.add(each));
  }
  return [...kept].sort((a, b) => a - b);
}
