import type { Valve } from '@dusk-wren/core/valve';
import { glandOn, packingIn, proportions } from './bonnet';
import { flowAt, plainBody, studs, throughBody } from './body';
import { both, box, circle, CX, mid, poly, rings, shape, shifted, threads, together } from './kit';
import { wheel } from './movers';
import { rotaryMover } from './rotary';
import type { Piece } from './section';

/** Two gates and their seats across a straight bore, everything hanging in the bonnet. */
export function slabGate(valve: Valve): Piece {
  const axis = 150;
  const { joint } = valve.features;
  const locked = joint.kind === 'seal-ring-bonnet' && joint.ringHeldBy === 'lock ring';
  const seat = (x: number, w: number) => `${box(x, axis - 66, w, 24)} ${box(x, axis + 42, w, 24)}`;
  return together(
    plainBody({ axis, bore: 42, cavity: 88, bottom: 262, flange: 132 }),
    {
      shapes: [
        shape('seat assemblies', `${seat(142, 42)} ${seat(276, 42)}`, 'hatch-back'),
        shape('seat pins', `${box(156, axis - 74, 8, 8)} ${box(296, axis - 74, 8, 8)}`, 'solid'),
        shape('inner gate', poly([186, 54], [228, 54], [216, 150], [228, 246], [186, 246]), 'hatch'),
        shape('outer gate', poly([232, 54], [274, 54], [274, 246], [232, 246], [220, 150]), 'hatch-back'),
        shape('gate pins', `${box(236, 60, 34, 6)}`, 'solid'),
        ...both(
          'bonnet',
          poly(
            [88, -30],
            [172, -30],
            [172, -128],
            [208, -128],
            [208, -84],
            [202, -84],
            [202, -24],
            [216, -24],
            [216, 8],
            [150, 8],
            [150, 0],
            [88, 0],
          ),
          'hatch-back',
        ),
        ...both('bonnet seal ring', poly([146, 0], [156, 4], [146, 14], [140, 8]), 'solid'),
        ...(locked ? both('lock ring', box(158, 8, 12, 5), 'solid') : []),
        ...studs('bonnet studs', 122, -52, 86),
        shape('stem', `${mid(11, -128, 196)} ${mid(18, 48, 14)}`, 'hatch'),
        ...both(
          'lip seals',
          `${poly([203, -54], [218, -58], [218, -44], [203, -40])} ${poly([203, -38], [218, -42], [218, -28], [203, -24])}`,
          'cross',
        ),
        ...both('packing gland', box(203, -84, 15, 28), 'hatch'),
        shape('upper stem', `${mid(13, -236, 96)} ${mid(30, -176, 12)}`, 'hatch-back'),
        shape('shear pin', box(214, -146, 32, 6), 'solid'),
        ...both('outer bearing', `${box(202, -190, 14, 12)}`, 'cross'),
        ...both('inner bearing', `${box(202, -162, 14, 12)}`, 'cross'),
        ...both(
          'bearing cap',
          poly(
            [162, -150],
            [162, -206],
            [214, -206],
            [214, -194],
            [196, -194],
            [196, -128],
            [172, -128],
            [172, -150],
          ),
          'hatch',
        ),
        ...rings('cap O-ring', 62, -136, 7),
        shape('grease fitting', `${box(330, -20, 24, 12)} ${box(354, -18, 10, 8)}`, 'solid'),
      ],
      thin: threads(217, 243, -228, 9, 6),
      touch: {
        'outer gate': [262, 90],
        'inner gate': [198, 90],
        'bearing cap': [166, -180],
        'packing gland': [210, -72],
        'upper stem': [230, -216],
        stem: [230, 40],
        'seat assemblies': [150, 205],
      },
      away: { 'seat assemblies': 'left', 'grease fitting': 'right' },
    },
    shifted(wheel(), -222),
  );
}

/** A lubricated taper plug, reached from below, its gland on top. */
export const taperPlug = (valve: Valve): Piece =>
  together(taperTrim(valve), shifted(rotaryMover(valve), -192));

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

/** Three pieces: a ball between two caps, seats and two rings of seals at each end. */
export function threePieceBall(valve: Valve): Piece {
  const axis = 110;
  const cap = poly(
    [40, axis - 60],
    [54, axis - 60],
    [54, axis - 46],
    [104, axis - 46],
    [120, axis - 88],
    [150, axis - 88],
    [150, axis - 34],
    [40, axis - 34],
  );
  const capLow = poly(
    [40, axis + 60],
    [54, axis + 60],
    [54, axis + 46],
    [104, axis + 46],
    [120, axis + 88],
    [150, axis + 88],
    [150, axis + 34],
    [40, axis + 34],
  );
  const lever = shifted(rotaryMover(valve), -64);
  return together(
    {
      shapes: [
        ...both(
          'body',
          poly(
            [150, axis - 88],
            [212, axis - 88],
            [212, axis - 150],
            [220, axis - 150],
            [220, axis - 72],
            [150, axis - 72],
          ),
          'hatch',
        ),
        ...both(
          'body',
          poly([150, axis + 72], [230, axis + 72], [230, axis + 88], [150, axis + 88]),
          'hatch',
        ),
        ...both('end caps', `${cap} ${capLow}`, 'hatch-back'),
        shape('ball', `M${CX - 62} ${axis - 34} A70 70 0 0 1 ${CX + 62} ${axis - 34} Z`, 'hatch'),
        shape('ball', `M${CX - 62} ${axis + 34} A70 70 0 0 0 ${CX + 62} ${axis + 34} Z`, 'hatch'),
        ...both(
          'soft seats',
          `${poly([152, axis - 62], [180, axis - 58], [166, axis - 34], [152, axis - 34])} ${poly([152, axis + 62], [180, axis + 58], [166, axis + 34], [152, axis + 34])}`,
          'cross',
        ),
        ...both('inner body seals', `${circle(154, axis - 68, 4)} ${circle(154, axis + 68, 4)}`, 'solid'),
        ...both('outer body seals', `${circle(150, axis - 80, 4)} ${circle(150, axis + 80, 4)}`, 'solid'),
        shape('stem', `${mid(9, axis - 176, 104)} ${mid(14, axis - 76, 10)}`, 'hatch-back'),
        shape(
          'body bolts',
          `${box(100, axis - 112, 260, 7)} ${box(96, axis - 116, 10, 15)} ${box(354, axis - 116, 10, 15)} ${box(100, axis + 105, 260, 7)} ${box(96, axis + 101, 10, 15)} ${box(354, axis + 101, 10, 15)}`,
          'solid',
        ),
      ],
      flow: flowAt(axis),
      touch: {
        ball: [230, axis - 52],
        'end caps': [130, axis - 60],
        body: [190, axis + 80],
        'body bolts': [330, axis + 108],
        'soft seats': [160, axis - 46],
        stem: [230, axis - 130],
      },
      away: {
        'end caps': 'left',
        'soft seats': 'left',
        'inner body seals': 'left',
        'outer body seals': 'left',
        'body bolts': 'right',
      },
    },
    lever,
  );
}

/** A forged globe under a yoke screwed on its body, the packing in a chamber that drops in. */
export function clampedYokeGlobe(valve: Valve): Piece {
  const p = { ...proportions(valve), stem: 10, bore: 20 };
  const [s, b] = [CX - p.stem, CX - p.bore];
  const { joint } = valve.features;
  const shims = joint.kind === 'clamped-yoke' && joint.timingShims;
  const body =
    'M60 92 L150 92 C160 92 164 84 164 76 L164 -52 L196 -52 L196 44 L206 58 L206 84 C206 108 196 116 176 116 L60 116 Z';
  const right =
    'M400 92 L310 92 C300 92 296 84 296 76 L296 -52 L264 -52 L264 44 L254 58 L254 84 C254 96 262 100 276 100 L400 116 Z';
  return together(
    {
      shapes: [
        shape('body', body),
        shape('body', right),
        shape(
          'body',
          'M60 168 L176 168 C214 168 240 160 254 140 L254 84 L262 96 C270 120 300 140 330 140 L400 140 L400 182 L330 182 C290 206 200 210 150 190 L60 190 Z',
        ),
        ...both('seat', poly([206, 62], [214, 62], [222, 74], [222, 92], [206, 92]), 'hatch-back'),
        shape('disc', poly([220, 50], [240, 50], [240, 62], [234, 78], [226, 78], [220, 62]), 'hatch'),
        shape('backseat retainer', `${box(214, 34, 7, 14)} ${box(239, 34, 7, 14)}`, 'solid'),
        ...both(
          'bonnet chamber',
          poly(
            [b - 12, -92],
            [b, -92],
            [b, 8],
            [s - 2, 14],
            [s - 2, 24],
            [b - 6, 30],
            [198, 36],
            [198, 24],
            [b - 12, 18],
          ),
          'hatch-back',
        ),
        ...packingIn(valve.features, { ...p, rings: 4 }, -34, 6),
        shape('stem', mid(p.stem, -282, 340)),
        ...both(
          'gland',
          poly([b + 1, -36], [s - 1, -36], [s - 1, -112], [b - 10, -112], [b - 10, -100], [b + 1, -100]),
          'hatch',
        ),
        ...both('gland spring', `${circle(214, -120, 4)} ${circle(206, -120, 4)}`, 'solid'),
        shape('gland lock', `${box(150, -114, 50, 7)} ${box(146, -120, 8, 20)}`, 'solid'),
        ...(shims ? both('timing shims', box(198, -98, 10, 4), 'solid') : []),
        ...both(
          'clamped yoke',
          'M140 -46 L163 -46 L163 -60 L152 -76 C146 -130 152 -190 190 -214 L220 -214 L220 -252 L206 -252 L206 -228 C150 -216 130 -150 136 -76 L140 -64 Z',
          'hatch-back',
        ),
        ...both('clamped yoke', 'M140 -46 L163 -46 L163 0 L140 0 Z', 'hatch-back'),
        shape('yoke clamp bolt', `${box(318, -34, 34, 8)} ${box(350, -40, 12, 20)}`, 'solid'),
        shape('wheel adapter', mid(14, -270, 10), 'hatch'),
        shape('wheel washer', mid(18, -306, 4), 'solid'),
        shape('wheel nut', mid(12, -318, 12), 'solid'),
      ],
      thin: `${threads(220, 240, -266, 12, 5)} ${threads(164, 168, -44, 7, 6)} ${threads(292, 296, -44, 7, 6)}`,
      flow: flowAt(128),
      touch: {
        body: [330, 160],
        'clamped yoke': [146, -130],
        stem: [230, -190],
        'bonnet chamber': [b - 6, -60],
        gland: [b - 6, -106],
        packing: [CX + 14, -14],
      },
      away: { 'yoke clamp bolt': 'right' },
    },
    shifted(wheel(), -274),
  );
}
