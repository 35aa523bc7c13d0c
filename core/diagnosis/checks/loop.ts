import { positionerOf } from '../../valve';
import { HALF, judged, BY_GAUGE, BY_TRIAL, type Check } from './check';

/** A valve that hunts, and the loop it stands in. */
export const LOOP_CHECKS = {
  manual: {
    title: 'Loop in manual: does it stand still?',
    how: 'A valve that stands still in manual is not the one that hunts.',
    minutes: 2,
    invasive: 0,
    results: ['still swings', 'stands still'],
    shows: { 'oversize or process': 1 },
    sure: BY_GAUGE,
    read: (read) => judged(read({ ...HALF, with: 'loop in manual' }).swing < 2),
  },
  gain: {
    title: 'Turn the gain down by a third',
    how: 'Note where it stood. Steady now: it was too high.',
    minutes: 5,
    invasive: 2,
    results: ['swings on', 'steadies'],
    shows: { 'gain too high': 1 },
    sure: BY_TRIAL,
    of: (features) => positionerOf(features) !== undefined,
    read: (read) => judged(read({ ...HALF, with: 'gain turned down' }).swing < 2),
  },
} as const satisfies Record<string, Check>;
