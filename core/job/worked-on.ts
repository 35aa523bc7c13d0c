import { asReversed, toReverse, type Valve } from '../valve';
import { scopeOf } from './scope';
import { valveOf, type JobState } from './state';

/** The valve as this job works on it: reversed on it, where that is what the job is for. */
export function valveWorkedOn(state: JobState): Valve | undefined {
  const valve = valveOf(state);
  return valve && scopeOf(state) === 'reversal' ? { ...valve, features: toReverse(valve.features) } : valve;
}

/** The valve as the job leaves it, for the record of it. */
export function valveAsLeft(state: JobState): Valve | undefined {
  const valve = valveWorkedOn(state);
  return valve && { ...valve, features: asReversed(valve.features) };
}
