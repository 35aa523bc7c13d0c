import { usualLine, type Line } from '../isolation';
import { valveOf, type JobState } from './state';

/** How the valve stands in its line: as drawn last, else as usual for what it is. */
export function lineOf(state: JobState): Line | undefined {
  const drawn = state.records['line-drawn'].at(-1)?.body.line;
  const valve = valveOf(state);
  return drawn ?? (valve && usualLine(valve.features));
}
