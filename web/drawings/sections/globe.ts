import type { Features, Valve } from '@dusk-wren/core/valve';
import { flowAt, studs } from './body';
import { glandOn, packingIn, proportions, stemBetween, type Proportions } from './bonnet';
import { both, box, CX, poly, rings, shape, shifted, together } from './kit';
import { wheel } from './movers';
import type { Piece, Shape } from './section';

/** The body of a globe valve, its joint face at y = 0: an S-shaped way up through the seat. */
export function globeBody(integral: boolean): Piece {
  const web = integral ? 204 : 190;
  const right = 460 - web;
  const inlet = `M30 70 L47 70 L47 84 L82 84 C108 84 118 64 124 40 L128 22 L110 22 L110 0 L174 0 L174 28 C170 52 164 64 168 74 C172 88 182 94 ${web} 96 L${web} 122 C150 120 132 102 96 101 L30 101 Z`;
  const outlet =
    'M430 70 L413 70 L413 84 L378 84 C352 84 342 64 336 40 L332 22 L350 22 L350 0 L286 0 L286 28 C292 72 326 101 368 101 L430 101 Z';
  const floor = `M30 156 L96 156 C136 160 158 194 206 197 C248 198 270 170 ${right - 2} 140 L${right} 96 C296 99 306 128 322 144 C334 156 352 156 372 156 L430 156 L430 187 L413 187 L413 173 L384 173 C350 173 336 200 302 214 C262 232 190 232 152 212 C118 194 110 173 82 173 L47 173 L47 187 L30 187 Z`;
  return {
    shapes: [inlet, outlet, floor].map((d) => shape('body', d)),
    flow: flowAt(130),
    touch: { body: [300, 202] },
  };
}

/** A seat screwed into that body, or in one piece with it. */
export function globeSeat(integral: boolean): Piece {
  const outer = integral ? 203 : 190;
  return {
    shapes: both(
      'seat',
      `M${outer} 92 L${outer} 124 L208 124 L208 102 L216 90 L${outer + 4} 90 Z`,
      integral ? 'hatch' : 'hatch-back',
    ),
    touch: { seat: [outer + 4, 108] },
  };
}

/** A loose ring on a gasket in that body. */
export const globeRing = (): Piece => ({
  shapes: [
    ...both('seat ring', poly([188, 88], [208, 88], [216, 92], [208, 104], [188, 104]), 'hatch-back'),
    ...both('seat gasket', box(190, 104, 16, 5), 'solid'),
  ],
  touch: { 'seat ring': [194, 96] },
});

/** A disc hung on the end of its stem by a nut, swivelling. */
export function swivelDisc({ stem }: Proportions): Piece {
  const s = CX - stem;
  const e = CX + stem;
  return {
    shapes: [
      shape(
        'disc',
        `M198 48 L${s - 3} 48 L${s - 3} 69 L${e + 3} 69 L${e + 3} 48 L262 48 L262 66 L244 90 L216 90 L198 66 Z`,
        'hatch-back',
      ),
      ...both('disc', box(s - 14, 41, 13, 7), 'solid'),
    ],
    touch: { disc: [254, 60] },
  };
}

/** Bonnet, yoke, bushing and handwheel of a stem that is wound, on a joint face at y = 0. */
export function handwheelTop(valve: Valve, stemBottom: number): Piece {
  const p = proportions(valve);
  const { features } = valve;
  const [s, b] = [CX - p.stem, CX - p.bore];
  return together(
    stemBetween(p, -250, stemBottom),
    {
      shapes: [
        ...bonnet(s, b, features),
        ...both(
          'yoke',
          `M178 -86 C150 -110 142 -158 158 -200 L168 -216 L${s - 18} -216 L${s - 18} -196 L182 -196 C170 -166 168 -130 190 -96 L190 -86 Z`,
          'hatch-back',
        ),
        ...(features.bushing.held === 'none'
          ? []
          : both(
              'stem bushing',
              `M${s - 18} -222 L${s - 1} -222 L${s - 1} -174 L${s - 12} -174 L${s - 12} -194 L${s - 18} -194 Z`,
            )),
        ...packingIn(features, p, -76, -18),
        ...glandOn(p, -92),
        shape('wheel nut', box(218, -268, 24, 14), 'solid'),
      ],
      thin: Array.from(
        { length: 13 },
        (_, i) => `M${s} ${-220 + i * 7} L${CX + p.stem} ${-223 + i * 7}`,
      ).join(' '),
      touch: {
        bonnet: [150, -12],
        yoke: [158, -150],
        'stem bushing': [s - 8, -202],
        packing: [CX + p.bore - 6, -48],
        stem: [CX, -162],
      },
    },
    shifted(wheel(), -230),
  );
}

function bonnet(s: number, b: number, features: Features): Shape[] {
  const nose = features.backseat
    ? `L${s - 2} -4 L${s - 8} 12 L178 12 L178 -1`
    : `L${s - 2} 12 L178 12 L178 -1`;
  const sealed = features.joint.kind === 'bolted-bonnet' && features.joint.gasket === 'seal ring';
  return [
    ...both(
      'bonnet',
      `M110 -24 L146 -24 C160 -26 166 -38 170 -60 L178 -94 L${b} -94 L${b} -16 L${s - 2} -16 ${nose} L110 -1 Z`,
      'hatch-back',
    ),
    ...(sealed ? rings('bonnet seal', 70, 0, 7) : both('bonnet gasket', box(142, -4, 36, 6), 'solid')),
    ...studs('bonnet studs', 104, -44, 84),
  ];
}
