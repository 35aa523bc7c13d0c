import { jointOf, type PartRole } from '../../valve';
import { arrivalOf } from '../blocks/arrival';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft, type Fragment } from '../draft';
import { ifThere } from '../relations';
import { rebuild, sequence, setUp, strip } from '../sequence';

const STEM = feature('rising stem wound by a handwheel');

/** A stem wound up through its bushing by a handwheel: out through the bonnet, and back. */
export const risingStem: Fragment = {
  name: 'rising stem',
  room: 'stem',
  openings: 'first',
  when: (features) => features.stem.motion === 'rising' && !jointOf(features).threadInYoke,
  compose: (c) => [...out(c), ...back(c), ...stroked(c)],
};

/** What the stem carries: the disc on its swivel, or the wedge in its slot. */
const carried = (c: Context): readonly PartRole[] => (c.has('wedge') ? ['wedge'] : ['disc']);

function out(c: Context): Draft[] {
  return [
    ...sequence(c, strip(STEM, ['marked'], 'wheel nut slack'), [
      {
        id: 'strip.wheel-nut',
        title: 'Slacken the handwheel nut',
        why: 'Easy while the valve still holds the stem.',
        parts: ['wheel nut'],
        minutes: 3,
      },
    ]),
    ...sequence(c, strip(STEM, ['bonnet lifted', 'wheel nut slack'], 'stem out'), [
      {
        id: 'strip.wheel',
        title: 'Wind to closed; nut and handwheel off',
        why: 'The stem then winds out downwards.',
        off: ['wheel nut', 'handwheel'],
        minutes: 5,
      },
      {
        id: 'strip.stem',
        title: 'Wind the stem out of the bonnet',
        why: 'By hand. If it binds, dress the thread rather than force it; a wrench only between disc and backseat, where a mark does no harm.',
        caution: CAUTIONS.stem,
        off: ['stem', ...carried(c)],
        also: ['wedge marked'],
        tools: ['soft jaws'],
        minutes: 6,
      },
    ]),
  ];
}

function back(c: Context): Draft[] {
  const wedge = c.has('wedge');
  return sequence(c, rebuild(STEM, ['stem repaired'], 'stem ready'), [
    {
      id: 'rebuild.stem-in',
      title: 'Grease; stem up, gland over it, through the bushing',
      why: 'Every moving and threaded part is greased before it is hidden.',
      on: ['stem', ...carried(c), 'gland', 'gland flange'],
      parts: ['stem bushing'],
      also: [ifThere(arrivalOf('stem bushing')), 'bushing in', 'wedge sided'],
      consumables: ['stem grease for the service'],
      minutes: 12,
    },
    {
      id: 'rebuild.wheel',
      title: 'Handwheel and nut on',
      why: 'To wind the stem with.',
      on: ['handwheel', 'wheel nut'],
      minutes: 4,
    },
    {
      id: 'rebuild.open',
      title: 'Wind to near full open',
      why: wedge
        ? 'The wedge is clear of its seats when the bonnet goes down.'
        : 'The disc is clear of the seat when the bonnet goes down.',
      caution: CAUTIONS.discOpen,
      parts: carried(c),
      minutes: 3,
    },
  ]);
}

function stroked(c: Context): Draft[] {
  return [
    ...sequence(c, rebuild(STEM, ['packed']), [
      {
        id: 'rebuild.grease-bushing',
        title: 'Grease the stem bushing',
        why: 'It carries the whole stem load in its thread.',
        parts: ['stem bushing'],
        consumables: ['stem grease for the service'],
        minutes: 3,
      },
    ]),
    ...sequence(c, setUp(feature('moved by a handwheel')), [
      {
        id: 'setup.stroke',
        title: 'Wind open, closed and open again',
        why: 'The same feel all the way; a tight place is a bent stem or a crooked gland.',
        caution: CAUTIONS.seatLoad,
        parts: ['handwheel', 'stem'],
        minutes: 5,
      },
    ]),
  ];
}
