import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { si, systemOf, type Length } from '../../quantity';
import {
  COMPRESSION,
  INCH_SECTIONS,
  METRIC_SECTIONS_MM,
  PACKING_PRACTICE,
  PACKING_STYLES,
  SNUG_WITHIN_IN,
} from '../../standards';
import { choiceField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  stem: quantityField('length', { label: 'Stem diameter', example: '1 in' }),
  bore: quantityField('length', { label: 'Stuffing box bore', example: '1 1/2 in' }),
  depth: quantityField('length', { label: 'Box depth', example: '2 in' }),
  glandEntry: quantityField('length', { label: 'Gland entry', example: '1/4 in' }, 'not negative'),
  lanternRing: quantityField(
    'length',
    { label: 'Lantern ring height', example: '1/2 in' },
    'not negative',
  ).exactOptional(),
  bottomBushing: quantityField(
    'length',
    { label: 'Bottom bushing height', example: '1/8 in' },
    'not negative',
  ).exactOptional(),
  style: choiceField(PACKING_STYLES, { label: 'Packing' }).exactOptional(),
  portDepth: quantityField('length', { label: 'Depth to the lantern port', example: '1 in' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface PackingRings {
  section: Length;
  length: Length;
  rings: number;
  ringsBelowLantern?: number;
  snug: boolean;
}

/** No packing is made thinner, metres. */
const THINNEST_SECTION = 0.0254 / 16;

/**
 * Section, cut length and number of packing rings. `section = (bore − stem)/2`; a ring is cut at the mean
 * diameter, `π(stem + section)` (a 45° skive overlaps by the section, the mean length stays); rings =
 * ⌊usable depth ÷ compressed height⌋ with compressed height `section·(1 − c)`, c = 0.25 braided, 0.125 die-formed.
 * Rings below the lantern put it under its port after compression. `snug`: a nominal section lies within 1/64 in.
 * Errors: bore not larger than stem, or a section under 1/16 in; nothing left of the box; a lantern port outside the box or in the gland.
 * Source: common practice; the maker's ring height wins.
 * Example: stem 1.000 in, bore 1.500 in → section 0.250 in, length 3.927 in.
 */
export const packingRings: Working<typeof input, PackingRings> = {
  id: 'packing.rings',
  title: 'Packing rings: section, cut length, count',
  asks: ['packing', 'ring length', 'how many rings', 'gland', 'stuffing box', 'cut'],
  meaning: 'What packing a box takes, how long to cut each ring and how many fill it.',
  input,
  results: {
    section: 'Section',
    length: 'Cut length of a ring',
    rings: 'Rings',
    ringsBelowLantern: 'Rings below the lantern ring',
    snug: 'A stocked section fits snugly',
  },
  source: PACKING_PRACTICE,
  work: rings,
};

function rings(given: Given): Result<Worked<PackingRings>> {
  const [stem, bore, depth, entry] = [si(given.stem), si(given.bore), si(given.depth), si(given.glandEntry)];
  const [lantern, bushing] = [
    given.lanternRing ? si(given.lanternRing) : 0,
    given.bottomBushing ? si(given.bottomBushing) : 0,
  ];
  const style = given.style ?? 'braided';
  const sheet = sheetFor(given.stem, given.bore);
  const text = (metres: number) => shown(sheet.of('length', metres, IN_OR_MM));
  if (bore <= stem)
    return outOfRange(
      'bore',
      shown(given.bore),
      `more than the stem, ${shown(given.stem)}`,
      'the packing lies between them',
    );
  const section = (bore - stem) / 2;
  if (section < THINNEST_SECTION)
    return outOfRange(
      'bore',
      shown(given.bore),
      `at least ${text(stem + 2 * THINNEST_SECTION)} over this stem`,
      'no packing is made thinner than 1/16 in',
    );
  const usable = depth - entry - lantern - bushing;
  const height = section * (1 - COMPRESSION[style]);
  if (usable < height * (1 - 1e-9))
    return outOfRange(
      'depth',
      shown(given.depth),
      `at least ${text(depth - usable + height)}`,
      'not one ring fits under the gland',
    );
  const length = Math.PI * (stem + section);
  const count = Math.floor(usable / height + 1e-9);
  const below = ringsBelow(given, { depth, entry, bushing, lantern, height, count });
  if (!below.ok) return below;
  const nearest = nearestSection(section, systemOf(given.bore) ?? 'US');
  const snug = Math.abs(nearest.metres - section) <= SNUG_WITHIN_IN * 0.0254 + 1e-12;
  return ok({
    result: {
      section: sheet.of('length', section, IN_OR_MM),
      length: sheet.of('length', length, IN_OR_MM),
      rings: count,
      ...(below.value === undefined ? {} : { ringsBelowLantern: below.value }),
      snug,
    },
    steps: [
      line('Section', '(bore − stem) / 2', `(${text(bore)} − ${text(stem)}) / 2`, text(section)),
      line(
        'Cut length, at the mean diameter',
        'π (stem + section)',
        `π (${text(stem)} + ${text(section)})`,
        text(length),
      ),
      line(
        'Usable depth',
        'depth − gland entry − lantern ring − bottom bushing',
        `${text(depth)} − ${text(entry)} − ${text(lantern)} − ${text(bushing)}`,
        text(usable),
      ),
      line(
        `Height of a ring once compressed, ${style}`,
        'section × (1 − c)',
        `${text(section)} × (1 − ${COMPRESSION[style]})`,
        text(height),
      ),
      line('Rings', '⌊usable ÷ height⌋', `⌊${text(usable)} ÷ ${text(height)}⌋`, String(count)),
    ],
    notes: [
      snug
        ? `Stock size ${nearest.name} fits.`
        : `Wrong packing: the nearest stock size, ${nearest.name}, is more than 1/64 in off.`,
      'Never more rings than fill the box. The maker’s ring height wins.',
    ],
    source: PACKING_PRACTICE,
  });
}

const IN_OR_MM = { US: 'in', SI: 'mm' } as const;

interface Box {
  depth: number;
  entry: number;
  bushing: number;
  lantern: number;
  height: number;
  count: number;
}

function ringsBelow(given: Given, box: Box): Result<number | undefined> {
  if (!given.portDepth || box.lantern === 0) return ok(undefined);
  if (si(given.portDepth) < box.entry + box.lantern / 2 - 1e-9)
    return outOfRange(
      'portDepth',
      shown(given.portDepth),
      'below the gland entry, by half the lantern ring at least',
      'the lantern ring would stand in the gland',
    );
  const room = box.depth - box.bushing - (si(given.portDepth) + box.lantern / 2);
  if (room < 0)
    return outOfRange(
      'portDepth',
      shown(given.portDepth),
      'inside the box',
      'the lantern ring would stand below the bottom of the box',
    );
  return ok(Math.min(box.count, Math.round(room / box.height)));
}

interface StockSize {
  readonly metres: number;
  readonly name: string;
}

const INCH_STOCK = INCH_SECTIONS.map((size) => ({ metres: size * 0.0254, name: `${sixteenths(size)} in` }));
const METRIC_STOCK = METRIC_SECTIONS_MM.map((size) => ({ metres: size / 1000, name: `${size} mm` }));

/** The stock size nearest to a section: of the box's own system where one fits snugly, else of both. */
function nearestSection(metres: number, system: 'US' | 'SI'): StockSize {
  const off = ({ metres: size }: StockSize) => Math.abs(size - metres);
  const nearest = (stock: readonly StockSize[]) =>
    stock.reduce((best, each) => (off(each) < off(best) ? each : best));
  const own = nearest(system === 'SI' ? METRIC_STOCK : INCH_STOCK);
  return off(own) <= SNUG_WITHIN_IN * 0.0254 ? own : nearest([...INCH_STOCK, ...METRIC_STOCK]);
}

function sixteenths(size: number): string {
  let [top, bottom] = [Math.round(size * 16), 16];
  while (top % 2 === 0 && bottom > 1) [top, bottom] = [top / 2, bottom / 2];
  return bottom === 1 ? String(top) : `${top}/${bottom}`;
}
