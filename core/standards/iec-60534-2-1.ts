import { standard } from './source';

/** IEC 60534-2-1 flow capacity: the constants that its formulas need beside the units. */
export const IEC_60534_2_1 = standard('IEC 60534-2-1', 'flow capacity, sizing equations');

/** Density of water that the flow coefficients are defined with, kg/m³ (15 °C). */
export const WATER_DENSITY = 999.1;
/** Critical pressure of water, Pa absolute. */
export const WATER_CRITICAL_PASCALS = 22.12e6;
/** Usual recovery and pressure ratio factors of a globe valve, where the maker's are not at hand. */
export const GLOBE_FACTORS = { liquidRecovery: 0.9, pressureRatio: 0.72 } as const;

/** Molar mass of air, kg/kmol. */
export const AIR_MOLAR_MASS = 28.96;
