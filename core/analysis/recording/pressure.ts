import { fromSi } from '../../quantity';
import { inSi } from './in-si';
import type { NumberTable } from './read-table';
import type { RecordingColumns } from './roles';

/** Pressure over time as a rig recorded it: seconds since its first row, and psig at those moments. */
export interface PressureRecording {
  readonly seconds: readonly number[];
  readonly psig: readonly number[];
}

/** Pressure by its time; nothing where a column of either lacks, or time goes backwards. */
export function pressureFrom(
  table: NumberTable,
  { time, pressure }: RecordingColumns,
): PressureRecording | undefined {
  if (!time || !pressure) return undefined;
  const at = inSi(table, time);
  if (at.some((each, i) => each < (at[i - 1] ?? each))) return undefined;
  const first = at[0] ?? 0;
  return {
    seconds: Array.from(at, (each) => each - first),
    psig: Array.from(inSi(table, pressure), (each) => fromSi('gauge pressure', each, 'psig').value),
  };
}
