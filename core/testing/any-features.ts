import fc from 'fast-check';
import {
  checkFeatures,
  closureOf,
  moversHolding,
  CONSTRUCTION_IDS,
  CONSTRUCTIONS,
  featuresSchema,
  type ClosureKind,
  type Features,
} from '../valve';

/** Every choice a kind leaves open, so that a random valve varies in all of them. */
const boolean = fc.boolean();
const face = fc.constantFrom('hard-faced', 'plain');
const action = fc.constantFrom('air-to-open', 'air-to-close');
const coupling = fc.constantFrom('screwed', 'split');

const OPEN: Readonly<Record<string, Record<string, fc.Arbitrary<unknown>>>> = {
  'bolted-bonnet': {
    gasket: fc.constantFrom('spiral-wound', 'compressed-fibre', 'seal ring'),
    bolts: fc.constantFrom(4, 8, 12),
  },
  'bolted-cover': { gasket: fc.constantFrom('spiral-wound', 'compressed-fibre') },
  'clamped-yoke': { timingShims: boolean },
  'seal-ring-bonnet': { ringHeldBy: fc.constantFrom('lock ring', 'seats') },
  'cap-and-plate': { gasket: fc.constantFrom('spiral-wound', 'compressed-fibre') },
  'diaphragm-housing': { gasketOn: fc.constantFrom('body', 'housing') },
  screwed: { face },
  integral: { face },
  'wedge-pair': { face, removable: boolean },
  'floating-pair': { face },
  'plug-taper': { face },
  double: { face },
  'clamped-ring': { face },
  'retained-ring': { face },
  cartridge: { face, service: fc.constantFrom('first', 'second') },
  nozzle: { face },
  ported: { port: fc.constantFrom('full', 'reduced') },
  'balanced-plug': { facing: fc.constantFrom('metal', 'soft insert') },
  'spring-regulator': { trim: fc.constantFrom('sliding gate', 'plug') },
  'spring-diaphragm': { action, coupling },
  piston: { coupling },
  'rolling-diaphragm': {
    action,
    form: fc.constantFrom('barrel across', 'mirror position'),
    reversing: boolean,
  },
  'vane-arm': { action, reversing: boolean },
  'diaphragm-on-stem': {
    variant: fc.constantFrom('single acting', 'double acting', 'adjustable double acting'),
    springPlate: boolean,
  },
  'hygienic-cylinder': { size: fc.constantFrom('small', 'large') },
  'weight-lever': { sizes: fc.constantFrom('2-3 in', '4-6 in') },
  'set-spring': { liftingLever: boolean },
  'lantern-ring': { lubricator: boolean },
};

const kindOf = (kind: string) => fc.record({ kind: fc.constant(kind), ...OPEN[kind] });

const CLOSURES: readonly ClosureKind[] = [
  ...new Set(CONSTRUCTION_IDS.map((id) => CONSTRUCTIONS[id].features.closure.kind)),
];

/** A usual valve that closes so: what no axis varies is taken from it. */
const usual = (closure: ClosureKind): Features => {
  const id = CONSTRUCTION_IDS.find((each) => CONSTRUCTIONS[each].features.closure.kind === closure);
  if (!id) throw new Error(`no construction closes with a ${closure}`);
  return CONSTRUCTIONS[id].features;
};

/** Features drawn at random from every axis, whether they hold together or not. */
export const looseFeatures: fc.Arbitrary<unknown> = fc.constantFrom(...CLOSURES).chain((closure) => {
  const base = usual(closure);
  const { fits } = closureOf(base);
  return fc
    .record({
      joint: fc.constantFrom(...fits.joints).chain(kindOf),
      seat: fc.constantFrom(...fits.seats).chain(kindOf),
      closure: kindOf(closure),
      motion: fc.constantFrom(...fits.motions),
      moved: fc.constantFrom(...moversHolding(fits.heldBy)).chain(kindOf),
      style: fc.constantFrom('braided', 'die-formed', 'v-ring'),
      chamber: fc.constantFrom('plain', 'finished'),
      lantern: fc.constantFrom('none', 'none', 'lantern-ring').chain(kindOf),
      backseat: boolean,
      bushing: fc.constantFrom('tack-welded', 'screwed'),
      positioner: fc.constantFrom('none', 'none', 'on-cylinder', 'side-mounted').chain(kindOf),
      tight: boolean,
    })
    .map(
      ({ motion, style, chamber, lantern, backseat, bushing, positioner, tight, joint, moved, ...axes }) => ({
        ...base,
        ...axes,
        joint: {
          ...(base.joint.kind === joint.kind ? base.joint : {}),
          ...joint,
          ...(joint.kind === 'bolted-bonnet' ? { blindHead: closure === 'double-plug' } : {}),
        },
        moved: moved.kind === 'flow' ? base.moved : moved,
        stem: { ...base.stem, motion },
        packing: 'chamber' in base.packing ? { ...base.packing, style, chamber } : base.packing,
        lantern: 'chamber' in base.packing ? lantern : { kind: 'none' },
        backseat: backseat && motion === 'rising',
        bushing: { held: motion === 'rising' && joint.kind !== 'clamped-yoke' ? bushing : 'none' },
        positioner: POSITIONED.includes(moved.kind) ? positioner : { kind: 'none' },
        ...(tight ? { tightness: { class: 'IV' } } : {}),
      }),
    );
});

const POSITIONED = ['spring-diaphragm', 'piston', 'rolling-diaphragm', 'vane-arm'];

/** Only those that hold together. */
export const anyFeatures: fc.Arbitrary<Features> = looseFeatures
  .map((raw) => featuresSchema.safeParse(raw))
  .filter((read) => read.success && checkFeatures(read.data).ok)
  .map((read) => {
    if (!read.success) throw new Error('the filter has let through what does not read');
    return read.data;
  });
