import type { Joint } from './joint';
import type { ClampedYoke } from '../features';

/** A yoke threaded on the body and clamped, over a bonnet chamber that drops in. */
export const clampedYoke: Joint<ClampedYoke> = {
  wheel: ['wheel nut', 'wheel washer', 'handwheel', 'wheel adapter'],
  gland: ['gland'],
  threadInYoke: true,
  parts: ({ timingShims }) => [
    'gland spring',
    'gland lock',
    'yoke clamp bolt',
    'clamped yoke',
    ...(timingShims ? (['timing shims'] as const) : []),
    'bonnet chamber',
  ],
};
