import { z } from 'zod';
import { inConflict, ok, tooFew, type Result } from '../../problem';
import { quantity, si, valueIn, type Time } from '../../quantity';
import { standard } from '../../standards';
import { amountField, amountsField, choicesField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

/** How a valve can be found. */
export const AS_FOUND_OUTCOMES = ['good', 'high', 'low', 'stuck', 'dirty', 'leaking', 'outside'] as const;
type Outcome = (typeof AS_FOUND_OUTCOMES)[number];

const input = z.strictObject({
  lastInterval: amountField('time', 'month', { label: 'Interval until now', example: '24 months' }),
  history: choicesField(
    AS_FOUND_OUTCOMES,
    { label: 'As found, oldest first', example: 'good; high; good' },
    {
      ok: 'good',
      clean: 'good',
      fit: 'good',
      'popped high': 'high',
      'stuck shut': 'stuck',
      fouled: 'dirty',
      'out of limits': 'outside',
    },
  ),
  limit: amountField('time', 'month', { label: 'Longest the site or the law allows', example: '60 months' }),
  ladder: amountsField(
    'time',
    'month',
    { label: 'Rungs of the site’s ladder', example: '12 months; 24 months; 36 months; 60 months' },
    40,
  ).exactOptional(),
});

export interface NextInterval {
  interval: Time;
  reason: string;
}

const API_RP_576 = standard('API RP 576', 'inspection intervals of relief valves', 'medium');

/** Intervals that shops keep, months: the steps where no site gives its ladder. */
const USUAL_STEPS = [1, 2, 3, 6, 9, 12, 18, 24, 30, 36, 48, 60, 72, 84, 96, 108, 120] as const;
const GOOD_TO_LENGTHEN = 2;

/**
 * The next interval from how a relief valve was found: good may lengthen by a step; high, low, dirty or leaking shortens
 * by a step; stuck goes to the shortest rung of the site's ladder, or halves without one, and something is done at once;
 * after a bad one two good ones lengthen again. An interval between rungs moves to the next rung that way. Never beyond
 * the limit, nor longer after a bad one. Steps without a ladder, months: 1 2 3 6 9 12 18 24 30 36 48 60 … 120.
 * Errors: an empty history; an empty ladder. Source: API RP 576 for the principle; the steps are common practice.
 * Example: 24 months, good → 30; high → 18; stuck → 12.
 */
export const intervalNext: Working<typeof input, NextInterval> = {
  id: 'interval.next',
  title: 'Next interval of a relief valve',
  asks: ['interval', 'due', 'how often', 'next inspection', 'relief', 'as found'],
  meaning: 'When to look at it again, from how it was found.',
  input,
  results: { interval: 'Next interval', reason: 'Because' },
  source: API_RP_576,
  work: next,
};

interface Move {
  months: number;
  reason: string;
}

function next(given: z.output<typeof input>): Result<Worked<NextInterval>> {
  const found = given.history.at(-1);
  if (found === undefined) return tooFew('history', 0, 1, 'the next interval follows from how it was found');
  const [last, limit] = [valueIn(given.lastInterval, 'month'), valueIn(given.limit, 'month')];
  if (si(given.lastInterval) > 50 * si(quantity('time', 1, 'year')))
    return inConflict(['lastInterval'], 'No valve waits fifty years.');
  if (given.ladder?.length === 0) return tooFew('ladder', 0, 1, 'a ladder has rungs');
  const move = moveFor(found, given.history, last, stepsOf(given.ladder));
  const capped = move.months > limit + 1e-9;
  const months = Math.min(move.months, limit);
  const reason = capped ? `${move.reason}; held at the limit` : move.reason;
  const inUnit = (value: number): Time => {
    const asked = given.lastInterval.unit === 'year' ? 'year' : 'month';
    return quantity('time', asked === 'year' ? value / 12 : value, asked);
  };
  const interval = inUnit(months);
  return ok({
    result: { interval, reason },
    steps: [
      line('As found', 'the last one counts, and the ones before it', given.history.join(', '), found),
      line('By the rule', move.reason, shown(given.lastInterval), inUnit(move.months)),
      line('Limit', 'the site’s or the law’s', shown(given.limit), interval),
    ],
    notes:
      found === 'stuck'
        ? [
            'Stuck shut (not open at 150 % of its test pressure): the vessel was not protected. Act at once, and say so.',
          ]
        : [],
    source: API_RP_576,
  });
}

/** The steps to go by, months, the shortest first. */
interface Steps {
  readonly rungs: readonly number[];
  /** Where a stuck one goes. */
  readonly afterStuck: (last: number) => Move;
}

function stepsOf(ladder: readonly Time[] | undefined): Steps {
  if (!ladder)
    return {
      rungs: USUAL_STEPS,
      afterStuck: (last) => ({ months: last / 2, reason: 'found stuck: half the interval' }),
    };
  const rungs = ladder.map((rung) => valueIn(rung, 'month')).sort((a, b) => a - b);
  const shortest = rungs[0] ?? 0;
  return {
    rungs,
    afterStuck: (last) => ({
      months: Math.min(last, shortest),
      reason: 'found stuck: the shortest rung of the ladder',
    }),
  };
}

function moveFor(
  found: Outcome,
  history: readonly Outcome[],
  last: number,
  { rungs, afterStuck }: Steps,
): Move {
  if (found === 'stuck') return afterStuck(last);
  if (found !== 'good') {
    const months = shorter(rungs, last);
    return {
      months,
      reason: `found ${found}: ${isSame(months, last) ? 'the shortest there is' : 'a step shorter'}`,
    };
  }
  const sinceBad = [...history].reverse().findIndex((each) => each !== 'good');
  if (sinceBad >= 0 && sinceBad < GOOD_TO_LENGTHEN)
    return { months: last, reason: `good, but only ${sinceBad} good since one was not: the same again` };
  const months = longer(rungs, last);
  const because = sinceBad < 0 ? 'always found good' : 'two good ones';
  return { months, reason: `${because}: ${isSame(months, last) ? 'the longest there is' : 'a step longer'}` };
}

const isSame = (a: number, b: number): boolean => Math.abs(a - b) <= SAME;

/** The next rung up; where there is none, the same again. */
const longer = (rungs: readonly number[], months: number): number =>
  rungs.find((rung) => rung > months + SAME) ?? months;
/** The next rung down; under the lowest of the usual steps half of it, at the lowest of a ladder the same again. */
const shorter = (rungs: readonly number[], months: number): number =>
  rungs.findLast((rung) => rung < months - SAME) ?? (rungs === USUAL_STEPS ? months / 2 : months);
const SAME = 1e-6;
