import type { Valve } from '@dusk-wren/core/valve';
import { plainBody, studs } from './body';
import { both, box, circle, coil, mid, poly, rings, shape, threads, together } from './kit';
import type { Piece } from './section';

/** A hinged disc hanging on a slanted seat under a cover. */
export function swingCheck(): Piece {
  const axis = 136;
  return together(plainBody({ axis, bore: 46, cavity: 96, bottom: 200 }), {
    shapes: [
      shape(
        'seat',
        `${poly([134, axis - 62], [164, axis - 62], [170, axis - 46], [134, axis - 46])} ${poly([134, axis + 46], [180, axis + 46], [184, axis + 62], [134, axis + 62])}`,
        'hatch-back',
      ),
      shape('disc', poly([170, axis - 58], [184, axis - 60], [198, axis + 54], [182, axis + 58]), 'hatch'),
      shape(
        'hinge arm',
        poly(
          [190, axis - 12],
          [210, axis - 10],
          [236, 40],
          [256, 36],
          [256, 22],
          [228, 22],
          [196, axis - 26],
        ),
        'hatch-back',
      ),
      shape('disc nut', box(198, axis - 8, 14, 18), 'solid'),
      shape('hinge bushings', circle(246, 32, 15), 'hatch'),
      shape('hinge pin', circle(246, 32, 8), 'solid'),
      shape('pin plugs', box(326, 26, 16, 12), 'solid'),
      ...both(
        'cover',
        poly([94, -22], [230, -22], [230, -4], [140, -4], [140, 6], [128, 6], [128, 0], [94, 0]),
        'hatch-back',
      ),
      ...both('cover gasket', box(130, -1, 18, 5), 'solid'),
      ...studs('cover bolts', 116, -42, 76),
    ],
    touch: { disc: [186, axis + 30], cover: [230, -14], seat: [150, axis + 54], 'hinge arm': [214, 70] },
    away: { 'hinge pin': 'right', 'pin plugs': 'right', seat: 'left', disc: 'up' },
  });
}

/** Pump protection: a guided disc under a spring, the bypass insert and its bushing below. */
export function recirculation(): Piece {
  return together(
    {
      shapes: [
        ...both(
          'body',
          poly(
            [150, 0],
            [176, 0],
            [176, 60],
            [164, 118],
            [188, 128],
            [188, 150],
            [150, 150],
            [150, 236],
            [178, 236],
            [178, 300],
            [130, 300],
            [130, 280],
            [136, 280],
            [136, 40],
            [96, 22],
            [96, 0],
          ),
        ),
        shape('body', poly([310, 186], [420, 186], [420, 172], [310, 172]), 'hatch'),
        shape('body', poly([310, 222], [420, 222], [420, 236], [310, 236]), 'hatch'),
        ...both('seat', poly([188, 128], [196, 128], [204, 140], [204, 150], [188, 150]), 'hatch-back'),
        shape(
          'check disc',
          poly([204, 44], [256, 44], [256, 92], [284, 118], [270, 134], [190, 134], [176, 118], [204, 92]),
          'hatch-back',
        ),
        ...both('guide rings', box(198, 50, 8, 10), 'solid'),
        ...both('guide rings', box(198, 212, 8, 10), 'solid'),
        shape(
          'bypass insert',
          `${box(206, 134, 12, 120)} ${box(242, 134, 12, 120)} ${mid(24, 254, 10)}`,
          'hatch',
        ),
        shape(
          'vortex bushing',
          `${poly([256, 190], [308, 190], [308, 200], [270, 200], [270, 210], [308, 210], [308, 220], [256, 220])}`,
          'hatch-back',
        ),
        ...both(
          'cover',
          poly([96, -26], [230, -26], [230, -2], [206, -2], [206, 14], [180, 14], [180, 0], [96, 0]),
          'hatch-back',
        ),
        ...both('cover gasket', box(152, -2, 22, 5), 'solid'),
        ...studs('cover bolts', 114, -46, 76),
      ],
      flow: 'M230 330 L230 278 L224 288 M230 278 L236 288 M330 204 L400 204 L390 198 M400 204 L390 210',
      touch: {
        body: [143, 200],
        'check disc': [230, 110],
        cover: [230, -16],
        'bypass insert': [212, 240],
        'vortex bushing': [290, 195],
      },
      away: { 'vortex bushing': 'right', 'bypass insert': 'down' },
    },
    coil('spring', 200, 0, 60, 44, 4),
  );
}

/** A safety or relief valve: cap and lever, spring in its bonnet, disc on a nozzle, outlet to the side. */
export function springRelief({ features }: Valve): Piece {
  const lever = features.moved.kind === 'set-spring' && features.moved.liftingLever;
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

/** A pop-off valve: a piston in its liner held down by a pin through the stem. */
export function shearPinRelief(): Piece {
  return {
    shapes: [
      ...both(
        'body',
        poly(
          [150, 60],
          [176, 60],
          [176, 130],
          [176, 250],
          [190, 250],
          [190, 320],
          [164, 320],
          [164, 296],
          [140, 296],
          [140, 90],
          [150, 90],
        ),
      ).slice(0, 1),
      shape(
        'body',
        poly(
          [310, 60],
          [284, 60],
          [284, 96],
          [400, 96],
          [400, 80],
          [416, 80],
          [416, 110],
          [318, 110],
          [318, 90],
          [310, 90],
        ),
        'hatch',
      ),
      shape(
        'body',
        poly(
          [416, 200],
          [416, 170],
          [300, 170],
          [284, 176],
          [284, 250],
          [270, 250],
          [270, 320],
          [296, 320],
          [296, 296],
          [320, 296],
          [320, 186],
          [400, 186],
          [400, 200],
        ),
        'hatch',
      ),
      ...both(
        'liner sub',
        poly([177, 176], [200, 176], [200, 308], [190, 308], [190, 250], [177, 250]),
        'hatch-back',
      ),
      ...rings('sub O-ring', 49, 262, 7),
      shape(
        'relief piston',
        poly([202, 200], [258, 200], [258, 236], [250, 246], [210, 246], [202, 236]),
        'cross',
      ),
      shape('piston washer', mid(22, 248, 5), 'solid'),
      shape('cotter', box(218, 256, 24, 4), 'solid'),
      shape('stem', `${mid(10, -74, 336)} ${mid(20, 176, 20)}`, 'hatch'),
      shape('stem cushion', mid(34, 62, 14), 'cross'),
      ...both(
        'bonnet',
        poly([150, 58], [177, 58], [177, 40], [218, 40], [218, -36], [196, -36], [196, 18], [150, 18]),
        'hatch-back',
      ),
      shape('shear pin', `${box(168, -18, 124, 9)}`, 'solid'),
      shape('stem pin', box(206, -52, 48, 7), 'solid'),
      ...both(
        'safety cover',
        poly([140, 18], [152, 18], [152, -86], [230, -86], [230, -98], [140, -98]),
        'hatch',
      ),
    ],
    thin: `${threads(150, 177, 42, 3, 6)} ${threads(283, 310, 42, 3, 6)}`,
    flow: 'M230 352 L230 312 L224 322 M230 312 L236 322 M330 140 L394 140 L384 134 M394 140 L384 146',
    touch: {
      body: [158, 200],
      stem: [230, 120],
      bonnet: [206, -10],
      'safety cover': [146, -50],
      'liner sub': [190, 200],
      'shear pin': [280, -14],
      'relief piston': [246, 220],
    },
    away: { 'liner sub': 'down', 'sub O-ring': 'down', 'shear pin': 'right', 'stem pin': 'right' },
  };
}
