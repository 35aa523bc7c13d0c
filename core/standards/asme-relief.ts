import { formatNumber } from '../quantity';
import { standard } from './source';

/** Set pressure tolerance and blowdown of relief valves: ASME VIII (since 2021 in Section XIII) and Section I. */
export const ASME_VIII = standard('ASME BPVC VIII-1 (2021 and later: XIII)', 'set pressure tolerance');
export const ASME_I = standard('ASME BPVC Section I', 'set pressure tolerance and blowdown', 'medium');

/** What is stamped on a relief valve for each code. */
export const RELIEF_STAMPS = ['UV', 'V'] as const;
export type ReliefStamp = (typeof RELIEF_STAMPS)[number];
export const CODE_OF_STAMP = { UV: 'VIII', V: 'I' } as const satisfies Record<ReliefStamp, 'VIII' | 'I'>;

/** A band of set pressures, psig, and the tolerance in it. */
export type Tolerance = { readonly upToPsig: number } & (
  { readonly psi: number } | { readonly share: number }
);

export const SET_TOLERANCES: Readonly<Record<'VIII' | 'I', readonly Tolerance[]>> = {
  VIII: [
    { upToPsig: 70, psi: 2 },
    { upToPsig: Infinity, share: 0.03 },
  ],
  I: [
    { upToPsig: 70, psi: 2 },
    { upToPsig: 300, share: 0.03 },
    { upToPsig: 1000, psi: 10 },
    { upToPsig: Infinity, share: 0.01 },
  ],
};

/** Section I blowdown, most: below 67 psig 4 psi, to 250 6 %, below 375 15 psi, above 4 %; least 2 psi or 2 %. */
export const SECTION_I_BLOWDOWN: readonly Tolerance[] = [
  { upToPsig: 67, psi: 4 },
  { upToPsig: 250, share: 0.06 },
  { upToPsig: 375, psi: 15 },
  { upToPsig: Infinity, share: 0.04 },
];

/** The tolerance at a set pressure. */
export function toleranceAt(bands: readonly Tolerance[], psig: number): { psi: number; words: string } {
  const band = bands.find(({ upToPsig }) => psig <= upToPsig * (1 + 1e-12)) ?? bands.at(-1);
  if (!band) throw new RangeError('a table of tolerances has no rows');
  return 'psi' in band
    ? { psi: band.psi, words: `${band.psi} psi` }
    : { psi: band.share * psig, words: `${formatNumber(band.share * 100, 0)} %` };
}

/** Section VIII is for vessels above this, psig. */
export const SECTION_VIII_FROM_PSIG = 15;

/** Section I blowdown, least. */
const LEAST_BLOWDOWN = { psi: 2, share: 0.02 } as const;
export const leastBlowdown = (psig: number): number =>
  Math.min(LEAST_BLOWDOWN.psi, LEAST_BLOWDOWN.share * psig);
/** Pops of one setting lie within the larger of these of each other (common practice). */
export const POP_SPREAD = { psi: 1, share: 0.01 } as const;

/** Usual blowdown of Section VIII valves in use, share of set (common practice; no limit in the code). */
export const USUAL_BLOWDOWN = { low: 0.07, high: 0.1 } as const;
/** A spring is not reset further than this off its marked range without a new spring. */
export const SPRING_RANGE_SHARE = 0.05;
