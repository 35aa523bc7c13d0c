import { standard } from './source';

/** Gasket factor m and seating stress y of ASME VIII-1 Appendix 2. */
export const APPENDIX_2 = standard('ASME BPVC VIII-1 Appendix 2', 'gasket loads, factors m and y');

export const GASKET_FACTORS = [
  { gasket: 'spiral-wound, stainless', m: 3, yPsi: 10000 },
  { gasket: 'compressed fibre, 1/16 in', m: 2.75, yPsi: 3700 },
  { gasket: 'compressed fibre, 1/8 in', m: 2, yPsi: 1600 },
  { gasket: 'soft aluminium, flat', m: 4, yPsi: 8800 },
  { gasket: 'soft iron, flat', m: 5.5, yPsi: 18000 },
  { gasket: 'ring joint, iron', m: 5.5, yPsi: 18000 },
  { gasket: 'ring joint, stainless', m: 6.5, yPsi: 26000 },
] as const;

/** Below this basic width, inches, the whole of it bears. */
export const NARROW_WIDTH_IN = 0.25;
