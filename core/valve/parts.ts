import type { Valve } from './valve';

/** Parts of a bolted globe valve in the order they come off; the number is the tray position and the balloon. */
export const PART_ROLES = [
  'wheel nut',
  'handwheel',
  'gland nuts',
  'gland flange',
  'gland',
  'bonnet studs',
  'bonnet',
  'yoke',
  'stem bushing',
  'bonnet gasket',
  'stem',
  'packing',
  'disc',
  'seat',
  'body',
] as const;

export type PartRole = (typeof PART_ROLES)[number];

/** What is done with a part at every overhaul. */
export type PartPolicy = 'renew always' | 'inspect' | 'keep';

export interface Part {
  readonly number: number;
  readonly role: PartRole;
  readonly name: string;
  readonly policy: PartPolicy;
  /** Usual lead time when it must be ordered, working days. */
  readonly leadDays: number;
  /** Held in the body and never coming out on the bench. */
  readonly stays: boolean;
}

const POLICY: Partial<Record<PartRole, PartPolicy>> = {
  'wheel nut': 'keep',
  handwheel: 'keep',
  'gland nuts': 'keep',
  'bonnet gasket': 'renew always',
  packing: 'renew always',
};

const LEAD_DAYS: Partial<Record<PartRole, number>> = {
  stem: 4,
  disc: 4,
  seat: 6,
  'stem bushing': 3,
  bonnet: 15,
  body: 20,
};
const USUAL_LEAD_DAYS = 2;

/** The parts list of this valve: an integral seat is part of the body and is never off. */
export function partsOf(valve: Valve): Part[] {
  return PART_ROLES.map((role, index) => ({
    number: index + 1,
    role,
    name: nameOf(role, valve),
    policy: POLICY[role] ?? 'inspect',
    leadDays: LEAD_DAYS[role] ?? USUAL_LEAD_DAYS,
    stays: role === 'body' || (role === 'seat' && valve.features.seat.kind === 'integral'),
  }));
}

function nameOf(role: PartRole, { features }: Valve): string {
  switch (role) {
    case 'bonnet gasket':
      return `${features.joint.gasket} bonnet gasket`;
    case 'packing':
      return `${features.packing.style} packing`;
    case 'seat':
      return features.seat.kind === 'integral' ? 'seat, integral' : 'seat ring, screwed in';
    case 'disc':
      return 'disc and disc nut';
    default:
      return role;
  }
}
