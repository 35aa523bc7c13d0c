import { z } from 'zod';
import { ok, refuse, type Result } from '../problem';
import {
  formatNumber,
  fromSi,
  quantity,
  si,
  valueIn,
  type Area,
  type Force,
  type Length,
  type Stress,
  type Torque,
} from '../quantity';
import {
  A193,
  B1_1,
  COMMON_PRACTICE,
  ISO_898_1,
  NUT_FACTOR_SCATTER,
  STUD_MATERIALS,
  studYieldKsi,
  type Thread,
} from '../standards';
import { choiceField, numberField, quantityField, threadField } from './field';
import type { Step, Working, Worked } from './working';

const input = z.strictObject({
  thread: threadField({ label: 'Stud thread', example: '3/4-10' }),
  nutFactor: numberField({ label: 'Nut factor K', example: '0.16' }, 0.05, 0.5),
  stress: quantityField('stress', { label: 'Bolt stress', example: '50 ksi' }).exactOptional(),
  preload: quantityField('force', { label: 'Preload', example: '16 700 lbf' }).exactOptional(),
  material: choiceField(STUD_MATERIALS, { label: 'Stud material' }).exactOptional(),
  percentYield: quantityField('ratio', { label: 'Share of yield', example: '50 %' }).exactOptional(),
});

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

function torque(given: z.output<typeof input>): Result<Worked<BoltTorque>> {
  const area = stressArea(given.thread);
  const target = targetStress(given, area);
  if (!target.ok) return target;
  const diameter = nominalDiameter(given.thread);
  const preload = fromSi('force', target.value.pascals * si(area), 'lbf');
  const result = fromSi('torque', given.nutFactor * si(diameter) * si(preload), 'lbf·ft');
  const stress = fromSi('stress', target.value.pascals, 'ksi');
  const band = (factor: number) => quantity('force', preload.value * factor, 'lbf');
  return ok({
    result: {
      preload,
      torque: result,
      preloadLow: band(1 - NUT_FACTOR_SCATTER),
      preloadHigh: band(1 + NUT_FACTOR_SCATTER),
      stress,
    },
    steps: [
      areaStep(given.thread, area),
      ...target.value.steps,
      {
        label: 'Preload',
        formula: 'F = stress × At',
        substituted: `${formatNumber(stress.value, 2)} ksi × ${formatNumber(valueIn(area, 'in²'), 4)} in²`,
        result: `${formatNumber(preload.value, 0)} lbf`,
      },
      {
        label: 'Torque',
        formula: 'T = K · D · F',
        substituted: `${given.nutFactor} × ${formatNumber(valueIn(diameter, 'in'), 4)} in × ${formatNumber(preload.value, 0)} lbf ÷ 12`,
        result: `${formatNumber(result.value, 1)} lbf·ft`,
      },
    ],
    notes: [
      `The same torque gives ±${NUT_FACTOR_SCATTER * 100} % of preload from stud to stud: read the band, not one number.`,
      "The maker's torque for this joint wins over this figure.",
      ...target.value.notes,
    ],
    source: { ...COMMON_PRACTICE, name: 'Short-form torque, T = K·D·F' },
  });
}

/** Nominal diameter of a thread. */
export function nominalDiameter(thread: Thread): Length {
  return thread.series === 'unified'
    ? quantity('length', thread.diameterIn, 'in')
    : quantity('length', thread.diameterMm, 'mm');
}

/** Tensile stress area: `π/4 (D − 0.9743/n)²` unified (ASME B1.1), `π/4 (d − 0.9382 p)²` metric (ISO 898-1). */
export function stressArea(thread: Thread): Area {
  return thread.series === 'unified'
    ? quantity('area', (Math.PI / 4) * (thread.diameterIn - 0.9743 / thread.perInch) ** 2, 'in²')
    : quantity('area', (Math.PI / 4) * (thread.diameterMm - 0.9382 * thread.pitchMm) ** 2, 'mm²');
}

function areaStep(thread: Thread, area: Area): Step {
  const unified = thread.series === 'unified';
  return {
    label: `Tensile stress area (${unified ? B1_1.name : ISO_898_1.name})`,
    formula: unified ? 'At = π/4 (D − 0.9743/n)²' : 'As = π/4 (d − 0.9382 p)²',
    substituted: unified
      ? `π/4 (${thread.diameterIn} − 0.9743/${thread.perInch})²`
      : `π/4 (${thread.diameterMm} − 0.9382 × ${thread.pitchMm})²`,
    result: `${formatNumber(area.value, unified ? 4 : 1)} ${area.unit}`,
  };
}

interface Target {
  pascals: number;
  steps: Step[];
  notes: string[];
}

const WARN_ABOVE_YIELD = 0.7;
const USUAL_SHARE = 0.5;

function targetStress(given: z.output<typeof input>, area: Area): Result<Target> {
  const named = [given.stress, given.preload, given.material].filter((each) => each !== undefined).length;
  if (named !== 1 || (given.percentYield !== undefined && given.material === undefined)) {
    return refuse({
      code: 'input.conflict',
      fields: ['stress', 'preload', 'material'],
      why: 'Say how tight in one way: a stress, a preload, or a material with its share of yield.',
    });
  }
  if (given.stress) return ok({ pascals: si(given.stress), steps: [], notes: [] });
  if (given.preload) return ok({ pascals: si(given.preload) / si(area), steps: [], notes: [] });
  return fromYield(given);
}

function fromYield(given: z.output<typeof input>): Result<Target> {
  const { material } = given;
  const diameter = valueIn(nominalDiameter(given.thread), 'in');
  const yieldKsi = material === undefined ? undefined : studYieldKsi(material, diameter);
  if (yieldKsi === undefined) {
    return refuse({
      code: 'table.no-entry',
      table: A193.name,
      looked: `${material ?? ''} at ${diameter} in`,
      has: 'smaller diameters of this grade',
    });
  }
  const share = given.percentYield ? si(given.percentYield) : USUAL_SHARE;
  if (share > 1) {
    return refuse({
      code: 'input.out-of-range',
      field: 'percentYield',
      value: `${share * 100} %`,
      allowed: 'up to 100 %',
      why: 'the stud would stretch for good',
    });
  }
  const stress = quantity('stress', yieldKsi * share, 'ksi');
  return ok({
    pascals: si(stress),
    steps: [
      {
        label: `Stress from yield (${A193.name}, ${material ?? ''})`,
        formula: 'stress = share × yield',
        substituted: `${formatNumber(share * 100, 1)} % × ${yieldKsi} ksi`,
        result: `${formatNumber(stress.value, 2)} ksi`,
      },
    ],
    notes:
      share > WARN_ABOVE_YIELD
        ? [
            `${formatNumber(share * 100, 0)} % of yield is above the usual ${WARN_ABOVE_YIELD * 100} %: ask before using it.`,
          ]
        : [],
  });
}
