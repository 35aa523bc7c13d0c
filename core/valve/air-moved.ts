import type { MoverKind } from './features';

const AIR_MOVED: readonly MoverKind[] = [
  'spring-diaphragm',
  'piston',
  'rolling-diaphragm',
  'vane-arm',
  'diaphragm-on-stem',
  'hygienic-cylinder',
];

/** Whether compressed air moves it, so that air which comes back moves it with a hand inside. */
export const airMoved = (kind: MoverKind): boolean => AIR_MOVED.includes(kind);
