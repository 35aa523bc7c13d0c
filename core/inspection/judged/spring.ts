import { ok } from '../../problem';
import { quantity } from '../../quantity';
import { SPRING_LIMITS } from '../../standards';
import { makersLength } from '../../valve';
import { springLength } from '../../workings';
import type { Judge, Judged } from './judgement';

export const SPRING = { length: 'free length', lean: 'out of square' } as const;

const WHEN_NEW = 'free length of the spring';

/** The spring of a relief valve, by its free length and how far it leans. */
export const reliefSpring: Judge = {
  subject: 'spring',
  reads: Object.values(SPRING),
  part: 'spring',
  sheet: WHEN_NEW,
  judge: (readings, valve) => {
    const [freeLength, outOfSquare] = [readings(SPRING.length, 'length'), readings(SPRING.lean, 'length')];
    if (!freeLength || !outOfSquare) return undefined;
    const whenNew = makersLength(valve, WHEN_NEW);
    const given = {
      freeLength,
      outOfSquare,
      of: 'a relief valve' as const,
      ...(whenNew ? { newLength: whenNew.value } : {}),
    };
    const worked = springLength.work(given);
    if (!worked.ok) return worked;
    const { setLoss, outOfSquare: lean } = worked.value.result;
    const atMost = (share: number) => quantity('ratio', share * 100, '%');
    const judged = (what: string, found: Judged['found'], share: number, most: number): Judged => ({
      what,
      found,
      limit: atMost(most),
      verdict: share > most + 1e-9 ? 'renew' : 'fit',
      source: worked.value.source,
    });
    return ok({
      figures: [
        ...(setLoss
          ? [judged('length lost since new', setLoss, setLoss.value / 100, SPRING_LIMITS.setLoss)]
          : []),
        ...(lean ? [judged('out of square', lean, lean.value / 100, SPRING_LIMITS.reliefOutOfSquare)] : []),
      ],
      working: springLength.id,
      given,
      shown: worked.value,
    });
  },
};
