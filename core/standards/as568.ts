import { standard } from './source';

/** AS568 O-rings: inside diameter and section by dash number, inches. From memory, high confidence. */
export const AS568 = standard('AS568', 'O-ring sizes');

interface Series {
  /** Dash number of the first inside diameter; the rest follow one by one. */
  readonly first: number;
  readonly sectionIn: number;
  /** ± inches on the section. */
  readonly toleranceIn: number;
  readonly insideDiameters: readonly number[];
}

/** A row of inside diameters, `step` apart, from the first to the last. */
function run(first: number, last: number, step: number): number[] {
  return Array.from(
    { length: Math.round((last - first) / step) + 1 },
    (_, i) => Math.round((first + i * step) * 1e6) / 1e6,
  );
}

const SERIES: readonly Series[] = [
  {
    first: 4,
    sectionIn: 0.07,
    toleranceIn: 0.003,
    insideDiameters: [0.07, 0.101, 0.114, 0.145, 0.176, 0.208],
  },
  {
    first: 10,
    sectionIn: 0.07,
    toleranceIn: 0.003,
    insideDiameters: [
      0.239,
      0.301,
      0.364,
      0.426,
      0.489,
      0.551,
      0.614,
      0.676,
      0.739,
      0.801,
      0.864,
      0.926,
      0.989,
      1.051,
      1.114,
      1.176,
      1.239,
      1.301,
      1.364,
      ...run(1.489, 2.989, 0.125),
      ...run(3.239, 5.239, 0.25),
    ],
  },
  {
    first: 102,
    sectionIn: 0.103,
    toleranceIn: 0.003,
    insideDiameters: [
      0.049,
      0.081,
      0.112,
      0.143,
      0.174,
      0.206,
      0.237,
      0.299,
      0.362,
      0.424,
      0.487,
      0.549,
      0.612,
      0.674,
      0.737,
      0.799,
      0.862,
      0.924,
      0.987,
      1.049,
      1.112,
      1.174,
      1.237,
      1.299,
      1.362,
      1.424,
      1.487,
      1.549,
      1.612,
      1.674,
      1.737,
      1.799,
      1.862,
      1.925,
      1.987,
      2.05,
      2.112,
      2.175,
      2.237,
      2.3,
      2.362,
      2.425,
      2.487,
      2.55,
      2.612,
      2.675,
      2.737,
      2.8,
      2.862,
      2.987,
      ...run(3.237, 9.737, 0.25),
    ],
  },
  {
    first: 201,
    sectionIn: 0.139,
    toleranceIn: 0.004,
    insideDiameters: [
      0.171,
      0.234,
      0.296,
      0.359,
      0.421,
      0.484,
      0.546,
      0.609,
      0.671,
      0.734,
      0.796,
      0.859,
      0.921,
      0.984,
      1.046,
      1.109,
      1.171,
      1.234,
      1.296,
      1.359,
      1.421,
      1.484,
      ...run(1.609, 5.984, 0.125),
      ...run(6.234, 9.984, 0.25),
      10.484,
      10.984,
      11.484,
      11.984,
      12.984,
      13.984,
      14.984,
      15.955,
      16.955,
      17.955,
    ],
  },
  {
    first: 309,
    sectionIn: 0.21,
    toleranceIn: 0.005,
    insideDiameters: [
      0.412,
      0.475,
      0.537,
      0.6,
      0.662,
      0.725,
      0.787,
      0.85,
      0.912,
      0.975,
      1.037,
      1.1,
      1.162,
      1.225,
      1.287,
      1.35,
      ...run(1.475, 5.975, 0.125),
      ...run(6.225, 9.975, 0.25),
      10.475,
      10.975,
      11.475,
      11.975,
      12.975,
      13.975,
      14.975,
      15.955,
      16.955,
      17.955,
      18.955,
      19.955,
      20.955,
      21.955,
      22.94,
      23.94,
      24.94,
      25.94,
    ],
  },
  {
    first: 425,
    sectionIn: 0.275,
    toleranceIn: 0.006,
    insideDiameters: [
      ...run(4.475, 5.975, 0.125),
      ...run(6.225, 7.975, 0.25),
      ...run(8.475, 15.475, 0.5),
      15.955,
      16.455,
      16.955,
      17.455,
      17.955,
      18.455,
      18.955,
      19.455,
      19.955,
      20.955,
      21.955,
      22.94,
      23.94,
      24.94,
      25.94,
    ],
  },
];

/** Sizes outside the series: the three smallest, and the rings of straight-thread bosses. */
const SINGLE: readonly (readonly [
  dash: string,
  insideDiameterIn: number,
  sectionIn: number,
  tolerance: number,
])[] = [
  ['001', 0.029, 0.04, 0.003],
  ['002', 0.042, 0.05, 0.003],
  ['003', 0.056, 0.06, 0.003],
  ['901', 0.185, 0.056, 0.003],
  ['902', 0.239, 0.064, 0.003],
  ['903', 0.301, 0.064, 0.003],
  ['904', 0.351, 0.072, 0.003],
  ['905', 0.414, 0.072, 0.003],
  ['906', 0.468, 0.078, 0.003],
  ['907', 0.53, 0.082, 0.003],
  ['908', 0.644, 0.087, 0.003],
  ['909', 0.706, 0.097, 0.003],
  ['910', 0.755, 0.097, 0.003],
  ['911', 0.863, 0.116, 0.004],
  ['912', 0.924, 0.116, 0.004],
  ['913', 0.986, 0.116, 0.004],
  ['914', 1.047, 0.116, 0.004],
  ['916', 1.171, 0.116, 0.004],
  ['918', 1.355, 0.116, 0.004],
  ['920', 1.475, 0.118, 0.004],
  ['924', 1.72, 0.118, 0.004],
  ['928', 2.09, 0.118, 0.004],
  ['932', 2.337, 0.118, 0.004],
];

export interface DashSize {
  readonly dash: string;
  readonly insideDiameterIn: number;
  readonly sectionIn: number;
  /** ± inches on the section. */
  readonly toleranceIn: number;
}

/** Every size there is, in dash order. */
export const DASH_SIZES: readonly DashSize[] = [
  ...SERIES.flatMap(({ first, sectionIn, toleranceIn, insideDiameters }) =>
    insideDiameters.map((insideDiameterIn, i) => ({
      dash: String(first + i).padStart(3, '0'),
      insideDiameterIn,
      sectionIn,
      toleranceIn,
    })),
  ),
  ...SINGLE.map(([dash, insideDiameterIn, sectionIn, toleranceIn]) => ({
    dash,
    insideDiameterIn,
    sectionIn,
    toleranceIn,
  })),
].sort((a, b) => a.dash.localeCompare(b.dash));

/** Sections of the metric series of ISO 3601-1 (1988), mm: each near a dash section, none the same. */
export const METRIC_SERIES_MM = [1.8, 2.65, 3.55, 5.3, 7] as const;

/** A size by its dash number, as people write it: `-218`, `218`, `AS568-218`, `2-218`. */
export function dashSize(text: string): DashSize | undefined {
  const number = /(\d{1,3})\s*$/.exec(text)?.[1];
  return number === undefined ? undefined : DASH_SIZES.find(({ dash }) => dash === number.padStart(3, '0'));
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
