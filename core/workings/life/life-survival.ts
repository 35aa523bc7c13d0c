import { z } from 'zod';
import { survivalOf } from '../../analysis';
import { ok, tooFew, type Result } from '../../problem';
import { COMMON_PRACTICE, type Source } from '../../standards';
import type { Time } from '../../quantity';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';
import { agesAsked, agesIn } from './ages-asked';

const input = z.strictObject(agesAsked);

export interface LifeSurvival {
  times: Time[];
  /** The share that outlives each of them. */
  survival: number[];
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Survival by Kaplan and Meier 1958' };

/**
 * What share of a part outlives an age, just after each age at which one failed; what was still running, or went for
 * another cause, is at risk until then. Errors: no failure. Source: Kaplan and Meier 1958.
 * Example: failed 6 6 6 7 10 13 16 22 23, running 6 9 10 11 17 19 20 25 32 32 34 35 → .857 .807 .753 .690 .627 .538 .448.
 */
export const lifeSurvival: Working<typeof input, LifeSurvival> = {
  id: 'life.survival',
  title: 'How many outlive an age',
  asks: ['survival', 'life', 'kaplan', 'reliability', 'how many last', 'failures'],
  meaning: 'What share of a part outlives an age, from those that failed and those that still run.',
  input,
  results: { times: 'Ages of failures', survival: 'Share that outlives them' },
  source: SOURCE,
  work: survive,
};

function survive(given: z.output<typeof input>): Result<Worked<LifeSurvival>> {
  const { ages, inUnit } = agesIn(given);
  if (ages.failures.length === 0) return tooFew('failures', 0, 1, 'where nothing failed, all outlive all');
  const steps = survivalOf(ages);
  return ok({
    result: { times: steps.map(({ age }) => inUnit(age)), survival: steps.map(({ survival }) => survival) },
    steps: steps.map(({ age, survival, failed, atRisk }) =>
      line(
        'At a failure',
        'S × (1 − failed / at risk)',
        `${failed} of ${atRisk}, at ${age}`,
        survival.toFixed(3),
      ),
    ),
    notes: ['What is found failed at an inspection failed before it: its age is an upper end.'],
    source: SOURCE,
  });
}
