/**
 * Which column each row takes so that the sum is least (the Hungarian method, with potentials). There are at least as
 * many columns as rows; the answer is a column for each row.
 */
export function assigned(costs: readonly (readonly number[])[]): number[] {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  const ofRow = new Float64Array(rows + 1);
  const ofColumn = new Float64Array(columns + 1);
  const taker = new Int32Array(columns + 1);
  const cost = (row: number, column: number): number => costs[row - 1]?.[column - 1] ?? Infinity;
  const at = (list: Float64Array | Int32Array, i: number): number => list[i] ?? 0;
  for (let row = 1; row <= rows; row++) {
    taker[0] = row;
    let column = 0;
    const least = new Float64Array(columns + 1).fill(Infinity);
    const from = new Int32Array(columns + 1);
    const used = new Uint8Array(columns + 1);
    do {
      used[column] = 1;
      const current = at(taker, column);
      let step = Infinity;
      let next = 0;
      for (let j = 1; j <= columns; j++) {
        if (used[j]) continue;
        const reduced = cost(current, j) - at(ofRow, current) - at(ofColumn, j);
        if (reduced < at(least, j)) {
          least[j] = reduced;
          from[j] = column;
        }
        if (at(least, j) < step) {
          step = at(least, j);
          next = j;
        }
      }
      for (let j = 0; j <= columns; j++) {
        if (used[j]) {
          ofRow[at(taker, j)] = at(ofRow, at(taker, j)) + step;
          ofColumn[j] = at(ofColumn, j) - step;
        } else least[j] = at(least, j) - step;
      }
      column = next;
    } while (at(taker, column) !== 0);
    for (; column !== 0; column = at(from, column)) taker[column] = at(taker, at(from, column));
  }
  const chosen = new Array<number>(rows).fill(-1);
  for (let j = 1; j <= columns; j++) if (at(taker, j) > 0) chosen[at(taker, j) - 1] = j - 1;
  return chosen;
}
