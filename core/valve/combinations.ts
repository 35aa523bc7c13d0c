import { ok, refuse, type Result } from '../problem';
import type { ClosureKind, Features, JointKind, MoverKind, SeatKind } from './features';

/** What a closure can be built with. */
interface Fits {
  readonly joints: readonly JointKind[];
  readonly seats: readonly SeatKind[];
  readonly motions: readonly Features['stem']['motion'][];
  readonly movers: readonly MoverKind[];
}

const LINEAR: readonly MoverKind[] = ['handwheel', 'spring-diaphragm', 'piston'];
const RISING: Fits['motions'] = ['rising', 'sliding'];

const FITS: Readonly<Record<ClosureKind, Fits>> = {
  'swivel-disc': {
    joints: ['bolted-bonnet'],
    seats: ['screwed', 'integral', 'clamped-ring'],
    motions: RISING,
    movers: LINEAR,
  },
  'captive-disc': {
    joints: ['clamped-yoke'],
    seats: ['integral', 'screwed'],
    motions: ['rising'],
    movers: ['handwheel'],
  },
  wedge: { joints: ['bolted-bonnet'], seats: ['wedge-pair'], motions: RISING, movers: LINEAR },
  'expanding-gates': {
    joints: ['seal-ring-bonnet'],
    seats: ['floating-pair'],
    motions: ['rising and non-rising'],
    movers: ['handwheel'],
  },
  'taper-plug': {
    joints: ['cap-and-plate'],
    seats: ['plug-taper'],
    motions: ['rotary'],
    movers: ['wrench', 'lever'],
  },
  'eccentric-plug': {
    joints: ['shaft-box'],
    seats: ['soft-liner'],
    motions: ['rotary'],
    movers: ['lever', 'piston', 'rolling-diaphragm', 'vane-arm'],
  },
  'guided-check': { joints: ['spring-cover'], seats: ['integral'], motions: ['none'], movers: ['flow'] },
  'swing-disc': {
    joints: ['bolted-cover'],
    seats: ['integral', 'screwed'],
    motions: ['none'],
    movers: ['flow'],
  },
  ball: { joints: ['end-caps'], seats: ['soft-pair'], motions: ['rotary'], movers: ['lever', 'vane-arm'] },
  'double-plug': {
    joints: ['bolted-bonnet'],
    seats: ['double'],
    motions: ['sliding'],
    movers: ['spring-diaphragm', 'piston'],
  },
  'balanced-plug': {
    joints: ['bolted-bonnet'],
    seats: ['clamped-ring'],
    motions: ['sliding'],
    movers: ['spring-diaphragm', 'piston'],
  },
  'ball-in-cage': {
    joints: ['bolted-bonnet'],
    seats: ['cartridge'],
    motions: ['sliding'],
    movers: ['spring-diaphragm', 'piston'],
  },
  'spherical-plug': {
    joints: ['shaft-box'],
    seats: ['retained-ring'],
    motions: ['rotary'],
    movers: ['rolling-diaphragm'],
  },
  vane: { joints: ['shaft-box'], seats: ['liner'], motions: ['rotary'], movers: ['vane-arm', 'lever'] },
  'ratio-plug': {
    joints: ['diaphragm-housing'],
    seats: ['ported'],
    motions: ['sliding'],
    movers: ['diaphragm-on-stem'],
  },
  'hygienic-plug': {
    joints: ['clamps'],
    seats: ['clamped-soft'],
    motions: ['sliding'],
    movers: ['hygienic-cylinder'],
  },
  'dump-disc': {
    joints: ['bonnet-and-diaphragm-housing'],
    seats: ['reversible'],
    motions: ['sliding'],
    movers: ['weight-lever'],
  },
  'spring-regulator': {
    joints: ['screwed-body'],
    seats: ['bead-sealed'],
    motions: ['sliding'],
    movers: ['range-spring'],
  },
  'shear-piston': {
    joints: ['screwed-bonnet'],
    seats: ['liner'],
    motions: ['sliding'],
    movers: ['shear-pin'],
  },
  'pilot-diaphragm': { joints: ['pilot-cover'], seats: ['pilot'], motions: ['none'], movers: ['solenoid'] },
  'relief-disc': {
    joints: ['spring-bonnet'],
    seats: ['nozzle'],
    motions: ['sliding'],
    movers: ['set-spring'],
  },
};

/** Features that may stand together as they are, or the first reason why they cannot. */
export function checkFeatures(features: Features): Result<Features> {
  const why = contradiction(features);
  return why === undefined ? ok(features) : refuse({ code: 'features.contradict', why });
}

function contradiction(features: Features): string | undefined {
  const { closure, joint, seat, stem, moved } = features;
  const fits = FITS[closure.kind];
  if (!fits.joints.includes(joint.kind))
    return `A ${word(closure.kind)} cannot be reached through a ${word(joint.kind)}: it wants ${list(fits.joints)}.`;
  if (!fits.seats.includes(seat.kind))
    return `A ${word(closure.kind)} does not close on a ${word(seat.kind)} seat: it wants ${list(fits.seats)}.`;
  if (!fits.motions.includes(stem.motion))
    return `A ${word(closure.kind)} does not go with a ${stem.motion} stem: it wants ${list(fits.motions)}.`;
  if (!fits.movers.includes(moved.kind))
    return `A ${word(closure.kind)} is not moved by a ${word(moved.kind)}: it wants ${list(fits.movers)}.`;
  return RULES.find(({ breaks }) => breaks(features))?.why;
}

const isAir = (kind: MoverKind) => kind === 'spring-diaphragm' || kind === 'piston';

/** What the table of closures cannot say. */
const RULES: readonly { why: string; breaks: (features: Features) => boolean }[] = [
  {
    why: 'A handwheel winds a rising stem through a bushing: an air actuator slides it.',
    breaks: ({ moved, stem }) =>
      (moved.kind === 'handwheel' && stem.motion === 'sliding') ||
      (isAir(moved.kind) && stem.motion === 'rising'),
  },
  {
    why: 'A stem that slides has no threaded bushing.',
    breaks: ({ stem, bushing }) => stem.motion !== 'rising' && bushing.held !== 'none',
  },
  {
    why: 'A rising stem needs its threaded bushing.',
    breaks: ({ stem, bushing, joint }) =>
      stem.motion === 'rising' && joint.kind !== 'clamped-yoke' && bushing.held === 'none',
  },
  {
    why: 'A positioner needs an air actuator under it.',
    breaks: ({ positioner, moved }) =>
      positioner.kind !== 'none' &&
      !isAir(moved.kind) &&
      moved.kind !== 'rolling-diaphragm' &&
      moved.kind !== 'vane-arm',
  },
  {
    why: 'Only a cylinder carries a positioner on its top.',
    breaks: ({ positioner, moved }) => positioner.kind === 'on-cylinder' && moved.kind !== 'piston',
  },
  {
    why: 'A lantern ring stands in a stuffing box: this valve has none.',
    breaks: ({ lantern, packing }) => lantern.kind !== 'none' && !('chamber' in packing),
  },
  {
    why: 'A blind head belongs to a top-and-bottom-guided plug.',
    breaks: ({ joint, closure }) =>
      joint.kind === 'bolted-bonnet' && joint.blindHead !== (closure.kind === 'double-plug'),
  },
  {
    why: 'Seal rings that balance a plug run in a cage: this closure is not balanced.',
    breaks: ({ balance, closure }) => (balance.kind === 'seal-rings') !== (closure.kind === 'balanced-plug'),
  },
  {
    why: 'A ball that the flow seats must not be driven home: its limit is position-seated.',
    breaks: ({ closure, limits }) =>
      (closure.kind === 'ball-in-cage') !== (limits.kind === 'position-seated'),
  },
  {
    why: 'A backseat needs a stem with a shoulder that rises against the bonnet.',
    breaks: ({ backseat, stem }) => backseat && stem.motion !== 'rising',
  },
  {
    why: 'A bypass insert belongs to a pump-protection check valve.',
    breaks: ({ moved, closure }) =>
      moved.kind === 'flow' && moved.bypassInsert !== (closure.kind === 'guided-check'),
  },
  {
    why: 'Sealant is the seal of a lubricated plug, and of nothing else here.',
    breaks: ({ lubrication, closure }) =>
      (lubrication.kind === 'sealant') !== (closure.kind === 'taper-plug'),
  },
  {
    why: 'A variant without a spring has no spring plate.',
    breaks: ({ moved }) =>
      moved.kind === 'diaphragm-on-stem' && moved.variant === 'double acting' && moved.springPlate,
  },
  {
    why: 'This stem is sealed in a stuffing box with packing rings.',
    breaks: ({ closure, packing }) => PACKED.includes(closure.kind) && !('chamber' in packing),
  },
  {
    why: 'This closure has no stem that passes a stuffing box.',
    breaks: ({ stem, packing }) => stem.motion === 'none' && packing.style !== 'none',
  },
];

const PACKED: readonly ClosureKind[] = [
  'swivel-disc',
  'captive-disc',
  'wedge',
  'taper-plug',
  'eccentric-plug',
  'double-plug',
  'balanced-plug',
  'ball-in-cage',
  'spherical-plug',
  'vane',
];

const word = (kind: string) => kind.replaceAll('-', ' ');
const list = (kinds: readonly string[]) => kinds.map(word).join(' or ');

/** What a closure can be built with, for choosing. */
export const fitsOf = (closure: ClosureKind): Fits => FITS[closure];
