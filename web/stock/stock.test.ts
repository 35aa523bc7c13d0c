import { describe, expect, it } from 'vitest';
import LabelSheet from '../parts/LabelSheet.vue';
import QrCode from '../parts/QrCode.vue';
import ViewTabs from '../parts/ViewTabs.vue';
import NamePlate from '../parts/NamePlate.vue';
import SectionDrawing from '../drawings/SectionDrawing.vue';
import { stripOrder } from '@dusk-wren/core/plan';
import { trayOf } from '../bench/tray';
import { attributes, render, wordsOf } from '../testing/render';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { defaultValve, moverWords, partsOf, CONSTRUCTION_IDS } from '@dusk-wren/core/valve';

describe('labels', () => {
  const labels = [
    { key: 'a', code: 'DW:PART:A', mark: 'B3', name: 'stem', below: 'A · globe' },
    { key: 'b', code: 'DW:PART:B', mark: 'C1', name: 'disc', below: 'B · globe' },
  ];
  it('each says its mark, its name and what stands below, with a code beside', async () => {
    const markup = await render(LabelSheet, { labels });
    expect(wordsOf(markup)).toBe('B3 stem A · globe C1 disc B · globe');
    expect(markup.match(/class="qr"/g)).toHaveLength(2);
  });
  it('two texts give two codes, the same text the same one', async () => {
    const [a, b, again] = await Promise.all(['DW:1', 'DW:2', 'DW:1'].map((text) => render(QrCode, { text })));
    expect(a).not.toBe(b);
    expect(a).toBe(again);
  });
  it('a code has its three finder squares: dark corners, seven wide (ISO/IEC 18004)', async () => {
    const [d = ''] = attributes(await render(QrCode, { text: 'DW:PART:PS-01-01' }), 'd');
    for (let i = 0; i < 7; i++) {
      expect(d).toContain(`M${i} 0h1v1h-1z`);
      expect(d).toContain(`M0 ${i}h1v1h-1z`);
    }
    expect(d).not.toContain('M7 0h1v1h-1z');
  });
});

describe('views of a page', () => {
  it('the one shown is pressed', async () => {
    const markup = await render(ViewTabs, {
      views: [
        ['one', 'One'],
        ['two', 'Two'],
      ],
      modelValue: 'two',
    });
    expect(attributes(markup, 'aria-pressed')).toEqual(['false', 'true']);
    expect(wordsOf(markup)).toBe('One Two');
  });
});

describe('the tray', () => {
  it('has a place for every part that comes off, in the order they do, numbered from 1', () => {
    for (const id of CONSTRUCTION_IDS) {
      const job = new BenchJob(defaultValve(id));
      const planned = job.plan();
      const tray = trayOf(planned, job.state);
      expect(tray.map(({ place }) => place)).toEqual(tray.map((_, i) => i + 1));
      expect(tray.map(({ role }) => role)).toEqual(stripOrder(planned.steps));
      const numbers = new Map(partsOf(planned.valve).map(({ role, number }) => [role, number]));
      for (const { role, number } of tray) expect(number).toBe(numbers.get(role));
    }
    expect(trayOf(undefined, undefined)).toEqual([]);
  });
});

describe('the nameplate', () => {
  it.each([
    ['globe-bolted', /Handwheel.*stays put/],
    ['control-globe-double-seat', /Spring diaphragm, positioner.*air-to-close: fails open/],
    ['control-balanced-cage', /air-to-open: fails closed/],
    ['dump-weight-lever', /Weight and lever.*the weight shuts it/],
    ['relief-shear-pin', /Pressure, against a pin/],
    ['check-swing', /The flow/],
  ] as const)('%s says what moves it and what happens when that fails', async (id, words) => {
    expect(wordsOf(await render(NamePlate, { valve: defaultValve(id) }))).toMatch(words);
  });
  it('a valve that carries no class is not asked for one', async () => {
    expect(wordsOf(await render(NamePlate, { valve: defaultValve('solenoid-pilot') }))).not.toMatch(
      /class\?/,
    );
  });
  it('every mover has its words', () => {
    for (const id of CONSTRUCTION_IDS) {
      const { name, fails } = moverWords(defaultValve(id).features);
      expect(name.length).toBeGreaterThan(3);
      expect(fails.length).toBeGreaterThan(5);
    }
  });
});

describe('the section on the page', () => {
  const valve = defaultValve('control-balanced-cage');
  const drawn = (props: Record<string, unknown>) =>
    render(SectionDrawing, { valve, calls: new BenchJob(valve).plan().calls, inHand: ['plug'], ...props });
  it('has a button for every part, named by number, part and call', async () => {
    const markup = await drawn({});
    const names = attributes(markup, 'aria-label').slice(1);
    expect(names).toHaveLength(partsOf(valve).length);
    expect(names.some((name) => /packing: renew$/.test(name))).toBe(true);
    expect(names.some((name) => /plug: not yet$/.test(name))).toBe(true);
  });
  it('hatches by call and lights what is in hand', async () => {
    const markup = await drawn({});
    expect(markup).toMatch(/cross-renew/);
    expect(markup).toMatch(/class="[^"]*\blit\b[^"]*part|class="[^"]*part[^"]*\blit\b/);
  });
  it('drawn apart, the parts off are moved and the picture makes room', async () => {
    const order = stripOrder(new BenchJob(valve).plan().steps);
    const [together, apart] = await Promise.all([drawn({ order, off: 0 }), drawn({ order, off: 8 })]);
    const box = (markup: string) => (attributes(markup, 'viewbox')[0] ?? '').split(' ').map(Number);
    expect(box(apart)[3]).toBeGreaterThan(box(together)[3] ?? 0);
    expect(apart).toMatch(/translate\(0px, -\d+px\)/);
    expect(together).not.toMatch(/translate\(0px, -\d+px\)/);
  });
});
