import { phrase, type Phrase } from '../../quantity';
import type { Reversible } from '../../valve';
import type { Sketch } from '../sequence';

/** What an action is changed to, in words. */
export const reversed = ({ action }: Reversible): string =>
  action === 'air-to-close' ? 'air-to-close to air-to-open' : 'air-to-open to air-to-close';

/**
 * A clevis screwed on an actuator stem until its hole meets the lever's, with the closure held shut. Shared by every
 * lever-moved valve. `signal` says what stands on the actuator meanwhile.
 */
export const clevisAligned = (id: string, signal: Phrase, also: Partial<Sketch> = {}): Sketch => ({
  id,
  title: 'Turn the clevis until its holes meet the lever’s',
  why: phrase`Valve closed, ${signal}. Half a turn either way shows as a pin that will not push through by hand.`,
  caution: 'Never drive the pin: a hole forced to meet is travel lost at one end.',
  parts: ['clevis'],
  minutes: 8,
  ...also,
});
