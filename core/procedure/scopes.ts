import { SCOPES, type Scope } from '../job';
import {
  closureOf,
  moverOf,
  packedBox,
  partsOf,
  reversible,
  rolesByRoom,
  ROOMS,
  type Features,
  type PartRole,
  type Room,
} from '../valve';
import { closureProcedure } from './closures';
import { jointProcedure } from './joints';
import { moverProcedure } from './movers';

/** What of the isolation a scope wants of a valve that stays in its line. */
export type Isolated = 'whole' | 'air and power' | 'nothing';

/** What a job of less than an overhaul works on, reaches and proves. */
export interface ScopeProcedure {
  /** Whether it is a job by itself on a valve of these features. */
  readonly fits: (features: Features) => boolean;
  /** The rooms whose parts it works on: they come off, with whatever is in the way. */
  readonly works: (features: Features) => readonly Room[];
  /** The rooms whose parts are looked at where they stand. */
  readonly sees?: readonly Room[];
  /** Its parts are reached where they stand: nothing else comes off for them. */
  readonly inPlace?: (features: Features) => boolean;
  /** The rooms that are set, though nothing of them came off. */
  readonly sets?: readonly Room[];
  /** Everything is proved, though nothing was opened. */
  readonly proves?: true;
  readonly isolates: Isolated;
}

const has =
  (room: Room) =>
  (features: Features): boolean =>
    rolesByRoom(features)[room].length > 0;

/** Packing that is reached by sliding the gland up its stem. */
const boxIsOpen = (features: Features): boolean =>
  packedBox(features) !== undefined &&
  !jointProcedure(features).packsItself &&
  (!closureProcedure(features).packsItself || closureOf(features).repackedInPlace !== undefined);

/** Repacked as a job of its own: where it stands, or with its chamber out. */
const isRepacked = (features: Features): boolean =>
  boxIsOpen(features) || (packedBox(features) !== undefined && jointProcedure(features).packsItself === true);

/** Trim and actuator are two things, each worked on by itself. */
const twoThings = (features: Features): boolean =>
  closureProcedure(features).steps !== undefined &&
  moverProcedure(features).steps !== undefined &&
  moverOf(features).byAir === true &&
  closureOf(features).repackedInPlace === undefined;

const BOX = ['gland', 'packing'] as const satisfies readonly Room[];
/** Whatever holds the pressure and closes: with the chamber out for its packing, the trim lies beside it. */
const TRIM = ['gland', 'joint', 'stem', 'packing', 'closure'] as const satisfies readonly Room[];

const CUT: Readonly<Record<Exclude<Scope, 'overhaul'>, ScopeProcedure>> = {
  repack: {
    fits: isRepacked,
    works: (features) => (boxIsOpen(features) ? BOX : TRIM),
    sees: ['stem'],
    inPlace: boxIsOpen,
    isolates: 'whole',
  },
  trim: { fits: twoThings, works: () => TRIM, isolates: 'whole' },
  actuator: { fits: twoThings, works: () => ['mover'], isolates: 'whole' },
  positioner: {
    fits: (features) => has('positioner')(features) && twoThings(features),
    works: () => ['positioner'],
    inPlace: () => true,
    isolates: 'air and power',
  },
  'set-up': {
    fits: twoThings,
    works: () => [],
    sets: ['mover', 'positioner'],
    isolates: 'nothing',
  },
  reversal: {
    fits: (features) => reversible(features) !== undefined,
    works: () => ['mover'],
    isolates: 'whole',
  },
  check: { fits: () => true, works: () => [], proves: true, isolates: 'nothing' },
  quote: {
    fits: () => true,
    works: () => ROOMS,
    isolates: 'whole',
  },
};

/** What the scope works on, reaches and proves; undefined for an overhaul, which is everything. */
export const scopeProcedure = (scope: Scope): ScopeProcedure | undefined =>
  scope === 'overhaul' ? undefined : CUT[scope];

/** The jobs that a valve of these features can be in for. */
export const scopesOf = (features: Features): Scope[] =>
  SCOPES.filter((scope) => scopeProcedure(scope)?.fits(features) ?? true);

/** The parts that a scope is about. */
export function worksOn(scope: Scope, features: Features): ReadonlySet<PartRole> {
  const procedure = scopeProcedure(scope);
  if (!procedure) return new Set(partsOf({ features }).map(({ role }) => role));
  const rooms = rolesByRoom(features);
  return new Set(procedure.works(features).flatMap((room) => rooms[room]));
}

/** What is isolated of a valve that stays in its line; one that goes out is isolated whole. */
export const isolatedFor = (scope: Scope): Isolated => scopeProcedure(scope)?.isolates ?? 'whole';
