import { standard } from './source';

/** API 527 seat tightness of pressure relief valves. */
export const API_527 = standard('API 527', 'seat tightness of pressure relief valves');

/** Metal seats, air: most bubbles a minute by set pressure, psig, orifices to F and from G. */
export const API_527_BUBBLES = [
  { upToPsig: 1000, small: 40, large: 20 },
  { upToPsig: 1500, small: 60, large: 30 },
  { upToPsig: 2000, small: 80, large: 40 },
  { upToPsig: 2500, small: 100, large: 50 },
  { upToPsig: 3000, small: 100, large: 60 },
  { upToPsig: 4000, small: 100, large: 80 },
  { upToPsig: 5000, small: 100, large: 100 },
] as const;

/** Tube 5/16 in OD × 0.035 in wall, cut square, 1/2 in under water: about this much a bubble, mL. */
export const API_527_BUBBLE_ML = 0.295;

/** Test at this share of set; below 50 psig at set less 5 psi. */
export const API_527_TEST = { share: 0.9, lowSetPsig: 50, lowLessPsi: 5 } as const;

/** Liquid service: cm³/h per inch of inlet, at least that of 1 in. */
export const API_527_LIQUID_ML_PER_HOUR_INCH = 10;

/** Hold before counting, seconds, by inlet size. */
export const API_527_HOLDS = [
  { upToNps: 2, seconds: 60 },
  { upToNps: 4, seconds: 120 },
  { upToNps: Infinity, seconds: 300 },
] as const;
