import { LAST, type Skill, type Standing } from '@dusk-wren/core/drill';
import { isoDay, sayDay } from '../parts/dates';

/** How a subject stands, in words. */
export function standingWords({ standing, done, fades }: Pick<Skill, 'standing' | 'done' | 'fades'>): string {
  switch (standing) {
    case 'not begun':
      return 'not begun';
    case 'learning':
      return done < LAST ? `learning, ${done} of ${LAST} done` : 'learning';
    case 'holds':
      return fades ? `holds until ${sayDay(isoDay(fades))}` : 'holds';
    case 'faded':
      return 'faded: once more';
  }
}

/** And as a ring. */
export const standingRing = (standing: Standing): 'fit' | 'rework' | 'ask' | 'not yet' => RINGS[standing];
const RINGS = { holds: 'fit', learning: 'rework', faded: 'ask', 'not begun': 'not yet' } as const;
