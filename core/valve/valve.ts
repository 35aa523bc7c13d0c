import { z } from 'zod';
import { quantityOf } from '../quantity';
import {
  IRON_BODIES,
  MATERIAL_GROUPS,
  NOMINAL_SIZES,
  ORIFICES,
  PRESSURE_CLASSES,
  RELIEF_STAMPS,
} from '../standards';
import { checkFeatures } from './combinations';
import { CONSTRUCTION_IDS, CONSTRUCTIONS, type ConstructionId } from './constructions';
import { featuresSchema, type Features } from './features';
import type { MakersSheet } from './makers-sheet';
import { HAZARD_IDS } from './medium';
import { ACTINGS, SIGNAL_RANGES } from './signal';

const words = (most: number) => z.string().trim().min(1).max(most);

/** Features that hold together; the first contradiction is said in words. */
const soundFeatures = featuresSchema.superRefine((features, context) => {
  const checked = checkFeatures(features);
  if (!checked.ok && checked.problem.code === 'features.contradict')
    context.addIssue({ code: 'custom', message: checked.problem.why });
});

export const ENDS = ['flanged', 'screwed', 'welded'] as const;
export type Ends = (typeof ENDS)[number];

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
  /** An iron body, which has pressures of its own instead of class and group. */
  iron: z.enum(IRON_BODIES).exactOptional(),
  /** Rated working pressure, by which oilfield valves go instead of class and group (API 6A). */
  ratedPressure: quantityOf('gauge pressure').exactOptional(),
  /** How it is joined to its line; told by the rating where nobody says. */
  ends: z.enum(ENDS).exactOptional(),
  /** What else its plate says, as stamped. */
  plate: z
    .strictObject({
      model: words(60).exactOptional(),
      trim: words(60).exactOptional(),
      sizeCode: words(40).exactOptional(),
      setPressure: quantityOf('gauge pressure').exactOptional(),
      /** Of a relief valve: API 526 letter, and the code it is stamped for: UV Section VIII, V Section I. */
      orifice: z.enum(ORIFICES).exactOptional(),
      stamp: z.enum(RELIEF_STAMPS).exactOptional(),
      springRange: z
        .strictObject({ low: quantityOf('gauge pressure'), high: quantityOf('gauge pressure') })
        .exactOptional(),
      /** The signal that it answers, and whether it opens by more of it. */
      signal: z.enum(SIGNAL_RANGES).exactOptional(),
      acting: z.enum(ACTINGS).exactOptional(),
    })
    .exactOptional(),
  medium: z
    .strictObject({
      name: words(60),
      hazards: z.array(z.enum(HAZARD_IDS, `one of ${HAZARD_IDS.join(', ')}`)).max(HAZARD_IDS.length),
      pressure: quantityOf('gauge pressure').exactOptional(),
      temperature: quantityOf('temperature').exactOptional(),
      /** Hydrogen sulphide in it. */
      h2s: quantityOf('ratio').exactOptional(),
    })
    .exactOptional(),
  features: soundFeatures,
});

/** A valve as it is known: its plate, and the maker's sheet of its model where one is on file. */
export type Valve = z.output<typeof valveSchema> & { readonly sheet?: MakersSheet };

/** What joins it to its line: one with a class or a rated pressure is flanged unless it is said otherwise (common practice). */
export const endsOf = ({ ends, pressureClass, iron, ratedPressure }: Valve): Ends =>
  ends ?? ((pressureClass ?? iron ?? ratedPressure) ? 'flanged' : 'screwed');

/** The valve that a plan is shown for when none is named: every figure known, a usual size. */
export function defaultValve(construction: ConstructionId = 'globe-bolted'): Valve {
  const { usual, features } = CONSTRUCTIONS[construction];
  return {
    tag: 'default',
    construction,
    customer: 'none',
    location: 'bench',
    ...usual,
    medium: { name: 'Water', hazards: [] },
    features,
  };
}

const FIGURES: readonly string[] = [
  'bolts',
  'thread',
  'studMaterial',
  'makersTorque',
  'diameter',
  'stock',
  'bore',
  'depth',
  'glandEntry',
  'glandTorque',
  'ratedCv',
  'difference',
];

/** The usual features of a construction with every figure still unknown. */
export function bareFeatures(construction: ConstructionId): Features {
  const axes = Object.entries(CONSTRUCTIONS[construction].features).map(([axis, feature]) => [
    axis,
    typeof feature === 'object'
      ? Object.fromEntries(Object.entries(feature).filter(([name]) => !FIGURES.includes(name)))
      : feature,
  ]);
  return featuresSchema.parse(Object.fromEntries(axes));
}
