import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { compare, psig, quantity, si, valueIn, type GaugePressure } from '../../quantity';
import { B16_34, COMMON_PRACTICE, formatSize, MATERIAL_GROUPS, ratingAt, type Source } from '../../standards';
import { choiceField, quantityField, sizeField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const TYPES = [
  'globe',
  'wedge gate',
  'slab gate',
  'plug',
  'swing check',
  'recirculation check',
  'ball',
  'control globe',
  'control rotary',
  'butterfly',
  'regulator',
  'relief',
] as const;
const FACINGS = ['raised face', 'flat face', 'ring joint', 'weld end', 'screwed end'] as const;
const CLASSES = ['150', '300', '600', '900', '1500', '2500'] as const;
const FAILS = ['open', 'closed', 'stays', 'no actuator'] as const;

const input = z.strictObject({
  pressure: quantityField('gauge pressure', { label: 'Service pressure', example: '16 bar g' }),
  temperature: quantityField('temperature', { label: 'Service temperature', example: '240 °C' }, 'any'),
  oldType: choiceField(TYPES, { label: 'Type it replaces' }),
  newType: choiceField(TYPES, { label: 'Type proposed' }),
  oldSize: sizeField({ label: 'Size it replaces', example: 'NPS 3' }),
  newSize: sizeField({ label: 'Size proposed', example: 'NPS 3' }),
  oldClass: choiceField(CLASSES, { label: 'Class it replaces' }),
  newClass: choiceField(CLASSES, { label: 'Class proposed' }),
  newGroup: choiceField(MATERIAL_GROUPS, { label: 'Body group proposed' }),
  oldFacing: choiceField(FACINGS, { label: 'Facing it replaces' }),
  newFacing: choiceField(FACINGS, { label: 'Facing proposed' }),
  oldFaceToFace: quantityField('length', { label: 'Face-to-face it replaces', example: '12 1/2 in' }),
  newFaceToFace: quantityField('length', { label: 'Face-to-face proposed', example: '12 1/2 in' }),
  oldFails: choiceField(FAILS, { label: 'It fails' }),
  newFails: choiceField(FAILS, { label: 'Proposed fails' }),
});

export interface Replacement {
  verdict: 'acceptable' | 'stop';
  rated: GaugePressure;
  stops: string[];
}

/** Face-to-face lengths of the standard patterns are held to this (ASME B16.10: ± 1/16 in to NPS 10, ± 1/8 above; from memory). */
const faceToFaceWithin = (nps: number): number => si(quantity('length', nps > 10 ? 1 / 8 : 1 / 16, 'in'));

const RULE: Source = {
  ...COMMON_PRACTICE,
  name: 'Replacement of a valve: same type, rating at service, flange, facing, face-to-face and fail action',
};

/**
 * Whether a proposed valve may take the place of another: the same type, a rating at service temperature of at least the
 * service pressure, the same flange (size and class), facing, face-to-face within 1/16 in (1/8 above NPS 10), the same fail action; each
 * line with its figure. Errors: a class or temperature that B16.34 does not list. Source: common practice; ASME B16.34
 * for the rating. Example: class 150 WCB at 240 °C carries about 178 psig: too little for 16 bar g, stop.
 */
export const valveReplacement: Working<typeof input, Replacement> = {
  id: 'valve.replacement',
  title: 'Is this replacement valve acceptable?',
  asks: ['replacement', 'substitute', 'same valve', 'instead of', 'face to face', 'fail action'],
  meaning: 'Whether a proposed valve may stand where another stood, line by line.',
  input,
  results: { verdict: 'Verdict', rated: 'Proposed valve is rated', stops: 'What stops it' },
  source: RULE,
  work: replace,
};

function replace(given: z.output<typeof input>): Result<Worked<Replacement>> {
  const fahrenheit = Math.round(valueIn(given.temperature, '°F') * 1e6) / 1e6;
  const rating = ratingAt(Number(given.newClass), given.newGroup, fahrenheit);
  if (!rating.ok) return rating;
  const sheet = sheetFor(given.pressure);
  const rated = sheet.of('gauge pressure', si(rating.value.pressure));
  const apart = Math.abs(si(given.oldFaceToFace) - si(given.newFaceToFace));
  const lines = [
    same('Type', given.oldType, given.newType, given.oldType === given.newType),
    {
      what: 'Rating at service',
      was: shown(given.pressure),
      is: shown(rated),
      holds: compare(psig(valueIn(rated, 'psig')), given.pressure) >= 0,
    },
    same(
      'Flange size',
      formatSize(given.oldSize),
      formatSize(given.newSize),
      given.oldSize.nps === given.newSize.nps,
    ),
    same('Flange class', given.oldClass, given.newClass, given.oldClass === given.newClass),
    same('Facing', given.oldFacing, given.newFacing, given.oldFacing === given.newFacing),
    same(
      'Face-to-face',
      shown(given.oldFaceToFace),
      shown(given.newFaceToFace),
      apart <= faceToFaceWithin(given.oldSize.nps) + 1e-9,
    ),
    same('Fail action', given.oldFails, given.newFails, given.oldFails === given.newFails),
  ];
  const stops = lines
    .filter(({ holds }) => !holds)
    .map(({ what, was, is }) => `${what}: ${is}, where ${was} is wanted`);
  return ok({
    result: { verdict: stops.length === 0 ? 'acceptable' : 'stop', rated, stops },
    steps: lines.map(({ what, was, is, holds }) =>
      line(what, `wanted ${was}`, `proposed ${is}`, holds ? 'holds' : 'stops'),
    ),
    notes: [
      `Rating by ${B16_34.name}, group ${given.newGroup}, class ${given.newClass}.`,
      'A higher class on the same flange does not exist: other class, other studs.',
      'The maker’s sheet and the site’s piping class come first.',
    ],
    source: RULE,
  });
}

const same = (what: string, was: string, is: string, holds: boolean) => ({ what, was, is, holds });
