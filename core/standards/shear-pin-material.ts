import { standard } from './source';

/** Typical strengths of shear-pin materials, ksi. */
export const PIN_MATERIAL_DATA = standard('material handbooks', 'typical shear strengths, ±15 %', 'medium');

export const PIN_MATERIALS = [
  { name: 'aluminium 1100-O', tensile: 13, shear: 9 },
  { name: 'aluminium 5052-H32', tensile: 33, shear: 20 },
  { name: 'aluminium 6061-T6', tensile: 45, shear: 30 },
  { name: 'aluminium 2117-T4', tensile: 43, shear: 28 },
  { name: 'aluminium 2017-T4', tensile: 62, shear: 38 },
  { name: 'aluminium 2024-T4', tensile: 68, shear: 41 },
  { name: 'aluminium 7075-T6', tensile: 83, shear: 48 },
  { name: 'brass C360 soft', tensile: 49, shear: 30 },
  { name: 'brass C360 half-hard', tensile: 58, shear: 34 },
  { name: '1018 cold drawn', tensile: 64, shear: 38 },
  { name: '304 annealed', tensile: 75, shear: 45 },
  { name: '4140 at 28–32 HRC', tensile: 130, shear: 78 },
  { name: '17-4PH H1150', tensile: 135, shear: 81 },
  { name: '17-4PH H900', tensile: 190, shear: 114 },
] as const;

/** How far a pin's real strength lies from a typical one. */
export const PIN_SCATTER = 0.15;
