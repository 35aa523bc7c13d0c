import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { formatNumber, valueIn } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { amountField, numberField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const money = (label: string, example: string) => numberField({ label, example }, 0, 1e9);
const time = <U extends 'h' | 'd'>(unit: U, label: string, example: string) =>
  amountField('time', unit, { label, example }, 'not negative');

const input = z.strictObject({
  hours: time('h', 'Hours to repair', '6 h'),
  rate: money('Cost of an hour', '85'),
  consumables: money('Consumables', '40'),
  waitDays: time('d', 'Wait for the lathe', '1 d'),
  price: money('Price of the new part', '900'),
  leadDays: time('d', 'Lead time of the part', '10 d'),
  spareDays: time('d', 'Days to spare before it is due', '6 d'),
  delayCost: money('Cost of a day late', '250'),
  fittingHours: time('h', 'Hours to fit it', '1 h'),
});

type Given = z.output<typeof input>;

export interface RepairOrRenew {
  repairCost: number;
  renewCost: number;
  choice: 'repair' | 'renew';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Both sums, side by side' };

/**
 * Repair or renew: repair = hours × rate + consumables + days late × cost of a day; renew = price + days late × cost of a
 * day + fitting hours × rate; days late are the wait, or the lead time, less the days to spare. Money in the site's own currency.
 * Errors: negative amounts. Source: common practice; the site's policy overrides.
 * Example: 6 h at 85, 40, 1 day at 250 → 800; 900 + 4 × 250 + 85 → 1985: repair.
 */
export const repairOrRenew: Working<typeof input, RepairOrRenew> = {
  id: 'repair.or-renew',
  title: 'Repair or renew',
  asks: ['repair', 'renew', 'cost', 'cheaper', 'lead time', 'worth it'],
  meaning: 'Which is cheaper when the wait is counted: repairing the part or a new one.',
  input,
  results: { repairCost: 'Repair costs', renewCost: 'Renewing costs', choice: 'Choice' },
  source: SOURCE,
  work: compare,
};

function compare(given: Given): Result<Worked<RepairOrRenew>> {
  const [hours, fitting] = [valueIn(given.hours, 'h'), valueIn(given.fittingHours, 'h')];
  const [wait, lead, spare] = [given.waitDays, given.leadDays, given.spareDays].map((each) =>
    valueIn(each, 'd'),
  ) as [number, number, number];
  const late = Math.max(0, lead - spare);
  const waited = Math.max(0, wait - spare);
  const repairCost = hours * given.rate + given.consumables + waited * given.delayCost;
  const renewCost = given.price + late * given.delayCost + fitting * given.rate;
  const choice = repairCost <= renewCost ? 'repair' : 'renew';
  const sum = (value: number) => formatNumber(value, 2);
  return ok({
    result: { repairCost, renewCost, choice },
    steps: [
      line(
        'Repair',
        'hours × rate + consumables + (wait − days to spare, not below 0) × cost of a day',
        `${sum(hours)} × ${given.rate} + ${given.consumables} + ${sum(waited)} × ${given.delayCost}`,
        sum(repairCost),
      ),
      line(
        'Days late with a new part',
        'lead time − days to spare, not below 0',
        `${sum(lead)} − ${sum(spare)}`,
        sum(late),
      ),
      line(
        'Renew',
        'price + days late × cost of a day + fitting hours × rate',
        `${given.price} + ${sum(late)} × ${given.delayCost} + ${sum(fitting)} × ${given.rate}`,
        sum(renewCost),
      ),
      line(
        'Choice',
        'the smaller; repair when they are the same',
        `${sum(repairCost)} against ${sum(renewCost)}`,
        choice,
      ),
    ],
    notes: [
      'The site’s policy overrides (such as: all trim new above class 900). A cracked part is never repaired.',
    ],
    source: SOURCE,
  });
}
