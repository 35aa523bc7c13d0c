import type { Valve } from '@dusk-wren/core/valve';
import { wheel } from '../movers/handwheel';
import { flowAt } from '../sections/body';
import { packingIn, proportions } from '../sections/bonnet';
import { CX, both, box, circle, mid, poly, shape, shifted, threads, together } from '../sections/kit';
import type { Piece } from '../sections/section';

/** A forged globe under a yoke screwed on its body, the packing in a chamber that drops in. */
export function captiveDisc(valve: Valve): Piece {
  const p = { ...proportions(valve), stem: 10, bore: 20 };
  const [s, b] = [CX - p.stem, CX - p.bore];
  const { joint } = valve.features;
  const shims = 'timingShims' in joint && joint.timingShims;
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
