import { STUD_THREADS } from './asme-b1-1';
import { standard } from './source';

/** ASME B16.5 flanges: studs, raised-face stud lengths and ring numbers by size and class. */
export const B16_5 = standard('ASME B16.5', 'flange bolting, stud length and ring number');

export const FLANGE_CLASSES = [150, 300, 600, 900, 1500, 2500] as const;
export type FlangeClass = (typeof FLANGE_CLASSES)[number];

/** Number of studs and their size, inches. */
export type Studs = readonly [number: number, sizeIn: number];

/** By NPS, classes 150, 300, 600, 900, 1500, 2500. Class 900 up to NPS 2 1/2 uses the class 1500 flange. */
export const FLANGE_STUDS: Readonly<Record<number, readonly (Studs | undefined)[]>> = {
  0.5: [
    [4, 0.5],
    [4, 0.5],
    [4, 0.5],
    [4, 0.75],
    [4, 0.75],
    [4, 0.75],
  ],
  0.75: [
    [4, 0.5],
    [4, 0.625],
    [4, 0.625],
    [4, 0.75],
    [4, 0.75],
    [4, 0.75],
  ],
  1: [
    [4, 0.5],
    [4, 0.625],
    [4, 0.625],
    [4, 0.875],
    [4, 0.875],
    [4, 0.875],
  ],
  1.25: [
    [4, 0.5],
    [4, 0.625],
    [4, 0.625],
    [4, 0.875],
    [4, 0.875],
    [4, 1],
  ],
  1.5: [
    [4, 0.5],
    [4, 0.75],
    [4, 0.75],
    [4, 1],
    [4, 1],
    [4, 1.125],
  ],
  2: [
    [4, 0.625],
    [8, 0.625],
    [8, 0.625],
    [8, 0.875],
    [8, 0.875],
    [8, 1],
  ],
  2.5: [
    [4, 0.625],
    [8, 0.75],
    [8, 0.75],
    [8, 1],
    [8, 1],
    [8, 1.125],
  ],
  3: [
    [4, 0.625],
    [8, 0.75],
    [8, 0.75],
    [8, 0.875],
    [8, 1.125],
    [8, 1.25],
  ],
  3.5: [[8, 0.625], [8, 0.75], [8, 0.875], undefined, undefined, undefined],
  4: [
    [8, 0.625],
    [8, 0.75],
    [8, 0.875],
    [8, 1.125],
    [8, 1.25],
    [8, 1.5],
  ],
  5: [
    [8, 0.75],
    [8, 0.75],
    [8, 1],
    [8, 1.25],
    [8, 1.5],
    [8, 1.75],
  ],
  6: [
    [8, 0.75],
    [12, 0.75],
    [12, 1],
    [12, 1.125],
    [12, 1.375],
    [8, 2],
  ],
  8: [
    [8, 0.75],
    [12, 0.875],
    [12, 1.125],
    [12, 1.375],
    [12, 1.625],
    [12, 2],
  ],
  10: [
    [12, 0.875],
    [16, 1],
    [16, 1.25],
    [16, 1.375],
    [12, 1.875],
    [12, 2.5],
  ],
  12: [
    [12, 0.875],
    [16, 1.125],
    [20, 1.25],
    [20, 1.375],
    [16, 2],
    [12, 2.75],
  ],
  14: [[12, 1], [20, 1.125], [20, 1.375], [20, 1.5], [16, 2.25], undefined],
  16: [[16, 1], [20, 1.25], [20, 1.5], [20, 1.625], [16, 2.5], undefined],
  18: [[16, 1.125], [24, 1.25], [20, 1.625], [20, 1.875], [16, 2.75], undefined],
  20: [[20, 1.125], [24, 1.25], [24, 1.625], [20, 2], [16, 3], undefined],
  24: [[20, 1.25], [24, 1.5], [24, 1.875], [20, 2.5], [16, 3.5], undefined],
};

/** The sizes of the tables below, in their order. */
export const FLANGE_SIZES = [
  0.5, 0.75, 1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10, 12, 14, 16, 18, 20, 24,
] as const;

/** Length of a stud for raised faces, inches, by class; class 900 from NPS 3, class 2500 to NPS 12. */
const STUD_LENGTHS: Readonly<Record<FlangeClass, { firstNps: number; inches: readonly number[] }>> = {
  150: {
    firstNps: 0.5,
    inches: [
      2.25, 2.5, 2.5, 2.75, 2.75, 3.25, 3.5, 3.5, 3.5, 3.75, 4, 4.25, 4.5, 4.75, 5.25, 5.25, 5.75, 6.25, 6.75,
    ],
  },
  300: {
    firstNps: 0.5,
    inches: [2.5, 3, 3, 3.25, 3.5, 3.5, 4, 4.25, 4.5, 4.75, 4.75, 5.5, 6.25, 6.75, 7, 7.5, 7.75, 8, 9],
  },
  600: {
    firstNps: 0.5,
    inches: [
      3, 3.5, 3.5, 3.75, 4.25, 4.25, 4.75, 5, 5.75, 6.5, 6.75, 7.5, 8.5, 8.75, 9.25, 10, 10.75, 11.25, 13,
    ],
  },
  900: { firstNps: 3, inches: [5.75, 6.75, 7.5, 7.5, 8.75, 9.25, 10, 10.75, 11.25, 12.75, 13.75, 17.25] },
  1500: {
    firstNps: 0.5,
    inches: [
      4.25, 4.5, 5, 5, 5.5, 5.75, 6.25, 7, 7.75, 9.75, 10.25, 11.5, 13.25, 14.75, 16, 17.5, 19.5, 21.25,
      24.25,
    ],
  },
  2500: { firstNps: 0.5, inches: [4.75, 5, 5.5, 6, 6.75, 7, 7.75, 8.75, 10, 11.75, 13.5, 15, 19.25, 21.25] },
};

/** Ring number R of the ring joint by class, in the order of the sizes. */
const RINGS: Readonly<Record<FlangeClass, { firstNps: number; rings: readonly number[] }>> = {
  150: { firstNps: 1, rings: [15, 17, 19, 22, 25, 29, 36, 40, 43, 48, 52, 56, 59, 64, 68, 72, 76] },
  300: { firstNps: 0.5, rings: [11, 13, 16, 18, 20, 23, 26, 31, 37, 41, 45, 49, 53, 57, 61, 65, 69, 73, 77] },
  600: { firstNps: 0.5, rings: [11, 13, 16, 18, 20, 23, 26, 31, 37, 41, 45, 49, 53, 57, 61, 65, 69, 73, 77] },
  900: { firstNps: 3, rings: [31, 37, 41, 45, 49, 53, 57, 62, 66, 70, 74, 78] },
  1500: {
    firstNps: 0.5,
    rings: [12, 14, 16, 18, 20, 24, 27, 35, 39, 44, 46, 50, 54, 58, 63, 67, 71, 75, 79],
  },
  2500: { firstNps: 0.5, rings: [13, 16, 18, 21, 23, 26, 28, 32, 38, 42, 47, 51, 55, 60] },
};

const placed = <T>(nps: number, firstNps: number, row: readonly T[]): T | undefined => {
  const sizes: readonly number[] = FLANGE_SIZES;
  const place = sizes.indexOf(nps) - sizes.indexOf(firstNps);
  return sizes.includes(nps) && place >= 0 ? row[place] : undefined;
};

/** The flange that is really bolted: class 900 below NPS 3 is made to class 1500. */
const madeTo = (nps: number, flangeClass: FlangeClass): FlangeClass =>
  flangeClass === 900 && nps < 3 ? 1500 : flangeClass;

export function flangeStuds(nps: number, flangeClass: FlangeClass): Studs | undefined {
  return FLANGE_STUDS[nps]?.[FLANGE_CLASSES.indexOf(flangeClass)];
}

/** Thread of a stud of this diameter, inches: coarse to 1 in, 8UN above. */
export const flangeThread = (diameterIn: number): string =>
  STUD_THREADS.find(([, diameter]) => diameter === diameterIn)?.[0] ?? `${diameterIn}-8`;

/** Stud length for raised faces, inches. */
export function studLengthIn(nps: number, flangeClass: FlangeClass): number | undefined {
  const { firstNps, inches } = STUD_LENGTHS[madeTo(nps, flangeClass)];
  return placed(nps, firstNps, inches);
}

/** The R number of the ring joint; class 150 has none below NPS 1. */
export function ringNumber(nps: number, flangeClass: FlangeClass): number | undefined {
  const { firstNps, rings } = RINGS[madeTo(nps, flangeClass)];
  return placed(nps, firstNps, rings);
}

/** Heavy hex nuts that are not on the rule, inches: diameter and width across flats (ASME B18.2.2). */
const OFF_THE_RULE: readonly (readonly [diameter: number, flats: number])[] = [
  [0.3125, 9 / 16],
  [0.4375, 3 / 4],
  [0.5625, 15 / 16],
];

/** Across the flats of a heavy hex nut, inches: 1 1/2 D + 1/8 but for three small sizes (ASME B18.2.2). */
export const heavyHexAcrossFlats = (diameterIn: number): number =>
  OFF_THE_RULE.find(([diameter]) => Math.abs(diameter - diameterIn) < 1e-6)?.[1] ?? 1.5 * diameterIn + 0.125;

/** Facing finish: raised face Ra 125–250 µin with 45–55 grooves per inch; ring groove flanks no rougher than 63 µin. */
export const FACING_FINISH = { raisedFaceMicroinches: [125, 250], ringGrooveMicroinches: 63 } as const;
