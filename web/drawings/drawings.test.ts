import { inches } from '@dusk-wren/core/quantity';
import {
  CONSTRUCTION_IDS,
  defaultValve,
  featuresSchema,
  packedBox,
  partsOf,
  type PartRole,
  type RawFeatures,
  type Valve,
} from '@dusk-wren/core/valve';
import { describe, expect, it } from 'vitest';
import RunoutPlot from '../charts/RunoutPlot.vue';
import { attributes, render, wordsOf } from '../testing/render';
import BoltCircle from './BoltCircle.vue';
import ContactArcs from './ContactArcs.vue';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { stripOrder } from '@dusk-wren/core/plan';
import { apart } from './sections/apart';
import { sectionOf } from './sections/compose';
import { labelled } from './sections/labels';
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
    opened: 'cut at 45°' as const,
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
  it('a whole ring is cut to no length', async () => {
    const markup = await render(PackingRingDrawing, { ...ring, opened: 'whole' as const });
    expect(markup).not.toMatch(/v8/);
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

describe.each(CONSTRUCTION_IDS)('the section of %s', (construction) => {
  const valve = defaultValve(construction);
  const section = sectionOf(valve);
  it('draws every part of the list, gives each a balloon once, and draws nothing else', () => {
    const listed = partsOf(valve).map(({ role }) => role);
    const drawn = new Set(section.shapes.map(({ role }) => role));
    expect(listed.filter((role) => !drawn.has(role))).toEqual([]);
    expect([...drawn].filter((role) => !listed.includes(role))).toEqual([]);
    expect(section.anchors.map(({ role }) => role).sort()).toEqual([...listed].sort());
  });
  it('leaders point into the drawing, about as many from each side', () => {
    for (const { places, role } of section.anchors)
      for (const [x, y] of places) {
        expect(x, role).toBeGreaterThanOrEqual(0);
        expect(x, role).toBeLessThanOrEqual(section.width);
        expect(y, role).toBeGreaterThanOrEqual(0);
        expect(y, role).toBeLessThanOrEqual(section.height);
      }
    const { labels } = labelled(section.anchors, {
      left: 0,
      right: section.width,
      top: 0,
      bottom: section.height,
    });
    const left = labels.filter(({ x }) => x === 0).length;
    expect(Math.abs(2 * left - labels.length)).toBeLessThanOrEqual(4);
  });
  it('paths are outlines of plain numbers', () => {
    for (const { d, role } of section.shapes) expect(d, role).toMatch(/^M[-\d.\s,MLCHVZA]+$/);
  });
  it('comes apart part by part, the first off farthest, and back together', () => {
    const order = stripOrder(new BenchJob(valve).plan().steps);
    const all = apart(section, order, order.length);
    expect(all.offsets.size).toBe(order.length);
    const far = (role: PartRole) => Math.hypot(...(all.offsets.get(role) ?? [0, 0]));
    for (const way of ['up', 'down', 'left', 'right']) {
      const along = order.filter((role) => (section.away[role] ?? 'up') === way).map(far);
      expect(along).toEqual([...along].sort((a, b) => b - a));
    }
    expect(apart(section, order, 0).offsets.size).toBe(0);
  });
});

describe('no construction is another one relabelled', () => {
  it('each section is its own drawing', () => {
    const trims = CONSTRUCTION_IDS.map((id) =>
      sectionOf(defaultValve(id))
        .shapes.filter(({ role }) => role !== 'stem')
        .map(({ d }) => d)
        .join(),
    );
    expect(new Set(trims).size).toBe(CONSTRUCTION_IDS.length);
  });
});

describe('features show on the drawing', () => {
  const globe = defaultValve();
  const box = packedBox(globe.features);
  const shapesOf = (valve: Valve, role: PartRole) =>
    sectionOf(valve).shapes.filter((each) => each.role === role);
  const withFeatures = (valve: Valve, change: Partial<RawFeatures>): Valve => ({
    ...valve,
    features: featuresSchema.parse({ ...valve.features, ...change }),
  });
  it('a deeper box holds more rings; a thick stem looks thicker', () => {
    const shallow = withFeatures(globe, { packing: { ...box, style: 'die-formed', depth: inches(1.2) } });
    expect(shapesOf(globe, 'packing').length).toBeGreaterThan(shapesOf(shallow, 'packing').length);
    const thin = withFeatures(globe, { stem: { motion: 'rising', diameter: inches(0.6) } });
    expect(shapesOf(thin, 'stem')[0]?.d).not.toBe(shapesOf(globe, 'stem')[0]?.d);
  });
  it('an integral seat is drawn as part of its body', () => {
    const integral = withFeatures(globe, { seat: { kind: 'integral', face: 'plain' } });
    expect(shapesOf(integral, 'seat')[0]?.fill).toBe('hatch');
    expect(shapesOf(globe, 'seat')[0]?.fill).toBe('hatch-back');
  });
  it('a spring stands over the diaphragm where air opens, under it where air closes', () => {
    const valve = defaultValve('control-balanced-cage');
    const springAt = (action: 'air-to-open' | 'air-to-close') => {
      const on = withFeatures(valve, { moved: { kind: 'spring-diaphragm', action, coupling: 'screwed' } });
      const section = sectionOf(on);
      const at = (role: PartRole) =>
        section.anchors.find((anchor) => anchor.role === role)?.places[0][1] ?? 0;
      return at('actuator spring') - at('actuator diaphragm');
    };
    expect(springAt('air-to-open')).toBeLessThan(0);
    expect(springAt('air-to-close')).toBeGreaterThan(0);
  });
  it('a variant that lacks a part does not draw it', () => {
    const plain = withFeatures(defaultValve('control-lowpressure-diaphragm'), {
      moved: { kind: 'diaphragm-on-stem', variant: 'double acting', springPlate: false },
    });
    expect(shapesOf(plain, 'spring')).toEqual([]);
    expect(shapesOf(plain, 'adjusting screw')).toEqual([]);
  });
});
