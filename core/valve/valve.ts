import { z } from 'zod';
import { quantityOf } from '../quantity';
import { MATERIAL_GROUPS, NOMINAL_SIZES, PRESSURE_CLASSES } from '../standards';
import { CONSTRUCTION_IDS } from './construction';
import { featuresSchema, GLOBE_BOLTED_FEATURES } from './features';
import { HAZARD_IDS } from './medium';

const words = (most: number) => z.string().trim().min(1).max(most);

/** A valve as its plate and its sheet describe it. Absent figures are asked for. */
export const valveSchema = z.strictObject({
  tag: words(40),
  serial: words(60).exactOptional(),
  construction: z.enum(CONSTRUCTION_IDS),
  customer: words(80),
  location: words(120),
  nps: z
    .number()
    .refine((nps) => NOMINAL_SIZES.some(([each]) => each === nps), 'not a nominal size')
    .exactOptional(),
  pressureClass: z.literal(PRESSURE_CLASSES).exactOptional(),
  group: z.enum(MATERIAL_GROUPS).exactOptional(),
  medium: z
    .strictObject({
      name: words(60),
      hazards: z.array(z.enum(HAZARD_IDS)).max(HAZARD_IDS.length),
      pressure: quantityOf('gauge pressure').exactOptional(),
      temperature: quantityOf('temperature').exactOptional(),
    })
    .exactOptional(),
  features: featuresSchema,
});

export type Valve = z.output<typeof valveSchema>;

/** The valve that a plan is shown for when none is named: every figure known, a middling size. */
export function defaultValve(): Valve {
  const inch = (value: number) => ({ dimension: 'length' as const, value, unit: 'in' });
  return {
    tag: 'default',
    construction: 'globe-bolted',
    customer: 'none',
    location: 'bench',
    nps: 3,
    pressureClass: 600,
    group: '1.1',
    medium: { name: 'Water', hazards: [] },
    features: {
      ...GLOBE_BOLTED_FEATURES,
      joint: {
        kind: 'bolted-bonnet',
        gasket: 'spiral-wound',
        bolts: 8,
        thread: '3/4-10',
        studMaterial: 'B7',
      },
      seat: { kind: 'screwed', face: 'hard-faced', diameter: inch(3), stock: inch(0.06) },
      stem: { motion: 'rising', diameter: inch(1) },
      packing: { style: 'die-formed', bore: inch(1.5), depth: inch(2), glandEntry: inch(0.25) },
    },
  };
}
