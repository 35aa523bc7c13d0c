import type { PartRole } from '../../valve';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft, type Fragment } from '../draft';
import { rebuild, sequence, strip } from '../sequence';

const SHAFT = feature('trim on a shaft, reached without a bonnet');

/** A plug or vane on a shaft through a packed box: shaft drawn, trim out through the flange end. */
export const rotaryTrim: Fragment = {
  name: 'rotary trim',
  openings: 'every',
  when: ({ closure }) => closure.kind === 'spherical-plug' || closure.kind === 'vane',
  compose: (c) => {
    if (c.condemned && c.opening.number > 1) return [];
    return [...apart(c), ...(c.condemned ? [] : together(c))];
  },
};

const turned = (c: Context): PartRole => (c.has('vane') ? 'vane' : 'plug');
const word = (c: Context) => (c.has('vane') ? 'disc' : 'plug');

function apart(c: Context): Draft[] {
  const plug = c.has('plug');
  return sequence(c, strip(SHAFT, ['marked', 'actuator off'], 'stem out', 'trim out'), [
    {
      id: 'strip.gland-nuts',
      title: 'Gland nuts off',
      why: 'Takes the packing’s grip off the shaft.',
      caution: CAUTIONS.gland,
      off: ['gland nuts'],
      minutes: 4,
    },
    plug && {
      id: 'strip.box-ring',
      title: 'Pin out of the bonnet, packing box ring out',
      why: 'The pin holds the ring so that the shaft cannot blow out.',
      caution: 'With pressure in the body this pin is all that holds the shaft: prove zero again.',
      off: ['shaft retaining pin', 'packing box ring'],
      minutes: 5,
    },
    {
      id: 'strip.shaft',
      title: `Drive the shaft out; ${word(c)} out through the flange end`,
      why: plug
        ? 'The arms of the plug flex to seat it: do not lever on them.'
        : 'Hold the disc: its edge is its seat.',
      caution: 'A brass drift only.',
      tools: ['brass drift'],
      off: ['shaft', turned(c), 'shaft bushes'],
      minutes: 15,
    },
    plug
      ? {
          id: 'strip.seat-ring',
          title: 'Seat retainer out, seat ring and gasket out',
          why: 'The gasket goes to scrap.',
          tools: ['retainer wrench'],
          off: ['seat retainer', 'seat ring', 'seat gasket'],
          minutes: 12,
        }
      : {
          id: 'strip.liner',
          title: 'Seat liner out',
          why: 'Always new: the edge has cut its line in it.',
          off: ['seat liner'],
          minutes: 8,
        },
  ]);
}

function together(c: Context): Draft[] {
  const plug = c.has('plug');
  return sequence(c, rebuild(SHAFT, ['rebuild.clean', 'stem repaired'], 'trim in', 'closed'), [
    plug
      ? {
          id: 'rebuild.seat-ring',
          title: 'New seat gasket, seat ring, retainer hand-tight',
          why: 'Left hand-tight until the plug has found its place on it.',
          on: ['seat gasket', 'seat ring', 'seat retainer'],
          minutes: 10,
        }
      : {
          id: 'rebuild.liner',
          title: 'New seat liner',
          why: 'Dry and free of folds.',
          on: ['seat liner'],
          minutes: 8,
        },
    {
      id: 'rebuild.shaft',
      title: `Bushes in, ${word(c)} in, shaft through to the mark`,
      why: 'Marks on shaft and lever meet again only one way.',
      on: ['shaft bushes', turned(c), 'shaft'],
      minutes: 15,
    },
    plug && {
      id: 'rebuild.box-ring',
      title: 'Packing box ring and its pin',
      why: 'It is what keeps the shaft in.',
      caution: 'Without the pin the shaft can blow out.',
      on: ['packing box ring', 'shaft retaining pin'],
      minutes: 5,
    },
    plug && {
      id: 'rebuild.seat-centre',
      title: 'Close the plug by hand, then tighten the seat retainer',
      why: 'The plug centres the ring. It turns through 50° and its arms flex: more thrust seats it harder.',
      tools: ['retainer wrench'],
      parts: ['plug', 'seat ring', 'seat retainer'],
      minutes: 8,
    },
  ]);
}
