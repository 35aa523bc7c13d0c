import { expect, it } from 'vitest';
import { format, valueIn } from '../quantity';
import { readPlate } from './plate-reader';
import { readSignalRange } from './signal';
import type { SIGNAL_RANGES } from '.';
import { signalAt, signalOf } from '.';

const plate = (signal: (typeof SIGNAL_RANGES)[number], acting?: 'reverse') => ({
  plate: { signal, ...(acting ? { acting } : {}) },
});

it('a plate that says nothing is 3 to 15 psi and direct (common practice)', () => {
  expect(signalOf({})).toEqual({ range: '3–15 psi', acting: 'direct' });
  expect([0, 5, 50, 95, 100].map((percent) => format(signalAt({}, percent), 'US'))).toEqual([
    '3 psig',
    '3.6 psig',
    '9 psig',
    '14.4 psig',
    '15 psig',
  ]);
});
it('0.2 to 1 bar is 2.9 to 14.5 psi, and not 3 to 15 (handbook 6.4)', () => {
  const at = (percent: number) => signalAt(plate('0.2–1 bar'), percent);
  const psi = (percent: number) => valueIn({ ...at(percent), dimension: 'gauge pressure' }, 'psig');
  expect(psi(0)).toBeCloseTo(2.9, 1);
  expect(psi(100)).toBeCloseTo(14.5, 1);
});
it('a converter has its middle at 12 mA, a split range at its own (IEC 60381-1)', () => {
  expect(signalAt(plate('4–20 mA'), 50)).toMatchObject({ value: 12, unit: 'mA' });
  expect(signalAt(plate('12–20 mA'), 0)).toMatchObject({ value: 12, unit: 'mA' });
});
it('reverse acting, its travel falls as the signal rises', () => {
  expect(signalAt(plate('3–15 psi', 'reverse'), 0)).toMatchObject({ value: 15 });
  expect(signalAt(plate('3–15 psi', 'reverse'), 25)).toMatchObject({ value: 12 });
});
it('is read off a plate in its usual spellings, and off no other', () => {
  expect(readSignalRange('3-15 psi')).toBe('3–15 psi');
  expect(readSignalRange('4 to 20 MA')).toBe('4–20 mA');
  expect(readSignalRange('0.2 … 1 bar')).toBe('0.2–1 bar');
  expect(readSignalRange('5-17 psi')).toBeUndefined();
  const { plate: read, left } = readPlate('FV-12; 3 in; bench set 3-15 psi; signal 6-30 psi; reverse acting');
  expect(read).toMatchObject({ signal: '6–30 psi', acting: 'reverse', springRange: {} });
  expect(left).toEqual([]);
});
