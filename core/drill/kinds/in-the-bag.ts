import { z } from 'zod';
import type { Phrase } from '../../quantity';
import type { Chance } from '../../simulation';
import { checkKit, type KitLine, type KitRow, type KitSheet } from '../../stock';
import { PART_CATALOGUE, PART_ROLES, partsOf, type Part, type PartRole, type Valve } from '../../valve';
import type { Asked, DrillKind, Said } from '../frame/drill';
import type { MarkLine } from '../frame/marks';
import { planToPractise } from '../frame/practice-job';
import { shuffled } from '../frame/shuffled';

/** Where a line of the sheet, or a part that stands on none, is put. */
export const PILES = ['belongs', 'missing', 'not wanted', 'never in a kit'] as const;
export type Pile = (typeof PILES)[number];

const moveSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('sort'), item: z.string().max(60), pile: z.enum(PILES) }),
  z.strictObject({ do: z.literal('done') }),
]);
type Move = z.output<typeof moveSchema>;

/** One thing to sort: a line of the sheet, or a part of the valve that no kit has. */
export interface Item {
  readonly id: string;
  readonly name: string;
  readonly part: PartRole;
  /** On the sheet: in which kits, how many, and how many lie in the bag. */
  readonly line?: KitLine;
  readonly counted: number;
  readonly pile: Pile;
}

export interface InTheBag {
  readonly valve: Valve;
  readonly sheet: KitSheet;
  /** The kit of the bag, as its label says. */
  readonly kit: string;
  readonly items: readonly Item[];
}

const KITS = ['A', 'B', 'C'] as const;
const SOFT = ['seal', 'packing', 'gasket', 'soft seating', 'diaphragm', 'pin'];

const isSoft = ({ role, policy }: Pick<Part, 'role' | 'policy'>) =>
  policy === 'renew always' && PART_CATALOGUE[role].policy === 'renew always';

/** Parts of other variants of such a valve: renewed at every overhaul, and this one has none of them. */
const foreign = (valve: Valve): PartRole[] => {
  const own = new Set(partsOf(valve).map(({ role }) => role));
  return PART_ROLES.filter(
    (role) =>
      !own.has(role) &&
      PART_CATALOGUE[role].policy === 'renew always' &&
      SOFT.includes(PART_CATALOGUE[role].kind),
  );
};

const FOREIGN = { 1: 2, 2: 3, 3: 4, 4: 5 } as const;

function make({ valve, level, dice }: Asked<never>): InTheBag {
  const kit = KITS[Math.floor(dice.uniform() * KITS.length)] ?? 'A';
  const others = KITS.filter((each) => each !== kit);
  const own = partsOf(valve).filter(isSoft);
  const not = shuffled(foreign(valve), dice).slice(0, FOREIGN[level]);
  const ownLines = own.map(({ role, name, quantity }) => ({
    name,
    part: role,
    quantity,
    kits: [kit, ...others.filter(() => dice.uniform() < 0.4)].sort(),
  }));
  const otherLines = not.map((role, i) => ({
    name: role,
    part: role,
    quantity: 1 + Math.floor(dice.uniform() * 2),
    kits: others.filter((_, k) => k === i % others.length || dice.uniform() < 0.4),
  }));
  const lines = shuffled([...ownLines, ...otherLines], dice).map((line, i) => ({
    ...line,
    line: String(i + 1),
  }));
  const sheet: KitSheet = {
    number: 'drill',
    title: 'Soft parts',
    construction: valve.construction,
    kits: KITS.map((code) => ({ code, fits: {} })),
    lines,
  };
  const counted = lines.map(({ line, kits, quantity }) => ({
    line,
    count: inBag(dice, kits.includes(kit), quantity, level),
  }));
  // A bag with nothing missing would teach nobody to count.
  const mine = counted.filter(({ line }) => lines.find((each) => each.line === line)?.kits.includes(kit));
  const short = mine[Math.floor(dice.uniform() * mine.length)];
  const bag = counted.map((each) =>
    each === short ? { ...each, count: Math.max(0, each.count - 1) } : each,
  );
  const { rows } = checkKit({
    sheet,
    kit,
    valve,
    plan: planToPractise(valve),
    counted: bag,
    today: '2000-01-01',
  });
  return { valve, sheet, kit, items: rows.map((row) => itemOf(row, lines)) };
}

function inBag(dice: Chance, belongs: boolean, quantity: number, level: number): number {
  if (belongs) return dice.uniform() < 0.08 * level ? Math.max(0, quantity - 1) : quantity;
  return dice.uniform() < 0.15 + 0.1 * level ? quantity : 0;
}

const PILE_OF: Readonly<Record<KitRow['verdict'], Pile>> = {
  'belongs and present': 'belongs',
  'belongs and missing': 'missing',
  'not for this variant': 'not wanted',
  'not for this valve': 'not wanted',
  'in no kit': 'never in a kit',
};

function itemOf({ verdict, line, name, part, counted }: KitRow, lines: readonly KitLine[]): Item {
  const printed = lines.find((each) => each.line === line);
  return {
    id: printed ? `line ${line}` : part,
    ...{ name, part, counted },
    ...(printed ? { line: printed } : {}),
    pile: PILE_OF[verdict],
  };
}

/** Where each item lies after these moves. */
export function sorted(moves: readonly Move[]): ReadonlyMap<string, Pile> {
  return new Map(moves.flatMap((move) => (move.do === 'sort' ? [[move.item, move.pile] as const] : [])));
}

function whyOf({ kit }: InTheBag, { pile, line, counted, name }: Item): string {
  if (!line) return `${name}: no kit has it; it is ordered by itself.`;
  const said = `${name}: on the sheet for kit ${line.kits.join(', ')}; ${line.quantity} wanted, ${counted} in the bag.`;
  switch (pile) {
    case 'belongs':
      return said;
    case 'missing':
      return `${said} Kit ${kit} should have it.`;
    case 'not wanted':
    case 'never in a kit':
      return `${said} Not for kit ${kit}.`;
  }
}

function mark(exercise: InTheBag, moves: readonly Move[]): MarkLine[] {
  const at = sorted(moves);
  const { items } = exercise;
  return PILES.flatMap((pile): MarkLine[] => {
    const belonging = items.filter((item) => item.pile === pile);
    const strays = items.filter((item) => item.pile !== pile && at.get(item.id) === pile);
    if (belonging.length === 0) return [];
    const right = belonging.filter(({ id }) => at.get(id) === pile);
    const wrong = [...belonging.filter((item) => !right.includes(item)), ...strays];
    const of = 100 * (belonging.length / items.length);
    return [
      {
        what: pile,
        of,
        points: of * (right.length / (belonging.length + strays.length)),
        said:
          wrong.length === 0
            ? 'All of them.'
            : wrong
                .slice(0, 3)
                .map((item) => whyOf(exercise, item))
                .join(' '),
      },
    ];
  });
}

function saidOf(exercise: InTheBag, moves: readonly Move[]): Said | undefined {
  const move = moves.at(-1);
  if (move?.do !== 'done') return undefined;
  const at = sorted(moves);
  const wrong = exercise.items.filter(({ id, pile }) => at.get(id) !== pile).length;
  return { right: wrong === 0, words: wrong === 0 ? 'Every one lies right.' : `${wrong} lie wrong.` };
}

function hint(exercise: InTheBag, moves: readonly Move[]): Phrase {
  const at = sorted(moves);
  const wrong = exercise.items.find(({ id, pile }) => at.has(id) && at.get(id) !== pile);
  const open = exercise.items.find(({ id }) => !at.has(id));
  const about = wrong ?? open;
  return about ? whyOf(exercise, about) : 'Every one lies right.';
}

export const inTheBag: DrillKind<InTheBag, Move, never> = {
  id: 'in-the-bag',
  title: 'What is in the bag?',
  teaches:
    'One printed sheet serves several kits: the column of your own says what belongs; seats come in no kit.',
  minutes: 3,
  of: (valve) => partsOf(valve).filter(isSoft).length >= 2,
  move: moveSchema,
  make,
  said: saidOf,
  ended: (_, moves) => moves.some((move) => move.do === 'done'),
  mark,
  best: ({ items }) => [
    ...items.map(({ id, pile }): Move => ({ do: 'sort', item: id, pile })),
    { do: 'done' },
  ],
  hint,
};
