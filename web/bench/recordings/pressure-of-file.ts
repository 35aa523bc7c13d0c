import {
  findPops,
  mapColumns,
  pressureFrom,
  readNumberTable,
  recordedHold,
  thinned,
  type PressureRecording,
} from '@dusk-wren/core/analysis';
import { si, type GaugePressure, type Time } from '@dusk-wren/core/quantity';
import { asKept } from './reader';

/** Pressure at a moment, as a rig reads it and as a recording has it. */
export interface PressureSample {
  readonly seconds: number;
  readonly psig: number;
}

/** More points than these no screen shows. */
export const MOST_DRAWN = 2000;

/** Pressure over time out of a file, or in words why not. */
function pressureOfFile(file: string, bytes: Uint8Array): PressureRecording | string {
  const table = readNumberTable(bytes);
  if (!table) return `“${file}” is no CSV with a header line and rows of numbers. Nothing was changed.`;
  const { columns } = mapColumns(table.headers, {});
  return (
    pressureFrom(table, columns) ??
    `“${file}” lacks a column for time or for pressure, with its unit in the header, or its time goes backwards.`
  );
}

const samplesOf = (
  { seconds, psig: pressures }: PressureRecording,
  from = 0,
  to = seconds.length,
): PressureSample[] => {
  const first = seconds[from] ?? 0;
  return seconds.slice(from, to).map((at, i) => ({ seconds: at - first, psig: pressures[from + i] ?? 0 }));
};

/** What a relief valve did on a rig: a curve for each pop, in their order. */
export interface RecordedPops {
  readonly file: string;
  readonly curves: readonly (readonly PressureSample[])[];
}

export function popsOfFile(file: string, bytes: Uint8Array): RecordedPops | string {
  const read = pressureOfFile(file, bytes);
  if (typeof read === 'string') return read;
  const pops = findPops(read.seconds, read.psig);
  if (pops.length === 0)
    return `Nothing opened in “${file}”: no fall that is faster than any pump lets go. Nothing was changed.`;
  const curves = pops.map((pop, i) => {
    const from = pops[i - 1]?.shut ?? 0;
    return samplesOf(read, from, pop.shut + 1);
  });
  return { file: asKept(file), curves };
}

/** A pressure test on a rig: its curve, and how long it held at what. */
export interface RecordedTest {
  readonly file: string;
  readonly samples: readonly PressureSample[];
  readonly held: Time;
  readonly pressure: GaugePressure;
}

export function testOfFile(
  file: string,
  bytes: Uint8Array,
  asked: { readonly pressure: GaugePressure; readonly hold: Time; readonly most?: GaugePressure },
): RecordedTest | string {
  const read = pressureOfFile(file, bytes);
  if (typeof read === 'string') return read;
  const hold = recordedHold(read, asked);
  if (si(hold.held) === 0) return `“${file}” is never held at what this test asks. Nothing was changed.`;
  const all = samplesOf(read);
  const drawn = thinned(read.psig, MOST_DRAWN).flatMap((i) => all[i] ?? []);
  return { file: asKept(file), samples: drawn, ...hold };
}
