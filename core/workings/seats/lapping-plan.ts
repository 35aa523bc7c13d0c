import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { inches, quantity, si, valueIn, type Length, type Time } from '../../quantity';
import { CHARGE_MINUTES, COMPOUNDS, GRIND_IN_TO_IN, LAPPING_PRACTICE, REFACE_TO_IN } from '../../standards';
import { choiceField, quantityField, yesNoField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const FINISHES = ['240', '320', '400', '600', '900', '1200'] as const;

const input = z.strictObject({
  damage: quantityField('length', { label: 'Depth of the damage', example: '2 thou' }, 'not negative'),
  finish: choiceField(FINISHES, { label: 'Last grit' }).exactOptional(),
  hardFacing: yesNoField({ label: 'Hard-faced' }).exactOptional(),
});

export type LappingMethod =
  'grind in or lap' | 'reface and lap' | 'reface on the lathe and lap' | 'lathe and lap' | 'renew';

export interface LappingGrit {
  grit: number;
  grain: Length;
  minutes: number;
}

export interface LappingPlan {
  method: LappingMethod;
  grits: LappingGrit[];
}

/**
 * How to bring a seat back: to 0.002 in grind in, to 0.010 in reface and lap, deeper lathe and lap, past 1/16 in renew
 * (more than a seat has to give, unless its drawing says so). After a reface or a lathe cut 120 comes before 240. A hard
 * facing is cut on the lathe, never with a hand reseater. Grits from the coarsest that the damage needs, then finer to the finish wanted;
 * minutes are an estimate in two-minute charges: each grit removes the damage or the scratches of the one before.
 * Errors: none beyond the sign. Source: common practice; grain sizes from memory, the pot's µm wins.
 * Example: 2 thou, finish 240 → grind in or lap, 120 then 240.
 */
export const lappingPlan: Working<typeof input, LappingPlan> = {
  id: 'lapping.plan',
  title: 'Lapping: method and grits',
  asks: ['lapping', 'grind in', 'compound', 'grit', 'which paste', 'scratch', 'reface'],
  meaning: 'Which method a damage asks for, which compounds in which order and about how long.',
  input,
  results: { method: 'Method', grits: 'Grits' },
  source: LAPPING_PRACTICE,
  work: plan,
};

type Compound = (typeof COMPOUNDS)[number];

function plan(given: z.output<typeof input>): Result<Worked<LappingPlan>> {
  const depth = valueIn(given.damage, 'in');
  const method = methodFor(depth, given.hardFacing ?? false);
  const toRemove = method === 'grind in or lap' ? si(given.damage) : MACHINED_FINISH_METRES;
  const last = Number(given.finish ?? '240');
  const used = (method === 'renew' ? [] : COMPOUNDS).filter(
    ({ grit, grainMicrons }) => grit <= last && (grainMicrons * 1e-6 <= COARSEST * toRemove || grit >= 240),
  );
  const grits = used.map((compound, i) => gritFor(compound, i === 0 ? toRemove : scratchOf(used[i - 1])));
  const total: Time = quantity(
    'time',
    grits.reduce((sum, { minutes }) => sum + minutes, 0),
    'min',
  );
  return ok({
    result: { method, grits },
    steps: [
      line(
        'Method',
        `to ${GRIND_IN_TO_IN} in grind in, to ${REFACE_TO_IN} in reface, deeper lathe`,
        shown(given.damage),
        method,
      ),
      ...grits.map(({ grit, grain, minutes }) =>
        line(`Grit ${grit}`, 'until the marks before it are gone', shown(grain), `about ${minutes} min`),
      ),
      line('Lapping in all', 'charges of two minutes', '', total),
    ],
    notes: [
      'All compound off between grits. Change it every couple of minutes: a dull one only polishes.',
      'The minutes are an estimate; the eye and the blue decide.',
      'Grains as lapping pots are usually sold, 120 by FEPA and finer ones by ANSI: the µm on the pot wins.',
      ...(method === 'renew'
        ? ['More than a seat has to give: renewed, or its drawing asked what metal is left.']
        : []),
      ...(method === 'lathe and lap'
        ? ['A crack means renew, whatever its depth; check the stock left before cutting.']
        : []),
      ...(depth === 0 ? ['No damage: a light touch with the fine compound and a blue check.'] : []),
    ],
    source: LAPPING_PRACTICE,
  });
}

/** What is left to lap off after a reface or a lathe cut: the tool marks. */
const MACHINED_FINISH_METRES = si(inches(0.001));
/** Deeper than this no seat has metal to give (common practice). */
const LATHE_TO_IN = 1 / 16;
/** A grain up to this many times the depth is not coarser than the damage needs. */
const COARSEST = 4.2;
/** A grain ploughs about a tenth of its size deep and takes off a twentieth of it in a fresh two-minute charge. */
const [SCRATCH_SHARE, CHARGE_SHARE] = [0.1, 0.05];

function methodFor(depthIn: number, hardFacing: boolean): LappingMethod {
  if (depthIn <= GRIND_IN_TO_IN * (1 + 1e-9)) return 'grind in or lap';
  if (depthIn > LATHE_TO_IN * (1 + 1e-9)) return 'renew';
  if (depthIn > REFACE_TO_IN * (1 + 1e-9)) return 'lathe and lap';
  return hardFacing ? 'reface on the lathe and lap' : 'reface and lap';
}

const scratchOf = (compound: Compound | undefined): number =>
  compound ? compound.grainMicrons * 1e-6 * SCRATCH_SHARE : 0;

function gritFor({ grit, grainMicrons }: Compound, toRemove: number): LappingGrit {
  const perCharge = grainMicrons * 1e-6 * CHARGE_SHARE;
  const charges = Math.max(1, Math.ceil(toRemove / perCharge - 1e-9));
  return { grit, grain: quantity('length', grainMicrons, 'µm'), minutes: charges * CHARGE_MINUTES };
}
