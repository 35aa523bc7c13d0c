import { z } from 'zod';
import { moverOf, positionerOf, type Valve } from '../../valve';
import {
  atRest,
  PER_TURN,
  POSITIONER_SCREWS,
  type AtRest,
  type Chance,
  type PositionerScrew,
  type Turned,
} from '../../simulation';
import type { Phrase } from '../../quantity';
import type { Asked, DrillKind, Said } from '../frame/drill';
import { allOrNone, type MarkLine } from '../frame/marks';

const moveSchema = z.discriminatedUnion('do', [
  /** Turns, clockwise positive. */
  z.strictObject({ do: z.literal('turn'), screw: z.enum(POSITIONER_SCREWS), by: z.number().min(-5).max(5) }),
  z.strictObject({ do: z.literal('stroke') }),
  z.strictObject({ do: z.literal('done') }),
]);
type Move = z.output<typeof moveSchema>;

export interface WhichScrew {
  readonly valve: Valve;
  readonly screws: readonly PositionerScrew[];
  /** Turns that each is off, and what one turn does. */
  readonly off: Turned;
  readonly per: Turned;
  /** Whether the sheet of its maker says what a turn does. */
  readonly sheetKnown: boolean;
  /** How far travel may be from what is asked, and balance from where it should be; shares. */
  readonly travelWithin: number;
  readonly balanceWithin: number;
}

/** The least that a screw is turned by: an eighth. */
const EIGHTH = 8;
const [WELL, HOPELESS] = [1.5, 3];
const BALANCE = 0.75;

const isCylinder = ({ features }: Valve) => moverOf(features).element === 'cylinder';

const screwsOf = (valve: Valve): PositionerScrew[] => [
  ...(isCylinder(valve) ? POSITIONER_SCREWS : (['zero', 'span'] as const)),
];

/** The most that a screw is off, turns. */
const MOST_OFF: Turned = { zero: 1.5, span: 2, nozzle: 1.5 };
/** And the least that still shows. */
const LEAST_OFF = 0.5;

/** How many of its screws are off. */
const AMISS = { 1: 1, 2: 2, 3: 2, 4: 3 } as const;
/** How far what a turn does is from the sheet, where nobody has a sheet. */
const UNKNOWN = 0.3;

function make({ valve, level, dice }: Asked<never>): WhichScrew {
  const screws = screwsOf(valve);
  const sheetKnown = level <= 2;
  const factor = () => (sheetKnown ? 1 : 1 + UNKNOWN * (2 * dice.uniform() - 1));
  const per = {
    zero: PER_TURN.zero * factor(),
    span: PER_TURN.span * factor(),
    nozzle: PER_TURN.nozzle * factor(),
  };
  const amiss = pick(screws, AMISS[level], dice);
  const off = (screw: PositionerScrew) => (amiss.includes(screw) ? offBy(dice, MOST_OFF[screw]) : 0);
  return {
    ...{ valve, screws, per, sheetKnown },
    off: { zero: off('zero'), span: off('span'), nozzle: off('nozzle') },
    travelWithin: level <= 2 ? 0.02 : 0.01,
    balanceWithin: level <= 2 ? 0.04 : 0.03,
  };
}

function pick(screws: readonly PositionerScrew[], count: number, dice: Chance): PositionerScrew[] {
  const left = [...screws];
  const picked: PositionerScrew[] = [];
  while (picked.length < count && left.length > 0)
    picked.push(...left.splice(Math.floor(dice.uniform() * left.length), 1));
  return picked;
}

/** Either way, in eighths. */
function offBy(dice: Chance, most: number): number {
  const turns = Math.round((LEAST_OFF + dice.uniform() * (most - LEAST_OFF)) * EIGHTH) / EIGHTH;
  return dice.uniform() < 0.5 ? turns : -turns;
}

const NONE: Turned = { zero: 0, span: 0, nozzle: 0 };

/** Where its screws stand, how much was turned in all, and what its strokes have shown. */
export interface Screwed {
  readonly turned: Turned;
  readonly turns: number;
  readonly strokes: readonly AtRest[];
  /** Stroked since a screw was last turned. */
  readonly proved: boolean;
}

export function screwed(exercise: WhichScrew, moves: readonly Move[]): Screwed {
  const { off, per } = exercise;
  return moves.reduce<Screwed>(
    (at, move) => {
      switch (move.do) {
        case 'turn':
          return {
            ...at,
            turned: { ...at.turned, [move.screw]: at.turned[move.screw] + move.by },
            turns: at.turns + Math.abs(move.by),
            proved: false,
          };
        case 'stroke':
          return { ...at, strokes: [...at.strokes, atRest(off, at.turned, per)], proved: true };
        case 'done':
          return at;
      }
    },
    { turned: NONE, turns: 0, strokes: [], proved: false },
  );
}

/** The fewest turns that bring it in: each screw back by what it is off. */
export const leastTurns = ({ off, screws }: WhichScrew): number =>
  screws.reduce((sum, screw) => sum + Math.abs(off[screw]), 0);

/** What is still out. */
function outOf(
  exercise: WhichScrew,
  turned: Turned,
): { readonly travel: boolean; readonly balance: boolean } {
  const { travel, balance } = atRest(exercise.off, turned, exercise.per);
  return {
    travel: travel.some(({ signal, asked }) => Math.abs(asked - signal) > exercise.travelWithin + 1e-9),
    balance:
      exercise.screws.includes('nozzle') && Math.abs(balance - BALANCE) > exercise.balanceWithin + 1e-9,
  };
}

function saidOf(exercise: WhichScrew, moves: readonly Move[]): Said | undefined {
  const move = moves.at(-1);
  if (!move) return undefined;
  const { turned } = screwed(exercise, moves);
  const out = outOf(exercise, turned);
  switch (move.do) {
    case 'turn': {
      const was = exercise.off[move.screw] + turned[move.screw] - move.by;
      const is = exercise.off[move.screw] + turned[move.screw];
      const better = Math.abs(is) < Math.abs(was);
      return {
        right: better,
        words: `${move.screw} turned ${Math.abs(move.by)} ${move.by < 0 ? 'anticlockwise' : 'clockwise'}. Stroke it to see.`,
      };
    }
    case 'stroke':
      return { right: true, words: out.travel || out.balance ? 'Not in yet.' : 'In.' };
    case 'done':
      return out.travel || out.balance
        ? { right: false, words: 'It is not in.' }
        : { right: true, words: 'It is in.' };
  }
}

function mark(exercise: WhichScrew, moves: readonly Move[]): MarkLine[] {
  const { turned, turns, proved, strokes } = screwed(exercise, moves);
  const out = outOf(exercise, turned);
  const isIn = !out.travel && !out.balance && moves.length > 0;
  const least = leastTurns(exercise);
  const times = turns / least;
  const few = Math.max(0, Math.min(1, (HOPELESS - times) / (HOPELESS - WELL)));
  const percent = (share: number) => Math.round(share * 100);
  return [
    allOrNone(
      'Travel within what may be',
      exercise.screws.includes('nozzle') ? 30 : 45,
      !out.travel && isTouched(moves),
      `Within ${percent(exercise.travelWithin)} % at every quarter of the signal.`,
    ),
    ...(exercise.screws.includes('nozzle')
      ? [
          allOrNone(
            'Balance of the cylinder',
            15,
            !out.balance && isTouched(moves),
            `Both sides at ${percent(BALANCE)} % of supply, within ${percent(exercise.balanceWithin)} %.`,
          ),
        ]
      : []),
    allOrNone(
      'Proved by a stroke',
      15,
      isIn && proved && strokes.length > 0,
      'What was turned last is stroked last.',
    ),
    {
      what: 'In few turns',
      of: 40,
      points: isIn ? 40 * few : 0,
      said: `${Math.round(turns * EIGHTH) / EIGHTH} turns; ${least} would have done, and half as much again is as good.`,
    },
  ];
}

const isTouched = (moves: readonly Move[]) => moves.some((move) => move.do === 'turn');

const WHICH: Readonly<Record<PositionerScrew, string>> = {
  zero: 'Every point is off by as much: that is zero.',
  span: 'It is further off the further it goes: that is span. It moves zero a little too.',
  nozzle: 'Both sides of the cylinder should stand at three quarters of supply: that is balance.',
};

function hint(exercise: WhichScrew, moves: readonly Move[]): Phrase {
  const { turned, strokes } = screwed(exercise, moves);
  if (strokes.length === 0) return 'Stroke it first: nobody turns a screw on a guess.';
  const worst = [...exercise.screws].sort(
    (a, b) => Math.abs(exercise.off[b] + turned[b]) - Math.abs(exercise.off[a] + turned[a]),
  )[0];
  return worst ? WHICH[worst] : 'Stroke it once more.';
}

export const whichScrew: DrillKind<WhichScrew, Move, never> = {
  id: 'which-screw',
  title: 'Turn which screw?',
  teaches:
    'Off by as much everywhere is zero, off by more the further it goes is span; one screw at a time, stroked after each.',
  minutes: 4,
  of: (valve) => positionerOf(valve.features) !== undefined,
  move: moveSchema,
  make,
  said: saidOf,
  ended: (_, moves) => moves.some((move) => move.do === 'done'),
  mark,
  best: ({ off, screws }) => [
    { do: 'stroke' },
    ...screws.flatMap((screw): Move[] => (off[screw] === 0 ? [] : [{ do: 'turn', screw, by: -off[screw] }])),
    { do: 'stroke' },
    { do: 'done' },
  ],
  hint,
};
