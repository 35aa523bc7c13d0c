import type { Thread } from './asme-b1-1';
import { standard } from './source';

export const A193 = standard('ASTM A193/A320', 'minimum yield by grade and diameter');

/** Minimum yield, ksi, up to and including the diameter in inches. */
export const STUD_YIELD_KSI = {
  B7: [
    { upToIn: 2.5, yield: 105 },
    { upToIn: 4, yield: 95 },
    { upToIn: 7, yield: 75 },
  ],
  B7M: [
    { upToIn: 4, yield: 80 },
    { upToIn: 7, yield: 75 },
  ],
  L7: [{ upToIn: 2.5, yield: 105 }],
  L7M: [{ upToIn: 2.5, yield: 80 }],
  B16: [
    { upToIn: 2.5, yield: 105 },
    { upToIn: 4, yield: 95 },
    { upToIn: 8, yield: 85 },
  ],
  'B8 class 1': [{ upToIn: Infinity, yield: 30 }],
  'B8M class 1': [{ upToIn: Infinity, yield: 30 }],
  'B8 class 2': [
    { upToIn: 0.75, yield: 100 },
    { upToIn: 1, yield: 80 },
    { upToIn: 1.25, yield: 65 },
    { upToIn: 1.5, yield: 50 },
  ],
  'B8M class 2': [
    { upToIn: 0.75, yield: 95 },
    { upToIn: 1, yield: 80 },
    { upToIn: 1.25, yield: 65 },
    { upToIn: 1.5, yield: 50 },
  ],
} as const satisfies Record<string, readonly { upToIn: number; yield: number }[]>;

export type StudMaterial = keyof typeof STUD_YIELD_KSI;
export const STUD_MATERIALS = [
  'B7',
  'B7M',
  'L7',
  'L7M',
  'B16',
  'B8 class 1',
  'B8M class 1',
  'B8 class 2',
  'B8M class 2',
] as const satisfies readonly StudMaterial[];

/** Yield of this grade at this diameter; undefined where the grade is not made so thick. */
export function studYieldKsi(material: StudMaterial, diameterIn: number): number | undefined {
  return STUD_YIELD_KSI[material].find(({ upToIn }) => diameterIn <= upToIn)?.yield;
}

/** Metric studs stand in the tables of ASTM A193 beside an inch size: to this many mm, as this many inches. */
const METRIC_STEPS: readonly (readonly [upToMm: number, asIn: number])[] = [
  [20, 0.75],
  [24, 1],
  [30, 1.25],
  [36, 1.5],
  [64, 2.5],
  [100, 4],
];

/** The diameter under which a stud is looked up, inches. */
export function tabledDiameterIn(thread: Thread): number {
  if (thread.series === 'unified') return thread.diameterIn;
  return METRIC_STEPS.find(([upToMm]) => thread.diameterMm <= upToMm)?.[1] ?? thread.diameterMm / 25.4;
}

/** Nut factors by lubrication (common practice; scatter ±30 %). */
export const NUT_FACTORS = [
  { lubricant: 'dry, as received', low: 0.2, high: 0.2 },
  { lubricant: 'oiled', low: 0.17, high: 0.18 },
  { lubricant: 'nickel or molybdenum anti-seize', low: 0.15, high: 0.16 },
  { lubricant: 'PTFE coated', low: 0.1, high: 0.12 },
] as const;
export const NUT_FACTOR_SCATTER = 0.3;
