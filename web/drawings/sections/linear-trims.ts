import type { Valve } from '@dusk-wren/core/valve';
import { packedBonnet, proportions, stemBetween } from './bonnet';
import { flowAt, plainBody, studs, throughBody } from './body';
import { both, box, circle, CX, mid, poly, rings, shape, together } from './kit';
import type { Piece } from './section';

/** A wedge between two seats in a straight bore, under whatever moves it. */
export function wedgeTrim(removable: boolean): Piece {
  const axis = 128;
  const ring = (role: 'left seat' | 'right seat') => {
    const side = (d: string) =>
      (role === 'left seat' ? both('left seat', d)[0] : both('left seat', d)[1])?.d ?? '';
    const d = [
      poly([160, axis - 60], [190, axis - 60], [194, axis - 44], [160, axis - 44]),
      poly([160, axis + 44], [201, axis + 44], [204, axis + 60], [160, axis + 60]),
    ].map(side);
    return shape(role, d.join(' '), removable ? 'hatch-back' : 'hatch');
  };
  return together(plainBody({ axis, bore: 44, cavity: 70, bottom: 206 }), {
    shapes: [
      ring('left seat'),
      ring('right seat'),
      shape(
        'wedge',
        poly(
          [190, axis - 64],
          [214, axis - 64],
          [214, axis - 78],
          [246, axis - 78],
          [246, axis - 64],
          [270, axis - 64],
          [257, axis + 58],
          [203, axis + 58],
        ),
        'hatch-back',
      ),
    ],
    touch: { 'left seat': [176, axis - 52], 'right seat': [286, axis - 52], wedge: [230, axis] },
    away: { 'left seat': 'left', 'right seat': 'right' },
  });
}

/** A plug on two seats between two guides, the lower one in the blind head. */
export function doublePlugTrim(): Piece {
  const body = throughBody({ axis: 150, bore: 52, cavity: 92, bottom: 272, open: true, flange: 126 });
  const web = (y: number, half: number) => [
    shape('body', poly([138, y - 8], [CX - half - 14, y - 8], [CX - half - 14, y + 8], [138, y + 8])),
    shape('body', poly([CX + half + 14, y - 8], [318, y - 8], [318, y + 8], [CX + half + 14, y + 8])),
  ];
  const ring = (role: 'upper seat ring' | 'lower seat ring', y: number, half: number) =>
    both(
      role,
      poly(
        [CX - half - 14, y - 10],
        [CX - half, y - 10],
        [CX - half + 6, y],
        [CX - half + 6, y + 10],
        [CX - half - 14, y + 10],
      ),
      'hatch-back',
    );
  return {
    shapes: [
      ...body,
      ...web(98, 46),
      ...web(202, 40),
      shape('body', box(306, 98, 12, 104)),
      ...ring('upper seat ring', 98, 46),
      ...ring('lower seat ring', 202, 40),
      shape(
        'plug',
        poly(
          [218, 20],
          [242, 20],
          [242, 72],
          [268, 86],
          [272, 96],
          [246, 118],
          [246, 176],
          [262, 190],
          [266, 200],
          [244, 220],
          [244, 276],
          [216, 276],
          [216, 220],
          [194, 200],
          [198, 190],
          [214, 176],
          [214, 118],
          [188, 96],
          [192, 86],
          [218, 72],
        ),
        'hatch-back',
      ),
      ...both('upper guide', box(204, 10, 13, 34), 'solid'),
      ...both(
        'blind head',
        poly([104, 278], [200, 278], [200, 306], [230, 306], [230, 318], [186, 318], [186, 298], [104, 298]),
        'hatch-back',
      ),
      ...both('lower guide', box(203, 250, 12, 48), 'solid'),
      ...both('blind head gasket', box(128, 272, 18, 6), 'solid'),
      ...studs('blind head studs', 114, 246, 66),
    ],
    flow: flowAt(150),
    touch: {
      body: [330, 222],
      plug: [230, 150],
      'blind head': [150, 290],
      'upper seat ring': [276, 100],
      'lower seat ring': [282, 204],
    },
    away: {
      'blind head': 'down',
      'blind head studs': 'down',
      'blind head gasket': 'down',
      'lower guide': 'down',
    },
  };
}

/** A balanced plug inside a cage, its guide above, a loose seat ring below. */
export function cageTrim(soft: boolean, body: Piece): Piece {
  return together(body, {
    shapes: [
      ...both('seat ring', poly([176, 88], [204, 88], [210, 96], [206, 110], [176, 110]), 'hatch-back'),
      ...both('seat gasket', box(178, 110, 22, 4), 'solid'),
      ...both('cage', `${box(180, 8, 12, 26)} ${box(180, 74, 12, 14)}`, 'hatch'),
      ...both('cage', box(184, 34, 4, 40), 'outline'),
      ...both(
        'guide',
        poly([166, 0], [192, 0], [192, -8], [216, -8], [216, 8], [180, 8], [166, 8]),
        'hatch-back',
      ),
      ...both('guide gasket', box(172, -6, 16, 5), 'solid'),
      shape(
        'plug',
        poly(
          [194, 20],
          [222, 20],
          [222, 14],
          [238, 14],
          [238, 20],
          [266, 20],
          [266, 84],
          [252, 84],
          [252, 40],
          [244, 34],
          [216, 34],
          [208, 40],
          [208, 84],
          [194, 84],
        ),
        'hatch-back',
      ),
      shape('plug', mid(9, 34, 40), 'hatch-back'),
      ...rings('plug seals', 37, 28, 6),
      shape('plug pin', box(212, 16, 36, 5), 'solid'),
      ...(soft
        ? [
            shape('soft insert', mid(30, 84, 7), 'solid'),
            ...rings('insert O-ring', 26, 81, 5),
            shape('insert retainer', mid(24, 91, 8), 'hatch'),
            shape('insert screw', `${mid(4, 74, 30)} ${mid(9, 99, 8)}`, 'solid'),
          ]
        : []),
    ],
    touch: { cage: [186, 20], plug: [200, 60], 'seat ring': [186, 98], guide: [290, 4] },
  });
}

/** A ball in a cage on its stem, dropped over a venturi cartridge with a seat at each end. */
export function venturiTrim(): Piece {
  const axis = 126;
  return together(plainBody({ axis, bore: 44, cavity: 64, bottom: 188 }), {
    shapes: [
      shape(
        'cartridge',
        `M272 ${axis - 44} L388 ${axis - 44} L388 ${axis - 38} C350 ${axis - 34} 340 ${axis - 22} 322 ${axis - 22} C304 ${axis - 22} 296 ${axis - 30} 272 ${axis - 34} Z`,
        'hatch-back',
      ),
      shape(
        'cartridge',
        `M272 ${axis + 44} L388 ${axis + 44} L388 ${axis + 38} C350 ${axis + 34} 340 ${axis + 22} 322 ${axis + 22} C304 ${axis + 22} 296 ${axis + 30} 272 ${axis + 34} Z`,
        'hatch-back',
      ),
      shape('seat gaskets', `${box(388, axis - 44, 5, 10)} ${box(388, axis + 34, 5, 10)}`, 'solid'),
      shape('ball', circle(238, axis, 34), 'hatch'),
      shape(
        'ball cage',
        `${poly([196, axis - 46], [276, axis - 46], [276, axis - 36], [206, axis - 36], [206, axis + 36], [276, axis + 36], [276, axis + 46], [196, axis + 46])}`,
        'hatch-back',
      ),
      shape('guide pin', mid(6, axis + 46, 30), 'solid'),
      shape('guide pin gasket', box(214, axis + 66, 10, 5), 'solid'),
      ...both('wear bushings', box(168, 24, 12, 40), 'hatch'),
      ...both('bushing gaskets', box(168, 64, 12, 5), 'solid'),
    ],
    touch: { cartridge: [330, axis - 36], ball: [238, axis], 'ball cage': [200, axis + 10] },
    away: { cartridge: 'right', 'seat gaskets': 'right', 'guide pin': 'down', 'guide pin gasket': 'down' },
  });
}

/** A disc on a sliding stem, over a seat. */
export function slidDisc(bottom: number): Piece {
  return {
    shapes: [
      shape(
        'disc',
        poly(
          [198, bottom - 18],
          [262, bottom - 18],
          [262, bottom],
          [244, bottom + 24],
          [216, bottom + 24],
          [198, bottom],
        ),
        'hatch-back',
      ),
    ],
    touch: { disc: [254, bottom] },
  };
}

/** Trim under a packed bonnet, with its stem and whatever moves it. */
export function underBonnet(valve: Valve, trim: Piece, half: number, stemBottom: number): Piece {
  const { piece, stemTop } = packedBonnet(valve, half);
  return together(trim, stemBetween(proportions(valve), stemTop, stemBottom), piece);
}
