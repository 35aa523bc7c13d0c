import { format, type UnitSystem } from '../quantity';
import type { Valve } from './valve';

/** What a valve is rated by, as people say it: its class, its iron, or its working pressure; undefined when unknown. */
export function ratingWords(
  { pressureClass, iron, ratedPressure }: Pick<Valve, 'pressureClass' | 'iron' | 'ratedPressure'>,
  system: UnitSystem,
): string | undefined {
  if (iron !== undefined) return iron;
  if (ratedPressure) return format(ratedPressure, system);
  return pressureClass === undefined ? undefined : `class ${pressureClass}`;
}
