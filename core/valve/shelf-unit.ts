import { CONSTRUCTION_IDS, CONSTRUCTIONS } from './constructions';
import type { Valve } from './valve';
import { ratingWords } from './rating';
import { partsOf, type PartRole } from './parts';

/** Units kept ready on the shelf and swapped whole. */
export const SHELF_UNITS = {
  'packed bonnet': {
    name: 'Packed bonnet',
    /** What goes on and off as the unit. */
    carries: ['bonnet chamber', 'bonnet'],
    /** What comes in it, already new. */
    holds: ['packing', 'lantern ring'],
  },
  'complete insert': { name: 'Complete bypass insert', carries: ['bypass insert'], holds: [] },
  'rebuilt actuator': {
    name: 'Rebuilt actuator',
    carries: ['actuator'],
    holds: [
      'actuator cover',
      'actuator diaphragm',
      'actuator spring',
      'actuator stem seals',
      'cylinder',
      'piston',
      'piston O-ring',
      'cylinder bushing',
      'cylinder bushing seal',
      'yoke bushing',
      'yoke bushing seal',
      'feedback spring',
      'positioner O-ring',
    ],
  },
} as const satisfies Record<
  string,
  { name: string; carries: readonly PartRole[]; holds: readonly PartRole[] }
>;

export type ShelfUnitKind = keyof typeof SHELF_UNITS;
export const SHELF_UNIT_KINDS = [
  'packed bonnet',
  'complete insert',
  'rebuilt actuator',
] as const satisfies readonly ShelfUnitKind[];

/** What valves must have in common for a unit of one to fit another: construction, size and class. */
export function valveKey(valve: Valve): string {
  const { construction, nps, pressureClass } = valve;
  const rating = pressureClass ?? ratingWords(valve, 'US') ?? '';
  return [construction, nps === undefined ? 'size?' : `NPS ${nps}`, rating]
    .filter((word) => word !== '')
    .join(' ');
}

/** A key, or the beginning of one, in the words of the shop: `globe, bolted bonnet, NPS 4, class 300`. */
export function wordKey(key: string): string {
  const [id = '', ...rest] = key.split(' ');
  const known = CONSTRUCTION_IDS.find((each) => each === id);
  const words = known ? CONSTRUCTIONS[known].name : id;
  const sized = rest.join(' ').replace(/^(NPS \S+) (\d+)$/, '$1, class $2');
  return sized === '' ? words : `${words}, ${sized}`;
}

/** The roles of this valve that a unit brings: what it is swapped by, and what is new inside it. */
export function unitRoles(valve: Valve, kind: ShelfUnitKind) {
  const { carries, holds } = SHELF_UNITS[kind];
  const roles = new Set(partsOf(valve).map(({ role }) => role));
  const here = (wanted: readonly PartRole[]) => wanted.filter((role) => roles.has(role));
  const carried = here(carries);
  // A chamber that drops in is the unit; the bonnet is one only where there is no chamber.
  return { carries: carried.slice(0, 1), holds: here(holds) };
}

/** The kinds of unit that can be swapped on this valve. */
export const unitsFor = (valve: Valve): ShelfUnitKind[] =>
  SHELF_UNIT_KINDS.filter((kind) => {
    const { carries, holds } = unitRoles(valve, kind);
    return carries.length > 0 && (kind === 'complete insert' || holds.length > 0);
  });
