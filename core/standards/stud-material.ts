import type { Thread } from './asme-b1-1';
import { standard } from './source';

export const A193 = standard('ASTM A193/A320', 'minimum yield by grade and diameter');

const STRAINED_304 = [
  { upToIn: 0.75, yield: 100 },
  { upToIn: 1, yield: 80 },
  { upToIn: 1.25, yield: 65 },
  { upToIn: 1.5, yield: 50 },
];
const ANNEALED = [{ upToIn: Infinity, yield: 30 }];
const IN_INCHES = 1 / 25.4;
const KSI_OF_MPA = 1 / 6.894757;

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
  L43: [{ upToIn: 4, yield: 105 }],
  'B8 class 1': ANNEALED,
  'B8M class 1': ANNEALED,
  'B8C class 1': ANNEALED,
  'B8T class 1': ANNEALED,
  'B8 class 2': STRAINED_304,
  'B8C class 2': STRAINED_304,
  'B8T class 2': STRAINED_304,
  'B8M class 2': [
    { upToIn: 0.75, yield: 95 },
    { upToIn: 1, yield: 80 },
    { upToIn: 1.25, yield: 65 },
    { upToIn: 1.5, yield: 50 },
  ],
  /** ASTM A453 grade 660, classes A and B. */
  '660': [{ upToIn: Infinity, yield: 85 }],
  /** ISO 898-1 property classes, metric only, from memory: by their own diameter. */
  '8.8': [
    { upToIn: 16 * IN_INCHES, yield: 640 * KSI_OF_MPA },
    { upToIn: 39 * IN_INCHES, yield: 660 * KSI_OF_MPA },
  ],
  '10.9': [{ upToIn: 39 * IN_INCHES, yield: 940 * KSI_OF_MPA }],
} as const satisfies Record<string, readonly { upToIn: number; yield: number }[]>;

export type StudMaterial = keyof typeof STUD_YIELD_KSI;
export const STUD_MATERIALS = [
  'B7',
  'B7M',
  'L7',
  'L7M',
  'B16',
  'L43',
  'B8 class 1',
  'B8M class 1',
  'B8C class 1',
  'B8T class 1',
  'B8 class 2',
  'B8M class 2',
  'B8C class 2',
  'B8T class 2',
  '660',
  '8.8',
  '10.9',
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

const PROPERTY_CLASSES: readonly StudMaterial[] = ['8.8', '10.9'];

/** The diameter under which a stud is looked up, inches; property classes are not made in inch threads. */
export function tabledDiameterIn(thread: Thread, material: StudMaterial): number {
  if (PROPERTY_CLASSES.includes(material))
    return thread.series === 'unified' ? Infinity : thread.diameterMm * IN_INCHES;
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
