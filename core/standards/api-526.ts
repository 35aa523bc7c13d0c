import { standard } from './source';

/** API 526 flanged steel relief valves: effective orifice areas, in². */
export const API_526 = standard('API 526', 'effective orifice areas');

export const ORIFICE_AREAS_IN2 = {
  D: 0.11,
  E: 0.196,
  F: 0.307,
  G: 0.503,
  H: 0.785,
  J: 1.287,
  K: 1.838,
  L: 2.853,
  M: 3.6,
  N: 4.34,
  P: 6.38,
  Q: 11.05,
  R: 16,
  T: 26,
} as const;

export type Orifice = keyof typeof ORIFICE_AREAS_IN2;
export const ORIFICES = [
  'D',
  'E',
  'F',
  'G',
  'H',
  'J',
  'K',
  'L',
  'M',
  'N',
  'P',
  'Q',
  'R',
  'T',
] as const satisfies readonly Orifice[];

/** Orifices to F are the small ones of API 527. */
export const isSmallOrifice = (orifice: Orifice): boolean => orifice <= 'F';

/** The largest inlet usually made with an orifice, NPS: for the hold when the inlet is not said. */
export const USUAL_INLET_NPS: Readonly<Record<Orifice, number>> = {
  D: 1.5,
  E: 1.5,
  F: 2,
  G: 2,
  H: 2,
  J: 3,
  K: 3,
  L: 4,
  M: 4,
  N: 4,
  P: 4,
  Q: 6,
  R: 6,
  T: 8,
};
