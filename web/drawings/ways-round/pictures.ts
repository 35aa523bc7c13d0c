import type { RoundOf } from '@dusk-wren/core/job';

/** A part in its surroundings, drawn the first of its ways round; the second is the part turned, the rest left as it is. */
export interface RoundPicture {
  /** The part: outlines and what is dark in them, in a field of 120 by 80 about 60, 40. */
  readonly part: string;
  readonly dark?: string;
  /** A word or number on the part, set upright whichever way it lies. */
  readonly mark?: { readonly text: string; readonly x: number; readonly y: number };
  /** What it stands in, not turned with it: a wall, a flow, a pressure. */
  readonly room?: string;
  /** Turned over, or end for end. */
  readonly turned: 'over' | 'about';
}

const arrow = (x1: number, y1: number, x2: number, y2: number): string => {
  const angle = Math.atan2(y2 - y1, x2 - x1);
  const barb = (by: number) =>
    `L${Math.round(x2 - 8 * Math.cos(angle + by))} ${Math.round(y2 - 8 * Math.sin(angle + by))}`;
  return `M${x1} ${y1} L${x2} ${y2} ${barb(0.5)} M${x2} ${y2} ${barb(-0.5)}`;
};

const FLAT_RING = 'M24 34 H96 V46 H24 Z';
/** Two lips that pressure from below opens. */
const LIPS = 'M40 22 H80 V34 L90 62 L78 60 L70 42 H50 L42 60 L30 62 L40 34 Z';
const PRESSURE_BELOW = `${arrow(60, 78, 60, 66)} ${arrow(46, 78, 46, 68)} ${arrow(74, 78, 74, 68)}`;

export const ROUND_PICTURES: Readonly<Record<RoundOf, RoundPicture>> = {
  'part number of the diaphragm': {
    part: FLAT_RING,
    dark: 'M44 46 H76 V51 H44 Z',
    mark: { text: 'no.', x: 60, y: 64 },
    turned: 'over',
  },
  'bevel of the diaphragm': {
    part: 'M20 30 H100 L90 46 H30 Z',
    dark: 'M30 44 H90 L88 48 H32 Z',
    turned: 'over',
  },
  'metal disc of the diaphragm': {
    part: 'M16 40 H104 V48 H16 Z',
    dark: 'M42 30 H78 V40 H42 Z',
    turned: 'over',
  },
  'cone spring': {
    part: 'M48 18 H72 M44 28 H76 M40 38 H80 M35 48 H85 M30 58 H90 M48 18 L76 28 M44 28 L80 38 M40 38 L85 48 M35 48 L90 58',
    room: 'M14 66 H106 M14 72 H106',
    turned: 'over',
  },
  'armature spring': {
    part: 'M46 12 H74 M46 16 H74 M46 20 H74 M46 24 H74 M46 38 H74 M46 52 H74 M46 66 H74 M46 24 L74 38 M46 38 L74 52 M46 52 L74 66',
    room: 'M36 6 V76 M84 6 V76',
    turned: 'over',
  },
  'letters and numbers': { part: FLAT_RING, mark: { text: 'A1', x: 60, y: 28 }, turned: 'over' },
  'numbered face of the reversible seat': {
    part: 'M28 32 H92 V46 H28 Z',
    mark: { text: 'no.', x: 60, y: 60 },
    room: 'M16 70 H46 M74 70 H104',
    turned: 'over',
  },
  'rounded side of the trunnion hub': {
    part: 'M72 16 V64 H54 C34 64 34 16 54 16 Z',
    room: arrow(6, 40, 26, 40),
    turned: 'about',
  },
  'outlet hole of the vortex bushing': {
    part: 'M40 16 H80 V64 H40 Z',
    dark: 'M72 36 H80 V46 H72 Z',
    room: `M86 30 H112 M86 52 H112 ${arrow(90, 41, 110, 41)}`,
    turned: 'about',
  },
  'key slot of the arm': {
    part: 'M60 12 A28 28 0 1 1 59.9 12 Z',
    dark: 'M78 32 H92 V46 H78 Z',
    mark: { text: '1', x: 60, y: 46 },
    turned: 'about',
  },
  'numbered end of the cartridge': {
    part: 'M26 22 H94 V30 L80 40 L94 50 V58 H26 V50 L40 40 L26 30 Z',
    dark: 'M26 22 H32 V58 H26 Z',
    mark: { text: 'no.', x: 17, y: 74 },
    room: arrow(36, 72, 96, 72),
    turned: 'about',
  },
  'lips of the seals': { part: LIPS, room: PRESSURE_BELOW, turned: 'over' },
  'lip of the piston': { part: LIPS, room: PRESSURE_BELOW, turned: 'over' },
  'pressure side of the cushion': {
    part: 'M30 28 H90 V44 C80 56 40 56 30 44 Z',
    room: `M20 8 H100 V16 H20 Z ${arrow(60, 78, 60, 64)}`,
    turned: 'over',
  },
  'long lip of the cage': {
    part: 'M34 24 H86 V32 H86 V70 H76 V34 H44 V70 H34 Z M28 18 H92 V24 H28 Z',
    turned: 'over',
  },
  'left mark of the wedge': {
    part: 'M46 12 H74 L66 66 H54 Z',
    mark: { text: 'L', x: 38, y: 44 },
    room: 'M22 10 L30 70 M98 10 L90 70',
    turned: 'about',
  },
  'flow arrow of the body': {
    part: `M30 24 H90 V56 H30 Z ${arrow(42, 40, 78, 40)}`,
    room: arrow(6, 72, 114, 72),
    turned: 'about',
  },
};
