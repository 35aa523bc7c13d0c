import type { StrokeRecording } from '../signature';
import type { Ramp } from '../stroke-points';
import { inSi } from './in-si';
import type { NumberTable } from './read-table';
import type { ColumnMeaning, RecordingColumns, RecordingRole } from './roles';

/** Ranges that turn a signal or an angle into a share of its span, SI values. */
const USUAL_RANGE = {
  current: [0.004, 0.02],
  'gauge pressure': [20_684.271879504, 103_421.35939752],
  ratio: [0, 1],
} as const;

/** The stroke in SI units out of a table; the roles that are missing, when it cannot be made. */
export function strokeFrom(
  table: NumberTable,
  columns: RecordingColumns,
): { readonly stroke: StrokeRecording } | { readonly missing: readonly RecordingRole[] } {
  const { pressure, travel } = columns;
  const missing = (['pressure', 'travel'] as const).filter((role) => columns[role] === undefined);
  if (!pressure || !travel) return { missing };
  const net = inSi(table, pressure);
  const opposing = columns['pressure 2'];
  if (opposing) {
    const other = inSi(table, opposing);
    for (let i = 0; i < net.length; i++) net[i] = (net[i] ?? 0) - (other[i] ?? 0);
  }
  return {
    stroke: {
      ...{ travel: inSi(table, travel), pressure: net },
      time: columns.time ? inSi(table, columns.time) : Float64Array.from({ length: table.rows }, (_, i) => i),
      ...(columns.signal ? { signal: asShare(table, columns.signal) } : {}),
    },
  };
}

/** Travel by its signal alone, SI values, as a positioner is stroked; nothing where no column is of the travel. */
export function rampFrom(table: NumberTable, { signal, travel }: RecordingColumns): Ramp | undefined {
  if (!travel) return undefined;
  return { travel: inSi(table, travel), ...(signal ? { signal: asShare(table, signal) } : {}) };
}

function asShare(table: NumberTable, meaning: ColumnMeaning): Float64Array {
  const { dimension } = meaning;
  const values = inSi(table, meaning);
  const [low, high] =
    dimension === 'current' || dimension === 'gauge pressure' ? USUAL_RANGE[dimension] : USUAL_RANGE.ratio;
  for (let i = 0; i < values.length; i++) values[i] = ((values[i] ?? 0) - low) / (high - low);
  return values;
}
