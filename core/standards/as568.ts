import { standard } from './source';

/** AS568 O-rings: inside diameter and section by dash number, inches. */
export const AS568 = standard('AS568', 'O-ring sizes');

const SECTIONS = { 0: 0.07, 1: 0.103, 2: 0.139, 3: 0.21, 4: 0.275 } as const;
/** Tolerance on the section, ± inches, by series. */
const SECTION_TOLERANCES = { 0: 0.003, 1: 0.003, 2: 0.004, 3: 0.005, 4: 0.006 } as const;

const INSIDE_DIAMETERS: Readonly<Record<string, number>> = {
  '006': 0.114,
  '008': 0.176,
  '010': 0.239,
  '011': 0.301,
  '012': 0.364,
  '013': 0.426,
  '014': 0.489,
  '016': 0.614,
  '018': 0.739,
  '020': 0.864,
  '110': 0.362,
  '111': 0.424,
  '112': 0.487,
  '113': 0.549,
  '114': 0.612,
  '116': 0.737,
  '206': 0.484,
  '208': 0.609,
  '210': 0.734,
  '212': 0.859,
  '214': 0.984,
  '216': 1.109,
  '218': 1.234,
  '222': 1.484,
  '312': 0.6,
  '316': 0.85,
  '320': 1.1,
  '325': 1.475,
};

export interface DashSize {
  readonly dash: string;
  readonly insideDiameterIn: number;
  readonly sectionIn: number;
  /** ± inches on the section. */
  readonly toleranceIn: number;
}

/** Every size carried, in dash order. */
export const DASH_SIZES: readonly DashSize[] = Object.entries(INSIDE_DIAMETERS)
  .map(([dash, insideDiameterIn]) => ({
    dash,
    insideDiameterIn,
    sectionIn: bySeries(dash, SECTIONS),
    toleranceIn: bySeries(dash, SECTION_TOLERANCES),
  }))
  .sort((a, b) => a.dash.localeCompare(b.dash));

function bySeries<T extends keyof typeof SECTIONS>(dash: string, table: Readonly<Record<T, number>>): number {
  return new Map(Object.entries<number>(table)).get(dash.charAt(0)) ?? NaN;
}

/** The size nearest to what was measured, when section and inside diameter are both within 5 %. */
export function nearestDash(insideDiameterIn: number, sectionIn: number): DashSize | undefined {
  const off = (size: DashSize) =>
    Math.max(
      Math.abs(size.insideDiameterIn / insideDiameterIn - 1),
      Math.abs(size.sectionIn / sectionIn - 1),
    );
  const nearest = DASH_SIZES.reduce((best, size) => (off(size) < off(best) ? size : best));
  return off(nearest) <= 0.05 ? nearest : undefined;
}
