import { z } from 'zod';
import type { Phrase } from '../../quantity';
import { USUAL_SCENE, type BluedSeatScene, type Chance } from '../../simulation';
import { closureOf, metalSeatOf, type Valve } from '../../valve';
import type { Asked, DrillKind, Said } from '../frame/drill';
import { allOrNone, type MarkLine } from '../frame/marks';

/** What is to be done with a seat that shows such a line. */
export const RING_CALLS = ['fit', 'lap again', 'too wide', 'blue it again'] as const;
export type RingCall = (typeof RING_CALLS)[number];

/** A break in the line, degrees clockwise from 12 o'clock. */
const gapSchema = z.strictObject({
  from: z.number().min(0).max(360),
  degrees: z.number().gt(0).max(360),
});
export type Gap = z.output<typeof gapSchema>;

const moveSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('mark'), gaps: z.array(gapSchema).max(12) }),
  z.strictObject({ do: z.literal('call'), call: z.enum(RING_CALLS) }),
]);
type Move = z.output<typeof moveSchema>;

export interface ReadTheRing {
  readonly scene: BluedSeatScene;
  readonly gaps: readonly Gap[];
  readonly call: RingCall;
}

/** How far an end of a gap may be marked off, degrees (handbook part 7). */
export const WITHIN = 10;
/** Gaps lie at least so far apart, so that which is which is never in doubt. */
const APART = 3 * WITHIN;

/** A seat that fills the picture; a line of about 25 thou on a 3 in seat. */
const SEAT: BluedSeatScene = {
  ...USUAL_SCENE,
  width: 480,
  height: 480,
  x: 0.5,
  y: 0.5,
  radius: 0.36,
  line: 0.03,
  noise: 5,
};
const WIDE = 0.095;
/** A film so thin that nobody can tell a gap from it. */
const PALE = 0.16;

/** The widths of gaps by level, degrees, and how many there can be. */
const GAPS = {
  1: { least: 30, most: 80, many: 1 },
  2: { least: 18, most: 60, many: 2 },
  3: { least: 12, most: 45, many: 3 },
  4: { least: 8, most: 30, many: 4 },
} as const;

const between = (dice: Chance, least: number, most: number) => least + dice.uniform() * (most - least);
const whole = (degrees: number) => Math.round(degrees);

/** Gaps round the circle that keep their distance from each other. */
function gapsBy(dice: Chance, count: number, { least, most }: { least: number; most: number }): Gap[] {
  const widths = Array.from({ length: count }, () => whole(between(dice, least, most)));
  const free = 360 - widths.reduce((sum, width) => sum + width + APART, 0);
  const shares = widths.map(() => dice.uniform());
  const total = shares.reduce((sum, share) => sum + share, 0) || 1;
  const start = whole(dice.uniform() * 359);
  let at = start;
  return widths.map((degrees, i) => {
    const from = at % 360;
    at += degrees + APART + Math.floor(((shares[i] ?? 0) / total) * free);
    return { from, degrees };
  });
}

/** How badly the picture was taken: worse with the level, never so that its line cannot be read. */
const taken = (dice: Chance, level: number): Partial<BluedSeatScene> => ({
  noise: 4 + 3 * level,
  gradient: 0.15 + 0.1 * level * dice.uniform(),
  tilt: level >= 3 ? whole(between(dice, 0, 18)) : 0,
  seed: Math.floor(dice.uniform() * 0xffff),
});

function make({ level, dice, planted }: Asked<Planted>): ReadTheRing {
  const look = taken(dice, level);
  if (planted) return seatOf(planted.call, planted.gaps, dice, look);
  const roll = dice.uniform();
  const call: RingCall =
    roll < 0.25 ? 'fit' : roll < 0.7 ? 'lap again' : roll < 0.85 || level < 2 ? 'too wide' : 'blue it again';
  const { many, ...widths } = GAPS[level];
  const count = call === 'lap again' ? 1 + Math.floor(dice.uniform() * many) : 0;
  return seatOf(call, gapsBy(dice, count, widths), dice, look);
}

function seatOf(
  call: RingCall,
  gaps: readonly Gap[],
  dice: Chance,
  look: Partial<BluedSeatScene>,
): ReadTheRing {
  const scene = { ...SEAT, ...look };
  switch (call) {
    case 'fit':
      return { call, gaps: [], scene };
    case 'lap again':
      return { call, gaps, scene: { ...scene, gaps } };
    case 'too wide':
      return { call, gaps: [], scene: { ...scene, line: WIDE } };
    case 'blue it again':
      return { call, gaps: [], scene: { ...scene, ...unreadable(dice) } };
  }
}

/** Too little blue, or two lines of it: what lies under it cannot be told. */
function unreadable(dice: Chance): Partial<BluedSeatScene> {
  if (dice.uniform() < 0.5) return { film: PALE, noise: 16 };
  const second = dice.uniform() < 0.5 ? 0.88 : 1.12;
  return { smears: [{ at: second, line: 0.03, from: 0, degrees: 360 }], gaps: [{ from: 100, degrees: 60 }] };
}

const markedIn = (moves: readonly Move[]): readonly Gap[] =>
  moves.findLast((move) => move.do === 'mark')?.gaps ?? [];
const calledIn = (moves: readonly Move[]): RingCall | undefined =>
  moves.find((move) => move.do === 'call')?.call;

/** Degrees between two directions, the shorter way round. */
const apart = (a: number, b: number): number => {
  const turn = (((a - b) % 360) + 360) % 360;
  return Math.min(turn, 360 - turn);
};

const isSame = (a: Gap, b: Gap): boolean =>
  apart(a.from, b.from) <= WITHIN && apart(a.from + a.degrees, b.from + b.degrees) <= WITHIN;

/** Gaps marked where there is one, and those that are none. */
export function matched(exercise: ReadTheRing, marked: readonly Gap[]) {
  const found = exercise.gaps.filter((gap) => marked.some((each) => isSame(each, gap)));
  const none = marked.filter((each) => !exercise.gaps.some((gap) => isSame(each, gap)));
  return { found, none };
}

const CALL_WORDS: Readonly<Record<RingCall, string>> = {
  fit: 'a whole narrow line: it holds',
  'lap again': 'a broken line: lap it until it closes',
  'too wide': 'a line so wide spreads the load: narrow it, then lap',
  'blue it again': 'nothing can be told from it: wipe it, blue it thinly again',
};

function mark(exercise: ReadTheRing, moves: readonly Move[]): MarkLine[] {
  const { found, none } = matched(exercise, markedIn(moves));
  const called = calledIn(moves);
  const { gaps, call } = exercise;
  const right = allOrNone('The call', 50, called === call, `It is ${CALL_WORDS[call]}.`);
  if (called === undefined) return [right];
  const among = Math.max(1, gaps.length + none.length);
  const share = gaps.length + none.length === 0 ? 1 : found.length / among;
  return [
    {
      what: 'The gaps',
      of: 50,
      points: 50 * share,
      said:
        gaps.length === 0
          ? none.length === 0
            ? 'None to mark, none marked.'
            : 'There was none to mark.'
          : `${found.length} of ${gaps.length} found, both ends within ${WITHIN}°${none.length > 0 ? `; ${none.length} marked where there is none so` : ''}. ${gaps.map(({ from, degrees }) => `${from}° to ${(from + degrees) % 360}°`).join(', ')}.`,
    },
    right,
  ];
}

function saidOf(exercise: ReadTheRing, moves: readonly Move[]): Said | undefined {
  const move = moves.at(-1);
  if (move?.do !== 'call') return undefined;
  const right = move.call === exercise.call;
  return { right, words: `${right ? 'So it is' : 'No'}: ${CALL_WORDS[exercise.call]}.` };
}

function hint({ gaps, call }: ReadTheRing, moves: readonly Move[]): Phrase {
  const marked = markedIn(moves);
  const missing = gaps.find((gap) => !marked.some((each) => isSame(each, gap)));
  if (missing) {
    const hour = Math.round((missing.from + missing.degrees / 2) / 30) % 12 || 12;
    return `Look near ${hour} o’clock.`;
  }
  return call === 'blue it again'
    ? 'Can you be sure of what you see?'
    : 'Every break is marked. How wide is the line?';
}

const plantedSchema = z.strictObject({
  call: z.enum(RING_CALLS),
  gaps: z.array(gapSchema).max(6),
});
type Planted = z.output<typeof plantedSchema>;

/** A seat of metal that is blued and lapped. */
const isBlued = ({ features }: Valve) =>
  metalSeatOf(features) !== undefined && closureOf(features).marks !== 'renewed';

export const readTheRing: DrillKind<ReadTheRing, Move, Planted> = {
  id: 'read-the-ring',
  title: 'Read the ring',
  teaches:
    'Whole and narrow all round is a seat; a break, a broad line and a picture that tells nothing are three things more.',
  minutes: 2,
  of: isBlued,
  move: moveSchema,
  planted: plantedSchema,
  make,
  said: saidOf,
  ended: (_, moves) => calledIn(moves) !== undefined,
  mark,
  best: ({ gaps, call }) => [
    { do: 'mark', gaps: [...gaps] },
    { do: 'call', call },
  ],
  hint,
};
