import { z } from 'zod';
import { inConflict, notInTable, ok, outOfRange, type Result } from '../../problem';
import {
  formatNumber,
  quantity,
  si,
  systemOf,
  valueIn,
  type Area,
  type Force,
  type Quantity,
  type Stress,
  type Torque,
} from '../../quantity';
import {
  NUT_FACTORS,
  A193,
  COMMON_PRACTICE,
  NUT_FACTOR_SCATTER,
  STUD_MATERIALS,
  studYieldKsi,
  tabledDiameterIn,
} from '../../standards';
import { nominalDiameter, stressArea, stressAreaStep } from './bolting-stress-area';
import { amountField, choiceField, factorField, quantityField, threadField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

/** `A193 B7` and `A320 L7` are the same grades. */
const WITH_STANDARD = Object.fromEntries(
  STUD_MATERIALS.flatMap((grade) =>
    ['A193', 'A320', 'A453'].map((standard) => [`${standard} ${grade}`, grade]),
  ),
);

const input = z.strictObject({
  thread: threadField({ label: 'Stud thread', example: '3/4-10' }),
  nutFactor: factorField({ label: 'Nut factor K', example: '0.16' }, 0.05, 0.5),
  stress: quantityField('stress', {
    label: 'Bolt stress',
    oneOf: { of: 'How tight', as: 'stress' },
    example: '45 ksi',
    inExample: true,
  }).exactOptional(),
  preload: quantityField('force', {
    label: 'Preload',
    example: '16,700 lbf',
    oneOf: { of: 'How tight', as: 'preload' },
  }).exactOptional(),
  material: choiceField(
    STUD_MATERIALS,
    { label: 'Stud material', oneOf: { of: 'How tight', as: 'share of yield' } },
    WITH_STANDARD,
  ).exactOptional(),
  percentYield: amountField('ratio', '%', {
    label: 'Share of yield',
    example: '50 %',
    oneOf: { of: 'How tight', as: 'share of yield' },
  }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface BoltTorque {
  preload: Force;
  torque: Torque;
  preloadLow: Force;
  preloadHigh: Force;
  stress: Stress;
}

/**
 * Torque for a bolt by the short form `T = K·D·F`: K nut factor, D nominal diameter, F preload = stress × tensile
 * stress area. Exactly one of stress, preload or material (with a share of yield, 50 % unless given) says how
 * tight. The preload that the torque really gives scatters ±30 %: `preloadLow` and `preloadHigh`.
 * Errors: none or more than one target; a grade not made at this diameter; a stress over yield.
 * Source: common practice for K; ASME B1.1 and ISO 898-1 for the area; ASTM A193/A320 for yield.
 * Example: 3/4-10, K 0.20, 50 ksi → 16 723 lbf, 209 lbf·ft.
 */
export const boltingTorque: Working<typeof input, BoltTorque> = {
  id: 'bolting.torque',
  title: 'Torque for a bolt',
  asks: ['how tight', 'torque', 'bolt', 'stud', 'nut factor', 'preload'],
  meaning: 'The wrench setting that gives a stud the load wanted, and how far the real load may lie from it.',
  input,
  results: {
    preload: 'Preload',
    torque: 'Torque',
    preloadLow: 'Least preload to expect',
    preloadHigh: 'Most preload to expect',
    stress: 'Stress on the tensile area',
  },
  source: { ...COMMON_PRACTICE, name: 'Short-form torque, T = K·D·F' },
  work: torque,
};

function torque(given: Given): Result<Worked<BoltTorque>> {
  const area = stressArea(given.thread);
  const target = targetStress(given, area);
  if (!target.ok) return target;
  const diameter = nominalDiameter(given.thread);
  const sheet = sheetFor(given.stress, given.preload, diameter);
  const preload = sheet.of('force', target.value.pascals * si(area), { US: 'lbf', SI: 'kN' });
  const result = sheet.of('torque', given.nutFactor * si(diameter) * si(preload));
  const stress = sheet.of('stress', target.value.pascals, { US: 'ksi', SI: 'MPa' });
  const band = (factor: number): Force => ({ ...preload, value: preload.value * factor });
  return ok({
    result: {
      preload,
      torque: result,
      preloadLow: band(1 - NUT_FACTOR_SCATTER),
      preloadHigh: band(1 + NUT_FACTOR_SCATTER),
      stress,
    },
    steps: [
      stressAreaStep(given.thread, area),
      ...target.value.steps,
      line('Preload', 'F = stress × At', `${shown(stress)} × ${shown(area)}`, preload),
      line('Torque', 'T = K · D · F', `${given.nutFactor} × ${shown(diameter)} × ${shown(preload)}`, result),
    ],
    notes: [
      `The same torque gives ±${NUT_FACTOR_SCATTER * 100} % of preload from stud to stud: read the band, not one number.`,
      `Usual nut factors: ${NUT_FACTORS.map(({ lubricant, low, high }) => `${lubricant} ${low === high ? low.toFixed(2) : `${low.toFixed(2)}–${high.toFixed(2)}`}`).join(', ')}.`,
      "The maker's torque for this joint wins over this figure.",
      ...target.value.notes,
    ],
    source: { ...COMMON_PRACTICE, name: 'Short-form torque, T = K·D·F' },
  });
}

interface Target {
  pascals: number;
  steps: Step[];
  notes: string[];
}

const WARN_ABOVE_YIELD = 0.7;
const USUAL_SHARE = 0.5;
/** Less than a tenth of yield is a slip: 0.5 for 50 %. */
const LEAST_SHARE = 0.1;

function targetStress(given: Given, area: Area): Result<Target> {
  const named = [given.stress, given.preload, given.material].filter((each) => each !== undefined).length;
  if (named !== 1 || (given.percentYield !== undefined && given.material === undefined))
    return inConflict(
      ['stress', 'preload', 'material'],
      'Say how tight in one way: a stress, a preload, or a material with its share of yield.',
    );
  if (given.stress) return checkedStress({ pascals: si(given.stress), steps: [], notes: [] }, given.stress);
  if (given.preload)
    return checkedStress({ pascals: si(given.preload) / si(area), steps: [], notes: [] }, given.preload);
  return fromYield(given);
}

/** No stud steel yields above this: the target is a slip of the unit. */
const STRONGEST_STUD_KSI = 150;

function checkedStress(target: Target, given: Quantity): Result<Target> {
  const ksi = quantity('stress', STRONGEST_STUD_KSI, 'ksi');
  if (target.pascals <= si(ksi)) return ok(target);
  const most = systemOf(given) === 'SI' ? `${formatNumber(valueIn(ksi, 'MPa'), 0)} MPa` : shown(ksi);
  return outOfRange(
    given.dimension === 'force' ? 'preload' : 'stress',
    shown(given),
    `a stress up to ${most}`,
    'any stud would yield',
  );
}

function fromYield(given: Given): Result<Target> {
  const { material } = given;
  const diameter = valueIn(nominalDiameter(given.thread), 'in');
  const yieldKsi =
    material === undefined ? undefined : studYieldKsi(material, tabledDiameterIn(given.thread, material));
  if (material === undefined || yieldKsi === undefined)
    return notInTable(
      A193.name,
      `${material ?? ''} at ${formatNumber(diameter, 3)} in`,
      'smaller diameters of this grade',
    );
  const share = given.percentYield ? si(given.percentYield) : USUAL_SHARE;
  if (share < LEAST_SHARE)
    return outOfRange(
      'percentYield',
      `${formatNumber(share * 100, 2)} %`,
      `from ${LEAST_SHARE * 100} %`,
      'a joint that loose opens: 50 % is typed as 50 or 50 %',
    );
  if (share > 1)
    return outOfRange('percentYield', `${share * 100} %`, 'up to 100 %', 'the stud would stretch for good');
  const sheet = sheetFor(nominalDiameter(given.thread));
  const units = { US: 'ksi', SI: 'MPa' } as const;
  const yields = sheet.of('stress', si(quantity('stress', yieldKsi, 'ksi')), units);
  const stress = sheet.of('stress', si(yields) * share, units);
  return ok({
    pascals: si(stress),
    steps: [
      line(
        `Stress from yield (${A193.name}, ${material})`,
        'stress = share × yield',
        `${formatNumber(share * 100, 1)} % × ${shown(yields)}`,
        stress,
      ),
    ],
    notes:
      share > WARN_ABOVE_YIELD
        ? [
            `${formatNumber(share * 100, 0)} % of yield is above the usual ${WARN_ABOVE_YIELD * 100} %: ask before using it.`,
          ]
        : [],
  });
}
