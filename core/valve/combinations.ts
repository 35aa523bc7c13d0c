import { ok, refuse, type Result } from '../problem';
import { closureOf, type OwnFeature } from './closures';
import type { Features } from './features';
import { jointOf } from './joints';
import { moverOf, moversHolding } from './movers';
import { positionerOf } from './positioners';

/** Features that may stand together as they are, or the first reason why they cannot. */
export function checkFeatures(features: Features): Result<Features> {
  const why = contradiction(features);
  return why === undefined ? ok(features) : refuse({ code: 'features.contradict', why });
}

function contradiction(features: Features): string | undefined {
  const { closure, joint, seat, stem, moved } = features;
  const { fits } = closureOf(features);
  if (!fits.joints.includes(joint.kind))
    return `A ${word(closure.kind)} cannot be reached through a ${word(joint.kind)}: it wants ${list(fits.joints)}.`;
  if (!fits.seats.includes(seat.kind))
    return `A ${word(closure.kind)} does not close on a ${word(seat.kind)} seat: it wants ${list(fits.seats)}.`;
  if (!fits.motions.includes(stem.motion))
    return `A ${word(closure.kind)} does not go with a ${stem.motion} stem: it wants ${list(fits.motions)}.`;
  const movers = moversHolding(fits.heldBy);
  if (!movers.includes(moved.kind))
    return `A ${word(closure.kind)} is not moved by a ${word(moved.kind)}: it wants ${list(movers)}.`;
  return (
    OWNED.find((owned) => owned.there(features) !== (closureOf(features).owns === owned.feature))?.why ??
    RULES.find(({ breaks }) => breaks(features))?.why
  );
}

interface Owned {
  readonly feature: OwnFeature;
  readonly why: string;
  readonly there: (features: Features) => boolean;
}

/** What one kind of closure must have and no other may. */
const OWNED: readonly Owned[] = [
  {
    feature: 'blind head',
    why: 'A blind head belongs to a top-and-bottom-guided plug.',
    there: ({ joint }) => 'blindHead' in joint && joint.blindHead,
  },
  {
    feature: 'balancing seal rings',
    why: 'Seal rings that balance a plug run in a cage: this closure is not balanced.',
    there: ({ balance }) => balance.kind === 'seal-rings',
  },
  {
    feature: 'position-seated limit',
    why: 'A ball that the flow seats must not be driven home: its limit is position-seated.',
    there: ({ limits }) => limits.kind === 'position-seated',
  },
  {
    feature: 'bypass insert',
    why: 'A bypass insert belongs to a pump-protection check valve.',
    there: ({ moved }) => 'bypassInsert' in moved && moved.bypassInsert,
  },
  {
    feature: 'sealant',
    why: 'Sealant is the seal of a lubricated plug, and of nothing else here.',
    there: ({ lubrication }) => lubrication.kind === 'sealant',
  },
];

/** What the closure alone cannot say. */
const RULES: readonly { why: string; breaks: (features: Features) => boolean }[] = [
  {
    why: 'A handwheel winds a rising stem through a bushing: an air actuator slides it.',
    breaks: (features) => {
      const by = moverOf(features).stem;
      const { motion } = features.stem;
      return (by === 'winds' && motion === 'sliding') || (by === 'slides' && motion === 'rising');
    },
  },
  {
    why: 'A stem that slides has no threaded bushing.',
    breaks: ({ stem, bushing }) => stem.motion !== 'rising' && bushing.held !== 'none',
  },
  {
    why: 'A rising stem needs its threaded bushing.',
    breaks: (features) =>
      features.stem.motion === 'rising' &&
      !jointOf(features).threadInYoke &&
      features.bushing.held === 'none',
  },
  {
    why: 'A positioner needs an air actuator under it.',
    breaks: (features) => positionerOf(features) !== undefined && moverOf(features).positioner === undefined,
  },
  {
    why: 'Only a cylinder carries a positioner on its top.',
    breaks: (features) =>
      positionerOf(features)?.onTop === true && moverOf(features).positioner !== 'side or top',
  },
  {
    why: 'A lantern ring stands in a stuffing box: this valve has none.',
    breaks: ({ lantern, packing }) => lantern.kind !== 'none' && !('chamber' in packing),
  },
  {
    why: 'A backseat needs a stem with a shoulder that rises against the bonnet.',
    breaks: ({ backseat, stem }) => backseat && stem.motion !== 'rising',
  },
  {
    why: 'A variant without a spring has no spring plate.',
    breaks: ({ moved }) => 'springPlate' in moved && moved.variant === 'double acting' && moved.springPlate,
  },
  {
    why: 'This stem is sealed in a stuffing box with packing rings.',
    breaks: (features) => closureOf(features).packed === true && !('chamber' in features.packing),
  },
  {
    why: 'This closure has no stem that passes a stuffing box.',
    breaks: ({ stem, packing }) => stem.motion === 'none' && packing.style !== 'none',
  },
];

const word = (kind: string) => kind.replaceAll('-', ' ');
const list = (kinds: readonly string[]) => kinds.map(word).join(' or ');
