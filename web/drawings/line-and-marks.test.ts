import { describe, expect, it } from 'vitest';
import { lineSchema, usualLine, type Line } from '@dusk-wren/core/isolation';
import { CONSTRUCTION_IDS, CONSTRUCTIONS, defaultValve } from '@dusk-wren/core/valve';
import { attributes, render, wordsOf } from '../testing/render';
import LineDrawing from './LineDrawing.vue';
import MarkClock from './MarkClock.vue';
import SectionDrawing from './SectionDrawing.vue';

const usual = usualLine(CONSTRUCTIONS['control-globe-double-seat'].features);
const draw = (change: object = {}, done: string[] = []) =>
  render(LineDrawing, { line: lineSchema.parse({ ...usual, ...change }), tag: 'FV-1', done: new Set(done) });

describe('the line, drawn from the choices', () => {
  it('is said in words for who cannot see it', async () => {
    const [label] = attributes(await draw(), 'aria-label');
    expect(label).toBe('FV-1: upstream block valve, downstream block valve, with a bypass, air on');
  });
  it.each([
    [{ bypass: true }, 'bypass'],
    [{ air: true }, 'supply air'],
    [{ signal: 'electric' }, 'electric signal'],
    [{ power: true }, 'power'],
    [{ upstream: { shutBy: 'line shut down', vent: true } }, 'shut down'],
    [{ downstream: { shutBy: 'open end', vent: false } }, 'open end'],
    [{ upstream: { shutBy: 'double block and bleed', vent: true } }, 'bleed'],
  ] as const)('%j shows “%s”', async (change, words) => {
    expect(wordsOf(await draw(change))).toContain(words);
    const bare = { bypass: false, air: false, signal: 'none', power: false };
    expect(wordsOf(await draw(bare))).not.toContain(words);
  });
  it('a double block has two valves on its side, an open end none', async () => {
    const blocks = async (shutBy: string, vent = true) =>
      ((await draw({ upstream: { shutBy, vent }, bypass: false })).match(/<rect/g) ?? []).length;
    expect(await blocks('double block and bleed')).toBe((await blocks('block valve')) + 1);
    expect(await blocks('open end', false)).toBe((await blocks('block valve')) - 1);
  });
  it('what is shut or open by now is marked, the rest is not', async () => {
    const none = (await draw()).match(/class="done"/g)?.length ?? 0;
    const two = (await draw({}, ['block.upstream', 'vent.upstream'])).match(/class="done"/g)?.length ?? 0;
    expect([none, two]).toEqual([0, 2]);
  });
  it.each(CONSTRUCTION_IDS)('the usual line of %s can be drawn', async (id) => {
    const line: Line = usualLine(CONSTRUCTIONS[id].features);
    const markup = await render(LineDrawing, { line, tag: 'V' });
    expect(markup).not.toMatch(/NaN|undefined/);
    expect(wordsOf(markup).includes('bypass')).toBe(line.bypass);
  });
});

describe('marks by the clock', () => {
  const clock = (marks: object[]) => render(MarkClock, { marks, picked: 'bonnet' });
  const places = (markup: string) =>
    [...markup.matchAll(/cx="([\d.]+)" cy="([\d.]+)" r="8"/g)].map(([, x, y]) => [Number(x), Number(y)]);
  it.each([
    [0, [150, 50], '12 o’clock'],
    [90, [250, 150], '3 o’clock'],
    [180, [150, 250], '6 o’clock'],
    [270, [50, 150], '9 o’clock'],
    [60, [236.6, 100], '2 o’clock'],
  ] as const)('%i° stands where the hour hand would', async (degrees, [x, y], words) => {
    const markup = await clock([{ part: 'bonnet', degrees }]);
    expect(places(markup)[0]?.[0]).toBeCloseTo(x, 1);
    expect(places(markup)[0]?.[1]).toBeCloseTo(y, 1);
    expect(attributes(markup, 'aria-valuetext')).toEqual([words]);
  });
  it('each part has a ring of its own, and the old mark is a line across it', async () => {
    const markup = await clock([
      { part: 'bonnet', degrees: 60, was: 60 },
      { part: 'actuator', degrees: 180 },
    ]);
    expect(new Set([...markup.matchAll(/class="ring"/g)]).size).toBe(2);
    expect(markup.match(/class="was"/g)).toHaveLength(1);
    expect(places(markup)).toHaveLength(2);
  });
  it('all twelve hours are on it', async () => {
    const words = wordsOf(await clock([])).split(' ');
    for (let hour = 1; hour <= 12; hour++) expect(words).toContain(String(hour));
  });
});

describe('photographs on the section', () => {
  it('a part with one has a mark at its number, and says so', async () => {
    const props = { valve: defaultValve(), calls: new Map(), inHand: [] };
    const without = await render(SectionDrawing, props);
    const pinned = await render(SectionDrawing, { ...props, photographed: new Set(['stem']) });
    expect(without).not.toContain('class="pin"');
    expect(pinned.match(/class="pin"/g)).toHaveLength(1);
    expect(attributes(pinned, 'aria-label').filter((label) => label.endsWith(', photographed'))).toHaveLength(
      1,
    );
  });
});
