import type { Valve } from '@dusk-wren/core/valve';
import { moverOnShaft } from '../movers';
import { flowAt, studs, throughBody } from '../sections/body';
import { glandOn, packingIn, proportions } from '../sections/bonnet';
import { CX, both, box, circle, mid, poly, rings, shape, shifted, threads, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A lubricated taper plug, reached from below, its gland on top. */
export const taperPlug = (valve: Valve): Piece =>
  together(taperTrim(valve), shifted(moverOnShaft(valve.features), -192));

function taperTrim(valve: Valve): Piece {
  const axis = 120;
  const p = { ...proportions(valve), stem: 12, bore: 26 };
  return {
    shapes: [
      ...throughBody({ axis, bore: 40, cavity: 92, bottom: 224, open: true, flange: 126 }).filter(
        (_, i) => i > 1,
      ),
      ...both(
        'body',
        poly(
          [30, axis - 70],
          [46, axis - 70],
          [46, axis - 56],
          [150, axis - 56],
          [176, 8],
          [196, 8],
          [196, -70],
          [CX - p.bore, -70],
          [CX - p.bore, -14],
          [216, -14],
          [216, 12],
          [188, 22],
          [172, axis - 40],
          [30, axis - 40],
        ),
      ),
      shape(
        'plug',
        `${poly([190, 26], [270, 26], [284, axis - 34], [176, axis - 34])} ${poly([166, axis + 34], [294, axis + 34], [308, 206], [152, 206])} ${poly([176, axis - 34], [190, axis - 34], [182, axis + 34], [166, axis + 34])} ${poly([270, axis - 34], [284, axis - 34], [294, axis + 34], [278, axis + 34])}`,
        'hatch-back',
      ),
      shape('stem', `${mid(p.stem, -150, 150)} ${mid(20, 0, 24)}`, 'hatch'),
      ...rings('stem O-rings', 14, -6, 6),
      ...rings('stem O-rings', 14, 6, 6),
      ...packingIn(valve.features, p, -62, -16),
      ...glandOn(p, -70, 30).filter(({ role }) => role === 'gland'),
      ...both('gland', box(178, -96, 38, 12), 'hatch-back'),
      ...both('gland bolts', `${box(184, -112, 6, 50)} ${box(178, -106, 18, 10)}`, 'solid'),
      ...both('locking ring', box(208, -104, 9, 6), 'solid'),
      shape('grease injector', `${mid(7, -186, 38)} ${mid(12, -192, 10)}`, 'hatch-back'),
      shape('thrust washer', mid(40, 207, 6), 'solid'),
      shape(
        'thrust spring',
        `${circle(206, 216, 3)} ${circle(218, 216, 3)} ${circle(242, 216, 3)} ${circle(254, 216, 3)}`,
        'solid',
      ),
      ...both(
        'cover plate',
        poly([104, 226], [200, 226], [200, 232], [230, 232], [230, 246], [104, 246]),
        'hatch',
      ),
      shape('plate spacer', mid(34, 220, 6), 'solid'),
      ...both('cover gasket', box(136, 220, 20, 6), 'solid'),
      ...both('cap', poly([150, 252], [216, 252], [216, 276], [150, 276]), 'hatch-back'),
      shape('cap spacer', mid(26, 246, 6), 'solid'),
      shape('adjusting screw', `${mid(11, 250, 52)} ${mid(18, 302, 10)}`, 'hatch'),
      ...studs('cap bolts', 114, 196, 68),
    ],
    thin: threads(219, 241, 254, 5, 8),
    flow: flowAt(axis),
    touch: {
      plug: [230, 176],
      body: [60, axis + 48],
      stem: [230, -128],
      'cover plate': [170, 238],
      cap: [170, 264],
      'thrust spring': [210, 216],
      gland: [190, -90],
    },
    away: {
      'cover plate': 'down',
      'plate spacer': 'down',
      'cover gasket': 'down',
      cap: 'down',
      'cap spacer': 'down',
      'adjusting screw': 'down',
      'cap bolts': 'down',
      plug: 'down',
      'thrust washer': 'down',
      'thrust spring': 'down',
      stem: 'down',
      'stem O-rings': 'down',
    },
  };
}
