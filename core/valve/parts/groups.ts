import { packedBox, type Features } from '../features';
import type { PartRole } from './catalogue';

type Roles = readonly PartRole[];
type Of<A extends 'joint' | 'closure' | 'moved', K> = Extract<Features[A], { kind: K }>;
type Groups<A extends 'joint' | 'closure' | 'moved'> = {
  readonly [K in Features[A]['kind']]: (feature: Of<A, K>, all: Features) => Roles;
};

/** Only where it is there. */
const where = (there: boolean, ...roles: PartRole[]): Roles => (there ? roles : []);

/** What moves the valve, from the outside in. */
const MOVERS: Groups<'moved'> = {
  handwheel: (_, { joint }) =>
    joint.kind === 'clamped-yoke'
      ? ['wheel nut', 'wheel washer', 'handwheel', 'wheel adapter']
      : joint.kind === 'seal-ring-bonnet'
        ? ['handwheel']
        : ['wheel nut', 'handwheel'],
  wrench: () => [],
  lever: () => ['lever nut', 'lever'],
  'spring-diaphragm': ({ coupling }) => [
    'air lines',
    'actuator',
    'actuator cover',
    'actuator diaphragm',
    'actuator spring',
    'actuator stem seals',
    ...coupled(coupling),
  ],
  piston: ({ coupling }, { positioner }) => [
    'air lines',
    ...where(positioner.kind === 'on-cylinder', 'feedback spring', 'positioner', 'positioner O-ring'),
    'actuator',
    'boot',
    'cylinder',
    'piston',
    'piston O-ring',
    'cylinder bushing',
    'cylinder bushing seal',
    'yoke bushing',
    'yoke bushing seal',
    ...coupled(coupling),
  ],
  'rolling-diaphragm': ({ form }) => [
    'air lines',
    'front cover',
    'clevis pin',
    'clevis',
    'clevis nut',
    ...where(form === 'barrel across', 'spring barrel', 'actuator handwheel', 'limit stop'),
    'actuator',
    'rolling diaphragm',
    'shaft lever',
    'travel indicator',
    'yoke',
  ],
  'vane-arm': () => [
    'air lines',
    'cotter',
    'clevis pin',
    'clevis',
    'clevis nut',
    'arm set screw',
    'vane arm',
    'arm key',
    'indicator plate',
    'actuator',
  ],
  'diaphragm-on-stem': ({ variant, springPlate }) => [
    ...where(variant !== 'double acting', 'adjusting screw'),
    'bonnet bolts',
    'bonnet',
    ...where(variant !== 'double acting', 'spring'),
    ...where(springPlate, 'spring plate'),
    'diaphragm nut',
    'diaphragm plates',
    'diaphragm',
    'lower housing',
    'housing gasket',
  ],
  'hygienic-cylinder': ({ size }) => [
    ...where(size === 'large', 'upper clamp', 'bonnet'),
    'air plug',
    'locking wire',
    'cylinder',
    ...where(size === 'large', 'cylinder O-ring', 'piston guide rings', 'piston', 'actuator lip seal'),
    ...where(size === 'small', 'actuator O-rings'),
    'spring assembly',
  ],
  'weight-lever': ({ sizes }) => [
    'weight',
    'lever',
    'lever hub',
    'shaft nut',
    ...where(sizes === '4-6 in', 'packing follower'),
    'packing ring',
    'stuffing box',
    'shaft thrust washer',
    'trunnion plug',
    ...where(sizes === '2-3 in', 'trunnion O-ring'),
    ...where(sizes === '4-6 in', 'trunnion gasket'),
    'shaft bushings',
    'shaft O-rings',
    'shaft',
    'trunnion hub',
    'snap rings',
    'link pin',
    'drip pot',
    'needle valve',
  ],
  'range-spring': () => ['adjusting screw', 'range spring'],
  flow: () => [],
  'shear-pin': () => ['safety cover', 'shear pin', 'stem pin'],
  solenoid: () => [
    'coil',
    'armature screws',
    'armature',
    'armature spring',
    'armature O-ring',
    'equalising orifice',
  ],
  'set-spring': ({ liftingLever }) => [
    'seal',
    'cap',
    'cap gasket',
    ...where(liftingLever, 'lifting lever'),
    'compression screw',
  ],
};

const coupled = (coupling: 'screwed' | 'split'): Roles =>
  coupling === 'split'
    ? ['split coupler', 'coupler nut', 'travel indicator']
    : ['stem connector', 'stem lock nuts', 'travel indicator'];

/** What holds the pressure in, down to where the trim can be reached. */
const JOINTS: Groups<'joint'> = {
  'bolted-bonnet': ({ blindHead, gasket }, { moved, bushing }) => [
    'bonnet studs',
    'bonnet',
    ...where(moved.kind === 'handwheel', 'yoke'),
    ...where(bushing.held !== 'none', 'stem bushing'),
    gasket === 'seal ring' ? 'bonnet seal' : 'bonnet gasket',
    ...where(blindHead, 'blind head studs', 'blind head', 'blind head gasket'),
  ],
  'bolted-cover': () => ['cover bolts', 'cover', 'cover gasket'],
  'clamped-yoke': ({ timingShims }) => [
    'gland spring',
    'gland lock',
    'yoke clamp bolt',
    'clamped yoke',
    ...where(timingShims, 'timing shims'),
    'bonnet chamber',
  ],
  'seal-ring-bonnet': ({ ringHeldBy }) => [
    'bearing cap',
    'cap O-ring',
    'outer bearing',
    'shear pin',
    'upper stem',
    'inner bearing',
    'packing gland',
    'bonnet studs',
    'bonnet',
    'grease fitting',
    ...where(ringHeldBy === 'lock ring', 'lock ring'),
    'bonnet seal ring',
  ],
  'cap-and-plate': () => [
    'grease injector',
    'locking ring',
    'cap bolts',
    'cap',
    'adjusting screw',
    'cap spacer',
    'cover plate',
    'plate spacer',
    'cover gasket',
  ],
  'spring-cover': () => ['cover bolts', 'cover', 'cover gasket', 'spring'],
  'end-caps': () => ['body bolts', 'end caps', 'outer body seals', 'inner body seals'],
  'diaphragm-housing': () => [],
  'bonnet-and-diaphragm-housing': () => [
    'bonnet bolts',
    'bonnet',
    'bonnet gasket',
    'diaphragm bolt',
    'diaphragm retainer',
    'upper diaphragm',
    'lifting rings',
    'housing bolts',
    'housing',
  ],
  'shaft-box': () => [],
  clamps: () => ['lower clamp'],
  'screwed-body': () => ['housing bolts', 'housing', 'bottom cap'],
  'screwed-bonnet': () => ['bonnet'],
  'pilot-cover': () => ['cover screws', 'cover', 'cover O-ring'],
  'spring-bonnet': () => ['bonnet studs', 'bonnet', 'bonnet gasket'],
};

/** What closes, and what it closes on, from the first to come out to the last. */
const CLOSURES: Groups<'closure'> = {
  'swivel-disc': (_, { seat }) => ['disc', ...(seat.kind === 'clamped-ring' ? RING : (['seat'] as const))],
  'captive-disc': () => ['disc', 'backseat retainer', 'seat'],
  wedge: () => ['wedge', 'left seat', 'right seat'],
  'expanding-gates': () => ['seat assemblies', 'seat pins', 'inner gate', 'gate pins', 'outer gate'],
  'taper-plug': () => ['stem O-rings', 'plug', 'thrust washer', 'thrust spring'],
  'eccentric-plug': () => ['plug', 'seat liner'],
  'guided-check': () => ['check disc', 'guide rings', 'bypass insert', 'vortex bushing', 'seat'],
  'swing-disc': () => ['pin plugs', 'hinge pin', 'hinge bushings', 'hinge arm', 'disc nut', 'disc', 'seat'],
  ball: () => ['soft seats', 'ball'],
  'double-plug': () => ['plug', 'upper guide', 'lower guide', 'upper seat ring', 'lower seat ring'],
  'balanced-plug': ({ facing }) => [
    'guide',
    'guide gasket',
    'cage',
    'plug pin',
    'plug',
    'plug seals',
    ...where(facing === 'soft insert', 'insert screw', 'insert retainer', 'soft insert', 'insert O-ring'),
    ...RING,
  ],
  'ball-in-cage': () => [
    'ball',
    'ball cage',
    'cartridge',
    'seat gaskets',
    'guide pin',
    'guide pin gasket',
    'wear bushings',
    'bushing gaskets',
  ],
  'spherical-plug': () => [
    'packing box ring',
    'shaft retaining pin',
    'shaft bushes',
    'plug',
    'seat retainer',
    'seat ring',
    'seat gasket',
  ],
  vane: () => ['shaft bushes', 'vane', 'seat liner'],
  'ratio-plug': (_, { seat }) => [
    'stem O-ring',
    'backup rings',
    'ratio plug',
    'soft seat',
    'seat disc',
    ...where(seat.kind === 'ported' && seat.port === 'reduced', 'port seat'),
  ],
  'hygienic-plug': () => ['clamp seat ring', 'plug clip', 'hygienic plug', 'lip seal'],
  'dump-disc': () => [
    'stem pin',
    'pivot',
    'diaphragm plate',
    'diaphragm',
    'ratio plug',
    'reversible seat',
    'dump disc',
    'removable seat',
  ],
  'spring-regulator': ({ trim }) => [
    'diaphragm plates',
    'diaphragm',
    'lower plate',
    trim === 'plug' ? 'regulator plug' : 'sliding gate',
    'return spring',
    'seat',
  ],
  'shear-piston': () => [
    'stem cushion',
    'cotter',
    'piston washer',
    'relief piston',
    'liner sub',
    'sub O-ring',
  ],
  'pilot-diaphragm': () => ['cone spring', 'diaphragm', 'pilot orifice'],
  'relief-disc': () => [
    'spring washers',
    'spring',
    'spindle',
    'guide bush',
    'disc holder',
    'disc',
    'ring pins',
    'adjusting rings',
    'nozzle',
  ],
};

const RING = ['seat ring', 'seat gasket'] as const;

/** The gland that squeezes the packing. */
function glandOf({ packing, closure, joint, lantern }: Features): Roles {
  if (!('chamber' in packing)) return [];
  const nuts: Roles =
    joint.kind === 'clamped-yoke'
      ? ['gland']
      : closure.kind === 'taper-plug'
        ? ['gland bolts', 'gland']
        : closure.kind === 'eccentric-plug'
          ? ['gland nuts', 'gland', 'gland studs']
          : ['gland nuts', 'gland flange', 'gland'];
  return [
    ...nuts,
    ...where(lantern.kind === 'lantern-ring' && lantern.lubricator, 'lubricator', 'isolating valve'),
  ];
}

function packingOf(features: Features): Roles {
  const box = packedBox(features);
  if (box) {
    return [
      ...where(box.adapters, 'female adapter'),
      'packing',
      ...where(box.adapters, 'male adapter'),
      ...where(features.lantern.kind === 'lantern-ring', 'lantern ring'),
    ];
  }
  return where(
    features.packing.style === 'lip seals' && features.joint.kind === 'seal-ring-bonnet',
    'lip seals',
  );
}

/** What runs through the packing, or guides the closure where there is none. */
function stemOf({ stem, closure }: Features): Roles {
  if (stem.motion === 'none' || closure.kind === 'relief-disc') return [];
  if (['eccentric-plug', 'spherical-plug', 'vane'].includes(closure.kind)) return ['shaft'];
  return ['stem'];
}

function relayOf({ positioner, moved }: Features): Roles {
  if (positioner.kind === 'none') return [];
  return [
    ...where(positioner.kind === 'side-mounted' || moved.kind !== 'piston', 'positioner'),
    'flappers',
    'relay diaphragms',
    'inner valve',
    'relay body',
    'relay O-rings',
    'relay gasket',
  ];
}

/** Everything a valve of these features is made of, about in the order it comes off, each once. */
export function rolesOf(features: Features): readonly PartRole[] {
  const { moved, joint, closure } = features;
  return [
    ...new Set([
      ...relayOf(features),
      ...group(MOVERS, moved, features),
      ...glandOf(features),
      ...group(JOINTS, joint, features),
      ...stemOf(features),
      ...packingOf(features),
      ...group(CLOSURES, closure, features),
      'body' as const,
    ]),
  ];
}

/** One feature to the group of its own kind; the record has paired them. */
function group<F extends { kind: string }>(
  groups: { readonly [K in F['kind']]: (feature: Extract<F, { kind: K }>, all: Features) => Roles },
  feature: F,
  all: Features,
): Roles {
  const roles: (feature: never, all: Features) => Roles = groups[feature.kind as F['kind']];
  return roles(feature as never, all);
}
