/** Which lane each lies in, so that no two lie on each other: in as few as can be, those that begin first first. */
export function lanesOf(pieces: readonly { readonly start: number; readonly end: number }[]): number[] {
  const free: number[] = [];
  return pieces.map(({ start, end }) => {
    const found = free.findIndex((until) => until <= start);
    const lane = found < 0 ? free.length : found;
    free[lane] = Math.max(start, end);
    return lane;
  });
}
