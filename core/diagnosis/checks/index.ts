import type { Features } from '../../valve';
import type { CauseId } from '../causes';
import { priorsOf, type SymptomId } from '../symptoms';
import { AIR_CHECKS } from './air';
import type { Check } from './check';
import { GLAND_CHECKS } from './gland';
import { LOOP_CHECKS } from './loop';
import { OTHER_CHECKS } from './other-kinds';
import { VALVE_CHECKS } from './valve';

/** Everything that can be asked of a valve. */
const CHECKS = { ...AIR_CHECKS, ...VALVE_CHECKS, ...LOOP_CHECKS, ...GLAND_CHECKS, ...OTHER_CHECKS };

export type CheckId = keyof typeof CHECKS;
export const CHECK_IDS = Object.keys(CHECKS) as [CheckId, ...CheckId[]];

export function checkOf(id: CheckId): Check {
  return CHECKS[id];
}

/** Chance that a valve with this cause shows this result. */
export function likelihood(check: CheckId, cause: CauseId, result: number): number {
  const { results, shows, sure } = checkOf(check);
  const expected = shows[cause] ?? 0;
  return result === expected ? sure : (1 - sure) / (results.length - 1);
}

/** Checks that these features allow and that tell some causes of the symptom apart. */
export function checksFor(features: Features, symptom: SymptomId): CheckId[] {
  const causes = [...priorsOf(symptom, features).keys()];
  return CHECK_IDS.filter((id) => {
    const { shows, of = () => true, notFor } = checkOf(id);
    return of(features) && !notFor?.includes(symptom) && causes.some((cause) => (shows[cause] ?? 0) > 0);
  });
}
