import { formatSize } from '../standards';
import { ratingWords } from './rating';
import type { Valve } from './valve';

/** Size and rating of a valve, as a list says them: `NPS 3 · 300`. */
export const sizeWords = (valve: Pick<Valve, 'nps' | 'pressureClass' | 'iron' | 'ratedPressure'>): string =>
  [
    valve.nps === undefined ? undefined : formatSize({ nps: valve.nps }),
    valve.pressureClass ?? ratingWords(valve, 'US'),
  ]
    .filter((each) => each !== undefined)
    .join(' · ');
