import type { PartRole } from '@dusk-wren/core/valve';
import type { Fill, Piece, Point, Shape } from './section';

/** Everything is drawn about this centre line. */
export const CX = 230;
export const WIDTH = 460;

export const box = (x: number, y: number, width: number, height: number): string =>
  `M${x} ${y} L${x + width} ${y} L${x + width} ${y + height} L${x} ${y + height} Z`;

/** A box about the centre line. */
export const mid = (half: number, y: number, height: number): string => box(CX - half, y, half * 2, height);

export const poly = (...points: readonly Point[]): string =>
  `${points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join(' ')} Z`;

export const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y} A${r} ${r} 0 1 1 ${x + r} ${y} A${r} ${r} 0 1 1 ${x - r} ${y} Z`;

export const shape = (role: PartRole, d: string, fill: Fill = 'hatch'): Shape => ({ role, d, fill });

/** How many numbers each path command takes, and which of them are x and y. */
const ARGUMENTS: Readonly<Record<string, readonly ('x' | 'y' | '-')[]>> = {
  M: ['x', 'y'],
  L: ['x', 'y'],
  C: ['x', 'y', 'x', 'y', 'x', 'y'],
  H: ['x'],
  V: ['y'],
  A: ['-', '-', '-', '-', 'sweep' as '-', 'x', 'y'],
  Z: [],
};

/** A path with every coordinate put through; absolute commands only. */
function mapped(
  d: string,
  x: (value: number) => number,
  y: (value: number) => number,
  flips: boolean,
): string {
  return d
    .replace(/([MLCHVAZ])([^MLCHVAZ]*)/g, (_whole, letter: string, rest: string) => {
      const kinds = ARGUMENTS[letter] ?? [];
      const numbers =
        rest.trim() === ''
          ? []
          : rest
              .trim()
              .split(/[\s,]+/)
              .map(Number);
      const out = numbers.map((value, i) => {
        const at = i % Math.max(1, kinds.length);
        const kind = kinds[at];
        if (letter === 'A' && at === 4) return flips ? 1 - value : value;
        return kind === 'x' ? x(value) : kind === 'y' ? y(value) : value;
      });
      return `${letter}${out.map((value) => String(Math.round(value * 100) / 100)).join(' ')}${letter === 'Z' ? '' : ' '}`;
    })
    .trim();
}

/** The mirror image on the other side of the centre line. */
export const mirrored = (d: string): string =>
  mapped(
    d,
    (x) => 2 * CX - x,
    (y) => y,
    true,
  );

/** A path given for the left half, and its mirror image on the right. */
export function both(role: PartRole, d: string, fill: Fill = 'hatch'): Shape[] {
  return [shape(role, d, fill), shape(role, mirrored(d), fill)];
}

const moved = (d: string, dx: number, dy: number): string =>
  mapped(
    d,
    (x) => x + dx,
    (y) => y + dy,
    false,
  );

/** A piece drawn at its own origin, put in its place. */
export function shifted(piece: Piece, dy: number, dx = 0): Piece {
  const { shapes, thin, flow, touch, away } = piece;
  return {
    shapes: shapes.map((each) => ({ ...each, d: moved(each.d, dx, dy) })),
    ...(thin ? { thin: moved(thin, dx, dy) } : {}),
    ...(flow ? { flow: moved(flow, dx, dy) } : {}),
    ...(touch
      ? {
          touch: Object.fromEntries(
            Object.entries(touch).map(([role, [x, y]]) => [role, [x + dx, y + dy] as const]),
          ),
        }
      : {}),
    ...(away ? { away } : {}),
  };
}

/** Pieces over each other, the first at the back. */
export function together(...pieces: readonly Piece[]): Piece {
  return {
    shapes: pieces.flatMap(({ shapes }) => shapes),
    thin: pieces
      .map(({ thin }) => thin ?? '')
      .join(' ')
      .trim(),
    flow: pieces
      .map(({ flow }) => flow ?? '')
      .join(' ')
      .trim(),
    touch: Object.assign({}, ...pieces.map(({ touch }) => touch ?? {})) as NonNullable<Piece['touch']>,
    away: Object.assign({}, ...pieces.map(({ away }) => away ?? {})) as NonNullable<Piece['away']>,
  };
}

/** A coil spring cut through: the wire on both sides and the coils between. */
export function coil(
  role: PartRole,
  x: number,
  y: number,
  width: number,
  height: number,
  turns: number,
): Piece {
  const pitch = height / turns;
  const wire = Math.min(5, pitch / 3);
  const left = Array.from({ length: turns }, (_, i) => circle(x + wire, y + (i + 0.25) * pitch, wire));
  const right = Array.from({ length: turns }, (_, i) =>
    circle(x + width - wire, y + (i + 0.75) * pitch, wire),
  );
  return {
    shapes: [shape(role, [...left, ...right].join(' '), 'solid')],
    thin: Array.from(
      { length: turns },
      (_, i) => `M${x + wire} ${y + (i + 0.25) * pitch} L${x + width - wire} ${y + (i + 0.75) * pitch}`,
    ).join(' '),
    touch: { [role]: [x + wire, y + 0.25 * pitch] },
  };
}

/** A stud or bolt with its nuts, standing. */
export const stud = (x: number, y: number, length: number): string =>
  `${box(x - 3, y, 6, length)} ${box(x - 8, y + 5, 16, 10)} ${box(x - 8, y + length - 14, 16, 9)}`;

/** Threads drawn thin, between two sides. */
export const threads = (x1: number, x2: number, y: number, count: number, pitch = 6): string =>
  Array.from({ length: count }, (_, i) => `M${x1} ${y + 2 + i * pitch} L${x2} ${y + i * pitch}`).join(' ');

/** Small sealing rings on both sides of the centre line. */
export const rings = (role: PartRole, half: number, y: number, size = 6): Shape[] =>
  both(role, circle(CX - half, y, size / 2), 'solid');
