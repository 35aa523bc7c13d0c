import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { inches, si, valueIn, type Length } from '../../quantity';
import { CLEARANCE_LIMITS, CLEARANCES } from '../../standards';
import { choiceField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const KINDS = ['a guide', 'a hinge pin'] as const;

const input = z.strictObject({
  bore: quantityField('length', { label: 'Bore', example: '1.504 in' }),
  boreAcross: quantityField('length', {
    label: 'Bore, square to that',
    example: '1.505 in',
    inExample: true,
  }).exactOptional(),
  shaft: quantityField('length', { label: 'What runs in it', example: '1.498 in' }),
  shaftAcross: quantityField('length', {
    label: 'What runs in it, square to that',
    example: '1.497 in',
    inExample: true,
  }).exactOptional(),
  of: choiceField(KINDS, { label: 'Fit of' }).exactOptional(),
  newClearance: quantityField('length', {
    label: 'Clearance when new',
    example: '5 thou',
    inExample: true,
  }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface FitClearance {
  clearance: Length;
  limit: Length;
  verdict: 'fit' | 'renew';
}

const UNITS = { US: 'thou', SI: 'mm' } as const;

/**
 * Clearance of what runs in a bore: the largest bore less the smallest diameter, measured two ways. Limit of a guide:
 * twice the clearance when new where that is known, else 10 thou and 1 thou per inch of diameter. Limit of a hinge pin:
 * 30 thou or 2 % of the pin, whichever is less, but never less than when it was new.
 * Errors: a bore smaller than what runs in it. Source: common practice.
 * Example: 1.504/1.505 in over 1.498/1.497 in → 8 thou, limit 11.5 thou: fit.
 */
export const fitClearance: Working<typeof input, FitClearance> = {
  id: 'fit.clearance',
  title: 'Clearance of a guide, bushing or hinge pin',
  asks: ['clearance', 'guide', 'bushing', 'hinge pin', 'slack', 'worn', 'fit'],
  meaning: 'How much what runs in a bore has worn loose, and whether it still may.',
  input,
  results: { clearance: 'Clearance', limit: 'Limit', verdict: 'Verdict' },
  source: CLEARANCES,
  work: clearance,
};

function clearance(given: Given): Result<Worked<FitClearance>> {
  const { bore, shaft } = given;
  const largest = Math.max(si(bore), si(given.boreAcross ?? bore));
  const smallest = Math.min(si(shaft), si(given.shaftAcross ?? shaft));
  if (largest < smallest)
    return outOfRange('bore', shown(bore), `at least ${shown(shaft)}`, 'what runs in it would not go in');
  const sheet = sheetFor(bore, shaft);
  const small = (metres: number) => sheet.of('length', metres, UNITS);
  const whole = (metres: number) => sheet.of('length', metres, { US: 'in', SI: 'mm' });
  const found = small(largest - smallest);
  const allowed = limitOf(given);
  const limit = small(allowed.metres);
  return ok({
    result: {
      clearance: found,
      limit,
      verdict: largest - smallest > allowed.metres + 1e-9 ? 'renew' : 'fit',
    },
    steps: [
      line(
        'Clearance',
        'largest bore − smallest diameter',
        `${shown(whole(largest))} − ${shown(whole(smallest))}`,
        found,
      ),
      line('Limit', allowed.rule, shown(whole(si(shaft))), limit),
    ],
    notes:
      given.newClearance || given.of === 'a hinge pin'
        ? []
        : ['The clearance when new is not known: the rule of common practice stands in for it.'],
    source: CLEARANCES,
  });
}

function limitOf({ of = 'a guide', shaft, newClearance }: Given): { metres: number; rule: string } {
  const { twice, base, perInch, pin, pinShare } = CLEARANCE_LIMITS;
  const known = newClearance && si(newClearance);
  if (of === 'a hinge pin') {
    const usual = Math.min(si(inches(pin)), pinShare * si(shaft));
    return {
      metres: Math.max(usual, known ?? 0),
      rule: 'the less of 30 thou and 2 % of the pin, never less than when new',
    };
  }
  return known === undefined
    ? {
        metres: si(inches(base + perInch * valueIn(shaft, 'in'))),
        rule: '10 thou + 1 thou for each inch of diameter',
      }
    : { metres: twice * known, rule: 'twice the clearance when new' };
}
