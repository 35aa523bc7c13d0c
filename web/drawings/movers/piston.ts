import { positionerOf, type Features } from '@dusk-wren/core/valve';
import type { MoverDrawing } from './mover';
import { positionerBeside } from '../positioners';
import { onCylinder } from '../positioners/on-cylinder';
import { sideMounted } from '../positioners/side-mounted';
import { both, box, circle, mid, rings, shape, together } from '../sections/kit';
import type { Piece } from '../sections/section';

export const piston: MoverDrawing = {
  onStem: (_, features) =>
    positionerOf(features)?.onTop
      ? { piece: together(cylinder(), onCylinder()), height: 270 }
      : { piece: together(cylinder(), positionerBeside(features, -150)), height: 196 },
  onShaft: (_, features) => closedActuator(features),
};

/** A double-acting cylinder over the yoke. */
function cylinder(): Piece {
  return {
    shapes: [
      shape('stem connector', mid(10, -8, 22), 'solid'),
      ...both('cylinder', 'M138 -186 L150 -186 L150 -60 L138 -60 Z', 'hatch'),
      ...both('cylinder', 'M150 -186 L216 -186 L216 -174 L150 -174 Z', 'hatch'),
      ...both(
        'actuator',
        'M126 -60 L214 -60 L214 -44 L176 -44 C170 -30 170 -20 172 -8 L160 -8 C156 -24 152 -44 126 -46 Z',
        'hatch-back',
      ),
      shape('piston', `${mid(78, -128, 16)} ${mid(16, -136, 8)}`, 'hatch-back'),
      shape('piston', mid(6, -112, 104), 'hatch'),
      ...rings('piston O-ring', 79, -120, 7),
      ...both('cylinder bushing', box(212, -188, 10, 18), 'solid'),
      ...rings('cylinder bushing seal', 8, -166, 6),
      ...both('yoke bushing', box(212, -62, 10, 20), 'solid'),
      ...rings('yoke bushing seal', 8, -36, 6),
      ...both(
        'boot',
        'M218 -30 L224 -26 L218 -22 L224 -18 L218 -14 L212 -14 L216 -18 L210 -22 L216 -26 L210 -30 Z',
        'solid',
      ),
      shape(
        'air lines',
        `${box(106, -170, 32, 6)} ${box(106, -80, 32, 6)} ${box(100, -172, 7, 100)}`,
        'solid',
      ),
    ],
    touch: {
      cylinder: [144, -90],
      actuator: [164, -50],
      'air lines': [103, -124],
      boot: [246, -24],
      piston: [280, -120],
    },
  };
}

/** A plain box for an actuator that is not opened, on the shaft end at (230, 0). */
function closedActuator(features: Features): Piece {
  const inside = positionerOf(features)?.onTop === true;
  return together(
    unopened(),
    inside ? sideMounted(-150) : positionerBeside(features, -150),
    inside ? tied() : { shapes: [] },
  );
}

/** What ties a positioner to the stem of an actuator that is not opened. */
const tied = (): Piece => ({
  shapes: [
    shape(
      'feedback spring',
      `${circle(150, -100, 4)} ${circle(160, -104, 4)} ${circle(170, -100, 4)}`,
      'solid',
    ),
    shape('positioner O-ring', circle(124, -96, 3), 'solid'),
  ],
});

function unopened(): Piece {
  return {
    shapes: [
      shape(
        'actuator',
        `${box(120, -90, 220, 8)} ${box(120, -18, 220, 8)} ${box(120, -82, 8, 64)} ${box(332, -82, 8, 64)} ${mid(9, -82, 64)}`,
        'hatch',
      ),
      shape('piston', `${box(176, -76, 12, 52)} ${box(188, -54, 120, 8)}`, 'hatch-back'),
      shape('piston O-ring', `${circle(182, -79, 3)} ${circle(182, -21, 3)}`, 'solid'),
      shape('cylinder', `${box(128, -80, 44, 4)} ${box(128, -24, 44, 4)}`, 'hatch'),
      shape('cylinder bushing', box(300, -60, 6, 20), 'solid'),
      shape('cylinder bushing seal', circle(312, -60, 3), 'solid'),
      shape('yoke bushing', box(318, -60, 6, 20), 'solid'),
      shape('yoke bushing seal', circle(328, -60, 3), 'solid'),
      shape('boot', box(214, -16, 32, 6), 'solid'),
      shape('stem connector', mid(12, -10, 8), 'solid'),
      shape('stem lock nuts', mid(16, -2, 5), 'solid'),
      ...both('split coupler', box(210, -14, 14, 14), 'hatch'),
      shape('coupler nut', mid(16, 0, 5), 'solid'),
      shape('travel indicator', box(262, -8, 26, 4), 'solid'),
      shape('air lines', `${box(140, -106, 6, 16)} ${box(140, -110, 40, 5)}`, 'solid'),
    ],
    touch: { actuator: [124, -50] },
  };
}
