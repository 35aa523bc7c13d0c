import { z } from 'zod';
import { callOnRunout, stemLimit, USUAL_RULES } from '../../inspection';
import { stemRole } from '../../calls';
import { phrase, quantityOf, thou, valueIn, type Length, type Phrase } from '../../quantity';
import type { Chance } from '../../simulation';
import { partsOf, type PartRole, type Valve } from '../../valve';
import { stemRunout } from '../../workings';
import type { DrillKind, Said } from '../frame/drill';
import { allOrNone, type MarkLine } from '../frame/marks';
import { must } from '../../problem';

export const STEM_CALLS = ['fit', 'renew'] as const;
export type StemCall = (typeof STEM_CALLS)[number];

const moveSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('turn'), to: z.number().min(0).max(360) }),
  z.strictObject({
    do: z.literal('say'),
    tir: quantityOf('length'),
    /** Where the dial stands highest, degrees. */
    high: z.number().min(0).max(360),
    call: z.enum(STEM_CALLS),
  }),
]);
type Move = z.output<typeof moveSchema>;

export interface StraightOrBent {
  readonly valve: Valve;
  readonly part: PartRole;
  readonly limit: Length;
  /** What is turned under the dial: its bow and where, its two lobes, and what the dial stood at to begin with; thou. */
  readonly bow: number;
  readonly bowAt: number;
  readonly lobes: number;
  readonly lobesAt: number;
  readonly zero: number;
  readonly call: StemCall;
}

/** One division of the dial. */
export const DIVISION = thou(0.5);
/** Of the reading, and of the place (handbook part 7). */
const TIR_WITHIN = 0.5 * DIVISION.value;
export const HIGH_WITHIN = 15;

const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** Where the hand of the dial stands with the stem turned so far. */
export function dialAt({ bow, bowAt, lobes, lobesAt, zero }: StraightOrBent, turned: number): Length {
  return thou(
    zero + bow * Math.cos(radians(turned - bowAt)) + lobes * Math.cos(2 * radians(turned - lobesAt)),
  );
}

interface Seen {
  readonly tir: number;
  readonly high: number;
}

/** What a whole turn shows: from lowest to highest, and where that is. */
export function wholeTurn(exercise: StraightOrBent): Seen {
  let [low, most, high] = [Infinity, -Infinity, 0];
  for (let at = 0; at < 360; at++) {
    const read = dialAt(exercise, at).value;
    if (read > most) [most, high] = [read, at];
    low = Math.min(low, read);
  }
  return { tir: most - low, high };
}

const STATIONS = 36;

/** The rule of the shop on what the dial shows all round. */
function callOf(exercise: Omit<StraightOrBent, 'call'>): StemCall {
  const whole = { ...exercise, call: 'fit' as const };
  const readings = Array.from({ length: STATIONS }, (_, i) => dialAt(whole, (i * 360) / STATIONS));
  const runout = must(stemRunout.work({ readings })).result;
  return callOnRunout(exercise.valve, USUAL_RULES, runout, exercise.part).verdict === 'fit' ? 'fit' : 'renew';
}

/** How near the limit a stem lies, share of it, by level; never nearer than a division of the dial. */
const NEAR = { 1: 0.6, 2: 0.4, 3: 0.25, 4: 0.15 } as const;

const either = (dice: Chance) => (dice.uniform() < 0.5 ? -1 : 1);
const rounded = (value: number) => Math.round(value * 100) / 100;

export const straightOrBent: DrillKind<StraightOrBent, Move, never> = {
  id: 'straight-or-bent',
  title: 'Straight or bent?',
  teaches:
    'The dial goes once round: highest less lowest is the runout, and the high spot is where it was highest.',
  minutes: 2,
  of: (valve) => partsOf(valve).some(({ role }) => role === stemRole(valve)),
  move: moveSchema,
  make: ({ valve, level, dice }) => {
    const part = stemRole(valve);
    const { limit } = stemLimit(valve, USUAL_RULES);
    const most = valueIn(limit, 'thou');
    const off = Math.max(2 * DIVISION.value, most * NEAR[level] * (0.6 + 0.8 * dice.uniform()));
    // Below half a division nobody reads anything.
    const tir = Math.max(DIVISION.value, most + either(dice) * off);
    const made = {
      ...{ valve, part, limit },
      bow: rounded(tir / 2),
      bowAt: Math.floor(dice.uniform() * 360),
      lobes: rounded(0.03 * level * dice.uniform()),
      lobesAt: Math.floor(dice.uniform() * 360),
      zero: level === 1 ? 0 : rounded(4 * dice.uniform() - 2),
    };
    return { ...made, call: callOf(made) };
  },
  said: (exercise, moves): Said | undefined => {
    const move = moves.at(-1);
    if (move?.do !== 'say') return undefined;
    const right = move.call === exercise.call;
    return { right, words: right ? 'So the rule says.' : 'The rule says otherwise.' };
  },
  ended: (_, moves) => moves.some((move) => move.do === 'say'),
  mark: (exercise, moves): MarkLine[] => {
    const told = moves.find((move) => move.do === 'say');
    const { tir, high } = wholeTurn(exercise);
    const off = told && Math.abs(valueIn(told.tir, 'thou') - tir);
    const turn = told && Math.abs(((told.high - high + 540) % 360) - 180);
    return [
      allOrNone(
        'Runout',
        40,
        off !== undefined && off <= TIR_WITHIN + 1e-9,
        phrase`${thou(rounded(tir))} from lowest to highest; within half a division is right.`,
      ),
      allOrNone(
        'High spot',
        30,
        turn !== undefined && turn <= HIGH_WITHIN,
        `At ${high}°; within ${HIGH_WITHIN}° is right.`,
      ),
      allOrNone(
        'The call',
        30,
        told?.call === exercise.call,
        phrase`Limit ${exercise.limit}: ${exercise.call === 'fit' ? 'it runs true enough' : 'it is bent'}.`,
      ),
    ];
  },
  best: (exercise) => {
    const { tir, high } = wholeTurn(exercise);
    return [
      { do: 'turn', to: high },
      { do: 'say', tir: thou(tir), high, call: exercise.call },
    ];
  },
  hint: (exercise, moves): Phrase => {
    const { high } = wholeTurn(exercise);
    const turned = moves.findLast((move) => move.do === 'turn')?.to ?? 0;
    const way = ((high - turned + 540) % 360) - 180;
    return Math.abs(way) <= HIGH_WITHIN
      ? 'You stand on the high spot. The lowest lies about half a turn away.'
      : `The high spot lies ${way > 0 ? 'clockwise' : 'anticlockwise'} from here.`;
  },
};
