import type { Valve } from '@dusk-wren/core/valve';
import { underBonnet } from '../joints/bolted-bonnet';
import { type Proportions, proportions } from '../sections/bonnet';
import { globeBody } from '../sections/globe-body';
import { CX, both, box, poly, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A globe valve: its disc on a swivel over a seat that is screwed in, in one piece with the body, or a loose ring. */
export function swivelDisc(valve: Valve): Piece {
  const { seat } = valve.features;
  const integral = seat.kind === 'integral';
  const trim = together(
    globeBody(integral),
    seat.kind === 'clamped-ring' ? globeRing() : globeSeat(integral),
    disc(proportions(valve)),
  );
  return underBonnet(valve, trim, { half: 60, stemBottom: 66 });
}

/** A seat screwed into that body, or in one piece with it. */
function globeSeat(integral: boolean): Piece {
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
const globeRing = (): Piece => ({
  shapes: [
    ...both('seat ring', poly([188, 88], [208, 88], [216, 92], [208, 104], [188, 104]), 'hatch-back'),
    ...both('seat gasket', box(190, 104, 16, 5), 'solid'),
  ],
  touch: { 'seat ring': [194, 96] },
});

/** A disc hung on the end of its stem by a nut, swivelling. */
function disc({ stem }: Proportions): Piece {
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
