import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { formatNumber, quantity, si, type Force, type Stress, type Torque } from '../../quantity';
import { COMMON_PRACTICE } from '../../standards';
import { nominalDiameter, stressArea } from '../bolting/bolting-stress-area';
import { factorField, numberField, quantityField, threadField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  stem: quantityField('length', { label: 'Stem diameter', example: '1 in' }),
  bore: quantityField('length', { label: 'Stuffing box bore', example: '1 1/2 in' }),
  height: quantityField('length', { label: 'Height of the packing, compressed', example: '15/16 in' }),
  stress: quantityField('stress', { label: 'Gland stress wanted', example: '4,000 psi' }),
  friction: factorField({ label: 'Friction of the packing', example: '0.10' }, 0.01, 1),
  radialRatio: factorField({ label: 'Radial over axial pressure', example: '0.6' }, 0.1, 1),
  studs: numberField({ label: 'Gland studs', example: '2' }, 1, 16, true),
  thread: threadField({ label: 'Gland stud thread', example: '1/2-13' }),
  nutFactor: factorField({ label: 'Nut factor K', example: '0.16' }, 0.05, 0.5),
});

export interface GlandLoad {
  force: Force;
  torquePerStud: Torque;
  stressAtBottom: Stress;
  stemFriction: Force;
}

const SOURCE = { ...COMMON_PRACTICE, name: 'Axial stress decay in packing', fromMemory: 'medium' } as const;

/**
 * Gland load, stud torque, what reaches the bottom ring and the friction on the stem. Load = stress × ring area;
 * `T = K·D·F` a stud; `σ(x) = σ0·exp(−4 Kr μ (stem + bore)/(bore² − stem²)·x)`; friction = ∫ μ Kr σ π stem dx.
 * Errors: bore not larger than stem; over 15 ksi on the packing; gland studs that would yield. Source: packing handbooks (ranges from memory: μ PTFE 0.05–0.10, graphite
 * 0.10–0.15, braided fibre 0.15–0.25; Kr 0.5–0.8).
 * Example: stem 1.0, bore 1.5, height 0.9375 in, μ 0.10, Kr 0.6, 4 000 psi → 3 927 lbf, 2 551 psi, 569 lbf.
 */
export const packingGland: Working<typeof input, GlandLoad> = {
  id: 'packing.gland',
  title: 'Gland load, stud torque and stem friction',
  asks: ['gland', 'packing', 'stem friction', 'gland nut', 'how tight', 'torque'],
  meaning:
    'How hard to pull the gland down, how much of it reaches the bottom ring and what it costs the actuator.',
  input,
  results: {
    force: 'Gland load',
    torquePerStud: 'Torque on each stud',
    stressAtBottom: 'Stress at the bottom ring',
    stemFriction: 'Friction on the stem',
  },
  source: SOURCE,
  work: gland,
};

const LEAST_SHARE_AT_BOTTOM = 0.5;
const MOST_STRESS = si(quantity('stress', 15, 'ksi'));
/** Yield of B7 in the sizes of gland studs. */
const STRONG_STUD = si(quantity('stress', 105, 'ksi'));
const KSI_OR_MPA = { US: 'ksi', SI: 'MPa' } as const;

function gland(given: z.output<typeof input>): Result<Worked<GlandLoad>> {
  const [stem, bore, height] = [si(given.stem), si(given.bore), si(given.height)];
  if (bore <= stem)
    return outOfRange(
      'bore',
      shown(given.bore),
      `more than the stem, ${shown(given.stem)}`,
      'the packing lies between them',
    );
  const sheet = sheetFor(given.stem, given.stress);
  const units = { US: 'psi', SI: 'MPa' } as const;
  if (si(given.stress) > MOST_STRESS)
    return outOfRange(
      'stress',
      shown(given.stress),
      'up to 15 ksi (100 MPa)',
      'no packing is pressed harder: a slip of the unit?',
    );
  const ringArea = (Math.PI / 4) * (bore ** 2 - stem ** 2);
  const newtons = si(given.stress) * ringArea;
  const decay = (4 * given.radialRatio * given.friction * (stem + bore)) / (bore ** 2 - stem ** 2);
  const inStud = newtons / given.studs / si(stressArea(given.thread));
  if (inStud > STRONG_STUD)
    return outOfRange(
      'stress',
      shown(given.stress),
      'what its studs can pull',
      `each would stand ${shown(sheet.of('stress', inStud, KSI_OR_MPA))}, over the yield of B7`,
    );
  const bottomShare = Math.exp(-decay * height);
  const friction =
    (given.friction * given.radialRatio * Math.PI * stem * si(given.stress) * (1 - bottomShare)) / decay;
  const diameter = nominalDiameter(given.thread);
  const force = sheet.of('force', newtons);
  const torque = sheet.of('torque', (given.nutFactor * si(diameter) * newtons) / given.studs);
  const bottom = sheet.of('stress', si(given.stress) * bottomShare, units);
  const stemFriction = sheet.of('force', friction);
  return ok({
    result: { force, torquePerStud: torque, stressAtBottom: bottom, stemFriction },
    steps: [
      line(
        'Ring area',
        'π/4 (bore² − stem²)',
        `π/4 (${shown(given.bore)}² − ${shown(given.stem)}²)`,
        sheet.of('area', ringArea),
      ),
      line('Gland load', 'stress × ring area', shown(given.stress), force),
      line(
        'Torque on each stud',
        'K · D · F / studs',
        `${given.nutFactor} × ${shown(diameter)} × ${shown(force)} / ${given.studs}`,
        torque,
      ),
      line(
        'Stress in each stud',
        'F / studs / tensile stress area',
        shown(stressArea(given.thread)),
        sheet.of('stress', inStud, KSI_OR_MPA),
      ),
      line(
        'Stress at the bottom',
        'σ0 · exp(−4 Kr μ (stem + bore)/(bore² − stem²) · height)',
        `${shown(given.stress)} × ${formatNumber(bottomShare, 4)}`,
        bottom,
      ),
      line(
        'Friction on the stem',
        '∫ μ · Kr · σ(x) · π · stem dx',
        `μ ${given.friction}, Kr ${given.radialRatio}`,
        stemFriction,
      ),
    ],
    notes: [
      'Usual gland stress (common practice): graphite at least 2 500–4 000 psi or 1.5 × the pressure; PTFE 1 000–1 500; PTFE V-rings 300–800.',
      'Usual friction: PTFE 0.05–0.10, graphite 0.10–0.15, braided fibre 0.15–0.25.',
      ...(inStud > STRONG_STUD / 2
        ? ['More than half of the yield of B7 in the gland studs: larger studs, or more of them.']
        : []),
      ...(bottomShare < LEAST_SHARE_AT_BOTTOM
        ? [
            `Only ${formatNumber(bottomShare * 100, 0)} % reaches the bottom ring: fewer, shallower rings seal better.`,
          ]
        : []),
    ],
    source: SOURCE,
  });
}
