import { z } from 'zod';
import { ok, outOfRange, tooFew, type Result } from '../../problem';
import { inches, quantityOf, si, valueIn, type Length } from '../../quantity';
import { BORE_LIMITS, COMMON_PRACTICE, type Source } from '../../standards';
import { quantityField, rowsField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const place = z.union([z.string().max(30), z.number().transform(String)]);

const input = z.strictObject({
  nominal: quantityField('length', { label: 'Nominal bore', example: '6 in' }),
  readings: rowsField(
    { depth: place, direction: place, diameter: quantityOf('length') },
    [
      { name: 'depth', label: 'depth', example: 'top' },
      { name: 'direction', label: 'direction', example: 'A' },
      { name: 'diameter', label: 'diameter', example: '6.001 in' },
    ],
    {
      label: 'Readings: three depths, two directions',
      exampleRows: [
        ['top', 'A', '6.001 in'],
        ['top', 'B', '6.0025 in'],
        ['middle', 'A', '6.001 in'],
        ['middle', 'B', '6.002 in'],
        ['bottom', 'A', '6.0005 in'],
        ['bottom', 'B', '6.001 in'],
      ],
    },
  ),
  limit: quantityField('length', { label: 'Limit', example: '3 thou', inExample: true }).exactOptional(),
});

export interface BoreWear {
  taper: Length;
  outOfRound: Length;
  wear: Length;
  limit: Length;
  verdict: 'fit' | 'renew';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Bore gauging at depths and directions' };
const [LEAST_PLACES, WANTED_DEPTHS] = [2, 3];

/**
 * Wear of a cylinder bore: taper = most difference over the depths in one direction; out-of-round = most difference
 * over the directions at one depth; wear = largest diameter over nominal. `renew` when any is over the limit, by itself
 * 1.25 thou per inch of bore and not under 4 thou.
 * Errors: fewer than two depths or two directions; a diameter 10 % off the nominal.
 * Source: common practice. Example: 4.000 nominal, 4.001/4.002 top, 4.000/4.001 below → taper 1, oval 1, wear 2 thou.
 */
export const boreWear: Working<typeof input, BoreWear> = {
  id: 'bore.wear',
  title: 'Wear of a cylinder bore',
  asks: ['bore', 'cylinder', 'taper', 'out of round', 'micrometer', 'piston actuator', 'wear'],
  meaning: 'How much a cylinder has worn, and whether it is tapered or oval.',
  input,
  results: {
    taper: 'Taper',
    outOfRound: 'Out-of-round',
    wear: 'Wear over nominal',
    limit: 'Limit',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: wear,
};

interface Reading {
  depth: string;
  direction: string;
  metres: number;
}

function wear(given: z.output<typeof input>): Result<Worked<BoreWear>> {
  const nominal = si(given.nominal);
  const readings = given.readings.map(({ depth, direction, diameter }): Reading => ({
    depth: samePlace(depth),
    direction: samePlace(direction),
    metres: si(diameter),
  }));
  const wild = given.readings.find(({ diameter }) => Math.abs(si(diameter) / nominal - 1) > 0.1);
  if (wild)
    return outOfRange(
      'readings',
      shown(wild.diameter),
      `within 10 % of the nominal ${shown(given.nominal)}`,
      'it cannot be a reading of this bore',
    );
  const [depths, directions] = [by(readings, 'depth'), by(readings, 'direction')];
  for (const [name, groups] of [
    ['depths', depths],
    ['directions', directions],
  ] as const) {
    if (groups.length < LEAST_PLACES)
      return tooFew(
        'readings',
        groups.length,
        LEAST_PLACES,
        `taper and out-of-round need several ${name}; three depths and two directions are wanted`,
      );
  }
  const sheet = sheetFor(given.nominal);
  const units = { US: 'thou', SI: 'mm' } as const;
  const [taperSi, ovalSi] = [Math.max(...directions.map(spread)), Math.max(...depths.map(spread))];
  const wearSi = Math.max(...readings.map(({ metres }) => metres)) - nominal;
  const limit =
    given.limit ??
    sheet.of(
      'length',
      si(inches(Math.max(BORE_LIMITS.least, BORE_LIMITS.perInch * valueIn(given.nominal, 'in')))),
      units,
    );
  const over = [taperSi, ovalSi, wearSi].some((each) => each > si(limit) * (1 + 1e-9) + 1e-12);
  const [taper, outOfRound, worn] = [taperSi, ovalSi, wearSi].map((each) =>
    sheet.of('length', each, units),
  ) as [Length, Length, Length];
  return ok({
    result: { taper, outOfRound, wear: worn, limit, verdict: over ? 'renew' : 'fit' },
    steps: [
      line('Taper', 'most difference over the depths, one direction', `${depths.length} depths`, taper),
      line(
        'Out-of-round',
        'most difference over the directions, one depth',
        `${directions.length} directions`,
        outOfRound,
      ),
      line('Wear', 'largest diameter − nominal', `− ${shown(given.nominal)}`, worn),
      line(
        'Against the limit',
        given.limit ? 'each of the three' : '1.25 thou per inch of bore, not under 4',
        shown(limit),
        over ? 'over' : 'within',
      ),
    ],
    notes: [
      ...(depths.length < WANTED_DEPTHS
        ? ['Three depths are wanted: top, middle and bottom of the stroke.']
        : []),
      ...(wearSi < 0 ? ['Smaller than nominal: check the gauge on its ring.'] : []),
      'A worn bore makes a piston actuator sluggish or hunt.',
    ],
    source: SOURCE,
  });
}

/** `Top`, `top ` and `TOP` are one place. */
const samePlace = (text: string): string => text.trim().toLowerCase();

function by(readings: readonly Reading[], name: 'depth' | 'direction'): Reading[][] {
  const groups = new Map<string, Reading[]>();
  for (const reading of readings) groups.set(reading[name], [...(groups.get(reading[name]) ?? []), reading]);
  return [...groups.values()];
}

function spread(readings: readonly Reading[]): number {
  const metres = readings.map((each) => each.metres);
  return Math.max(...metres) - Math.min(...metres);
}
