import {
  closureOf,
  moverOf,
  packedBox,
  partsOf,
  positionerOf,
  type Closure,
  type Features,
  type Mover,
  type PartRole,
} from '../valve';

/** The chain from the air to the process; a fault lies in one of its links. */
export const LINKS = [
  'supply',
  'signal',
  'positioner',
  'air line',
  'power element',
  'linkage',
  'packing and guides',
  'trim',
  'process',
] as const;
export type Link = (typeof LINKS)[number];

interface Definition {
  readonly name: string;
  readonly link: Link;
  /** What is done about it once it is placed. */
  readonly then: string;
  readonly has: (features: Features) => boolean;
}

const always = () => true;
const onAir = (features: Features) => moverOf(features).byAir === true;
const positioned = (features: Features) => positionerOf(features) !== undefined;
const moved = (is: (mover: Mover) => boolean) => (features: Features) => is(moverOf(features));
const closes = (is: (closure: Closure) => boolean) => (features: Features) => is(closureOf(features));
const packed = (features: Features) => packedBox(features) !== undefined;
const part =
  (...roles: readonly PartRole[]) =>
  (features: Features) =>
    partsOf({ features }).some(({ role }) => roles.includes(role));
const turns = ({ stem }: Features) => stem.motion === 'rotary';
const softSeated = (features: Features) =>
  !('face' in features.seat) || part('soft insert')(features) || part('seat liner')(features);
const diaphragm = moved(({ element }) => element === 'diaphragm');
const cylinder = moved(({ element }) => element === 'cylinder');

/** Everything that a fault can be, by link (handbook part 4; common practice). */
export const CAUSES = {
  'supply low': {
    name: 'Supply pressure low',
    link: 'supply',
    then: 'Regulator, filter, line: upstream of this valve.',
    has: onAir,
  },
  'signal lost': {
    name: 'Signal low or lost',
    link: 'signal',
    then: 'Trace it back: transducer, tubing, loop.',
    has: onAir,
  },
  'flapper dirty': {
    name: 'Flapper or nozzle dirty',
    link: 'positioner',
    then: 'Swing the flapper out, clean both; restriction plunger too.',
    has: positioned,
  },
  'relay faulty': {
    name: 'Relay slack, torn or scored',
    link: 'positioner',
    then: 'Open the relay: diaphragms, inner valve, bushing.',
    has: positioned,
  },
  'gain too high': {
    name: 'Positioner gain too high',
    link: 'positioner',
    then: 'Less sensitivity by the nozzles; then zero and span again.',
    has: positioned,
  },
  'positioner out of set': {
    name: 'Positioner out of set, or its feedback slipped',
    link: 'positioner',
    then: 'Linkage, cam and clamp to their marks; then zero and span.',
    has: positioned,
  },
  'trip solenoid shut': {
    name: 'Trip solenoid dead, or open to its exhaust',
    link: 'air line',
    then: 'Voltage first, then why it tripped; then the solenoid itself.',
    has: onAir,
  },
  'tubing leaks': {
    name: 'Tubing or a fitting leaks, or is blocked',
    link: 'air line',
    then: 'Renew the tube, make up the fitting; blow the line through.',
    has: onAir,
  },
  'diaphragm torn': {
    name: 'Actuator diaphragm leaks',
    link: 'power element',
    then: 'Renew the diaphragm.',
    has: diaphragm,
  },
  'bench set wrong': {
    name: 'Bench set wrong',
    link: 'power element',
    then: 'Set the spring to its plate.',
    has: diaphragm,
  },
  'piston ring leaks': {
    name: 'Piston O-ring passes',
    link: 'power element',
    then: 'Open the cylinder; measure the bore while it is open.',
    has: cylinder,
  },
  'cylinder seals leak': {
    name: 'Cylinder seal O-rings leak',
    link: 'power element',
    then: 'Renew stem and yoke seals.',
    has: cylinder,
  },
  'lock engaged': {
    name: 'Lock, stop or handwheel engaged',
    link: 'linkage',
    then: 'Free it; say who set it and why.',
    has: onAir,
  },
  'coupled short': {
    name: 'Coupled short: not truly seated',
    link: 'linkage',
    then: 'Run the plug down by its lock nuts, never turning it on its seat.',
    has: ({ moved }) => 'coupling' in moved,
  },
  'closed stop out': {
    name: 'Closed stop out of place: it stops before shut, or past it',
    link: 'linkage',
    then: 'Set the stop by the mark on the shaft, then prove it shut.',
    has: turns,
  },
  'pin sheared': {
    name: 'Pin or key sheared: the closure does not follow',
    link: 'linkage',
    then: 'Strip: pin and both its holes; a plug and its stem go as a set.',
    has: part('plug pin', 'shaft retaining pin', 'arm key', 'stem pin', 'hinge pin'),
  },
  'packing too tight': {
    name: 'Packing too tight',
    link: 'packing and guides',
    then: 'Slack the gland to its figure; a scored stem is looked for.',
    has: packed,
  },
  'bottom guide blocked': {
    name: 'Bottom guide full, weep hole blocked',
    link: 'packing and guides',
    then: 'Blind head off, clean guide and weep hole.',
    has: closes(({ guides }) => guides === 'top and bottom'),
  },
  'guides galled': {
    name: 'Plug sticks in its guides',
    link: 'packing and guides',
    then: 'Strip: guides and plug are looked at, renewed where galled.',
    has: closes(({ guides }) => guides !== undefined),
  },
  'bushing worn': {
    name: 'Guide bushing worn: the stem wanders',
    link: 'packing and guides',
    then: 'Strip: measure bushing and stem; new packing alone will not last.',
    has: part('shaft bushes', 'shaft bushings', 'wear bushings', 'stem bushing', 'upper guide', 'guide bush'),
  },
  'insert stiff': {
    name: 'Bypass insert stiff: the disc cannot drop',
    link: 'trim',
    then: 'Clean, even grind; severe scratches: a new insert, complete.',
    has: part('bypass insert'),
  },
  'sealant used up': {
    name: 'Sealant used up',
    link: 'trim',
    then: 'Work sealant in while it is turned; then it is looked at again.',
    has: ({ lubrication }) => lubrication.kind === 'sealant',
  },
  'soft seat cut': {
    name: 'Soft seat or insert cut, flat or swollen',
    link: 'trim',
    then: 'Renew it; look for what cut it.',
    has: softSeated,
  },
  'balance seal leaks': {
    name: 'Balance seal of the plug leaks',
    link: 'trim',
    then: 'Renew the seal; look at the bore it runs in.',
    has: part('plug seals'),
  },
  'seat gasket leaks': {
    name: 'Gasket under the seat ring leaks',
    link: 'trim',
    then: 'Renew it; faces looked at for a track, bolting to its figure.',
    has: part('seat gasket', 'seat gaskets'),
  },
  debris: { name: 'Debris on the seat', link: 'trim', then: 'Flush; strip if it stays.', has: always },
  'seat worn': {
    name: 'Seat or closure worn',
    link: 'trim',
    then: 'Strip: grind in, reface or renew.',
    has: always,
  },
  'oversize or process': {
    name: 'Too large for its flow, or the loop swings',
    link: 'process',
    then: 'Nothing to repair here: loop tuning, or smaller trim.',
    has: onAir,
  },
  'packing dry': {
    name: 'Packing dry',
    link: 'packing and guides',
    then: 'First rung: lubricate.',
    has: packed,
  },
  'gland slack': {
    name: 'Gland slack',
    link: 'packing and guides',
    then: 'Second rung: tighten evenly.',
    has: packed,
  },
  'packing used up': {
    name: 'Packing used up',
    link: 'packing and guides',
    then: 'Third and fourth rung: add as a temporary repair, or repack.',
    has: packed,
  },
  'stem scored': {
    name: 'Stem scored',
    link: 'packing and guides',
    then: 'Repack with a new stem: packing alone will not hold.',
    has: packed,
  },
  'weight moved': {
    name: 'Weight out of place',
    link: 'linkage',
    then: 'Reckon its place again and set it.',
    has: moved(({ weight }) => weight === true),
  },
  'pot blocked': {
    name: 'Drip pot blocked',
    link: 'power element',
    then: 'Clean pot and needle valve.',
    has: moved(({ weight }) => weight === true),
  },
  'hole blocked': {
    name: 'Communication hole blocked',
    link: 'power element',
    then: 'Clear the hole; look at the diaphragm on the way.',
    has: moved(({ weight }) => weight === true),
  },
  'equalising orifice blocked': {
    name: 'Equalising orifice blocked',
    link: 'power element',
    then: 'Hold it to the light; clear it with a needle.',
    has: moved(({ power }) => power === true),
  },
  'pilot orifice dirty': {
    name: 'Pilot orifice dirty',
    link: 'power element',
    then: 'Clean pilot orifice and armature seat.',
    has: moved(({ power }) => power === true),
  },
  'pilot diaphragm torn': {
    name: 'Diaphragm torn',
    link: 'power element',
    then: 'Renew it, metal disc up.',
    has: moved(({ power }) => power === true),
  },
  'armature stuck': {
    name: 'Armature stuck or coil dead',
    link: 'signal',
    then: 'Voltage first; then clean or renew the armature.',
    has: moved(({ power }) => power === true),
  },
  'runs near set': {
    name: 'Runs too close to its set pressure',
    link: 'process',
    then: 'Nothing to repair: the margin is the operator’s.',
    has: closes(({ duty }) => duty === 'relieve by a spring'),
  },
  misaligned: {
    name: 'Spindle out of line',
    link: 'linkage',
    then: 'Strip: spindle runout, spring washers, guide.',
    has: closes(({ duty }) => duty === 'relieve by a spring'),
  },
  'something else': {
    name: 'Something that is not listed',
    link: 'process',
    then: 'Stop and think: what was not looked at? Ask somebody who knows this valve.',
    has: always,
  },
} as const satisfies Record<string, Definition>;

export type CauseId = keyof typeof CAUSES;
export const CAUSE_IDS = Object.keys(CAUSES) as [CauseId, ...CauseId[]];

/** The causes that a valve of these features can have. */
export function causesOf(features: Features): CauseId[] {
  return CAUSE_IDS.filter((id) => CAUSES[id].has(features));
}

/** The links that this valve has: those in which any of its faults can lie. */
export const chainOf = (features: Features): Link[] =>
  LINKS.filter((link) => Object.values(CAUSES).some((cause) => cause.link === link && cause.has(features)));
