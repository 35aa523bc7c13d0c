import { z } from 'zod';
import { fitRunout, LEAST_READINGS } from '../analysis';
import { ok, refuse, type Result } from '../problem';
import { degrees, formatNumber, si, thou, type Angle, type Length } from '../quantity';
import { COMMON_PRACTICE } from '../standards';
import { quantitiesField, quantityField } from './field';
import type { Working, Worked } from './working';

const input = z.strictObject({
  readings: quantitiesField('length', { label: 'Dial readings at equal angles', example: '0 thou' }, 360),
  limit: quantityField('length', {
    label: 'Limit on the total indicator reading',
    example: '5 thou',
  }).exactOptional(),
});

export type RunoutVerdict = 'fit' | 'renew' | 'regrind or renew' | 'no limit given';

export interface StemRunout {
  tir: Length;
  bow: Length;
  bowAngle: Angle;
  outOfRound: Length;
  verdict: RunoutVerdict;
}

/**
 * Bend of a stem on V-blocks from dial readings at equal angles, the first at 12 o'clock. Fits
 * `c + A1·cos(θ − φ1) + A2·cos(2θ − φ2)`: bow = A1 at φ1 (its TIR is 2·A1); out-of-round = 4·A2 on the diameter,
 * which is not bend. Verdict against the limit: `renew` when the bow is the larger part, `regrind or renew` when
 * the ovality is.
 * Errors: fewer than five readings (eight or more are wanted).
 * Source: harmonic analysis; limits are the site's. A 60° V-block cannot show an oval at all.
 * Example: twelve readings of a pure cosine of 3 thou → TIR 6 thou, bow 3 thou, out-of-round 0.
 */
export const stemRunout: Working<typeof input, StemRunout> = {
  id: 'stem.runout',
  title: 'Runout of a stem',
  asks: ['runout', 'bent stem', 'tir', 'dial', 'v-block', 'straight'],
  meaning:
    'How far a stem is bent, where its high spot is, and how much of the reading is only out-of-round.',
  input,
  results: {
    tir: 'Total indicator reading',
    bow: 'Bow (axis offset)',
    bowAngle: 'High spot, from the first reading',
    outOfRound: 'Out-of-round on the diameter',
    verdict: 'Verdict',
  },
  source: { ...COMMON_PRACTICE, name: 'Harmonic fit of equally spaced readings' },
  work: runout,
};

function runout({ readings, limit }: z.output<typeof input>): Result<Worked<StemRunout>> {
  if (readings.length < LEAST_READINGS) {
    return refuse({
      code: 'input.too-few',
      field: 'readings',
      count: readings.length,
      least: LEAST_READINGS,
      why: 'bow and out-of-round cannot be told apart with fewer; eight or more are wanted',
    });
  }
  const fit = fitRunout(readings.map((reading) => si(reading) / THOU));
  const limitThou = limit === undefined ? undefined : si(limit) / THOU;
  const show = (value: number) => `${formatNumber(value, 2)} thou`;
  return ok({
    result: {
      tir: thou(fit.tir),
      bow: thou(fit.bow),
      bowAngle: degrees((fit.bowAngle * 180) / Math.PI),
      outOfRound: thou(4 * fit.ovality),
      verdict: verdictOn(fit.tir, fit.bow, fit.ovality, limitThou),
    },
    steps: [
      {
        label: 'Total indicator reading',
        formula: 'largest − smallest',
        substituted: `over ${readings.length} readings`,
        result: show(fit.tir),
      },
      {
        label: 'Bow',
        formula: 'A1 = (2/n)·√((Σ r·cos θ)² + (Σ r·sin θ)²)',
        substituted: `n = ${readings.length}`,
        result: `${show(fit.bow)} at ${formatNumber((fit.bowAngle * 180) / Math.PI, 0)}°`,
      },
      {
        label: 'Runout from the bow alone',
        formula: '2 × A1',
        substituted: `2 × ${show(fit.bow)}`,
        result: show(2 * fit.bow),
      },
      {
        label: 'Out-of-round',
        formula: '4 × A2 (same sum with 2θ)',
        substituted: `4 × ${show(fit.ovality)}`,
        result: show(4 * fit.ovality),
      },
      {
        label: 'Not explained (noise, a nick, dirt)',
        formula: 'root mean square of what is left',
        substituted: `n = ${readings.length}`,
        result: show(fit.residual),
      },
    ],
    notes: [
      ...(readings.length < 8 ? ['Eight readings or more are wanted; this is a rough figure.'] : []),
      ...(fit.residual > Math.max(0.3, fit.tir / 4)
        ? ['The readings do not follow a smooth ring: clean the stem and the blocks and read again.']
        : []),
      'On 60° V-blocks an oval does not show at all; 90° blocks show it in full.',
    ],
    source: { ...COMMON_PRACTICE, name: 'Harmonic fit of equally spaced readings' },
  });
}

const THOU = 0.0254 / 1000;

function verdictOn(tir: number, bow: number, ovality: number, limit: number | undefined): RunoutVerdict {
  if (limit === undefined) return 'no limit given';
  if (tir <= limit + 1e-9) return 'fit';
  return bow >= ovality ? 'renew' : 'regrind or renew';
}
