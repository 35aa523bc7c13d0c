import { z } from 'zod';
import type { Result } from '../../problem';
import {
  API_598,
  API_598_EDITION_NAMES,
  API_598_EDITIONS,
  IRON_BODIES,
  MATERIAL_GROUPS,
} from '../../standards';
import { amountField, choiceField, orificeField, quantityField, sizeField, wordField } from '../frame/field';
import { leakByApi527 } from './leakage/api-527';
import { leakByApi598 } from './leakage/api-598';
import { leakByFci702 } from './leakage/fci-70-2';
import { leakByIso5208 } from './leakage/iso-5208';
import { leakBySp61 } from './leakage/mss-sp-61';
import type { Working, Worked } from '../frame/working';
import type { LeakAllowance, LeakQuestion } from './leakage/allowance';

type Code = LeakQuestion['code'];
const onlyFor = (...values: Code[]) => ({ onlyFor: { field: 'code', values } });
/** Tests of valves that open and shut by hand or by motor: by size and seat. */
const BLOCK_VALVES = onlyFor('API 598', 'ISO 5208', 'MSS SP-61');
const CONTROL = onlyFor('FCI 70-2');
const RELIEF = onlyFor('API 527');

const input = z.strictObject({
  code: choiceField(
    ['API 598', 'ISO 5208', 'FCI 70-2', 'API 527', 'MSS SP-61'],
    { label: 'Test standard' },
    { 'IEC 60534-4': 'FCI 70-2', 'ANSI/FCI 70-2': 'FCI 70-2' },
  ),
  fluid: choiceField(
    ['liquid', 'gas'],
    { label: 'Test fluid' },
    { water: 'liquid', air: 'gas', nitrogen: 'gas' },
  ),
  size: sizeField({
    label: 'Size, or inlet size',
    example: 'NPS 3',
    inExample: true,
    ...onlyFor('API 598', 'ISO 5208', 'MSS SP-61', 'API 527'),
  }).exactOptional(),
  valve: choiceField(['globe', 'gate', 'plug', 'ball', 'butterfly', 'check', 'control', 'relief'], {
    label: 'Valve',
    ...BLOCK_VALVES,
  }).exactOptional(),
  seat: choiceField(
    ['metal', 'soft'],
    { label: 'Seat', inExample: true, ...onlyFor('API 598', 'MSS SP-61', 'API 527') },
    { resilient: 'soft' },
  ).exactOptional(),
  class: wordField({
    label: 'Pressure class, or leak class',
    example: '600',
    inExample: true,
    ...onlyFor('API 598', 'ISO 5208', 'MSS SP-61', 'FCI 70-2'),
  }).exactOptional(),
  rate: wordField({ label: 'Rate', example: 'D', ...onlyFor('ISO 5208') }).exactOptional(),
  group: choiceField(MATERIAL_GROUPS, { label: 'Body material group', ...BLOCK_VALVES }).exactOptional(),
  iron: choiceField(IRON_BODIES, { label: 'or an iron body', ...onlyFor('API 598') }).exactOptional(),
  edition: choiceField(
    API_598_EDITIONS,
    { label: 'Edition', ...onlyFor('API 598') },
    API_598_EDITION_NAMES,
  ).exactOptional(),
  portDiameter: quantityField('length', {
    label: 'Port diameter (classes V and VI)',
    example: '2 in',
    ...CONTROL,
  }).exactOptional(),
  difference: quantityField('pressure difference', {
    label: 'Operating difference',
    example: '100 psi',
    ...CONTROL,
  }).exactOptional(),
  ratedCv: amountField('flow coefficient', 'Cv', {
    label: 'Rated Cv (classes II to IV)',
    example: '110 Cv',
    ...CONTROL,
  }).exactOptional(),
  orifice: orificeField({ label: 'Orifice', example: 'J', ...RELIEF }).exactOptional(),
  setPressure: quantityField('gauge pressure', {
    label: 'Set pressure',
    example: '250 psig',
    ...RELIEF,
  }).exactOptional(),
});

/**
 * How much a closed seat may leak, at what pressure and for how long it is watched, by one of five standards.
 * API 598: by size; editions differ, unset means the stricter. ISO 5208: rate × DN. MSS SP-61: per inch NPS.
 * ANSI/FCI 70-2 (IEC 60534-4): II–IV a share of rated capacity, V by port and difference, VI by port. API 527: by set
 * pressure and orifice. Bubbles carry the tube of their standard and are not interchangeable.
 * Errors: something the standard needs is missing or not in its tables.
 * Source: the standard named. Example: API 598, NPS 3 metal globe, liquid, edition 2009 → 12 drops/min, hold 60 s.
 */
export const leakAllowance: Working<typeof input, LeakAllowance> = {
  id: 'leak.allowance',
  title: 'Seat leak allowance',
  asks: [
    'bubbles',
    'drops',
    'leak',
    'seat test',
    'allowance',
    'tight',
    'class vi',
    'class iv',
    'leak class',
    'relief seat',
  ],
  meaning: 'How much a closed seat may leak, at what pressure, watched for how long.',
  input,
  results: {
    flow: 'Leak allowed',
    dropsPerMinute: 'Drops per minute',
    bubblesPerMinute: 'Bubbles per minute',
    testPressure: 'Test pressure',
    hold: 'Hold',
  },
  source: API_598,
  work: (given): Result<Worked<LeakAllowance>> => BY_CODE[given.code](given),
};

const BY_CODE: Readonly<
  Record<LeakQuestion['code'], (given: LeakQuestion) => Result<Worked<LeakAllowance>>>
> = {
  'API 598': leakByApi598,
  'ISO 5208': leakByIso5208,
  'FCI 70-2': leakByFci702,
  'API 527': leakByApi527,
  'MSS SP-61': leakBySp61,
};
