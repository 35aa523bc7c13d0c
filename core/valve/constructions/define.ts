import type { GaugePressure } from '../../quantity';
import type { MaterialGroup, Orifice, PressureClass, ReliefStamp } from '../../standards';
import { featuresSchema, type Features, type RawFeatures } from '../features';

/** A construction: a named default of features, at a size that is usual for it. */
export interface Construction {
  readonly name: string;
  readonly about: string;
  /** Where it says what it is, when its plate is gone. */
  readonly identify: string;
  readonly usual: {
    readonly nps: number;
    readonly pressureClass?: PressureClass;
    readonly group?: MaterialGroup;
    readonly ratedPressure?: GaugePressure;
    readonly plate?: { setPressure: GaugePressure; orifice: Orifice; stamp: ReliefStamp };
  };
  readonly features: Features;
}

type Given = Omit<Construction, 'features' | 'identify'> & {
  readonly features: RawFeatures;
  readonly identify?: string;
};

const PLATE_GONE = 'Where the plate is gone, read the stamping on the body.';

/** Constructions by id, their features completed with the plain defaults. */
export function constructions<K extends string>(
  given: Readonly<Record<K, Given>>,
): Readonly<Record<K, Construction>> {
  const made = {} as Record<K, Construction>;
  for (const id in given) {
    const { features, ...rest } = given[id];
    made[id] = { identify: PLATE_GONE, ...rest, features: featuresSchema.parse(features) };
  }
  return made;
}
