import type { LeakSource } from '../job';
import { packedBox, type Features } from '../valve';
import type { PressureTestTask } from './pressure-test';

/** One thing that a leak may come from, and what settles whether it does. */
export interface LeakCause {
  /** Where it is traced to, once it is found there; a seat is gone back to by the test itself. */
  readonly source?: LeakSource;
  readonly cause: string;
  readonly look: string;
}

const RIG: LeakCause = {
  source: 'rig',
  cause: 'the rig’s own joints and blinds',
  look: 'Soap or dry each of them first: half of all leaks are the rig’s.',
};

const GLAND: LeakCause = {
  source: 'gland',
  cause: 'the gland',
  look: 'Nip it up evenly, never over its figure; only the gland is gone over again.',
};
const STEM_SEALS: LeakCause = {
  source: 'stem seals',
  cause: 'the seals of its stem or shaft',
  look: 'Only the stem comes out again: seals renewed, the bore they run in looked at.',
};

/** What a test that leaks may come from, the cheapest to look at first (common practice). */
export function leakCauses(
  { test, fluid }: Pick<PressureTestTask, 'test' | 'fluid'>,
  features: Features,
): readonly LeakCause[] {
  switch (test) {
    case 'shell':
      return [
        RIG,
        packedBox(features) ? GLAND : STEM_SEALS,
        {
          source: 'joint',
          cause: 'the bonnet or cover joint',
          look: 'Pressure off and proved, then the last pass once more; still wet: that joint alone is opened, its gasket renewed, its faces looked at.',
        },
        {
          source: 'fitting',
          cause: 'a plug or a fitting',
          look: 'Out, thread looked at, in again with new sealant.',
        },
        {
          source: 'body wall',
          cause: 'the wall of the body',
          look: 'Stop: the body is called, and condemned unless somebody engineers a repair.',
        },
      ];
    case 'backseat':
      return [
        RIG,
        {
          source: 'not fully open',
          cause: 'not fully open',
          look: 'Open it on to its backseat, by light torque.',
        },
        {
          source: 'backseat shoulder',
          cause: 'dirt or a score on its shoulder',
          look: 'Stem out, shoulder and seat blued: only the stem comes out again.',
        },
      ];
    case 'seat':
      return [
        RIG,
        {
          cause:
            fluid === 'gas'
              ? 'air that was trapped, still leaving'
              : 'water that was trapped, still draining',
          look: 'Wait, then count once more.',
        },
        {
          cause: 'not pressed home',
          look: 'Closing torque, bench set and seat load: what shuts it must reach the seat.',
        },
        { cause: 'dirt on the seat', look: 'Open, flush once, shut and count again.' },
        {
          cause: 'a joint behind the ring or the cage',
          look: 'A leak that stays the same however hard it is shut: the ring’s own gasket.',
        },
        { cause: 'the seating line', look: 'Opened again: blued, lapped, blued, and only what that needs.' },
      ];
  }
}
