import { inches } from '@dusk-wren/core/quantity';
import { defaultValve, PART_ROLES, partsOf, type Valve } from '@dusk-wren/core/valve';
import { describe, expect, it } from 'vitest';
import RunoutPlot from '../charts/RunoutPlot.vue';
import { attributes, render, wordsOf } from '../testing/render';
import BoltCircle from './BoltCircle.vue';
import ContactArcs from './ContactArcs.vue';
import { globeSection } from './globe-section';
import PackingRingDrawing from './PackingRingDrawing.vue';

describe('the bolt circle', () => {
  const circle = (props: object) =>
    render(BoltCircle, { bolts: 8, order: [1, 5, 3, 7, 2, 6, 4, 8], done: [1, 5], aim: 3, ...props });
  it('numbers every bolt once and says how each stands', async () => {
    const labels = attributes(await circle({}), 'aria-label').filter((label) => label.startsWith('Bolt '));
    expect(labels).toContain('Bolt 1, done');
    expect(labels).toContain('Bolt 3, aim');
    expect(labels).toContain('Bolt 8, open');
    expect(labels.filter((label) => /^Bolt \d+,/.test(label))).toHaveLength(8);
  });
  it('a wrong bolt is marked as such', async () => {
    expect(attributes(await circle({ wrong: 4 }), 'aria-label')).toContain('Bolt 4, wrong');
  });
  it('bolt 1 stands at 12 o’clock, opposite bolts on one diameter', async () => {
    const markup = await circle({});
    const places = [...markup.matchAll(/<text x="([\d.]+)" y="([\d.]+)"[^>]*>(\d+)</g)].map(
      ([, x, y, bolt]) => ({ bolt: Number(bolt), x: Number(x) - 150, y: Number(y) - 155 }),
    );
    expect(places).toHaveLength(8);
    const at = (bolt: number) => places.find((place) => place.bolt === bolt) ?? { x: NaN, y: NaN };
    expect(at(1).x).toBeCloseTo(0, 6);
    expect(at(1).y).toBeLessThan(0);
    for (const bolt of [1, 2, 3, 4]) {
      expect(at(bolt).x).toBeCloseTo(-at(bolt + 4).x, 6);
      expect(at(bolt).y).toBeCloseTo(-at(bolt + 4).y, 6);
    }
  });
  it('thirty-two bolts still fit without touching', async () => {
    const markup = await circle({ bolts: 32, order: [], done: [], aim: undefined });
    const [first] = attributes(markup, 'points');
    const xs = (first ?? '').split(' ').map((pair) => Number(pair.split(',')[0]));
    expect(Math.max(...xs) - Math.min(...xs)).toBeLessThan((2 * Math.PI * 112) / 32);
  });
});

describe('the blue line on its seat', () => {
  it('draws a stroke for each stretch and names each break in degrees', async () => {
    const markup = await render(ContactArcs, {
      arcs: [
        { from: 10, to: 170, width: 1 },
        { from: 170, to: 350, width: 0.5 },
      ],
      gaps: [{ from: 350, to: 10 }],
    });
    expect(markup.match(/class="blue"/g)).toHaveLength(2);
    expect(wordsOf(markup)).toContain('20°');
    const [wide, narrow] = attributes(markup, 'stroke-width').map(Number);
    expect(wide).toBeGreaterThan(narrow ?? Infinity);
  });
  it('a whole circle has no break and takes the long way round', async () => {
    const markup = await render(ContactArcs, { arcs: [{ from: 0, to: 360, width: 1 }], gaps: [] });
    expect(markup).not.toContain('class="break"');
    expect(attributes(markup, 'd').join(' ')).toMatch(/A108 108 0 1 1/);
  });
});

describe('the packing ring', () => {
  const ring = {
    stem: inches(1),
    bore: inches(1.5),
    section: inches(0.25),
    length: inches(3.927),
    rings: 5,
    stagger: 90,
    fitted: 2,
  };
  it('is in proportion: bore and stem circles, cut length against the inch scale', async () => {
    const markup = await render(PackingRingDrawing, ring);
    const [outer, inner] = attributes(markup, 'r').map(Number);
    expect((outer ?? 0) / (inner ?? 1)).toBeCloseTo(1.5, 6);
    const ticks = [...markup.matchAll(/M([\d.]+) [\d.]+v8/g)].map(([, x]) => Number(x));
    expect(ticks).toHaveLength(4);
    const cut = Number(/H([\d.]+)L/.exec(markup)?.[1]);
    expect(cut / ((ticks[1] ?? 0) - (ticks[0] ?? 0))).toBeCloseTo(3.927, 3);
  });
  it('says how many are in, and marks the next', async () => {
    const markup = await render(PackingRingDrawing, ring);
    expect(attributes(markup, 'aria-label')).toContain('5 rings, 2 in');
    expect(markup.match(/class="in joint"/g)).toHaveLength(2);
    expect(markup.match(/class="next joint"/g)).toHaveLength(1);
  });
});

describe('the runout plot', () => {
  it('shows a dot a reading, the limits about the mean and the high spot', async () => {
    const readings = Array.from({ length: 12 }, (_, i) => 3 * Math.cos((Math.PI * (i - 3)) / 6));
    const markup = await render(RunoutPlot, { readings, limit: 5, bow: 3, bowDegrees: 90 });
    expect(markup.match(/class="dot"/g)).toHaveLength(12);
    expect(markup.match(/class="limit"/g)).toHaveLength(2);
    const high = /class="high-dot"/.exec(markup);
    const circle = markup.slice(markup.lastIndexOf('<circle', high?.index), high?.index);
    expect(Number(/cx="([\d.]+)"/.exec(circle)?.[1])).toBeGreaterThan(180);
    expect(Number(/cy="([\d.]+)"/.exec(circle)?.[1])).toBeCloseTo(115, 0);
  });
  it('waits with empty stations', async () => {
    const markup = await render(RunoutPlot, { readings: [1, undefined, undefined, 2], limit: 5 });
    expect(markup.match(/class="dot"/g)).toHaveLength(2);
    expect(markup).not.toContain('high-dot');
  });
});

describe('the section of a bolted globe valve', () => {
  const section = globeSection(defaultValve());
  it('draws every part of the list, and gives each a balloon once', () => {
    const roles = new Set(section.shapes.map(({ role }) => role));
    for (const role of PART_ROLES)
      expect(
        section.balloons.filter((balloon) => balloon.role === role),
        role,
      ).toHaveLength(1);
    expect(PART_ROLES.filter((role) => !roles.has(role))).toEqual([]);
    expect(section.balloons).toHaveLength(partsOf(defaultValve()).length);
  });
  it('balloons point into the drawing', () => {
    for (const { at } of section.balloons) {
      expect(at[0]).toBeGreaterThanOrEqual(0);
      expect(at[0]).toBeLessThanOrEqual(section.width);
      expect(at[1]).toBeGreaterThanOrEqual(0);
      expect(at[1]).toBeLessThanOrEqual(section.height);
    }
  });
  it('paths are closed outlines of plain numbers', () => {
    for (const { d, role } of section.shapes) expect(d, role).toMatch(/^M[-\d.\s,MLCHVZAQ]+$/);
  });
  it('a deeper box holds more rings; a thick stem looks thicker', () => {
    const valve = defaultValve();
    const rings = (on: Valve) => globeSection(on).shapes.filter(({ role }) => role === 'packing').length;
    const deep: Valve = {
      ...valve,
      features: { ...valve.features, packing: { ...valve.features.packing, depth: inches(1.2) } },
    };
    expect(rings(valve)).toBeGreaterThan(rings(deep));
    const thin: Valve = {
      ...valve,
      features: { ...valve.features, stem: { motion: 'rising', diameter: inches(0.6) } },
    };
    const stem = (on: Valve) => globeSection(on).shapes.find(({ role }) => role === 'stem')?.d;
    expect(stem(thin)).not.toBe(stem(valve));
  });
  it('an integral seat is drawn as part of its body', () => {
    const valve = defaultValve();
    const integral: Valve = {
      ...valve,
      features: { ...valve.features, seat: { kind: 'integral', face: 'plain' } },
    };
    expect(JSON.stringify(globeSection(integral).shapes)).not.toBe(JSON.stringify(section.shapes));
  });
});
