import { instrumentView, type InstrumentView } from '@dusk-wren/contract';
import { learnLine, quantity, type Quantity } from '@dusk-wren/core/quantity';
import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { GAUGE_SET } from '../testing/on-job';
import { useGaugeLines, type LineReading } from './gauge-lines';
import { linesIn } from './gauge-port';

const gauge = (
  name: string,
  kind: string,
  example: string,
  shows: Quantity,
  inCalibration = true,
): InstrumentView =>
  instrumentView.parse({
    ...GAUGE_SET,
    id: crypto.randomUUID(),
    name,
    kind,
    inCalibration,
    lines: learnLine(example, shows),
  });
const caliper = gauge('Caliper 1', 'caliper', '+012.34 mm', quantity('length', 12.34, 'mm'));
const wrench = gauge('Wrench A', 'torque wrench', 'T 87.8 Nm', quantity('torque', 87.8, 'N·m'));

beforeEach(() => {
  setActivePinia(createPinia());
});
function listening(
  instruments: readonly InstrumentView[],
  takes: (reading: LineReading) => string | undefined,
) {
  const lines = useGaugeLines();
  lines.instruments = instruments;
  const landed: LineReading[] = [];
  lines.add((reading) => {
    const where = takes(reading);
    if (where !== undefined) landed.push(reading);
    return where;
  });
  return { lines, landed };
}

describe('a line of a gauge', () => {
  it('lands where something takes it, with the gauge that it is of', () => {
    const { lines, landed } = listening([wrench, caliper], ({ value }) =>
      value.dimension === 'length' ? 'kept as box bore' : undefined,
    );
    expect(lines.hear('-000.12 mm')).toBe(true);
    expect(landed).toEqual([
      { value: { dimension: 'length', value: -0.12, unit: 'mm' }, instrument: caliper },
    ]);
    expect(lines.said).toMatch(/^Caliper 1: .*, kept as box bore\.$/);
  });
  it('that nothing takes is a reading all the same, and said to be none that is asked for', () => {
    const { lines, landed } = listening([wrench], () => undefined);
    expect(lines.hear('T 90.0 Nm')).toBe(true);
    expect(landed).toEqual([]);
    expect(lines.said).toMatch(/Wrench A sent .*nothing in hand asks/);
  });
  it('of no gauge of this shop is left to whoever typed it; over a serial line it is said', () => {
    const { lines } = listening([caliper], () => 'kept');
    expect(lines.hear('0.5 in')).toBe(false);
    expect(lines.said).toBe('');
    lines.sent('0.5 in');
    expect(lines.said).toMatch(/“0\.5 in”.*teach it on Setup/);
  });
  it('that two of one make could have written is taken for the one that is in calibration', () => {
    const overdue = gauge('Caliper 0', 'caliper', '+012.34 mm', quantity('length', 12.34, 'mm'), false);
    const { lines, landed } = listening([overdue, caliper], () => 'kept');
    lines.hear('+001.00 mm');
    expect(landed.map(({ instrument }) => instrument.name)).toEqual(['Caliper 1']);
  });
  it('is awaited only where a gauge types at all', () => {
    const { lines } = listening([instrumentView.parse(GAUGE_SET)], () => 'kept');
    expect(lines.isAwaited()).toBe(false);
    lines.instruments = [caliper];
    expect(lines.isAwaited()).toBe(true);
  });
  it('goes to the newest that takes it; one that has gone takes nothing', () => {
    const { lines, landed } = listening([caliper], () => 'below');
    const remove = lines.add(() => 'above');
    lines.hear('+001.00 mm');
    expect([lines.said.includes('above'), landed.length]).toEqual([true, 0]);
    remove();
    lines.hear('+001.00 mm');
    expect([lines.said.includes('below'), landed.length]).toEqual([true, 1]);
  });
});

describe('lines that come over a serial line in pieces', () => {
  it.each([
    [['+012.34 mm\r\n'], ['+012.34 mm']],
    [
      ['+012', '.34 mm\r', '\n+001.00 mm\r\n'],
      ['+012.34 mm', '+001.00 mm'],
    ],
    [
      ['1.0\n2.0\n3.', '0\n'],
      ['1.0', '2.0', '3.0'],
    ],
    [['\r\n\r\n'], []],
  ])('%j are whole again', (pieces, whole) => {
    let kept = '';
    const lines = pieces.flatMap((piece) => {
      const found = linesIn(kept, piece);
      kept = found.kept;
      return found.lines;
    });
    expect(lines).toEqual(whole);
  });
  it('keep no more than a gauge sends, where no line ever ends', () => {
    expect(linesIn('x'.repeat(10_000), 'y').kept.length).toBeLessThanOrEqual(500);
  });
});
