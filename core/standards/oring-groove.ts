import { COMMON_PRACTICE, type Source } from './source';

/** Usual O-ring grooves; tables for AS568 sections, from memory. */
export const GROOVE_PRACTICE: Source = {
  ...COMMON_PRACTICE,
  name: 'Usual O-ring grooves for AS568 sections',
};

export const GROOVE_USES = ['static-radial', 'static-face', 'dynamic'] as const;
export type GrooveUse = (typeof GROOVE_USES)[number];

/** A groove, inches: depth with the clearance, width without, with one and with two backups. */
export interface Groove {
  readonly depth: number;
  readonly width: number;
  readonly oneBackup: number;
  readonly twoBackups: number;
}

/** Middle of the tabled limits, by section. A face groove is wider: its ring is pressed flat. */
const ROWS: readonly {
  readonly section: number;
  readonly depth: Readonly<Record<GrooveUse, number>>;
  readonly width: readonly [none: number, one: number, two: number];
  readonly faceWidth: number;
}[] = [
  {
    section: 0.07,
    depth: { 'static-radial': 0.051, 'static-face': 0.052, dynamic: 0.056 },
    width: [0.0955, 0.1405, 0.2075],
    faceWidth: 0.104,
  },
  {
    section: 0.103,
    depth: { 'static-radial': 0.082, 'static-face': 0.077, dynamic: 0.089 },
    width: [0.1425, 0.1735, 0.2405],
    faceWidth: 0.139,
  },
  {
    section: 0.139,
    depth: { 'static-radial': 0.112, 'static-face': 0.104, dynamic: 0.122 },
    width: [0.1895, 0.2105, 0.2775],
    faceWidth: 0.182,
  },
  {
    section: 0.21,
    depth: { 'static-radial': 0.1715, 'static-face': 0.157, dynamic: 0.1865 },
    width: [0.2835, 0.3135, 0.4125],
    faceWidth: 0.28,
  },
  {
    section: 0.275,
    depth: { 'static-radial': 0.2275, 'static-face': 0.206, dynamic: 0.2385 },
    width: [0.3775, 0.4105, 0.5405],
    faceWidth: 0.352,
  },
];

/** Sections that are still rings of a valve, inches. */
const [THINNEST, THICKEST] = [0.04, 0.48];

/** The groove of a section, inches: between the tabled ones in proportion, beyond them as the nearest. */
export function grooveFor(section: number, use: GrooveUse): Groove | undefined {
  if (section < THINNEST || section > THICKEST) return undefined;
  const between = (figure: (row: (typeof ROWS)[number]) => number): number => {
    const above = ROWS.findIndex((row) => row.section >= section - 1e-9);
    const [first, last] = [ROWS[0], ROWS.at(-1)];
    const share = (row: (typeof ROWS)[number]) => figure(row) / row.section;
    if (!first || !last) return NaN;
    if (above === 0) return share(first) * section;
    if (above < 0) return share(last) * section;
    const [low, high] = [ROWS[above - 1] ?? first, ROWS[above] ?? last];
    const part = (section - low.section) / (high.section - low.section);
    return (share(low) + part * (share(high) - share(low))) * section;
  };
  const face = use === 'static-face';
  const backup = (more: (row: (typeof ROWS)[number]) => number) =>
    between((row) => (face ? row.faceWidth : row.width[0]) + more(row));
  return {
    depth: between((row) => row.depth[use]),
    width: backup(() => 0),
    oneBackup: backup((row) => row.width[1] - row.width[0]),
    twoBackups: backup((row) => row.width[2] - row.width[0]),
  };
}

/** Pressure that a ring of this hardness stands without a backup at a radial gap of 2.5 thou, psi. */
const STANDS_PSI: readonly (readonly [shoreA: number, psi: number])[] = [
  [60, 1000],
  [70, 1500],
  [80, 2200],
  [90, 3000],
];
const GAP_IN = 0.0025;
/** A wider gap lets a ring out at less pressure, about by this power (common practice, from memory). */
const GAP_POWER = 0.77;

/** How many backups: none below what the ring stands, one above it. */
export function backupsFor(psi: number, shoreA: number, gapIn: number): number {
  const rows = STANDS_PSI;
  const above = rows.findIndex(([hardness]) => hardness >= shoreA);
  const [first, last] = [rows[0], rows.at(-1)];
  if (!first || !last) return 0;
  const [low, high] = above < 0 ? [last, last] : [rows[Math.max(0, above - 1)] ?? first, rows[above] ?? last];
  const part = high[0] === low[0] ? 0 : (shoreA - low[0]) / (high[0] - low[0]);
  const stands = low[1] + Math.max(0, part) * (high[1] - low[1]);
  return psi > stands * (GAP_IN / Math.max(gapIn, 1e-4)) ** GAP_POWER ? 1 : 0;
}
