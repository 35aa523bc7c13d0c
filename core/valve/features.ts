import { z } from 'zod';
import { quantityOf } from '../quantity';
import { PACKING_STYLES, STUD_MATERIALS } from '../standards';

/**
 * What a valve is made of, as the plan sees it. Kinds are discriminated unions so that a construction is a set of
 * choices; a figure that nobody knows yet is absent and becomes an ask.
 */
const boltedBonnet = z.strictObject({
  kind: z.literal('bolted-bonnet'),
  gasket: z.enum(['spiral-wound', 'compressed-fibre']),
  bolts: z.int().min(3).max(96).exactOptional(),
  thread: z.string().max(20).exactOptional(),
  studMaterial: z.enum(STUD_MATERIALS).exactOptional(),
  /** Final torque from the maker's sheet, where there is one. */
  makersTorque: quantityOf('torque').exactOptional(),
});

const screwedSeat = z.strictObject({
  kind: z.literal('screwed'),
  face: z.enum(['hard-faced', 'plain']),
  diameter: quantityOf('length').exactOptional(),
  /** Metal left to reface, above the least the drawing allows. */
  stock: quantityOf('length').exactOptional(),
});
const integralSeat = screwedSeat.extend({ kind: z.literal('integral') });

export const featuresSchema = z.strictObject({
  joint: z.discriminatedUnion('kind', [boltedBonnet]),
  seat: z.discriminatedUnion('kind', [screwedSeat, integralSeat]),
  closure: z.discriminatedUnion('kind', [z.strictObject({ kind: z.literal('swivel-disc') })]),
  stem: z.strictObject({
    motion: z.literal('rising'),
    diameter: quantityOf('length').exactOptional(),
  }),
  packing: z.strictObject({
    style: z.enum(PACKING_STYLES),
    bore: quantityOf('length').exactOptional(),
    depth: quantityOf('length').exactOptional(),
    glandEntry: quantityOf('length').exactOptional(),
  }),
  backseat: z.boolean(),
  bushing: z.strictObject({ held: z.enum(['tack-welded', 'screwed']) }),
  moved: z.discriminatedUnion('kind', [z.strictObject({ kind: z.literal('handwheel') })]),
});

export type Features = z.output<typeof featuresSchema>;

/** A usual valve of the construction, every figure still unknown. */
export const GLOBE_BOLTED_FEATURES: Features = {
  joint: { kind: 'bolted-bonnet', gasket: 'spiral-wound' },
  seat: { kind: 'screwed', face: 'hard-faced' },
  closure: { kind: 'swivel-disc' },
  stem: { motion: 'rising' },
  packing: { style: 'die-formed' },
  backseat: true,
  bushing: { held: 'tack-welded' },
  moved: { kind: 'handwheel' },
};
