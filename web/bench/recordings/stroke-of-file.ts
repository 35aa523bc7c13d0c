import {
  mapColumns,
  readNumberTable,
  rampFrom,
  strokeLoop,
  strokePoints,
  type StrokePoint,
} from '@dusk-wren/core/analysis';
import { MOST_POINTS } from '@dusk-wren/core/job';
import { si, type Length } from '@dusk-wren/core/quantity';
import { asKept } from './reader';

/** A stroke as it was recorded: the points read out of it, its file, and its curve as it is kept. */
export interface Recorded {
  readonly points: readonly StrokePoint[];
  readonly recording: { readonly file: string; readonly signal: number[]; readonly travel: number[] };
}

const WHY = {
  'no signal': 'The recording has no column of the signal: the points are read at their signals.',
  'not all the way': 'It does not go all the way there and back: not every point is in it, both ways.',
} as const;

/** Reads a recorded ramp there and back at these signals in percent; in words why not, where it cannot be. */
export function strokeOfFile(
  file: string,
  bytes: Uint8Array,
  { at, rated }: { readonly at: readonly number[]; readonly rated: Length | undefined },
): Recorded | string {
  const table = readNumberTable(bytes);
  if (!table) return `“${file}” is no CSV with a header line and rows of numbers. Nothing was changed.`;
  const { columns } = mapColumns(table.headers, {});
  const ramp = rampFrom(table, columns);
  if (!ramp) return `“${file}” lacks a column for travel, with its unit in the header.`;
  const isLength = columns.travel?.dimension === 'length';
  if (isLength && !rated)
    return 'Its travel is a length: the rated travel of this valve must be taken first.';
  const full = isLength && rated ? si(rated) : undefined;
  const points = strokePoints(ramp, at, full);
  if (typeof points === 'string') return WHY[points];
  return { points, recording: { file: asKept(file), ...strokeLoop(ramp, MOST_POINTS, full) } };
}
