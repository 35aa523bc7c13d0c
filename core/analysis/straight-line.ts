export interface Line {
  readonly slope: number;
  readonly intercept: number;
}

/** Least-squares line through points (Gauss); a level line when all x are the same. */
export function leastSquares(xs: ArrayLike<number>, ys: ArrayLike<number>): Line {
  const n = xs.length;
  let [meanX, meanY] = [0, 0];
  for (let i = 0; i < n; i++) {
    meanX += ((xs[i] ?? 0) - meanX) / (i + 1);
    meanY += ((ys[i] ?? 0) - meanY) / (i + 1);
  }
  let [sxx, sxy] = [0, 0];
  for (let i = 0; i < n; i++) {
    const dx = (xs[i] ?? 0) - meanX;
    sxx += dx * dx;
    sxy += dx * ((ys[i] ?? 0) - meanY);
  }
  const slope = sxx === 0 ? 0 : sxy / sxx;
  return { slope, intercept: meanY - slope * meanX };
}

/**
 * The line whose largest deviation from the points is least (Chebyshev), and that deviation. Its slope is always the
 * slope between two of the points, so for the few dozen points of a stroke test all pairs are tried.
 */
export function leastDeviation(points: readonly { x: number; y: number }[]): Line & { deviation: number } {
  let best: Line & { deviation: number } = { slope: 0, intercept: points[0]?.y ?? 0, deviation: Infinity };
  const slopes = points.flatMap((a, i) =>
    points.slice(i + 1).flatMap((b) => (b.x === a.x ? [] : [(b.y - a.y) / (b.x - a.x)])),
  );
  for (const slope of slopes) {
    let [low, high] = [Infinity, -Infinity];
    for (const { x, y } of points) {
      const offset = y - slope * x;
      if (offset < low) low = offset;
      if (offset > high) high = offset;
    }
    const deviation = (high - low) / 2;
    if (deviation < best.deviation) best = { slope, intercept: (low + high) / 2, deviation };
  }
  return best;
}

/** The line through the first and the last point, and the largest deviation from it. */
export function throughEnds(points: readonly { x: number; y: number }[]): Line & { deviation: number } {
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || first.x === last.x) return { slope: 0, intercept: first?.y ?? 0, deviation: 0 };
  const slope = (last.y - first.y) / (last.x - first.x);
  const intercept = first.y - slope * first.x;
  return {
    slope,
    intercept,
    deviation: Math.max(...points.map(({ x, y }) => Math.abs(y - slope * x - intercept))),
  };
}
