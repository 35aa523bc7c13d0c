import type { Valve } from '@dusk-wren/core/valve';
import { studs } from '../sections/body';
import { both, box, circle, coil, mid, poly, shape, threads, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A safety or relief valve: cap and lever, spring in its bonnet, disc on a nozzle, outlet to the side. */
export function reliefDisc({ features }: Valve): Piece {
  const lever = 'liftingLever' in features.moved && features.moved.liftingLever;
  return together(
    {
      shapes: [
        ...both(
          'body',
          poly(
            [120, 0],
            [172, 0],
            [172, 20],
            [160, 80],
            [160, 150],
            [196, 168],
            [196, 236],
            [150, 236],
            [150, 252],
            [120, 252],
            [120, 232],
            [176, 222],
            [176, 182],
            [144, 158],
            [144, 20],
            [120, 20],
          ),
        ).slice(0, 1),
        shape(
          'body',
          poly(
            [340, 0],
            [288, 0],
            [288, 20],
            [300, 40],
            [410, 40],
            [410, 24],
            [430, 24],
            [430, 54],
            [300, 54],
            [300, 56],
            [290, 20],
          ),
          'hatch',
        ),
        shape(
          'body',
          poly(
            [430, 150],
            [430, 120],
            [300, 120],
            [300, 150],
            [264, 168],
            [264, 236],
            [310, 236],
            [310, 252],
            [340, 252],
            [340, 232],
            [284, 222],
            [284, 182],
            [318, 158],
            [318, 136],
            [410, 136],
            [410, 150],
          ),
          'hatch',
        ),
        ...both(
          'nozzle',
          poly([196, 238], [206, 238], [206, 122], [212, 118], [206, 118], [198, 126], [196, 180]),
          'hatch-back',
        ),
        shape('disc', poly([204, 104], [256, 104], [256, 117], [204, 117]), 'hatch'),
        shape(
          'disc holder',
          poly([194, 66], [266, 66], [270, 112], [258, 112], [258, 102], [202, 102], [202, 112], [190, 112]),
          'hatch-back',
        ),
        ...both('guide bush', poly([172, 0], [193, 0], [193, 70], [182, 70], [182, 12], [172, 12]), 'hatch'),
        ...both('adjusting rings', `${box(184, 122, 12, 14)} ${box(178, 76, 10, 14)}`, 'solid'),
        shape('ring pins', `${box(146, 126, 36, 5)} ${box(146, 82, 30, 5)}`, 'solid'),
        ...both(
          'bonnet',
          poly(
            [120, -4],
            [150, -4],
            [150, -196],
            [206, -196],
            [206, -216],
            [138, -216],
            [138, -24],
            [120, -24],
          ),
          'hatch-back',
        ),
        ...both('bonnet gasket', box(152, -4, 16, 5), 'solid'),
        ...studs('bonnet studs', 100, -44, 66),
        shape('spindle', `${mid(6, -280, 350)} ${poly([224, 70], [236, 70], [230, 78])}`, 'hatch'),
        shape('spring washers', `${mid(40, -176, 12)} ${mid(40, -26, 12)}`, 'hatch-back'),
        ...both(
          'compression screw',
          poly([206, -232], [223, -232], [223, -178], [212, -178], [212, -196], [206, -196]),
          'hatch',
        ),
        ...both(
          'cap',
          poly([172, -216], [184, -216], [184, -296], [230, -296], [230, -308], [172, -308]),
          'hatch',
        ),
        ...both('cap gasket', box(174, -218, 18, 4), 'solid'),
        ...(lever
          ? [
              shape(
                'lifting lever',
                poly([236, -270], [236, -278], [330, -294], [334, -282], [246, -266]),
                'hatch-back',
              ),
            ]
          : []),
        shape('seal', circle(290, -222, 6), 'solid'),
      ],
      thin: `M284 -216 L296 -232 ${threads(206, 223, -230, 5, 7)} ${threads(237, 254, -230, 5, 7)}`,
      flow: 'M230 284 L230 240 L224 250 M230 240 L236 250 M340 88 L404 88 L394 82 M404 88 L394 94',
      touch: {
        body: [150, 120],
        bonnet: [144, -120],
        nozzle: [200, 200],
        spindle: [230, -250],
        cap: [178, -280],
        'guide bush': [180, 6],
        'disc holder': [262, 84],
        disc: [246, 110],
        'compression screw': [214, -220],
      },
      away: { 'ring pins': 'left', 'lifting lever': 'right' },
    },
    coil('spring', 192, -164, 76, 138, 7),
  );
}
