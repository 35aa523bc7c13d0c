import type { PartRole } from '../../valve';
import { CAUTIONS } from '../cautions';
import { closureProcedure } from '../closures';
import { feature, type Context, type Fragment } from '../draft';
import { rebuild, sequence, strip } from '../sequence';

const STEM = feature('stem slid by an actuator, its disc or wedge on the end');

/** A disc or wedge on a stem that an actuator slides: out with the bonnet, and back before it goes down. */
export const slidingStem: Fragment = {
  name: 'sliding stem',
  room: 'stem',
  openings: 'every',
  when: (features) => features.stem.motion === 'sliding' && closureProcedure(features).hangsOnStem === true,
  compose: (c) => [
    ...sequence(c, strip(STEM, ['bonnet off'], 'stem out'), [
      {
        id: 'strip.stem',
        title: `Stem and ${carried(c)} out of the bonnet`,
        why: 'Downwards; the packing is renewed with it.',
        caution: CAUTIONS.grip,
        off: ['stem', carried(c)],
        minutes: 5,
      },
    ]),
    ...sequence(c, rebuild(STEM, ['stem repaired', 'wedge sided'], 'stem ready'), [
      {
        id: 'rebuild.stem-in',
        title: `Stem with its ${carried(c)} up through the bonnet`,
        why: 'Greased where it is guided, dry where packing runs.',
        consumables: ['stem grease for the service'],
        on: ['stem', carried(c)],
        minutes: 6,
      },
    ]),
  ],
};

const carried = (c: Context): PartRole => (c.has('wedge') ? 'wedge' : 'disc');
