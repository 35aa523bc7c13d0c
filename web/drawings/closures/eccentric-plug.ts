import type { Valve } from '@dusk-wren/core/valve';
import { flowAt } from '../sections/body';
import type { Proportions } from '../sections/bonnet';
import { CX, both, box, poly, shape } from '../sections/kit';
import { glandOnBox, onShaft, shaftBody } from '../sections/on-shaft';
import type { Piece, Shape } from '../sections/section';

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
    glandOnStuds,
  );
}

/** A gland that slides up its shaft, its studs screwed out to reach the box. */
function glandOnStuds(p: Proportions): Shape[] {
  const left = CX - p.bore;
  return [
    ...glandOnBox(p).filter(({ role }) => role === 'gland'),
    ...both('gland', box(left - 26, -144, p.bore - p.stem + 24, 12), 'hatch'),
    ...both('gland studs', box(left - 19, -152, 6, 60), 'solid'),
    ...both('gland nuts', box(left - 25, -156, 18, 12), 'solid'),
  ];
}
