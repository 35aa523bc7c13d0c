import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';

/** Relative luminance and contrast by WCAG 2.2, success criterion 1.4.3: text 4.5 to 1, large text and signs 3 to 1. */
const css = readFileSync(new URL('./tokens.css', import.meta.url), 'utf8');

function tokens(selector: string): Map<string, string> {
  const block = new RegExp(`${selector.replace(/[[\]]/g, '\\$&')}\\s*\\{([^}]*)\\}`).exec(css)?.[1] ?? '';
  return new Map(
    [...block.matchAll(/--([a-z-]+):\s*(#[0-9a-f]{6})/g)].map(([, name, colour]) => [
      name ?? '',
      colour ?? '',
    ]),
  );
}

function luminance(colour: string): number {
  const channel = (at: number) => {
    const share = Number.parseInt(colour.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * channel(1) + 0.7152 * channel(3) + 0.0722 * channel(5);
}
function contrast(a: string, b: string): number {
  const [high = 0, low = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (high + 0.05) / (low + 0.05);
}

it('the reckoning agrees with the published extremes: black on white 21, white on white 1', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrast('#ffffff', '#ffffff')).toBeCloseTo(1, 6);
  expect(contrast('#767676', '#ffffff')).toBeCloseTo(4.54, 2);
});

describe.each([["[data-theme='dusk']"], ["[data-theme='daylight']"]])('%s', (theme) => {
  const look = tokens(theme);
  const colour = (name: string) => look.get(name) ?? '';
  it('defines every colour', () => {
    expect([...look.keys()].sort()).toEqual(
      [
        'ground',
        'rail',
        'card',
        'lit',
        'line',
        'ink',
        'muted',
        'lamp',
        'on-lamp',
        'lamp-deep',
        'blue',
        'fit',
        'rework',
        'renew',
        'ask',
        'condemn',
        'hazard',
      ].sort(),
    );
  });
  it.each(['ground', 'rail', 'card', 'lit'])('ink and muted read on %s', (ground) => {
    expect(contrast(colour('ink'), colour(ground))).toBeGreaterThanOrEqual(7);
    expect(contrast(colour('muted'), colour(ground))).toBeGreaterThanOrEqual(4.5);
  });
  it.each(['fit', 'rework', 'renew', 'ask', 'condemn', 'blue', 'lamp'])(
    '%s reads as text on every ground it stands on',
    (name) => {
      for (const ground of ['ground', 'card', 'lit'])
        expect(contrast(colour(name), colour(ground)), ground).toBeGreaterThanOrEqual(4.5);
    },
  );
  it('the one primary button reads', () => {
    expect(contrast(colour('on-lamp'), colour('lamp'))).toBeGreaterThanOrEqual(4.5);
  });
});

it('the plate and the hazard sign read in both looks', () => {
  const root = tokens(':root');
  for (const plate of ['plate-high', 'plate-low']) {
    expect(contrast(root.get('engraved') ?? '', root.get(plate) ?? '')).toBeGreaterThanOrEqual(7);
    expect(contrast(root.get('engraved-label') ?? '', root.get(plate) ?? '')).toBeGreaterThanOrEqual(4.5);
  }
  for (const theme of ["[data-theme='dusk']", "[data-theme='daylight']"])
    expect(contrast(root.get('hazard-ink') ?? '', tokens(theme).get('hazard') ?? '')).toBeGreaterThanOrEqual(
      7,
    );
});
