import { z } from 'zod';
import { inConflict, ok, tooFew, type Result } from '../../problem';
import { quantity, si, valueIn, type Time } from '../../quantity';
import { standard } from '../../standards';
import { amountField, choicesField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const OUTCOMES = ['good', 'high', 'low', 'stuck', 'dirty', 'leaking'] as const;
type Outcome = (typeof OUTCOMES)[number];

const input = z.strictObject({
  lastInterval: amountField('time', 'month', { label: 'Interval until now', example: '24 months' }),
  history: choicesField(
    OUTCOMES,
    { label: 'As found, oldest first', example: 'good; high; good' },
    {
      ok: 'good',
      clean: 'good',
      fit: 'good',
      'popped high': 'high',
      'stuck shut': 'stuck',
      fouled: 'dirty',
    },
  ),
  limit: amountField('time', 'month', { label: 'Longest the site or the law allows', example: '60 months' }),
});

export interface NextInterval {
  interval: Time;
  reason: string;
}

const API_RP_576 = standard('API RP 576', 'inspection intervals of relief valves', 'medium');

/** Intervals that shops keep, months. */
const LADDER = [1, 2, 3, 6, 9, 12, 18, 24, 30, 36, 48, 60, 72, 84, 96, 108, 120] as const;
const GOOD_TO_LENGTHEN = 2;

/**
 * The next interval from how a relief valve was found: good may lengthen by a step; high, low, dirty or leaking shortens
 * by a step; stuck halves, and something is done at once; after a bad one two good ones lengthen again. Never beyond
 * the limit. Steps, months: 1 2 3 6 9 12 18 24 30 36 48 60 … 120.
 * Errors: an empty history. Source: API RP 576 for the principle; the steps are common practice.
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
  const move = moveFor(found, given.history, last);
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

function moveFor(found: Outcome, history: readonly Outcome[], last: number): Move {
  if (found === 'stuck') return { months: last / 2, reason: 'found stuck: half the interval' };
  if (found !== 'good') return { months: shorter(last), reason: `found ${found}: a step shorter` };
  const sinceBad = [...history].reverse().findIndex((each) => each !== 'good');
  if (sinceBad >= 0 && sinceBad < GOOD_TO_LENGTHEN)
    return { months: last, reason: `good, but only ${sinceBad} good since one was not: the same again` };
  return {
    months: longer(last),
    reason: sinceBad < 0 ? 'always found good: a step longer' : 'two good ones: a step longer',
  };
}

const longer = (months: number): number => LADDER.find((rung) => rung > months + 1e-6) ?? months;
const shorter = (months: number): number => LADDER.findLast((rung) => rung < months - 1e-6) ?? months / 2;
