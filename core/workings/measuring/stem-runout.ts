import { z } from 'zod';
import { fitRunout, LEAST_READINGS, type RunoutFit } from '../../analysis';
import { ok, tooFew, type Result } from '../../problem';
import { degrees, formatNumber, si, type Angle, type Length } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { quantitiesField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Harmonic fit of equally spaced readings' };

const input = z.strictObject({
  readings: quantitiesField(
    'length',
    {
      label: 'Dial readings at equal angles',
      example: '0 thou; 1.2 thou; 2.1 thou; 2.4 thou; 2 thou; 1.1 thou; 0.2 thou; -0.3 thou',
    },
    360,
  ),
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
  source: SOURCE,
  work: runout,
};

function runout({ readings, limit }: z.output<typeof input>): Result<Worked<StemRunout>> {
  if (readings.length < LEAST_READINGS)
    return tooFew(
      'readings',
      readings.length,
      LEAST_READINGS,
      'bow and out-of-round cannot be told apart with fewer; eight or more are wanted',
    );
  const fit = fitRunout(readings.map((reading) => si(reading)));
  const sheet = sheetFor(...readings, limit);
  const small = (metres: number) => sheet.of('length', metres, { US: 'thou', SI: 'mm' });
  const [tir, bow, outOfRound] = [small(fit.tir), small(fit.bow), small(4 * fit.ovality)];
  const bowAngle = degrees((fit.bowAngle * 180) / Math.PI);
  const n = `n = ${readings.length}`;
  return ok({
    result: { tir, bow, bowAngle, outOfRound, verdict: verdictOn(fit, limit && si(limit)) },
    steps: [
      line('Total indicator reading', 'largest − smallest', `over ${readings.length} readings`, tir),
      line(
        'Bow',
        'A1 = (2/n)·√((Σ r·cos θ)² + (Σ r·sin θ)²)',
        n,
        `${shown(bow)} at ${formatNumber(bowAngle.value, 0)}°`,
      ),
      line('Runout from the bow alone', '2 × A1', `2 × ${shown(bow)}`, small(2 * fit.bow)),
      line('Out-of-round', '4 × A2 (same sum with 2θ)', `4 × ${shown(small(fit.ovality))}`, outOfRound),
      line('Not explained (noise, a nick, dirt)', 'root mean square of what is left', n, small(fit.residual)),
    ],
    notes: [
      ...(readings.length < 8 ? ['Eight readings or more are wanted; this is a rough figure.'] : []),
      ...(fit.residual > Math.max(SMALL_RESIDUAL, fit.tir / 4)
        ? ['The readings do not follow a smooth ring: clean the stem and the blocks and read again.']
        : []),
      'On 60° V-blocks an oval does not show at all; 90° blocks show it in full.',
    ],
    source: SOURCE,
  });
}

/** A third of a thou: no dial repeats better. */
const SMALL_RESIDUAL = 0.3 * 25.4e-6;
/** A hundred-millionth of a metre: rounding, not runout. */
const ROUNDING = 1e-11;

function verdictOn(fit: RunoutFit, limit: number | undefined): RunoutVerdict {
  if (limit === undefined) return 'no limit given';
  if (fit.tir <= limit + ROUNDING) return 'fit';
  return fit.bow >= fit.ovality ? 'renew' : 'regrind or renew';
}
