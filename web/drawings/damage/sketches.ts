import type { Finding } from '@dusk-wren/core/inspection';

/** What a damage looks like, in a box of 64 × 40: what it is on, and the mark it makes. */
export interface Sketch {
  /** The part it is on, in outline. */
  readonly on: string;
  /** The damage, as strokes. */
  readonly marks?: string;
  /** The damage, as dark places. */
  readonly dark?: string;
}

/** A seating or joint face seen from above, a rod, a coil spring, a ring of soft seal, a sheet, a bored block. */
const FACE = 'M3 12C20 5 44 5 61 12V30C44 23 20 23 3 30Z';
const ROD = 'M3 13H61M3 27H61M3 13V27M61 13V27';
const COIL = 'M8 8L24 14L8 20L24 26L8 32M24 8L40 14L24 20L40 26L24 32M40 8L56 14L40 20L56 26L40 32';
const SEAL = 'M32 4A28 16 0 1 1 31.9 4ZM32 11A18 9 0 1 1 31.9 11Z';
const SHEET = 'M4 8H60V32H4Z';
const BLOCK = 'M4 6H60V34H4ZM42 20A10 10 0 1 1 22 20A10 10 0 1 1 42 20';
const THREADED =
  'M3 14L9 9L15 14L21 9L27 14L33 9L39 14L45 9L51 14L57 9L61 12M3 26L9 31L15 26L21 31L27 26L33 31L39 26L45 31L51 26L57 31L61 28';
const dot = (x: number, y: number, r: number) =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
const CRACK = 'M30 7L34 13L29 18L35 24L31 29';

/** The sketch of a finding; none where there is nothing to be seen. */
export function sketchOf(finding: Finding): Sketch | undefined {
  switch (finding.kind) {
    case 'seat damage':
      return SEAT[finding.form];
    case 'joint face damage':
      return finding.form === 'pit'
        ? { on: FACE, dark: dot(34, 17, 4) }
        : { on: FACE, dark: 'M26 9C30 14 27 20 34 25C38 22 33 13 37 8Z' };
    case 'cracked':
      return { on: FACE, marks: CRACK };
    case 'stem mark':
      return STEM[finding.zone];
    case 'thread worn':
      return { on: THREADED, dark: 'M21 9L27 14L33 13.5L39 14L45 9L39 10.5L33 11L27 10.5Z' };
    case 'scored':
      return { on: ROD, marks: 'M8 16H52M12 19H58M6 22H44M14 25H56' };
    case 'galled':
      return {
        on: ROD,
        marks: 'M14 17H44M18 21H50',
        dark: `${dot(46, 17, 2.5)}${dot(52, 21, 3)}${dot(40, 24, 2)}`,
      };
    case 'corroded':
      return finding.degree === 'light'
        ? {
            on: FACE,
            dark: [
              [14, 17],
              [24, 13],
              [33, 18],
              [44, 14],
              [52, 20],
            ]
              .map(([x = 0, y = 0]) => dot(x, y, 1.2))
              .join(''),
          }
        : {
            on: FACE,
            dark: [
              [14, 18],
              [27, 14],
              [40, 17],
              [52, 21],
            ]
              .map(([x = 0, y = 0]) => dot(x, y, 3.6))
              .join(''),
          };
    case 'torn':
      return TORN[finding.form];
    case 'cut seal':
      return CUT[finding.form];
    case 'spring fault':
      return SPRING[finding.form];
    case 'bent':
      return { on: 'M3 24C20 24 30 20 61 8M3 34C24 33 34 29 61 18M3 24V34M61 8V18', marks: 'M3 29H61' };
    case 'worn':
      return {
        on: 'M3 13H20C24 13 24 16 28 16H38C42 16 42 13 46 13H61M3 27H20C24 27 24 24 28 24H38C42 24 42 27 46 27H61M3 13V27M61 13V27',
      };
    case 'light marks':
      return { on: ROD, marks: 'M24 18L30 16M36 23L41 21' };
    case 'stiff':
    case 'stuck':
      return { on: 'M4 12H24V28H4M60 12H40V28H60M24 12H40M24 28H40', marks: 'M30 16V24M34 16V24' };
    case 'blocked':
      return { on: BLOCK, dark: dot(32, 20, 9) };
    case 'rides low':
      return { on: 'M22 4L26 32H38L42 4M12 4L17 26M52 4L47 26', marks: 'M32 10V26M28 22L32 27L36 22' };
    case 'seat pocket corroded':
      return {
        on: 'M4 8H20V24H44V8H60V34H4Z',
        dark: `${dot(21, 22, 3)}${dot(43, 23, 3.5)}${dot(32, 25, 2)}`,
      };
    case 'own seat damaged':
      return { on: FACE, dark: 'M28 8L32 26L37 8Z' };
    case 'leaks':
      return { on: ROD, dark: 'M32 29C36 34 35 38 32 38C29 38 28 34 32 29Z' };
    case 'sound':
    case 'unsure':
      return undefined;
  }
}

type Of<K extends Finding['kind'], F extends string> =
  Extract<Finding, { kind: K }> extends Record<F, infer V extends string>
    ? Readonly<Record<V, Sketch>>
    : never;

const SEAT: Of<'seat damage', 'form'> = {
  'wire drawn': {
    on: FACE,
    dark: 'M29 7.5C30 14 28 20 30 25.5H33C31 19 34 13 32 7.5ZM40 9C41 14 40 20 41 26H42.5C42 20 43 14 42 9Z',
  },
  pitted: { on: FACE, dark: `${dot(16, 17, 2)}${dot(27, 14, 2.6)}${dot(36, 18, 1.8)}${dot(48, 17, 2.4)}` },
  dented: { on: FACE, marks: 'M26 16A7 4 0 0 0 40 16', dark: 'M27 15A6 2.6 0 1 0 39 15A6 2.6 0 1 0 27 15Z' },
  'worn to one side': { on: FACE, dark: 'M38 7.2C46 8 54 9.6 61 12V30C54 27.6 50 26 46 25Z' },
};
const STEM: Of<'stem mark', 'zone'> = {
  'packing zone': { on: ROD, marks: 'M22 13V27M42 13V27M26 17H38M25 21H39M27 24H37' },
  'below the backseat': {
    on: 'M3 15H36V9H44V31H36V25H3M3 15V25M44 15H61V25H44',
    marks: 'M48 18H58M49 22H57',
  },
  thread: { on: THREADED, marks: 'M25 17L31 23M36 17L42 23' },
};
const TORN: Of<'torn', 'form'> = {
  hole: { on: SHEET, dark: dot(34, 20, 3) },
  tear: { on: SHEET, dark: 'M20 16L44 22L30 23Z' },
  crack: { on: SHEET, marks: 'M18 12L26 18L24 22L38 26L46 29' },
  hardened: { on: 'M4 30C14 8 22 8 32 24C42 36 50 30 60 8', marks: 'M16 12L20 18M44 27L48 33' },
};
const CUT: Of<'cut seal', 'form'> = {
  nick: { on: SEAL, dark: 'M44 6L42 12L48 9Z' },
  cut: { on: SEAL, dark: 'M40 5L37 14L41 14L46 7Z' },
  flat: {
    on: 'M5 16H59V24H5ZM14 16C20 12 44 12 50 16M14 24C20 28 44 28 50 24',
    marks: 'M22 4V11M42 4V11M22 36V29M42 36V29',
  },
};
const SPRING: Of<'spring fault', 'form'> = {
  fractured: { on: COIL, dark: `${dot(32, 17, 3)}` },
  set: {
    on: 'M8 18L24 21L8 24L24 27L8 30M24 18L40 21L24 24L40 27L24 30M40 18L56 21L40 24L56 27L40 30',
    marks: 'M4 6H60M32 8V15M29 12L32 16L35 12',
  },
  'out of square': {
    on: 'M12 8L30 14L10 20L28 26L8 32M30 6L48 12L28 18L46 24L26 30M48 4L60 9',
    marks: 'M4 36H62M6 36V6',
  },
};
