import { ok } from '../../problem';
import { compare, type Length } from '../../quantity';
import { boreWear } from '../../workings';
import type { Judge, Judged } from './judgement';

const DEPTHS = ['at the top', 'in the middle', 'at the bottom'] as const;
const DIRECTIONS = ['along', 'across'] as const;

export const NOMINAL_BORE = 'bore when new';

/** Three depths, two directions, in the order that an inside micrometer is carried down. */
export const BORE_PLACES = DEPTHS.flatMap((depth) =>
  DIRECTIONS.map((direction) => ({ depth, direction, what: `bore ${depth}, ${direction}` })),
);

/** The bore of a cylinder, by taper, out-of-round and wear. */
export const cylinderBore: Judge = {
  subject: 'cylinder bore',
  reads: [NOMINAL_BORE, ...BORE_PLACES.map(({ what }) => what)],
  part: 'cylinder',
  judge: (readings) => {
    const nominal = readings(NOMINAL_BORE, 'length');
    const taken = BORE_PLACES.flatMap(({ depth, direction, what }) => {
      const diameter = readings(what, 'length');
      return diameter ? [{ depth, direction, diameter }] : [];
    });
    if (!nominal || taken.length < BORE_PLACES.length) return undefined;
    const worked = boreWear.work({ nominal, readings: taken });
    if (!worked.ok) return worked;
    const { taper, outOfRound, wear, limit } = worked.value.result;
    const judged = (what: string, found: Length): Judged => ({
      what,
      found,
      limit,
      verdict: compare(found, limit) > 0 ? 'renew' : 'fit',
      source: worked.value.source,
    });
    return ok({
      figures: [judged('taper', taper), judged('out of round', outOfRound), judged('wear over new', wear)],
      working: boreWear.id,
      given: { nominal },
      shown: worked.value,
    });
  },
};
