import { BY_HAND, BY_TRIAL, type Check } from './check';

/** A gland that leaks. */
export const GLAND_CHECKS = {
  'gland look': {
    title: 'Look at the gland: flange, threads left, stem',
    how: 'Flange bottomed or nuts at the end of their thread: used up. A line on the stem: scored.',
    minutes: 2,
    invasive: 0,
    results: ['room left, stem clean', 'bottomed', 'stem scored'],
    shows: { 'packing used up': 1, 'stem scored': 2 },
    sure: BY_HAND,
  },
  'gland nuts': {
    title: 'Try the gland nuts by hand',
    how: 'They turn with the fingers: slack. Even on both sides?',
    minutes: 1,
    invasive: 0,
    results: ['tight', 'slack'],
    shows: { 'gland slack': 1 },
    sure: BY_HAND,
  },
  lubricate: {
    title: 'Five or six turns of the lubricator, stroke, watch',
    how: 'Isolating valve shut, stick in, five or six turns, valve open, force it in.',
    minutes: 10,
    invasive: 1,
    results: ['leaks on', 'holds'],
    shows: { 'packing dry': 1 },
    sure: BY_TRIAL,
    of: ({ lantern }) => lantern.kind === 'lantern-ring' && lantern.lubricator,
  },
} as const satisfies Record<string, Check>;
