import { closureOf } from '../closures';
import { boltedJoint, type Features } from '../features';
import { jointOf } from '../joints';
import { moverOf } from '../movers';
import type { Valve } from '../valve';
import { PART_CATALOGUE, type Material, type PartKind, type PartPolicy, type PartRole } from './catalogue';
import { rolesOf } from './groups';

export interface Part {
  /** Its balloon on the drawing and its line in the list. */
  readonly number: number;
  readonly role: PartRole;
  readonly name: string;
  readonly quantity: number;
  readonly kind: PartKind;
  readonly material: Material;
  readonly policy: PartPolicy;
  /** Usual lead time when it must be ordered, working days. */
  readonly leadDays: number;
  /** Held in the body and never coming out on the bench. */
  readonly stays: boolean;
}

const known = new WeakMap<Features, readonly Part[]>();

/** The parts list of this valve, from its features. Made once for a set of features: plans ask for it often. */
export function partsOf({ features }: Pick<Valve, 'features'>): readonly Part[] {
  const made = known.get(features);
  if (made) return made;
  const parts = rolesOf(features).map((role, index): Part => {
    const { kind, material, policy, leadDays } = PART_CATALOGUE[role];
    return {
      number: index + 1,
      role,
      name: nameOf(role, features),
      quantity: quantityOf(role, features),
      kind,
      material,
      policy: policyOf(role, features) ?? policy,
      leadDays,
      stays: staysIn(role, features),
    };
  });
  known.set(features, parts);
  return parts;
}

function policyOf(role: PartRole, features: Features): PartPolicy | undefined {
  const { kept, renewed } = closureOf(features);
  return kept?.includes(role) ? 'inspect' : renewed?.includes(role) ? 'renew always' : undefined;
}

/** Never off on the bench: the body, and a seat in one piece with it; all but its packing of a valve repacked where it stands. */
function staysIn(role: PartRole, features: Features): boolean {
  const { seat } = features;
  const { repackedInPlace } = closureOf(features);
  if (role === 'body') return true;
  if (role === 'seat') return seat.kind === 'integral';
  if (role === 'left seat' || role === 'right seat') return seat.kind === 'wedge-pair' && !seat.removable;
  if (repackedInPlace) return !repackedInPlace.includes(role);
  return role === 'stem' && jointOf(features).holdsStem === true;
}

const NAMES: Partial<Record<PartRole, string>> = {
  disc: 'disc and disc nut',
  'seat assemblies': 'seat assemblies, upstream and downstream',
  'gate pins': 'gate retainer pins, knurled',
  'ball cage': 'cage of the ball',
  cartridge: 'seat cartridge, two seats',
  'soft seats': 'seats, both ends',
  'clamped yoke': 'yoke with its threaded bushing',
  'bonnet chamber': 'bonnet chamber with backseat nose',
  'timing shims': 'timing shims, as many as came off',
  'port seat': 'reduced-port seat, screwed in',
  spindle: 'spindle (stem)',
};

function nameOf(role: PartRole, features: Features): string {
  const { joint, packing, seat } = features;
  switch (role) {
    case 'bonnet gasket':
    case 'cover gasket':
      return 'gasket' in joint ? `${joint.gasket} ${role}` : role;
    case 'packing':
      return `${packing.style} packing`;
    case 'seat':
      return seat.kind === 'integral'
        ? 'seat, integral'
        : seat.kind === 'screwed'
          ? 'seat ring, screwed in'
          : 'seat';
    case 'cover O-ring':
      return 'O-rings under the cover';
    case 'disc':
      return closureOf(features).discNut ? 'disc and disc nut' : 'disc';
    case 'lever':
      return moverOf(features).weight ? 'lever arm' : 'lever';
    default:
      return NAMES[role] ?? role;
  }
}

const QUANTITIES: Partial<Record<PartRole, number>> = {
  'gland nuts': 2,
  'gland studs': 2,
  'gland bolts': 2,
  'backup rings': 2,
  'lip seals': 2,
  'seat assemblies': 2,
  'seat pins': 4,
  'gate pins': 2,
  'soft seats': 2,
  'outer body seals': 2,
  'inner body seals': 2,
  'end caps': 2,
  'seat gaskets': 2,
  'wear bushings': 2,
  'bushing gaskets': 2,
  'hinge bushings': 2,
  'shaft bushings': 2,
  'shaft bushes': 2,
  'stem O-rings': 2,
  'snap rings': 2,
  'stem lock nuts': 2,
  'guide rings': 2,
  'cover screws': 4,
  'cover O-ring': 2,
  'shaft packing': 2,
  'pin plugs': 2,
  'pin plug seals': 2,
  'stem seals': 2,
  'actuator O-rings': 3,
  'cylinder O-ring': 3,
  'piston guide rings': 2,
  'armature screws': 4,
  'spring washers': 2,
  'adjusting rings': 2,
  'ring pins': 2,
  flappers: 2,
  'lifting rings': 2,
};

/** What the joint's studs are called on this valve. */
const STUDS: readonly PartRole[] = [
  'bonnet studs',
  'bonnet bolts',
  'cover bolts',
  'body bolts',
  'cap bolts',
  'housing bolts',
  'blind head studs',
];

function quantityOf(role: PartRole, features: Features): number {
  if (STUDS.includes(role)) return boltedJoint(features)?.bolts ?? 1;
  return QUANTITIES[role] ?? 1;
}
