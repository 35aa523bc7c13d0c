import { quantity } from '@dusk-wren/core/quantity';
import { boltingTorque } from '@dusk-wren/core/workings';
import { must } from '@dusk-wren/core/problem';
import { parseThread } from '@dusk-wren/core/standards';
import { describe, expect, it } from 'vitest';
import { attributes, render, wordsOf } from '../testing/render';
import BenchButton from './BenchButton.vue';
import ContactRing from './ContactRing.vue';
import TravelScale from './TravelScale.vue';
import WorkingPaper from './WorkingPaper.vue';

describe('the contact ring: a shape of its own for every verdict, not only a colour', () => {
  const shape = async (verdict: string) => {
    const markup = await render(ContactRing, { verdict });
    return {
      dashes: attributes(markup, 'stroke-dasharray')[0] ?? '',
      bars: (markup.match(/<path/g) ?? []).length,
    };
  };
  it('closed, gapped, dashed, barred, crossed', async () => {
    const shapes = await Promise.all(['fit', 'rework', 'renew', 'ask', 'condemn'].map(shape));
    expect(new Set(shapes.map((each) => JSON.stringify(each))).size).toBeGreaterThanOrEqual(4);
    const [fit, rework, renew, ask, condemn] = shapes;
    expect(fit).toEqual({ dashes: 'none', bars: 0 });
    expect(rework?.dashes.split(' ')).toHaveLength(2);
    expect(Number(rework?.dashes.split(' ')[0])).toBeGreaterThan(Number(rework?.dashes.split(' ')[1]));
    expect(renew?.dashes.split(' ')[0]).toBe(renew?.dashes.split(' ')[1]);
    expect(ask?.bars).toBe(1);
    expect(condemn?.bars).toBe(1);
  });
  it('says nothing to a screen reader: its word stands beside it', async () => {
    expect(await render(ContactRing, { verdict: 'fit' })).toContain('aria-hidden="true"');
  });
});

describe('the travel scale', () => {
  const scale = (props: object) =>
    render(TravelScale, {
      travel: 4.5,
      holds: [
        { at: 5.5, released: true },
        { at: 8.5, released: false },
      ],
      ...props,
    });
  it('has ten long graduations and says where the job stands', async () => {
    const markup = await scale({});
    expect(markup.match(/class="long tick"/g)).toHaveLength(11);
    expect(attributes(markup, 'aria-label')).toContain('Travel 5 of 10: inspect');
  });
  it('holds are notches, released ones filled', async () => {
    const markup = await scale({});
    expect(markup.match(/class="(released )?hold/g)).toHaveLength(2);
    expect(markup.match(/released/g)).toHaveLength(1);
  });
  it('the pointer never leaves the scale', async () => {
    for (const travel of [0, 3.3, 10]) {
      const left = Number.parseFloat(/left:\s*([\d.]+)%/.exec(await scale({ travel }))?.[1] ?? '');
      expect(left).toBeGreaterThanOrEqual(0);
      expect(left).toBeLessThanOrEqual(100);
    }
  });
  it('labelled, it is the way to the stages, the present one marked', async () => {
    const markup = await scale({ labelled: true, stage: 'repair' });
    expect(wordsOf(markup)).toBe('Receive Diagnose Isolate Strip Inspect Repair Rebuild Set up Test Release');
    expect(markup.match(/aria-current="step"/g)).toHaveLength(1);
  });
});

describe('how a figure was worked out', () => {
  const worked = must(
    boltingTorque.work({
      thread: must(parseThread('3/4-10')),
      nutFactor: 0.16,
      stress: quantity('stress', 45, 'ksi'),
    }),
  );
  it('gives formula, numbers and result of every step, notes and source', async () => {
    const words = wordsOf(
      await render(WorkingPaper, { steps: worked.steps, notes: worked.notes, source: worked.source }),
    );
    expect(words).toContain('T = K · D · F');
    expect(words).toContain('0.16 × 0.75 in');
    expect(words).toContain('read the band, not one number');
    expect(words).toContain('common practice');
  });
  it('told, what to know stands before the steps, in the open', async () => {
    const markup = await render(WorkingPaper, {
      steps: worked.steps,
      notes: worked.notes,
      source: worked.source,
      told: true,
    });
    expect(markup.indexOf('read the band')).toBeLessThan(markup.indexOf('<details'));
    expect(markup.indexOf('common practice')).toBeLessThan(markup.indexOf('<details'));
  });
});

describe('the bench’s button', () => {
  it('names its key for those who see it', async () => {
    const markup = await render(BenchButton, { hint: ' ', lamp: true });
    expect(markup).toContain('Space');
    expect(markup).toContain('lamp');
    expect(markup).toContain('type="button"');
  });
});
