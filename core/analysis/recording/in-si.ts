import type { NumberTable } from './read-table';
import type { ColumnMeaning } from './roles';

/** A column in SI units. */
export function inSi(table: NumberTable, { column, factor, offset }: ColumnMeaning): Float64Array {
  const source = table.columns[column] ?? new Float64Array(0);
  const values = new Float64Array(source.length);
  for (let i = 0; i < source.length; i++) values[i] = (source[i] ?? 0) * factor + offset;
  return values;
}
