export type Stretch = readonly [from: number, to: number];

/**
 * What of these is open between two minutes, in order and each minute once; nothing said is always open. Those with no
 * more than `apart` between them are made one.
 */
export function stretchesWithin(
  open: readonly Stretch[] | undefined,
  from: number,
  to: number,
  apart = 0,
): Stretch[] {
  const all: readonly Stretch[] = open ?? [[from, to]];
  const cut = all
    .map(([a, b]): Stretch => [Math.max(a, from), Math.min(b, to)])
    .filter(([a, b]) => a < b)
    .toSorted(([a], [b]) => a - b);
  const joined: [number, number][] = [];
  for (const [a, b] of cut) {
    const last = joined.at(-1);
    if (last && a - last[1] <= apart) last[1] = Math.max(last[1], b);
    else joined.push([a, b]);
  }
  return joined;
}
