import { z } from 'zod';
import { ok, outOfRange, type Result } from '../../problem';
import { inches, si, type Length } from '../../quantity';
import { STEM_WEAR, STEM_WEAR_LIMITS } from '../../standards';
import { quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  unworn: quantityField('length', { label: 'Diameter where nothing rubs', example: '1 in' }),
  worn: quantityField('length', { label: 'Smallest diameter in the packing', example: '0.997 in' }),
});

export interface StemWear {
  wear: Length;
  limit: Length;
  verdict: 'fit' | 'renew';
}

/** What packing can have taken off a stem; more is another stem, or a slip. */
const MOST_SHARE = 0.1;

/**
 * Wear of a stem along its packing: its diameter where nothing rubs less the smallest where packing runs. Limit: 2 % of
 * the diameter or 5 thou, whichever is less. Errors: thicker in the packing than beside it; a tenth of it gone.
 * Source: common practice. Example: 1 in, 0.997 in → 3 thou, limit 5 thou: fit.
 */
export const stemWear: Working<typeof input, StemWear> = {
  id: 'stem.wear',
  title: 'Wear of a stem in its packing',
  asks: ['stem', 'worn', 'packing zone', 'diameter', 'necked', 'micrometer'],
  meaning: 'How much packing has taken off a stem, and whether new packing will still hold on it.',
  input,
  results: { wear: 'Wear', limit: 'Limit', verdict: 'Verdict' },
  source: STEM_WEAR,
  work: ({ unworn, worn }): Result<Worked<StemWear>> => {
    const gone = si(unworn) - si(worn);
    if (gone < -si(inches(STEM_WEAR_LIMITS.reading)))
      return outOfRange(
        'worn',
        shown(worn),
        `at most ${shown(unworn)}`,
        'packing takes metal off, it adds none',
      );
    if (gone > MOST_SHARE * si(unworn))
      return outOfRange('worn', shown(worn), `at least nine tenths of ${shown(unworn)}`, 'another stem?');
    const sheet = sheetFor(unworn, worn);
    const small = (metres: number) => sheet.of('length', metres, { US: 'thou', SI: 'mm' });
    const most = Math.min(STEM_WEAR_LIMITS.share * si(unworn), si(inches(STEM_WEAR_LIMITS.most)));
    const [wear, limit] = [small(Math.max(0, gone)), small(most)];
    return ok({
      result: { wear, limit, verdict: gone > most + 1e-9 ? 'renew' : 'fit' },
      steps: [
        line('Wear', 'unworn − smallest in the packing', `${shown(unworn)} − ${shown(worn)}`, wear),
        line('Limit', 'the less of 2 % of the diameter and 5 thou', shown(unworn), limit),
      ],
      notes: [],
      source: STEM_WEAR,
    });
  },
};
