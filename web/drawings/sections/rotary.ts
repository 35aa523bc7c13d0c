import type { Valve } from '@dusk-wren/core/valve';
import { glandOn, packingIn, proportions } from './bonnet';
import { flowAt } from './body';
import { both, box, CX, mid, poly, shape, shifted, together } from './kit';
import { closedActuator, handLever, rollingDiaphragm, vaneArm } from './movers';
import type { Piece, Shape } from './section';

/** A pipe piece with a shaft across it: neck and packed box on top, y = 0 at the outside of the bore. */
function shaftBody(half: number, bore: number): Shape[] {
  const axis = bore + 16;
  return [
    ...both(
      'body',
      poly(
        [CX - half, axis - bore - 34],
        [CX - half + 14, axis - bore - 34],
        [CX - half + 14, axis - bore - 16],
        [196, axis - bore - 16],
        [196, -118],
        [210, -118],
        [210, -30],
        [214, axis - bore - 2],
        [CX - half, axis - bore - 2],
      ),
    ),
    ...both(
      'body',
      poly(
        [CX - half, axis + bore + 2],
        [210, axis + bore + 2],
        [210, axis + bore + 30],
        [230, axis + bore + 30],
        [230, axis + bore + 44],
        [194, axis + bore + 44],
        [194, axis + bore + 18],
        [CX - half + 14, axis + bore + 18],
        [CX - half + 14, axis + bore + 34],
        [CX - half, axis + bore + 34],
      ),
    ),
  ];
}

/** What turns a shaft whose end stands at (230, 0). */
export function rotaryMover(valve: Valve): Piece {
  switch (valve.features.moved.kind) {
    case 'rolling-diaphragm':
      return rollingDiaphragm(valve.features);
    case 'vane-arm':
      return vaneArm(valve.features);
    case 'piston':
      return closedActuator(valve.features);
    case 'lever':
      return handLever();
    default:
      return { shapes: [] };
  }
}

/** Shaft, box, gland and mover over a rotary body. */
function onShaft(valve: Valve, trim: Piece, bore: number): Piece {
  const p = { ...proportions(valve), stem: 11, bore: 20 };
  const axis = bore + 16;
  const adapters =
    valve.features.packing.style !== 'none' &&
    'adapters' in valve.features.packing &&
    valve.features.packing.adapters;
  const [s, b] = [CX - p.stem, CX - p.bore];
  return together(
    trim,
    {
      shapes: [
        shape('shaft', mid(p.stem, -190, 190 + axis + bore + 26)),
        ...packingIn(valve.features, p, adapters ? -92 : -102, adapters ? -46 : -38),
        ...(adapters
          ? [
              ...both('female adapter', box(b + 1, -102, s - b - 2, 9), 'solid'),
              ...both('male adapter', box(b + 1, -46, s - b - 2, 8), 'solid'),
            ]
          : []),
        ...glandFor(valve, p),
      ],
      touch: { shaft: [CX, -160], packing: [CX + 15, -70] },
    },
    shifted(rotaryMover(valve), -192),
  );
}

function glandFor(valve: Valve, p: ReturnType<typeof proportions>): Shape[] {
  const on = glandOn(p, -118, 70);
  if (valve.features.closure.kind !== 'eccentric-plug') return on;
  const [left] = [CX - p.bore];
  return [
    ...on.filter(({ role }) => role === 'gland'),
    ...both('gland', box(left - 26, -144, p.bore - p.stem + 24, 12), 'hatch'),
    ...both('gland studs', box(left - 19, -152, 6, 60), 'solid'),
    ...both('gland nuts', box(left - 25, -156, 18, 12), 'solid'),
  ];
}

/** A spherical plug on flexing arms, swung on to a retained seat ring. */
export function sphericalPlug(valve: Valve): Piece {
  const bore = 56;
  const axis = bore + 16;
  return onShaft(
    valve,
    {
      shapes: [
        ...shaftBody(170, bore),
        shape(
          'seat ring',
          `${poly([132, axis - 54], [152, axis - 54], [160, axis - 40], [132, axis - 40])} ${poly([132, axis + 54], [152, axis + 54], [160, axis + 40], [132, axis + 40])}`,
          'hatch-back',
        ),
        shape('seat gasket', `${box(152, axis - 54, 5, 10)} ${box(152, axis + 44, 5, 10)}`, 'solid'),
        shape('seat retainer', `${box(106, axis - 54, 26, 12)} ${box(106, axis + 42, 26, 12)}`, 'hatch'),
        shape(
          'plug',
          `M160 ${axis - 44} C144 ${axis - 22} 144 ${axis + 22} 160 ${axis + 44} L176 ${axis + 40} C166 ${axis + 18} 166 ${axis - 18} 176 ${axis - 40} Z`,
          'hatch-back',
        ),
        shape(
          'plug',
          `${poly([172, axis - 40], [214, axis - 48], [214, axis - 36], [176, axis - 28])} ${poly([172, axis + 40], [214, axis + 48], [214, axis + 36], [176, axis + 28])}`,
          'hatch-back',
        ),
        ...both('shaft bushes', `${box(210, -30, 9, 34)} ${box(210, axis + bore, 9, 26)}`, 'solid'),
        ...both('packing box ring', box(211, -38, 8, 8), 'hatch'),
        shape('shaft retaining pin', box(250, -37, 22, 6), 'solid'),
      ],
      flow: flowAt(axis),
      touch: {
        plug: [156, axis],
        body: [330, axis + bore + 10],
        'seat ring': [142, axis + 47],
        'seat retainer': [118, axis - 48],
        'shaft retaining pin': [268, -34],
      },
      away: {
        'seat ring': 'left',
        'seat gasket': 'left',
        'seat retainer': 'left',
        plug: 'left',
        'shaft retaining pin': 'right',
      },
    },
    bore,
  );
}

/** A vane across a wafer body with a liner. */
export function butterflyVane(valve: Valve): Piece {
  const bore = 96;
  const axis = bore + 16;
  return onShaft(
    valve,
    {
      shapes: [
        ...shaftBody(78, bore),
        ...both('seat liner', `${box(160, 12, 50, 9)} ${box(160, axis + bore - 5, 50, 9)}`, 'solid'),
        shape(
          'vane',
          `M224 22 C212 60 210 ${axis - 20} 210 ${axis} C210 ${axis + 20} 212 ${axis + 52} 224 ${axis + bore - 6} L236 ${axis + bore - 6} C248 ${axis + 52} 250 ${axis + 20} 250 ${axis} C250 ${axis - 20} 248 60 236 22 Z`,
          'hatch-back',
        ),
        ...both('shaft bushes', `${box(210, -30, 9, 34)} ${box(210, axis + bore + 4, 9, 24)}`, 'solid'),
      ],
      flow: flowAt(axis),
      touch: { vane: [214, axis + 30], body: [160, axis + bore + 10] },
    },
    bore,
  );
}

/** A half plug turned off-centre against a soft-faced body. */
export function eccentricPlug(valve: Valve): Piece {
  const bore = 66;
  const axis = bore + 16;
  return onShaft(
    valve,
    {
      shapes: [
        ...shaftBody(180, bore),
        shape(
          'seat liner',
          `${poly([140, axis - 62], [156, axis - 62], [166, axis - 44], [140, axis - 44])} ${poly([140, axis + 62], [156, axis + 62], [166, axis + 44], [140, axis + 44])}`,
          'solid',
        ),
        shape(
          'plug',
          `M172 ${axis - 58} C146 ${axis - 30} 146 ${axis + 30} 172 ${axis + 58} L214 ${axis + 60} L214 ${axis + 42} L196 ${axis + 40} C184 ${axis + 18} 184 ${axis - 18} 196 ${axis - 40} L214 ${axis - 42} L214 ${axis - 60} Z`,
          'hatch-back',
        ),
      ],
      flow: flowAt(axis),
      touch: { plug: [166, axis], body: [340, axis + bore + 10] },
    },
    bore,
  );
}
