import { describe, expect, it } from 'vitest';
import { quantity } from '@dusk-wren/core/quantity';
import { strokeOfFile } from './stroke-of-file';

const at = [0, 50, 100];
const there = [0, 25, 50, 75, 100, 75, 50, 25, 0];
const file = (heading: string, row: (signal: number) => readonly number[]) =>
  new TextEncoder().encode([heading, ...there.map((signal) => row(signal).join(','))].join('\n'));
const read = (bytes: Uint8Array, rated = quantity('length', 40, 'mm')) =>
  strokeOfFile('one.csv', bytes, { at, rated });

describe('a stroke out of a file', () => {
  it('signal and travel are enough, whatever their units', () => {
    const made = read(file('signal (mA),travel (mm)', (signal) => [4 + signal * 0.16, signal * 0.4 + 0.2]));
    if (typeof made === 'string') throw new Error(made);
    // Two tenths of forty millimetres are half a percent.
    expect(made.points.map(({ up }) => Math.round(up * 100) / 100)).toEqual([0.5, 50.5, 100.5]);
    expect(made.recording.file).toBe('one.csv');
  });
  it.each([
    ['no numbers in it', new TextEncoder().encode('the rig was cold'), /no CSV with a header line/],
    [
      'no travel',
      file('signal (%),pressure (psi)', (signal) => [signal, signal]),
      /lacks a column for travel/,
    ],
    ['no signal', file('time (s),travel (%)', (signal) => [signal, signal]), /no column of the signal/],
    ['not all the way', file('signal (%),travel (%)', (signal) => [signal / 2, signal]), /not every point/],
  ])('%s is said', (_what, bytes, why) => {
    expect(read(bytes)).toMatch(why);
  });
  it('a travel in millimetres is no share of an unknown stroke', () => {
    const bytes = file('signal (%),travel (mm)', (signal) => [signal, signal]);
    expect(strokeOfFile('one.csv', bytes, { at, rated: undefined })).toMatch(/rated travel .* first/);
  });
});
