import type { Mover } from './mover';

/** A hand lever, a quarter of a turn. */
export const lever: Mover = {
  name: 'Lever',
  holds: ['square', 'quarter turn'],
  parts: () => ['lever lock', 'lever nut', 'lever'],
};
