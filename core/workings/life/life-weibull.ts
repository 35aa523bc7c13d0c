import { z } from 'zod';
import { weibullOf } from '../../analysis';
import { inConflict, ok, tooFew, type Result } from '../../problem';
import { COMMON_PRACTICE, type Source } from '../../standards';
import type { Time } from '../../quantity';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';
import { agesAsked, agesIn } from './ages-asked';

const input = z.strictObject(agesAsked);

export interface LifeWeibull {
  verdict: 'early deaths' | 'wear' | 'cannot be told from chance';
  shape: number;
  scale: Time;
  b10: Time;
  shapeLow: number;
  shapeHigh: number;
}

/** Fewer say nothing of a shape. */
const LEAST_FAILURES = 8;

const SOURCE: Source = {
  ...COMMON_PRACTICE,
  name: 'Weibull life by maximum likelihood (Lawless 2003), 90 % bounds',
};

const HELP = {
  'early deaths': 'Most fail young: look at how they are fitted. A shorter interval makes it worse.',
  wear: 'They wear: an interval helps where a failure costs more than a planned renewal.',
  'cannot be told from chance':
    'Old ones fail no more often than young ones, as far as this shows: an interval does not help.',
} as const;

/**
 * The Weibull life of a part from the ages of those that failed and of those that did not, with 90 % two-sided bounds of
 * its shape. Early deaths are said only where the upper bound is under 1, wear only where the lower is over 1.
 * Errors: under 8 failures (counts only); all failures at one age. Source: Lawless 2003, chapter 5.
 * Example: failed 6 6 6 7 10 13 16 22 23, running 6 9 10 11 17 19 20 25 32 32 34 35 → shape 1.354 (0.856 to 2.140), scale 33.77, B10 6.40.
 */
export const lifeWeibull: Working<typeof input, LifeWeibull> = {
  id: 'life.weibull',
  title: 'Life of a part (Weibull)',
  asks: ['weibull', 'life', 'wear out', 'early failures', 'infant mortality', 'mtbf', 'b10'],
  meaning: 'Whether a part wears out, dies young or fails by chance, and by when one in ten has failed.',
  input,
  results: {
    verdict: 'Verdict',
    shape: 'Shape β',
    scale: 'Scale η',
    b10: 'One in ten has failed by',
    shapeLow: 'Shape, at least',
    shapeHigh: 'Shape, at most',
  },
  source: SOURCE,
  work: life,
};

function life(given: z.output<typeof input>): Result<Worked<LifeWeibull>> {
  const { ages, inUnit, unit } = agesIn(given);
  const [failed, running] = [ages.failures.length, ages.running.length];
  if (failed < LEAST_FAILURES)
    return tooFew('failures', failed, LEAST_FAILURES, 'fewer say nothing of a life: count them only');
  const found = weibullOf(ages);
  if (!found)
    return inConflict(
      ['failures'],
      'All failed at nearly one age: no life fits that. Look for what they share.',
    );
  const { shape, scale, b10, shapeLow, shapeHigh } = found;
  const verdict = shapeHigh < 1 ? 'early deaths' : shapeLow > 1 ? 'wear' : 'cannot be told from chance';
  return ok({
    result: { verdict, shape, scale: inUnit(scale), b10: inUnit(b10), shapeLow, shapeHigh },
    steps: [
      line(
        'Shape',
        'Σ tᵝ ln t / Σ tᵝ − 1/β = mean of ln t of failures',
        `${failed} failed, ${running} did not, in ${unit}`,
        shape.toFixed(3),
      ),
      line('Scale', '(Σ tᵝ / failures)^(1/β)', `β ${shape.toFixed(3)}`, inUnit(scale)),
      line(
        'Bounds',
        'β · exp(± 1.645 se(ln β))',
        'by the observed information',
        `${shapeLow.toFixed(3)} to ${shapeHigh.toFixed(3)}`,
      ),
      line('B10', 'η (−ln 0.9)^(1/β)', `η ${scale.toPrecision(4)}`, inUnit(b10)),
    ],
    notes: [HELP[verdict], 'What is found failed at an inspection failed before it: ages are upper ends.'],
    source: SOURCE,
  });
}
