import { must } from '@dusk-wren/core/problem';
import { findWorking } from '@dusk-wren/core/workings';
import { describe, expect, it } from 'vitest';
import { attributes, render, wordsOf } from '../testing/render';
import AnswerFigures from './AnswerFigures.vue';
import RowsEntry from './entries/RowsEntry.vue';
import SeatPhotograph from './SeatPhotograph.vue';

const shown = async (id: string, raw: unknown): Promise<string> => {
  const working = must(findWorking(id));
  return wordsOf(await render(AnswerFigures, { working, result: must(working.run(raw)).result }));
};

describe('the answer of a working', () => {
  it('figures with their labels, in the person’s own system', async () => {
    const words = await shown('bolting.crowfoot', { torque: '100 N·m', wrench: '450 mm', adapter: '60 mm' });
    expect(words).toBe('Set the wrench to 65.1 lbf·ft');
  });
  it('a verdict as a word beside its ring', async () => {
    const words = await shown('stem.runout', {
      readings: Array.from({ length: 8 }, (_, i) => `${i} thou`),
      limit: '3 thou',
    });
    expect(words).toMatch(/^renew /);
  });
  it('yes and no, counts and lists', async () => {
    expect(
      await shown('flow.liquid', { Cv: 10, inletPressure: '100 psig', outletPressure: '90 psig' }),
    ).toContain('Choked no');
    expect(await shown('medium.hazard', { medium: 'oxygen' })).toContain('No oil or grease at all');
  });
  it('passes, breaks and grits as tables with their columns', async () => {
    const passes = await shown('bolting.sequence', { bolts: 4, passes: 'thirds', torque: '100 lbf·ft' });
    expect(passes).toContain('Passes percent torque order 30 30 lbf·ft 1 · 3 · 2 · 4');
    const gaps = await shown('seat.contact', {
      diameter: '3 in',
      arcs: [{ from: 0, to: 340, width: '30 thou' }],
    });
    expect(gaps).toContain('from to width 340° 0° 0.5236 in');
    expect(
      await shown('seat.contact', { diameter: '3 in', arcs: [{ from: 0, to: 360, width: '30 thou' }] }),
    ).toContain('Breaks none');
  });
});

describe('a small table to type into', () => {
  const columns = [
    { name: 'signal', label: 'signal', example: '25 %' },
    { name: 'up', label: 'going up', example: '24.6 %' },
  ];
  const table = (modelValue: string) => render(RowsEntry, { label: 'Points', columns, modelValue });
  it('always has an empty row to go on with', async () => {
    const empty = await table('');
    expect(attributes(empty, 'aria-label')).toEqual(['signal, row 1', 'going up, row 1']);
    const two = await table(JSON.stringify([{ signal: '0 %', up: '1 %' }]));
    expect(attributes(two, 'value').filter((value) => value !== '')).toEqual(['0 %', '1 %']);
    expect(attributes(two, 'aria-label')).toContain('Take row 1 away');
    expect(attributes(two, 'aria-label')).toContain('going up, row 2');
  });
  it('what cannot be read is an empty table, not an error', async () => {
    expect(attributes(await table('{broken'), 'aria-label')).toHaveLength(2);
  });
});

describe('a photograph with what was found on it', () => {
  const photograph = (props: object) =>
    render(SeatPhotograph, {
      address: 'blob:x',
      width: 800,
      height: 600,
      circle: { x: 400, y: 300, radius: 200, shape: { xx: 1, xy: 0, yy: 1 } },
      gaps: [{ from: 350, to: 10, degrees: 20 }],
      hidden: [{ from: 90, to: 100, degrees: 10 }],
      ...props,
    });
  it('says how many breaks, and draws each just outside of the ring', async () => {
    const markup = await photograph({});
    expect(attributes(markup, 'aria-label')).toEqual(['Photograph, 1 breaks found']);
    expect(markup.match(/class="gap"/g)).toHaveLength(1);
    expect(markup.match(/class="hidden"/g)).toHaveLength(1);
    const [gap = ''] = attributes(markup, 'd');
    const [x, y] = /^M([-\d.]+) ([-\d.]+)/.exec(gap)?.slice(1).map(Number) ?? [];
    expect(Math.hypot(x ?? 0, y ?? 0)).toBeCloseTo(226, 0);
    expect(x).toBeLessThan(0);
    expect(y).toBeLessThan(0);
    expect(attributes(markup, 'transform')).toEqual(['matrix(1 0 0 1 400 300)']);
  });
  it('a break of more than half goes the long way round', async () => {
    const markup = await photograph({ gaps: [{ from: 0, to: 270, degrees: 270 }] });
    expect(attributes(markup, 'd')[0]).toMatch(/A22[56][.\d]* 22[56][.\d]* 0 1 1/);
  });
  it('without a ring it is only the photograph', async () => {
    const markup = await photograph({ circle: undefined, gaps: [], hidden: [] });
    expect(markup).not.toContain('<circle');
    expect(markup).toContain('<image');
  });
});
