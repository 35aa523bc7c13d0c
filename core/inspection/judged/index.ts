import type { PartRole, Valve } from '../../valve';
import { partsOf } from '../../valve';
import { actuatorMatch, couplingLoad } from './actuator';
import { cylinderBore } from './bore';
import { CAGE_GUIDE, clearanceOf, HINGE, LOWER_GUIDE, RELIEF_GUIDE, UPPER_GUIDE } from './clearances';
import type { Judge } from './judgement';
import { doubleSeatRings, wedgeTravel } from './seating';
import { reliefSpring } from './spring';
import { packedBoxSection, wornInPacking } from './stem-in-packing';

export { BENCH_SET, COUPLED, coupledBy, MATCH, USUAL_BENCH_SET } from './actuator';
export { BORE_PLACES, NOMINAL_BORE } from './bore';
export {
  CAGE_GUIDE,
  figuresOfFit,
  HINGE,
  LOWER_GUIDE,
  RELIEF_GUIDE,
  UPPER_GUIDE,
  type FitFigures,
} from './clearances';
export type { Judge, Judged, Judgements, Readings } from './judgement';
export { RINGS, WEDGE } from './seating';
export { SPRING } from './spring';
export { BOX, STEM } from './stem-in-packing';

const JUDGES: readonly Judge[] = [
  ...[RELIEF_GUIDE, UPPER_GUIDE, LOWER_GUIDE, CAGE_GUIDE, HINGE].map(clearanceOf),
  reliefSpring,
  cylinderBore,
  packedBoxSection,
  doubleSeatRings,
  wedgeTravel,
  couplingLoad,
  actuatorMatch,
];

/** Who judges figures of a valve with these parts. Where it has a shaft, that and not a stem runs in its packing. */
export function judgesOf(valve: Valve): readonly Judge[] {
  const parts = new Set<PartRole>(partsOf(valve).map(({ role }) => role));
  return [...JUDGES, wornInPacking(parts.has('shaft') ? 'shaft' : 'stem')].filter(
    ({ part }) => part === undefined || parts.has(part),
  );
}
