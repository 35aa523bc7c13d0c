import { z } from 'zod';
import { must } from '../../problem';
import {
  formatNumber,
  phrase,
  psig,
  quantity,
  quantityOf,
  valueIn,
  type GaugePressure,
  type Phrase,
} from '../../quantity';
import { REPEATS_WITHIN, reseatShare, type Chance } from '../../simulation';
import { closureOf, type Valve } from '../../valve';
import { reliefSet, reliefTestSheet } from '../../workings';
import type { Asked, DrillKind, Said } from '../frame/drill';
import { allOrNone, type MarkLine } from '../frame/marks';

export const SEAT_CALLS = ['tight', 'leaks'] as const;

const moveSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('gag off') }),
  /** Pumped up to here, or until it pops. */
  z.strictObject({ do: z.literal('raise'), to: quantityOf('gauge pressure') }),
  z.strictObject({ do: z.literal('vent') }),
  /** Turns of the compression screw, clockwise positive. */
  z.strictObject({ do: z.literal('turn'), by: z.number().min(-5).max(5) }),
  /** Notches of the upper ring, down positive: down makes the blowdown longer. */
  z.strictObject({ do: z.literal('ring'), by: z.int().min(-40).max(40) }),
  /** Bubbles counted at 90 % of what it is set to. */
  z.strictObject({ do: z.literal('tightness') }),
  z.strictObject({ do: z.literal('done'), seat: z.enum(SEAT_CALLS) }),
]);
type Move = z.output<typeof moveSchema>;

export interface SetIt {
  readonly valve: Valve;
  readonly set: GaugePressure;
  readonly backPressure: GaugePressure;
  readonly temperatureFactor: number;
  /** What it must pop at on the rig (CDTP). */
  readonly coldSet: GaugePressure;
  readonly low: GaugePressure;
  readonly high: GaugePressure;
  readonly gagged: boolean;
  /** How far it is off, share of the cold set pressure; what a turn does. */
  readonly off: number;
  readonly perTurn: number;
  /** What the huddling chamber adds at first, and a notch to it. */
  readonly huddling: number;
  readonly perNotch: number;
  /** Bubbles a minute at 90 %. */
  readonly bubbles: number;
  readonly bubblesAllowed: number;
  /** Errors of each pop, in turn. */
  readonly scatter: readonly number[];
}

/** Blowdown that the plant asks for, shares of set. */
export const BLOWDOWN = { least: 0.04, most: 0.1 } as const;
/** Nobody pumps further (inspection practice: not open there is stuck shut). */
const NEVER_OVER = 1.5;
/** Nothing is turned with more than this in it (common practice: at least a quarter below set). */
const TURN_BELOW = 0.75;
const POPS = 3;
const TIGHT_AT = 0.9;

export interface Pop {
  readonly popped: GaugePressure;
  readonly reseated: GaugePressure;
}

/** How it stands on the rig. */
export interface OnTheRig {
  readonly gagged: boolean;
  readonly pressure: GaugePressure;
  readonly turns: number;
  readonly notches: number;
  /** Pops since anything was turned, and all. */
  readonly since: readonly Pop[];
  readonly pops: readonly Pop[];
  readonly bubbles: number | undefined;
  readonly breaches: ReadonlySet<'gagged' | 'over' | 'turned under pressure'>;
  readonly done: (typeof SEAT_CALLS)[number] | undefined;
}

const opensAt = ({ coldSet, off, perTurn, scatter }: SetIt, turns: number, pop: number): number =>
  coldSet.value * (1 + off + perTurn * turns + (scatter[pop % scatter.length] ?? 0));

/** What it will open at next, once pumped so far; a gagged one never does. */
export const opensNext = (exercise: SetIt, at: OnTheRig): GaugePressure | undefined =>
  at.gagged ? undefined : psig(opensAt(exercise, at.turns, at.pops.length));

const toTenth = (psi: number) => psig(Math.round(psi * 10) / 10);

export function onTheRig(exercise: SetIt, moves: readonly Move[]): OnTheRig {
  const start: OnTheRig = {
    gagged: exercise.gagged,
    pressure: psig(0),
    turns: 0,
    notches: 0,
    since: [],
    pops: [],
    bubbles: undefined,
    breaches: new Set(),
    done: undefined,
  };
  return moves.reduce<OnTheRig>((at, move) => (at.done ? at : after(exercise, at, move)), start);
}

function after(exercise: SetIt, at: OnTheRig, move: Move): OnTheRig {
  const broke = (what: 'gagged' | 'over' | 'turned under pressure'): ReadonlySet<typeof what> =>
    new Set([...at.breaches, what]);
  const underPressure = valueIn(at.pressure, 'psig') > TURN_BELOW * exercise.coldSet.value + 1e-9;
  const turned = {
    since: [],
    bubbles: undefined,
    breaches: underPressure ? broke('turned under pressure') : at.breaches,
  };
  switch (move.do) {
    case 'gag off':
      return { ...at, gagged: false };
    case 'raise':
      return raised(exercise, at, valueIn(move.to, 'psig'));
    case 'vent':
      return { ...at, pressure: psig(0) };
    case 'turn':
      return { ...at, ...turned, turns: at.turns + move.by };
    case 'ring':
      return { ...at, ...turned, notches: at.notches + move.by };
    case 'tightness':
      return {
        ...at,
        pressure: psig(Math.round(TIGHT_AT * exercise.coldSet.value)),
        bubbles: exercise.bubbles,
      };
    case 'done':
      return { ...at, done: move.seat };
  }
}

/** Up to what is asked, or until it pops; a gagged one never does. */
function raised(exercise: SetIt, at: OnTheRig, to: number): OnTheRig {
  const most = NEVER_OVER * exercise.coldSet.value;
  const opens = opensAt(exercise, at.turns, at.pops.length);
  const popped = !at.gagged && to >= opens;
  const reached = popped ? opens : to;
  const breaches = new Set(at.breaches);
  if (at.gagged) breaches.add('gagged');
  if (reached > most + 1e-9) breaches.add('over');
  if (!popped) return { ...at, breaches, pressure: toTenth(to) };
  const pop = {
    popped: toTenth(opens),
    reseated: toTenth(opens * reseatShare(huddlingAt(exercise, at.notches))),
  };
  return {
    ...at,
    breaches,
    pressure: pop.reseated,
    pops: [...at.pops, pop],
    since: [...at.since, pop],
  };
}

const huddlingAt = ({ huddling, perNotch }: SetIt, notches: number): number =>
  Math.max(0.02, huddling + perNotch * notches);

/** How far it blew down: what it popped at less what it shut at, share of what it popped at. */
export const blowdownOf = ({ popped, reseated }: Pop): number => 1 - reseated.value / popped.value;

const blowsDownRight = (pop: Pop | undefined): boolean => {
  const share = pop && blowdownOf(pop);
  return share !== undefined && share >= BLOWDOWN.least - 1e-9 && share <= BLOWDOWN.most + 1e-9;
};

/** Whether these pops pass together, by the working that judges a test sheet. */
function passes(exercise: SetIt, pops: readonly Pop[]): boolean {
  if (pops.length < POPS) return false;
  const worked = reliefTestSheet.work({
    setPressure: exercise.set,
    coldSet: exercise.coldSet,
    code: 'VIII',
    pops: pops.slice(-POPS).map(({ popped }) => popped),
  });
  return worked.ok && worked.value.result.verdict === 'fit';
}

/** Turns are made in sixteenths of a turn; a flat of the screw is a sixth. */
const SIXTEENTH = 16;

function make({ valve, level, dice }: Asked<never>): SetIt {
  const set = psig(60 + 10 * Math.floor(dice.uniform() * 35));
  const hasBack = level >= 2 && dice.uniform() < 0.6;
  const backPressure = psig(hasBack ? Math.round(set.value * (0.03 + 0.07 * dice.uniform())) : 0);
  const temperatureFactor =
    level >= 3 && dice.uniform() < 0.6 ? 1 + Math.round(1 + 3 * dice.uniform()) / 100 : 1;
  const { coldSet } = must(
    reliefSet.work({ setPressure: set, code: 'VIII', backPressure, temperatureFactor }),
  ).result;
  const cold = psig(Math.round(valueIn(coldSet, 'psig')));
  // The tolerance is about the cold set pressure, by the same code.
  const { low, high } = must(reliefSet.work({ setPressure: cold, code: 'VIII' })).result;
  const perTurn = 0.04 + 0.03 * dice.uniform();
  const turns = Math.round((0.75 + 1.25 * dice.uniform()) * SIXTEENTH) / SIXTEENTH;
  const off = perTurn * (dice.uniform() < 0.5 ? turns : -turns);
  const long = level >= 2 && dice.uniform() < 0.7;
  const leaks = level >= 3 && dice.uniform() < 0.3;
  const bubblesAllowed = 40;
  return {
    ...{
      valve,
      set,
      backPressure,
      temperatureFactor,
      coldSet: cold,
      low,
      high,
      perTurn,
      off,
      bubblesAllowed,
    },
    gagged: level >= 2 && dice.uniform() < 0.5,
    huddling: long ? 0.42 + 0.15 * dice.uniform() : 0.16 + 0.06 * dice.uniform(),
    perNotch: 0.02,
    bubbles: leaks ? 60 + Math.floor(60 * dice.uniform()) : Math.floor(12 * dice.uniform()),
    scatter: scatterBy(dice),
  };
}

/** Pops of one valve, no two quite alike, none of them a doubt. */
const scatterBy = (dice: Chance): number[] =>
  Array.from({ length: 12 }, () => Math.max(-1, Math.min(1, dice.normal())) * REPEATS_WITHIN);

const said = (right: boolean, words: Phrase): Said => ({ right, words });

function saidOf(exercise: SetIt, moves: readonly Move[]): Said | undefined {
  const move = moves.at(-1);
  if (!move) return undefined;
  const [was, is] = [onTheRig(exercise, moves.slice(0, -1)), onTheRig(exercise, moves)];
  switch (move.do) {
    case 'gag off':
      return said(true, was.gagged ? 'Gag out, counted and put away.' : 'There is no gag in it.');
    case 'raise': {
      const pop = is.pops.length > was.pops.length ? is.pops.at(-1) : undefined;
      if (pop)
        return said(
          true,
          phrase`Popped at ${pop.popped}, shut at ${pop.reseated}: blowdown ${formatNumber(blowdownOf(pop) * 100, 1)} %.`,
        );
      if (is.breaches.has('gagged'))
        return said(false, 'The gag is still in it: it cannot open, whatever stands under it.');
      if (is.breaches.has('over')) return said(false, 'Over half again of its set: nobody pumps further.');
      return said(true, phrase`${is.pressure} stands under it.`);
    }
    case 'vent':
      return said(true, 'Pressure off.');
    case 'turn':
    case 'ring':
      return is.breaches.has('turned under pressure') && !was.breaches.has('turned under pressure')
        ? said(
            false,
            phrase`Turned with ${was.pressure} under it: the disc turns on its nozzle, or it lets go. At least a quarter below set first.`,
          )
        : said(
            true,
            move.do === 'turn'
              ? 'Screw turned. The next pop says what it did.'
              : 'Ring turned. The next pop says what it did.',
          );
    case 'tightness':
      return said(
        true,
        phrase`${exercise.bubbles} bubbles a minute at ${is.pressure}; ${exercise.bubblesAllowed} allowed.`,
      );
    case 'done':
      return said(
        passes(exercise, was.since),
        passes(exercise, was.since) ? 'Three pops in a row, set.' : 'It is not set yet.',
      );
  }
}

function best(exercise: SetIt): Move[] {
  const above = (share: number): Move => ({
    do: 'raise',
    to: psig(Math.round(exercise.coldSet.value * share)),
  });
  const target = 0.2;
  const notches = exercise.huddling > 0.27 ? Math.round((target - exercise.huddling) / exercise.perNotch) : 0;
  const pop: Move[] = [above(1.4), { do: 'vent' }];
  return [
    ...(exercise.gagged ? ([{ do: 'gag off' }] satisfies Move[]) : []),
    ...pop,
    { do: 'turn', by: -exercise.off / exercise.perTurn },
    ...(notches === 0 ? [] : ([{ do: 'ring', by: notches }] satisfies Move[])),
    ...pop,
    ...pop,
    ...pop,
    { do: 'tightness' },
    { do: 'done', seat: exercise.bubbles > exercise.bubblesAllowed ? 'leaks' : 'tight' },
  ];
}

const BREACHES = {
  gagged: 'Pumped with the gag in.',
  over: 'Over half again of its set.',
  'turned under pressure': 'Turned with pressure near set under it.',
} as const;

function mark(exercise: SetIt, moves: readonly Move[]): MarkLine[] {
  const at = onTheRig(exercise, moves);
  const isSet = passes(exercise, at.since);
  const seat = exercise.bubbles > exercise.bubblesAllowed ? 'leaks' : 'tight';
  const last = at.since.at(-1);
  const safe = at.breaches.size === 0 && at.pops.length > 0;
  return [
    {
      ...allOrNone(
        'Done safely',
        30,
        safe,
        at.breaches.size === 0
          ? 'Gag out, pressure down before each turn, never over half again.'
          : [...at.breaches].map((each) => BREACHES[each]).join(' '),
      ),
      ...(at.breaches.size > 0 ? { unsafe: true as const } : {}),
    },
    allOrNone(
      'Three pops in a row, within what may be',
      35,
      isSet,
      phrase`Between ${exercise.low} and ${exercise.high}, about ${exercise.coldSet} cold.`,
    ),
    allOrNone(
      'Blowdown',
      15,
      blowsDownRight(last),
      `${last ? `${formatNumber(blowdownOf(last) * 100, 1)} %` : 'None read since it was turned'}; ${BLOWDOWN.least * 100} to ${BLOWDOWN.most * 100} % is asked for here.`,
    ),
    allOrNone(
      'Tightness',
      20,
      at.bubbles !== undefined && at.done === seat,
      phrase`${exercise.bubbles} bubbles a minute at ${quantity('ratio', TIGHT_AT * 100, '%')} of it, ${exercise.bubblesAllowed} allowed: it ${seat === 'tight' ? 'is tight' : 'leaks'}.`,
    ),
  ];
}

function hint(exercise: SetIt, moves: readonly Move[]): Phrase {
  const at = onTheRig(exercise, moves);
  if (at.gagged) return 'Is anything still holding it shut?';
  if (at.pressure.value > TURN_BELOW * exercise.coldSet.value)
    return 'Let the pressure down before you turn anything.';
  const last = at.since.at(-1);
  if (!last)
    return phrase`It must pop at ${exercise.coldSet} here: set less constant back pressure, by the factor for its temperature. Pop it.`;
  if (last.popped.value < exercise.low.value) return 'It pops low: the screw presses more, clockwise.';
  if (last.popped.value > exercise.high.value) return 'It pops high: the screw presses less, anticlockwise.';
  if (!blowsDownRight(last))
    return blowdownOf(last) > BLOWDOWN.most
      ? 'The blowdown is long: upper ring up, a few notches at a time.'
      : 'The blowdown is short: upper ring down.';
  if (at.since.length < POPS) return 'Three in a row, with nothing turned between.';
  return at.bubbles === undefined
    ? 'How tight is it at nine tenths?'
    : 'It is set. Say whether its seat is tight.';
}

export const setIt: DrillKind<SetIt, Move, never> = {
  id: 'set-it',
  title: 'Set it',
  teaches:
    'Gag out, pressure down before a turn, three pops in a row about the cold set pressure; then blowdown, then tightness.',
  minutes: 5,
  of: ({ features }) => closureOf(features).duty === 'relieve by a spring',
  move: moveSchema,
  make,
  said: saidOf,
  ended: (_, moves) => moves.some((move) => move.do === 'done'),
  mark,
  best,
  hint,
};
