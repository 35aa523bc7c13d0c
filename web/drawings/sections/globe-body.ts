import { flowAt } from './body';
import { shape } from './kit';
import type { Piece } from './section';

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
