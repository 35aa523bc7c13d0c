import { z } from 'zod';
import { quantityOf } from '../quantity';
import { PACKING_STYLES, STUD_MATERIALS } from '../standards';

/**
 * What a valve is made of, as the plan sees it. Each axis is a discriminated union, so that a construction is a set of
 * choices and any other valid set gets a plan too; a figure that nobody knows yet is absent and becomes an ask.
 */
const length = quantityOf('length');
const only = <const K extends string>(kind: K) => z.strictObject({ kind: z.literal(kind) });

const bolting = {
  bolts: z.int().min(3).max(96).exactOptional(),
  thread: z.string().max(20).exactOptional(),
  studMaterial: z.enum(STUD_MATERIALS).exactOptional(),
  /** Final torque from the maker's sheet, where there is one. */
  makersTorque: quantityOf('torque').exactOptional(),
};

const bolted = <const K extends string>(kind: K) => z.strictObject({ kind: z.literal(kind), ...bolting });

/** How the pressure boundary is opened and closed again. */
export const jointSchema = z.discriminatedUnion('kind', [
  bolted('bolted-bonnet').extend({
    gasket: z.enum(['spiral-wound', 'compressed-fibre', 'seal ring']),
    /** A bottom flange as well, with a drain hole, through which the lower guide is reached. */
    blindHead: z.boolean().default(false),
  }),
  bolted('bolted-cover').extend({ gasket: z.enum(['spiral-wound', 'compressed-fibre']) }),
  /** A yoke threaded on the body and clamped, over a bonnet chamber that drops in. */
  only('clamped-yoke').extend({ timingShims: z.boolean() }),
  /** A bonnet on a pressure-energised seal ring, the internals carried in it. */
  bolted('seal-ring-bonnet').extend({ ringHeldBy: z.enum(['lock ring', 'seats']) }),
  bolted('cap-and-plate').extend({ gasket: z.enum(['spiral-wound', 'compressed-fibre']) }),
  bolted('spring-cover'),
  bolted('end-caps'),
  bolted('diaphragm-housing').extend({ gasketOn: z.enum(['body', 'housing']) }),
  bolted('bonnet-and-diaphragm-housing'),
  /** No bonnet: everything is reached along the shaft. */
  only('shaft-box'),
  only('clamps'),
  only('screwed-body'),
  only('screwed-bonnet'),
  bolted('pilot-cover'),
  bolted('spring-bonnet'),
]);

const metalSeat = {
  face: z.enum(['hard-faced', 'plain']),
  diameter: length.exactOptional(),
  /** Metal left to reface, above the least the drawing allows. */
  stock: length.exactOptional(),
};
const metal = <const K extends string>(kind: K) => z.strictObject({ kind: z.literal(kind), ...metalSeat });
const soft = <const K extends string>(kind: K) =>
  z.strictObject({ kind: z.literal(kind), diameter: length.exactOptional() });

/** How the seat is held, and whether it can come out. */
export const seatSchema = z.discriminatedUnion('kind', [
  metal('screwed'),
  metal('integral'),
  metal('wedge-pair').extend({ removable: z.boolean() }),
  metal('floating-pair'),
  metal('plug-taper'),
  metal('double'),
  metal('clamped-ring'),
  metal('retained-ring'),
  /** Two seats in one cartridge: the first service turns it end for end, the second renews it. */
  metal('cartridge').extend({ service: z.enum(['first', 'second']) }),
  metal('nozzle'),
  soft('soft-pair'),
  soft('soft-liner'),
  /** Full-port bodies have the seat in one piece with them; a reduced port takes a seat out with a seat tool. */
  soft('ported').extend({ port: z.enum(['full', 'reduced']) }),
  soft('clamped-soft'),
  /** Two faces: worn on one it is turned over, once. */
  soft('reversible').extend({ turned: z.boolean().default(false) }),
  soft('bead-sealed'),
  soft('liner'),
  soft('pilot'),
]);

/** What closes against the seat. */
export const closureSchema = z.discriminatedUnion('kind', [
  only('swivel-disc'),
  only('captive-disc'),
  only('wedge'),
  only('expanding-gates'),
  only('taper-plug'),
  only('eccentric-plug'),
  only('guided-check'),
  /** What stands outside on its shaft and helps it shut, or keeps it from slamming. */
  only('swing-disc').extend({
    outside: z.enum(['nothing', 'lever and weight', 'lever and dashpot']).default('nothing'),
  }),
  only('ball'),
  only('double-plug'),
  only('balanced-plug').extend({ facing: z.enum(['metal', 'soft insert']) }),
  only('ball-in-cage'),
  only('spherical-plug'),
  only('vane'),
  only('ratio-plug'),
  only('hygienic-plug'),
  only('dump-disc'),
  only('spring-regulator').extend({ trim: z.enum(['sliding gate', 'plug']) }),
  only('shear-piston'),
  only('pilot-diaphragm'),
  only('relief-disc').extend({
    facing: z.enum(['metal', 'soft insert']).default('metal'),
    /** A bellows keeps back pressure off the disc and the medium out of the bonnet. */
    balancedBy: z.enum(['nothing', 'bellows']).default('nothing'),
    /** A pilot valve lets the dome over the disc go at the set pressure. */
    pilot: z.boolean().default(false),
  }),
]);

export const stemSchema = z.strictObject({
  motion: z.enum(['rising', 'rising and non-rising', 'sliding', 'rotary', 'none']),
  diameter: length.exactOptional(),
});

const box = z.strictObject({
  style: z.enum(PACKING_STYLES),
  bore: length.exactOptional(),
  depth: length.exactOptional(),
  glandEntry: length.exactOptional(),
  /** A finished chamber wall is scored by a steel hook. */
  chamber: z.enum(['plain', 'finished']).default('finished'),
  /** Stiff rings above and below soft ones. */
  adapters: z.boolean().default(false),
  /** Final gland torque from the maker's sheet, where there is one. */
  glandTorque: quantityOf('torque').exactOptional(),
});

/** How the stem is sealed, and in what chamber. */
export const packingSchema = z.discriminatedUnion('style', [
  box,
  z.strictObject({ style: z.literal('lip seals') }),
  z.strictObject({ style: z.literal('o-ring and backups') }),
  z.strictObject({ style: z.literal('o-rings') }),
  z.strictObject({ style: z.literal('none') }),
]);

const action = z.enum(['air-to-open', 'air-to-close']);
const coupling = z.enum(['screwed', 'split']);

/** What moves the closure. */
export const moverSchema = z.discriminatedUnion('kind', [
  only('handwheel'),
  only('wrench'),
  only('lever'),
  only('spring-diaphragm').extend({ action, coupling }),
  only('piston').extend({ coupling }),
  only('rolling-diaphragm').extend({
    action,
    /** How its fail action is reversed: the barrel goes across the yoke, or the whole actuator to the mirror position. */
    form: z.enum(['barrel across', 'mirror position']),
    reversing: z.boolean(),
  }),
  only('vane-arm').extend({ action, reversing: z.boolean() }),
  only('diaphragm-on-stem').extend({
    variant: z.enum(['single acting', 'double acting', 'adjustable double acting']),
    springPlate: z.boolean(),
  }),
  only('hygienic-cylinder').extend({ size: z.enum(['small', 'large']) }),
  only('weight-lever').extend({ sizes: z.enum(['2-3 in', '4-6 in']) }),
  only('range-spring'),
  only('flow').extend({ bypassInsert: z.boolean() }),
  only('shear-pin'),
  only('solenoid'),
  only('set-spring').extend({ liftingLever: z.boolean() }),
]);

export const positionerSchema = z.discriminatedUnion('kind', [
  only('none'),
  /** Force balance, sealed to the top of the cylinder, its range spring on the actuator stem. */
  only('on-cylinder'),
  only('side-mounted'),
]);

export const featuresSchema = z.strictObject({
  joint: jointSchema,
  seat: seatSchema,
  closure: closureSchema,
  stem: stemSchema,
  packing: packingSchema,
  lantern: z
    .discriminatedUnion('kind', [only('none'), only('lantern-ring').extend({ lubricator: z.boolean() })])
    .default({ kind: 'none' }),
  backseat: z.boolean(),
  bushing: z.strictObject({ held: z.enum(['tack-welded', 'screwed', 'none']) }),
  guides: z
    .discriminatedUnion('kind', [
      only('none'),
      only('top-and-bottom'),
      only('cage'),
      only('guide-rings'),
      only('bearings'),
      only('shaft-bushes'),
    ])
    .default({ kind: 'none' }),
  balance: z.discriminatedUnion('kind', [only('none'), only('seal-rings')]).default({ kind: 'none' }),
  moved: moverSchema,
  positioner: positionerSchema.default({ kind: 'none' }),
  lubrication: z
    .discriminatedUnion('kind', [only('none'), only('sealant'), only('cavity-grease'), only('food-grade')])
    .default({ kind: 'none' }),
  limits: z
    .discriminatedUnion('kind', [
      only('none'),
      /** The flow shuts it; the actuator only places it, and too much thrust breaks it. */
      only('position-seated'),
      only('stops'),
    ])
    .default({ kind: 'none' }),
  /** Seat leakage class of a control valve. */
  tightness: z
    .strictObject({
      class: z.enum(['II', 'III', 'IV', 'V', 'VI']),
      ratedCv: quantityOf('flow coefficient').exactOptional(),
      difference: quantityOf('pressure difference').exactOptional(),
    })
    .exactOptional(),
});

export type Features = z.output<typeof featuresSchema>;
/** As they are written down: axes that are plain in most valves may be left out. */
export type RawFeatures = z.input<typeof featuresSchema>;
export type Joint = Features['joint'];
export type JointKind = Joint['kind'];
export type JointOf<K extends JointKind> = Extract<Joint, { kind: K }>;
export type SeatKind = Features['seat']['kind'];
export type ClosureKind = Features['closure']['kind'];
export type ClosureOf<K extends ClosureKind> = Extract<Features['closure'], { kind: K }>;
export type MoverKind = Features['moved']['kind'];
export const MOVER_KINDS: readonly MoverKind[] = moverSchema.options.map(({ shape }) => shape.kind.value);
export type MoverOf<K extends MoverKind> = Extract<Features['moved'], { kind: K }>;
export type PositionerKind = Features['positioner']['kind'];
export const POSITIONER_KINDS: readonly PositionerKind[] = positionerSchema.options.map(
  ({ shape }) => shape.kind.value,
);

// The kinds that leave something open, by name for the files that are theirs.
export type BoltedBonnet = JointOf<'bolted-bonnet'>;
export type ClampedYoke = JointOf<'clamped-yoke'>;
export type SealRingBonnet = JointOf<'seal-ring-bonnet'>;
export type BalancedPlug = ClosureOf<'balanced-plug'>;
export type SwingDisc = ClosureOf<'swing-disc'>;
export type ReliefDisc = ClosureOf<'relief-disc'>;
export type SpringRegulator = ClosureOf<'spring-regulator'>;
export type SpringDiaphragm = MoverOf<'spring-diaphragm'>;
export type Piston = MoverOf<'piston'>;
export type RollingDiaphragm = MoverOf<'rolling-diaphragm'>;
export type VaneArm = MoverOf<'vane-arm'>;
export type DiaphragmOnStem = MoverOf<'diaphragm-on-stem'>;
export type HygienicCylinder = MoverOf<'hygienic-cylinder'>;
export type WeightLever = MoverOf<'weight-lever'>;
export type SetSpring = MoverOf<'set-spring'>;

type BoltedJoint = Exclude<
  Joint,
  { kind: 'clamped-yoke' | 'shaft-box' | 'clamps' | 'screwed-body' | 'screwed-bonnet' }
>;

/** Air drives it shut, its spring opens it. */
export const closesByAir = ({ moved }: Features): boolean =>
  'action' in moved && moved.action === 'air-to-close';

/** Air drives it open, its spring shuts it. */
export const opensByAir = ({ moved }: Features): boolean =>
  'action' in moved && moved.action === 'air-to-open';

/** The joint, when studs or bolts hold it. */
export function boltedJoint({ joint }: Features): BoltedJoint | undefined {
  switch (joint.kind) {
    case 'clamped-yoke':
    case 'shaft-box':
    case 'clamps':
    case 'screwed-body':
    case 'screwed-bonnet':
      return undefined;
    default:
      return joint;
  }
}

export type PackedBox = z.output<typeof box>;

/** The stuffing box, when the stem is sealed by packing rings under a gland. */
export function packedBox({ packing }: Features): PackedBox | undefined {
  return 'chamber' in packing ? packing : undefined;
}

type MetalSeat = Extract<Features['seat'], { face: string }>;

/** The seat, when it is metal that can be cut, ground in and blued. */
export function metalSeatOf({ seat }: Features): MetalSeat | undefined {
  return 'face' in seat ? seat : undefined;
}
