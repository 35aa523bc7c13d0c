import type { PartRole } from '../../valve';
import { CAUTIONS } from '../cautions';
import { feature } from '../draft';
import type { Sketch } from '../sequence';

export const SHAFT = feature('trim on a shaft, reached without a bonnet');

export const shaftGlandOff: Sketch = {
  id: 'strip.gland-nuts',
  title: 'Gland nuts off',
  why: 'Takes the packing’s grip off the shaft.',
  caution: CAUTIONS.gland,
  off: ['gland nuts'],
  provides: ['gland loose'],
  minutes: 4,
};

/** What turns on the shaft: its role, what a fitter calls it, and why it is handled with care. */
interface Turned {
  readonly part: PartRole;
  readonly called: string;
}

/** The shaft drawn, what turned on it out through the flange end. */
export const shaftOut = ({ part, called }: Turned, why: string): Sketch => ({
  id: 'strip.shaft',
  title: `Drive the shaft out; ${called} out through the flange end`,
  why,
  caution: 'A brass drift only.',
  tools: ['brass drift'],
  off: ['shaft', part, 'shaft bushes'],
  minutes: 15,
});

export const shaftIn = ({ part, called }: Turned): Sketch => ({
  id: 'rebuild.shaft',
  title: `Bushes in, ${called} in, shaft through to the mark`,
  why: 'Marks on shaft and lever meet again only one way.',
  on: ['shaft bushes', part, 'shaft'],
  minutes: 15,
});
