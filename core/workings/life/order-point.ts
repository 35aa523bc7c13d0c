import { z } from 'zod';
import { poissonQuantile } from '../../analysis';
import { ok, type Result } from '../../problem';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { factorField, numberField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  perYear: numberField({ label: 'Jobs a year that take it', example: '12' }, 0, 100_000),
  leadDays: numberField({ label: 'Days from order to shelf', example: '30' }, 0, 3650),
  chance: factorField({ label: 'Chance that it is there', example: '95 %' }, 0.5, 0.9999),
  pieces: numberField({ label: 'Pieces that a job takes', example: '1' }, 1, 1000, true).exactOptional(),
});

export interface OrderPoint {
  orderPoint: number;
  /** Jobs that will want it while an order is on its way. */
  expected: number;
}

const SOURCE: Source = {
  ...COMMON_PRACTICE,
  name: 'Order point of a part that is wanted now and then (Poisson)',
};
const DAYS_A_YEAR = 365;

/**
 * At how many, on hand and on order, to order: as many as the jobs of the lead time want with this chance, by Poisson.
 * Not for parts that every job of a type takes. Errors: a chance under 50 %. Source: common practice.
 * Example: 12 a year, 30 days, 95 % → 0.986 expected, 3.
 */
export const stockOrderPoint: Working<typeof input, OrderPoint> = {
  id: 'stock.order-point',
  title: 'When to order a spare',
  asks: ['order point', 'spares', 'stock', 'lead time', 'how many to keep', 'reorder'],
  meaning: 'How many of a part to have on hand and on order, so that it is there when a job wants it.',
  input,
  results: { orderPoint: 'Order at', expected: 'Wanted in the lead time' },
  source: SOURCE,
  work: point,
};

function point({
  perYear,
  leadDays,
  chance,
  pieces = 1,
}: z.output<typeof input>): Result<Worked<OrderPoint>> {
  const expected = (perYear * leadDays) / DAYS_A_YEAR;
  const jobs = poissonQuantile(expected, chance);
  const orderPoint = jobs * pieces;
  const percent = `${Number((100 * chance).toPrecision(4))} %`;
  return ok({
    result: { orderPoint, expected },
    steps: [
      line(
        'Wanted in the lead time',
        'jobs a year × days / 365',
        `${perYear} × ${leadDays} / 365`,
        expected.toFixed(3),
      ),
      line(
        'Order at',
        `smallest count with P ≥ ${percent}, times pieces`,
        `${jobs} × ${pieces}`,
        String(orderPoint),
      ),
    ],
    notes: [
      'Stock on hand + on order − promised to jobs: at or below this, order.',
      'Parts that every job of a type takes come from the planned jobs instead.',
    ],
    source: SOURCE,
  });
}
