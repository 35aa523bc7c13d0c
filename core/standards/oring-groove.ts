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

interface Row {
  readonly section: number;
  readonly depth: Readonly<Record<GrooveUse, number>>;
  readonly width: readonly [none: number, one: number, two: number];
  readonly faceWidth: number;
}

/**
 * Middle of the tabled limits: section; depth static radial, face, dynamic; width without, with one, with two backups;
 * width of a face groove, which is wider: its ring is pressed flat.
 */
const ROWS: readonly Row[] = (
  [
    [0.07, 0.051, 0.052, 0.056, 0.0955, 0.1405, 0.2075, 0.104],
    [0.103, 0.082, 0.077, 0.089, 0.1425, 0.1735, 0.2405, 0.139],
    [0.139, 0.112, 0.104, 0.122, 0.1895, 0.2105, 0.2775, 0.182],
    [0.21, 0.1715, 0.157, 0.1865, 0.2835, 0.3135, 0.4125, 0.28],
    [0.275, 0.2275, 0.206, 0.2385, 0.3775, 0.4105, 0.5405, 0.352],
  ] as const
).map(([section, radial, face, dynamic, none, one, two, faceWidth]) => ({
  section,
  depth: { 'static-radial': radial, 'static-face': face, dynamic },
  width: [none, one, two],
  faceWidth,
}));

/** Sections that are still rings of a valve, inches. */
const [THINNEST, THICKEST] = [0.04, 0.48];

/** The groove of a section, inches: between the tabled ones in proportion, beyond them as the nearest. */
export function grooveFor(section: number, use: GrooveUse): Groove | undefined {
  if (section < THINNEST || section > THICKEST) return undefined;
  const between = (figure: (row: Row) => number): number => {
    const above = ROWS.findIndex((row) => row.section >= section - 1e-9);
    const [first, last] = [ROWS[0], ROWS.at(-1)];
    const share = (row: Row) => figure(row) / row.section;
    if (!first || !last) return NaN;
    if (above === 0) return share(first) * section;
    if (above < 0) return share(last) * section;
    const [low, high] = [ROWS[above - 1] ?? first, ROWS[above] ?? last];
    const part = (section - low.section) / (high.section - low.section);
    return (share(low) + part * (share(high) - share(low))) * section;
  };
  const face = use === 'static-face';
  const backup = (more: (row: Row) => number) =>
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
