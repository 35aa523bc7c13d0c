import { ok } from '../../problem';
import { inches, si } from '../../quantity';
import { opensByAir } from '../../valve';
import { seatRings, seatWedgeDrop } from '../../workings';
import type { Judge } from './judgement';

export const RINGS = { upper: 'upper seat bore', lower: 'lower seat bore' } as const;

/** The two rings of a double seat, by which is the larger. Air opens it: the plug comes out through the blind head. */
export const doubleSeatRings: Judge = {
  subject: 'seat rings',
  reads: Object.values(RINGS),
  judge: (readings, { features }) => {
    const [upper, lower] = [readings(RINGS.upper, 'length'), readings(RINGS.lower, 'length')];
    if (!upper || !lower) return undefined;
    const given = {
      upper,
      lower,
      opening: opensByAir(features) ? ('blind head' as const) : ('bonnet' as const),
    };
    const worked = seatRings.work(given);
    if (!worked.ok) return worked;
    const { larger, verdict } = worked.value.result;
    return ok({
      figures: [{ what: 'the larger ring', found: larger, verdict, source: worked.value.source }],
      working: seatRings.id,
      given,
      shown: worked.value,
    });
  },
};

export const WEDGE = { left: 'wear travel left' } as const;

/** A wedge pressed home: with none of its travel left it bottoms before it seals. */
export const wedgeTravel: Judge = {
  subject: 'wedge in its seats',
  reads: Object.values(WEDGE),
  part: 'wedge',
  judge: (readings) => {
    const left = readings(WEDGE.left, 'length');
    if (!left) return undefined;
    const given = { removed: inches(0), wearTravel: left };
    const worked = seatWedgeDrop.work(given);
    if (!worked.ok) return worked;
    return ok({
      figures: [
        {
          what: WEDGE.left,
          found: left,
          verdict: si(left) > 0 ? worked.value.result.verdict : 'renew',
          source: worked.value.source,
        },
      ],
      working: seatWedgeDrop.id,
      given,
      shown: worked.value,
    });
  },
};
