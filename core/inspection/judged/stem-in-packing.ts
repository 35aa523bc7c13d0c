import { ok } from '../../problem';
import { inches } from '../../quantity';
import { SNUG_WITHIN_IN } from '../../standards';
import { packingRings, stemWear } from '../../workings';
import type { PartRole } from '../../valve';
import type { Judge } from './judgement';

export const STEM = { unworn: 'stem diameter', worn: 'smallest in the packing' } as const;
export const BOX = { bore: 'box bore', depth: 'box depth', entry: 'gland entry' } as const;

/** What runs in the packing, by what packing has taken off it. */
export const wornInPacking = (part: PartRole): Judge => ({
  subject: `${part} in the packing`,
  reads: Object.values(STEM),
  part,
  judge: (readings) => {
    const [unworn, worn] = [readings(STEM.unworn, 'length'), readings(STEM.worn, 'length')];
    if (!unworn || !worn) return undefined;
    const given = { unworn, worn };
    const worked = stemWear.work(given);
    if (!worked.ok) return worked;
    const { wear, limit, verdict } = worked.value.result;
    return ok({
      figures: [{ what: 'wear', found: wear, limit, verdict, source: worked.value.source }],
      working: stemWear.id,
      given,
      shown: worked.value,
    });
  },
});

/** The box: whether a section of packing fits it. */
export const packedBoxSection: Judge = {
  subject: 'stuffing box',
  reads: [STEM.unworn, ...Object.values(BOX)],
  judge: (readings) => {
    const [stem, bore] = [readings(STEM.unworn, 'length'), readings(BOX.bore, 'length')];
    const [depth, glandEntry] = [readings(BOX.depth, 'length'), readings(BOX.entry, 'length')];
    if (!stem || !bore || !depth || !glandEntry) return undefined;
    const given = { stem, bore, depth, glandEntry };
    const worked = packingRings.work(given);
    if (!worked.ok) return worked;
    const { section, snug } = worked.value.result;
    return ok({
      figures: [
        {
          what: snug ? 'section, as sold' : 'section, none sold within',
          found: section,
          limit: snug ? undefined : inches(SNUG_WITHIN_IN),
          verdict: snug ? 'fit' : 'ask',
          source: worked.value.source,
        },
      ],
      working: packingRings.id,
      given,
      shown: worked.value,
    });
  },
};
