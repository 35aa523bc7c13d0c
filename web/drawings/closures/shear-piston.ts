import { both, box, mid, poly, rings, shape, threads } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A pop-off valve: a piston in its liner held down by a pin through the stem. */
export function shearPiston(): Piece {
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
