import type { Features } from './features';
import { closureOf } from './closures';
import { moverOf } from './movers';
import { positionerOf } from './positioners';

/** What moves a valve, and what it does when that fails, in the words of a nameplate. */
export function moverWords(features: Features): { name: string; fails: string } {
  const { moved } = features;
  const { name: mover, fails = 'stays put' } = moverOf(features);
  const placed = positionerOf(features) ? ', positioner' : '';
  return {
    name: `${closureOf(features).movedBy?.(features.closure) ?? mover}${placed}`,
    fails:
      'action' in moved
        ? `${moved.action}: fails ${moved.action === 'air-to-open' ? 'closed' : 'open'}`
        : fails,
  };
}
