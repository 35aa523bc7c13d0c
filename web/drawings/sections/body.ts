import { both, box, CX, poly } from './kit';
import type { Piece, Shape } from './section';

interface Through {
  /** Height of the pipe axis under the joint face. */
  readonly axis: number;
  readonly bore: number;
  readonly cavity: number;
  readonly bottom: number;
  /** Half width of the joint flange on top; none where the body is closed there. */
  readonly flange?: number;
  /** Open at the bottom, for a bottom flange. */
  readonly open?: boolean;
}

const WALL = 15;

/** A body with a straight bore and a cavity across it, flanged at both ends; its joint face at y = 0. */
export function throughBody({ axis, bore, cavity, bottom, flange = 120, open = false }: Through): Shape[] {
  const c = CX - cavity;
  const upper = poly(
    [30, axis - bore - 30],
    [46, axis - bore - 30],
    [46, axis - bore - WALL],
    [c - WALL, axis - bore - WALL],
    [c - WALL, 20],
    [CX - flange, 20],
    [CX - flange, 0],
    [c, 0],
    [c, axis - bore],
    [30, axis - bore],
  );
  const lower = open
    ? poly(
        [30, axis + bore],
        [c, axis + bore],
        [c, bottom],
        [CX - flange, bottom],
        [CX - flange, bottom - 18],
        [c - WALL, bottom - 18],
        [c - WALL, axis + bore + WALL],
        [46, axis + bore + WALL],
        [46, axis + bore + 30],
        [30, axis + bore + 30],
      )
    : poly(
        [30, axis + bore],
        [c, axis + bore],
        [c, bottom],
        [CX, bottom],
        [CX, bottom + WALL],
        [c - WALL, bottom + WALL],
        [c - WALL, axis + bore + WALL],
        [46, axis + bore + WALL],
        [46, axis + bore + 30],
        [30, axis + bore + 30],
      );
  return [...both('body', upper), ...both('body', lower)];
}

/** Flow from the left along the axis. */
export const flowAt = (y: number): string => `M40 ${y} L92 ${y} L82 ${y - 6} M92 ${y} L82 ${y + 6}`;

/** A bolted flange's studs, left and right. */
export const studs = (role: Shape['role'], half: number, y: number, length: number): Shape[] =>
  both(
    role,
    `${box(CX - half - 3, y, 6, length)} ${box(CX - half - 9, y + 6, 18, 10)} ${box(CX - half - 9, y + length - 12, 18, 8)}`,
    'solid',
  );

export const plainBody = (through: Through): Piece => ({
  shapes: throughBody(through),
  flow: flowAt(through.axis),
  touch: {
    body: [CX + through.cavity + 8, through.open ? through.axis + through.bore + 6 : through.bottom + 6],
  },
});
