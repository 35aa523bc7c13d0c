/**
 * Least-squares coefficients of a linear model (Gauss) over `count` points: `termsAt` writes the model's terms at a
 * point into the list it is given, `ys` is what was measured there, asked for after the terms. Undefined where the
 * points cannot tell the terms apart.
 */
export function linearFit(
  count: number,
  size: number,
  ys: ArrayLike<number>,
  termsAt: (point: number, terms: Float64Array) => void,
): number[] | undefined {
  const normal = Array.from({ length: size }, () => new Float64Array(size + 1));
  const terms = new Float64Array(size);
  for (let i = 0; i < count; i++) {
    termsAt(i, terms);
    const y = ys[i] ?? 0;
    for (let j = 0; j < size; j++) {
      const equation = normal[j];
      const term = terms[j] ?? 0;
      if (!equation) continue;
      for (let k = 0; k < size; k++) equation[k] = (equation[k] ?? 0) + term * (terms[k] ?? 0);
      equation[size] = (equation[size] ?? 0) + term * y;
    }
  }
  return solved(normal);
}

/** Gaussian elimination with pivots, on rows that carry their right side last. */
function solved(equations: Float64Array[]): number[] | undefined {
  const size = equations.length;
  const scale = Math.max(...equations.map((equation, i) => Math.abs(equation[i] ?? 0)));
  for (let column = 0; column < size; column++) {
    const below = equations.slice(column);
    const pivot = below.reduce((best, each) =>
      Math.abs(each[column] ?? 0) > Math.abs(best[column] ?? 0) ? each : best,
    );
    const head = pivot[column] ?? 0;
    if (Math.abs(head) <= scale * 1e-12) return undefined;
    equations.splice(equations.indexOf(pivot), 1);
    equations.splice(column, 0, pivot);
    for (const other of equations) {
      if (other === pivot) continue;
      const share = (other[column] ?? 0) / head;
      for (let k = column; k <= size; k++) other[k] = (other[k] ?? 0) - share * (pivot[k] ?? 0);
    }
  }
  return equations.map((equation, i) => (equation[size] ?? 0) / (equation[i] ?? 1));
}
