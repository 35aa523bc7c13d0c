/** The end of an axis: the next 1, 1.5, 2, 3, 5 or 7.5 times a power of ten over what has to fit. */
export function niceTop(most: number): number {
  if (!(most > 0)) return 1;
  const decade = 10 ** Math.floor(Math.log10(most));
  return decade * ([1, 1.5, 2, 3, 5, 7.5].find((step) => step * decade >= most) ?? 10);
}

/** A box that a curve is drawn in: its sides, and what its right and upper ends stand for. */
export interface PlotBox {
  readonly width: number;
  readonly height: number;
  readonly right: number;
  readonly top: number;
}

/** The path of a curve from the lower left corner of a box on. */
export function plotPath(points: readonly (readonly [x: number, y: number])[], box: PlotBox): string {
  return points
    .map(([x, y], i) => {
      const across = (x / box.right) * box.width;
      const up = box.height - (y / box.top) * box.height;
      return `${i === 0 ? 'M' : 'L'}${across.toFixed(1)} ${up.toFixed(1)}`;
    })
    .join('');
}
