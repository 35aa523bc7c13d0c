import { z } from 'zod';
import { inConflict, ok, tooFew, type Result } from '../../problem';
import { formatNumber, quantity, si, type Ratio } from '../../quantity';
import { SPRING_LIMITS, SPRING_LENGTHS } from '../../standards';
import { choiceField, quantityField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  freeLength: quantityField('length', { label: 'Free length now', example: '6 in' }),
  newLength: quantityField('length', {
    label: 'Free length when new',
    example: '6 1/16 in',
    inExample: true,
  }).exactOptional(),
  outOfSquare: quantityField(
    'length',
    { label: 'Out of square', example: '0.1 in', inExample: true },
    'not negative',
  ).exactOptional(),
  of: choiceField(['any spring', 'a relief valve'], { label: 'Spring of' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface SpringLength {
  setLoss?: Ratio;
  outOfSquare?: Ratio;
  verdict: 'fit' | 'renew';
}

/** A spring does not grow: longer than new by more than this is another spring. */
const GROWN = 1.005;

/**
 * Whether a spring has set or leans: length lost since new to 2 %; out of square to 3 % of its length, in a relief valve
 * to 1.75 % (1°). Without the length when new only the lean is judged.
 * Errors: neither length when new nor lean; a spring longer than when it was new. Source: common practice.
 * Example: 6 in now, 6 1/16 in new, 0.1 in out of square → 1.03 % lost, 1.67 %, fit.
 */
export const springLength: Working<typeof input, SpringLength> = {
  id: 'spring.length',
  title: 'Spring: free length and squareness',
  asks: ['spring', 'free length', 'set', 'square', 'leans', 'relief spring'],
  meaning: 'Whether a spring has set or leans too much to go back in.',
  input,
  results: { setLoss: 'Length lost', outOfSquare: 'Out of square', verdict: 'Verdict' },
  source: SPRING_LENGTHS,
  work: length,
};

function length({ freeLength, newLength, outOfSquare, of }: Given): Result<Worked<SpringLength>> {
  if (!newLength && !outOfSquare)
    return tooFew('newLength', 1, 2, 'the length when new or how far it leans says whether it may go back');
  if (newLength && si(freeLength) > GROWN * si(newLength))
    return inConflict(['freeLength', 'newLength'], 'It is longer than when it was new: another spring?');
  const most = of === 'a relief valve' ? SPRING_LIMITS.reliefOutOfSquare : SPRING_LIMITS.outOfSquare;
  const loss = newLength && 1 - si(freeLength) / si(newLength);
  const lean = outOfSquare && si(outOfSquare) / si(freeLength);
  const isOver = (loss ?? 0) > SPRING_LIMITS.setLoss + 1e-9 || (lean ?? 0) > most + 1e-9;
  const share = (value: number): Ratio => quantity('ratio', value * 100, '%');
  const atMost = (value: number) => `at most ${formatNumber(value * 100, 2)} %`;
  return ok({
    result: {
      ...(loss === undefined ? {} : { setLoss: share(loss) }),
      ...(lean === undefined ? {} : { outOfSquare: share(lean) }),
      verdict: isOver ? 'renew' : 'fit',
    },
    steps: [
      ...(loss === undefined || !newLength
        ? []
        : [
            line(
              'Length lost since new',
              '1 − now / new',
              `1 − ${shown(freeLength)} / ${shown(newLength)}, ${atMost(SPRING_LIMITS.setLoss)}`,
              share(loss),
            ),
          ]),
      ...(lean === undefined || !outOfSquare
        ? []
        : [
            line(
              'Out of square',
              'lean / free length',
              `${shown(outOfSquare)} / ${shown(freeLength)}, ${atMost(most)}`,
              share(lean),
            ),
          ]),
    ],
    notes: [
      ...(newLength ? [] : ['Its length when new is not known: whether it has set is not judged.']),
      'Cracked, it is renewed whatever it measures. A set of springs is renewed as a set, never one of them.',
    ],
    source: SPRING_LENGTHS,
  });
}
