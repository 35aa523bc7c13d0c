import { standard } from './source';

export const ASTM_E140 = standard('ASTM E140, ISO 18265', 'hardness of non-austenitic steels', 'medium');

interface HardnessRow {
  readonly HRC: number;
  readonly HV: number;
  readonly HB: number;
}

export const LEAST_HRC = 20;

/** Vickers and Brinell (10 mm ball, 3000 kg) from Rockwell C 20 up, one row a point. */
const VICKERS_AND_BRINELL = [
  [238, 226],
  [243, 231],
  [248, 237],
  [254, 243],
  [260, 247],
  [266, 253],
  [272, 258],
  [279, 264],
  [286, 271],
  [294, 279],
  [302, 286],
  [310, 294],
  [318, 301],
  [327, 311],
  [336, 319],
  [345, 327],
  [354, 336],
  [363, 344],
  [372, 353],
  [382, 362],
  [392, 371],
  [402, 381],
  [412, 390],
  [423, 400],
  [434, 409],
  [446, 421],
  [458, 432],
  [471, 443],
  [484, 455],
  [498, 469],
  [513, 481],
  [528, 496],
  [544, 512],
  [560, 525],
  [577, 543],
  [595, 560],
  [613, 577],
  [633, 595],
  [653, 615],
  [674, 634],
  [697, 654],
  [720, 670],
  [746, 688],
  [772, 706],
  [800, 722],
  [832, 739],
] as const;

export const HARDNESS_ROWS: readonly [HardnessRow, ...HardnessRow[]] = [
  { HRC: 20, HV: 238, HB: 226 },
  ...VICKERS_AND_BRINELL.slice(1).map(([HV, HB], i) => ({ HRC: LEAST_HRC + 1 + i, HV, HB })),
];

/** Below Rockwell C 20 Brinell is this share of Vickers (ISO 18265). */
export const SOFT_HB_PER_HV = 0.95;

/** Hardest that sour service allows carbon and low-alloy steel (NACE MR0175/ISO 15156). */
export const NACE_HRC = 22;
