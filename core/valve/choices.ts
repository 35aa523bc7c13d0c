import { z } from 'zod';
import { closureOf } from './closures';
import { checkFeatures } from './combinations';
import { featuresSchema, POSITIONER_KINDS, type Features } from './features';
import { moversHolding } from './movers';

/** One thing about a valve that can be chosen, in the words of a form. */
export interface FeatureChoice {
  readonly axis: keyof Features;
  readonly key: string;
  readonly label: string;
  readonly value: string | boolean;
  readonly options: readonly (string | boolean)[];
}

const LABELS: Readonly<Record<string, string>> = {
  'joint.gasket': 'Gasket',
  'joint.timingShims': 'Timing shims',
  'joint.ringHeldBy': 'Seal ring held by',
  'joint.gasketOn': 'Gasket lies on',
  'seat.kind': 'Seat',
  'seat.face': 'Seat face',
  'seat.removable': 'Seats come out',
  'seat.service': 'Cartridge service',
  'seat.turned': 'Seat turned over before',
  'seat.port': 'Port',
  'closure.facing': 'Plug facing',
  'closure.trim': 'Trim',
  'closure.outside': 'Outside on its shaft',
  'closure.balancedBy': 'Balanced by',
  'closure.pilot': 'Pilot operated',
  'packing.style': 'Packing',
  'packing.chamber': 'Chamber wall',
  'lantern.kind': 'Lantern ring',
  'lantern.lubricator': 'Lubricator',
  backseat: 'Backseat',
  'bushing.held': 'Stem bushing',
  'moved.kind': 'Moved by',
  'moved.action': 'Action',
  'moved.coupling': 'Coupling',
  'moved.form': 'How it reverses',
  'moved.reversing': 'Reverse its action on this job',
  'moved.variant': 'Variant',
  'moved.springPlate': 'Spring plate',
  'moved.size': 'Actuator size',
  'moved.sizes': 'Sizes',
  'moved.liftingLever': 'Lifting lever',
  'positioner.kind': 'Positioner',
};

/** What is open on a valve of these features: only choices that hold together with the rest. */
export function choicesOf(features: Features): FeatureChoice[] {
  const { fits } = closureOf(features);
  const kinds: Partial<Record<keyof Features, readonly string[]>> = {
    seat: fits.seats,
    moved: moversHolding(fits.heldBy),
    positioner: POSITIONER_KINDS,
    lantern: ['none', 'lantern-ring'],
  };
  return AXES.flatMap((axis): FeatureChoice[] => {
    const feature = features[axis];
    if (typeof feature === 'boolean') return [choice(features, axis, '', feature, [true, false])];
    if (feature === undefined) return [];
    const own = Object.entries(feature).flatMap(([key, value]): FeatureChoice[] => {
      const options = optionsOf(axis, feature, key);
      return (typeof value === 'string' || typeof value === 'boolean') && options.length > 0
        ? [choice(features, axis, key, value, options)]
        : [];
    });
    const kind = kinds[axis];
    return kind && 'kind' in feature ? [choice(features, axis, 'kind', feature.kind, kind), ...own] : own;
  }).filter(({ options, axis, key }) => options.length > 1 && labelOf(axis, key) !== undefined);
}

const AXES = [
  'seat',
  'closure',
  'joint',
  'packing',
  'lantern',
  'backseat',
  'bushing',
  'moved',
  'positioner',
] as const;

const labelOf = (axis: string, key: string): string | undefined =>
  LABELS[key === '' ? axis : `${axis}.${key}`];

function choice(
  features: Features,
  axis: keyof Features,
  key: string,
  value: string | boolean,
  options: readonly (string | boolean)[],
): FeatureChoice {
  return {
    axis,
    key,
    value,
    label: labelOf(axis, key) ?? key,
    options: options.filter((option) => option === value || withChoice(features, { axis, key }, option)),
  };
}

/** The features with one thing chosen otherwise; undefined where that does not hold together with the rest. */
export function withChoice(
  features: Features,
  { axis, key }: Pick<FeatureChoice, 'axis' | 'key'>,
  option: string | boolean,
): Features | undefined {
  const feature = features[axis];
  const changed =
    key === '' || typeof feature !== 'object'
      ? option
      : key === 'kind'
        ? { ...defaultsOf(axis, option), kind: option }
        : { ...feature, [key]: option };
  const read = featuresSchema.safeParse({ ...features, [axis]: changed });
  return read.success && checkFeatures(read.data).ok ? read.data : undefined;
}

/** The first option of everything a kind leaves open. */
function defaultsOf(axis: keyof Features, kind: string | boolean): Record<string, unknown> {
  const shape = shapeOf(axis, { kind });
  return Object.fromEntries(
    Object.entries(shape).flatMap(([key, schema]) => {
      const [first] = optionsIn(schema);
      return key === 'kind' || first === undefined ? [] : [[key, first]];
    }),
  );
}

function optionsOf(axis: keyof Features, feature: object, key: string): readonly (string | boolean)[] {
  const schema = shapeOf(axis, feature)[key];
  return schema === undefined || key === 'kind' ? [] : optionsIn(schema);
}

/** The schema of the branch of an axis that this feature is. */
function shapeOf(axis: keyof Features, feature: object): Readonly<Record<string, z.core.$ZodType>> {
  const schema = unwrapped(featuresSchema.shape[axis]);
  if (schema instanceof z.ZodObject) return schema.shape;
  if (!(schema instanceof z.ZodDiscriminatedUnion)) return {};
  for (const option of schema.options) {
    if (!(option instanceof z.ZodObject)) continue;
    const shape: Readonly<Record<string, z.core.$ZodType>> = option.shape;
    const tag: unknown = 'kind' in feature ? feature.kind : 'style' in feature ? feature.style : undefined;
    const discriminator: z.core.$ZodType | undefined = shape[schema.def.discriminator];
    if (discriminator && z.safeParse(discriminator, tag).success) return shape;
  }
  return {};
}

function optionsIn(schema: z.core.$ZodType): readonly (string | boolean)[] {
  const bare = unwrapped(schema);
  if (bare instanceof z.ZodEnum) return bare.options.filter((option) => typeof option === 'string');
  return bare instanceof z.ZodBoolean ? [false, true] : [];
}

function unwrapped(schema: z.core.$ZodType): z.core.$ZodType {
  return schema instanceof z.ZodDefault ||
    schema instanceof z.ZodOptional ||
    schema instanceof z.ZodExactOptional
    ? unwrapped(schema.unwrap())
    : schema;
}
