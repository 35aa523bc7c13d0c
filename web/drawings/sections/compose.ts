import { partsOf, type PartRole, type Valve } from '@dusk-wren/core/valve';
import { drawnBy } from '../closures';
import { box, CX, mirrored, shifted, together, WIDTH } from './kit';
import type { Anchor, Piece, Point, Section, Shape } from './section';

/** The valve in section, composed from its features as its plan is. */
export function sectionOf(valve: Valve): Section {
  const listed = new Set(partsOf(valve).map(({ role }) => role));
  const whole = lubricated(drawnBy(valve), listed);
  // Shared pieces draw what most valves have: a variant without a part leaves it out.
  const drawn = { ...whole, shapes: whole.shapes.filter(({ role }) => listed.has(role)) };
  const [top, bottom] = extent(drawn);
  const piece = shifted(drawn, MARGIN - top);
  const height = Math.round(bottom - top + 2 * MARGIN);
  return {
    width: WIDTH,
    height,
    shapes: piece.shapes,
    thin: piece.thin ?? '',
    centreLines: `M${CX} 6 V${height - 6}`,
    flow: piece.flow ?? '',
    anchors: partsOf(valve).flatMap(({ role }) => anchorOf(role, piece)),
    away: piece.away ?? {},
  };
}

/** The lubricator stands beside the packing it feeds, where the piece with the packing has not drawn one. */
function lubricated(piece: Piece, listed: ReadonlySet<PartRole>): Piece {
  if (!listed.has('lubricator') || piece.shapes.some(({ role }) => role === 'lubricator')) return piece;
  const [x, y] = piece.touch?.packing ?? [CX + 20, 0];
  return together(piece, {
    shapes: [
      { role: 'isolating valve', d: box(x + 34, y - 6, 16, 12), fill: 'solid' },
      { role: 'lubricator', d: box(x + 50, y - 9, 38, 18), fill: 'hatch' },
    ],
    away: { lubricator: 'right', 'isolating valve': 'right' },
  });
}

const MARGIN = 24;

/** Every point that a path goes through or is pulled towards. */
function points(d: string): [number, number][] {
  const found: [number, number][] = [];
  for (const [, letter = '', rest = ''] of d.matchAll(/([MLCA])([^MLCHVAZ]*)/g)) {
    const numbers = (rest.match(/-?[\d.]+/g) ?? []).map(Number);
    const pairs = letter === 'A' ? numbers.slice(-2) : numbers;
    for (let i = 0; i + 1 < pairs.length; i += 2) found.push([pairs[i] ?? 0, pairs[i + 1] ?? 0]);
  }
  return found;
}

function extent({ shapes }: Piece): [number, number] {
  const ys = shapes.flatMap(({ d }) => points(d).map(([, y]) => y));
  return [Math.min(...ys), Math.max(...ys)];
}

/** Where the leader of a part may touch it: drawn on both sides of the centre line, on either. */
function anchorOf(role: PartRole, { shapes, touch = {} }: Piece): Anchor[] {
  const own = shapes.filter((each) => each.role === role);
  const [first] = own;
  if (!first) return [];
  const { x, y, width, height } = boxOf(first.d.split('Z')[0] ?? first.d);
  const at = touch[role] ?? ([x + width / 2, y + height / 2] as const);
  // Only what is drawn again on the other side is touched there: a body is not the same left and right.
  const around = own.filter(({ d }) => holds(boxOf(d), at));
  const isTwin = ({ d }: Shape) =>
    own.some((other) => other.d !== d && sameBox(boxOf(mirrored(d)), boxOf(other.d)));
  const onBothSides = (around.length > 0 ? around : [first]).every(isTwin);
  return [{ role, places: onBothSides ? [at, [2 * CX - at[0], at[1]]] : [at] }];
}

function boxOf(d: string) {
  const all = points(d);
  const xs = all.map(([x]) => x);
  const ys = all.map(([, y]) => y);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y };
}

const holds = ({ x, y, width, height }: ReturnType<typeof boxOf>, [px, py]: Point): boolean =>
  px >= x && px <= x + width && py >= y && py <= y + height;

const sameBox = (a: ReturnType<typeof boxOf>, b: ReturnType<typeof boxOf>): boolean =>
  Math.abs(a.x - b.x) < 1 && Math.abs(a.y - b.y) < 1 && Math.abs(a.width - b.width) < 1;
