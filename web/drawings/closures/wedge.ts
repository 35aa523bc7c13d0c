import type { Valve } from '@dusk-wren/core/valve';
import { underBonnet } from '../joints/bolted-bonnet';
import { plainBody } from '../sections/body';
import { both, poly, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A gate valve under whatever moves its wedge. */
export function wedge(valve: Valve): Piece {
  const { seat } = valve.features;
  return underBonnet(valve, trim(seat.kind === 'wedge-pair' && seat.removable), { half: 74, stemBottom: 56 });
}

/** A wedge between two seats in a straight bore, under whatever moves it. */
function trim(removable: boolean): Piece {
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
