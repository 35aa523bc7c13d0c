import { z } from 'zod';
import {
  energiesOf,
  pointsOf,
  SIDES,
  usualLine,
  type Energy,
  type IsolationPoint,
  type Line,
  type Side,
} from '../../isolation';
import { phrase, psig, type GaugePressure, type Phrase } from '../../quantity';
import type { Chance } from '../../simulation';
import type { Valve } from '../../valve';
import type { DrillKind, Said } from '../frame/drill';
import { allOrNone, type MarkLine } from '../frame/marks';

const moveSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('point'), point: z.string().max(40) }),
  /** Looks at an energy where it is proved gone. */
  z.strictObject({ do: z.literal('look'), at: z.string().max(40) }),
  /** The gauge on pressure that is known to be there. */
  z.strictObject({ do: z.literal('try live') }),
  z.strictObject({ do: z.literal('another gauge') }),
  /** What its block does not hold is shut at the next valve away. */
  z.strictObject({ do: z.literal('shut further away'), side: z.enum(SIDES) }),
  z.strictObject({ do: z.literal('call it dead') }),
]);
type Move = z.output<typeof moveSchema>;

export interface MakeItDead {
  readonly valve: Valve;
  readonly line: Line;
  readonly points: readonly IsolationPoint[];
  /** What has to be proved, where an instrument or a hand can. */
  readonly energies: readonly Energy[];
  readonly pressure: GaugePressure;
  /** The side whose block passes. */
  readonly passes?: Side;
  /** The gauge stands at zero whatever is behind it. */
  readonly gaugeStuck: boolean;
}

const PASSING_SHARE = 0.23;
/** Points that it costs to have a side shut further away whose block holds. */
const NEEDLESS_COSTS = 10;
const AIR = psig(60);

/** How the valve stands, after some moves. */
export interface SetOut {
  readonly done: ReadonlySet<string>;
  /** Looks at each energy since anything was last changed: before the gauge was tried live, and after. */
  readonly before: ReadonlySet<string>;
  readonly after: ReadonlySet<string>;
  readonly triedLive: boolean;
  readonly gaugeStuck: boolean;
  readonly shutFurther: ReadonlySet<Side>;
  /** Points done before one that must come first. */
  readonly outOfOrder: readonly string[];
  readonly called: boolean;
}

function makeLine({ features }: Valve, level: number, dice: Chance): Line {
  const usual = usualLine(features);
  const doubled = level >= 2 && usual.upstream.shutBy === 'block valve' && dice.uniform() < 0.4;
  return {
    ...usual,
    upstream: doubled ? { shutBy: 'double block and bleed', vent: true } : usual.upstream,
    bypass: usual.bypass && dice.uniform() < 0.7,
  };
}

const isProvable = ({ proof }: Energy) => proof.kind !== 'held';
/** Read off an instrument that is tried live between: a gauge, or a tester of voltage. */
const isReadTwice = ({ proof }: Energy) => proof.kind === 'reading' && proof.mustBe === 'zero';
const byGauge = ({ proof }: Energy) => proof.kind === 'reading' && proof.dimension === 'gauge pressure';

/** What must be behind a point before it is touched (common practice; the site's permit wins). */
function first(points: readonly IsolationPoint[], { id }: IsolationPoint): string[] {
  const has = new Set(points.map((point) => point.id));
  const blocks = SIDES.flatMap((side) => [`block.${side}`, `block-2.${side}`, `shut-down.${side}`]);
  const side = SIDES.find((each) => id.endsWith(`.${each}`));
  const wanted = [
    ...(blocks.includes(id) || id.startsWith('bleed.') ? ['bypass', 'pump'] : []),
    ...(side && (id.startsWith('vent.') || id.startsWith('bleed.'))
      ? [`block.${side}`, `block-2.${side}`, `shut-down.${side}`]
      : []),
    ...(id === 'body-bleed' ? blocks : []),
    ...(id === 'close' ? ['body-bleed'] : []),
    // It is moved while there is air to move it with.
    ...(id === 'air' ? ['half-open', 'close'] : []),
  ];
  return wanted.filter((each) => each !== id && has.has(each));
}

/** The exercise after these moves. */
export function setOut(exercise: MakeItDead, moves: readonly Move[]): SetOut {
  const start: SetOut = {
    done: new Set(),
    before: new Set(),
    after: new Set(),
    triedLive: false,
    gaugeStuck: exercise.gaugeStuck,
    shutFurther: new Set(),
    outOfOrder: [],
    called: false,
  };
  // What was proved is proved no more once anything is changed, or another gauge is taken.
  const anew = { before: new Set<string>(), after: new Set<string>(), triedLive: false };
  return moves.reduce<SetOut>((at, move) => {
    if (at.called) return at;
    switch (move.do) {
      case 'point': {
        const point = exercise.points.find(({ id }) => id === move.point);
        if (!point || at.done.has(point.id)) return at;
        const early = first(exercise.points, point).some((id) => !at.done.has(id));
        return {
          ...at,
          ...anew,
          done: new Set([...at.done, point.id]),
          outOfOrder: early ? [...at.outOfOrder, point.id] : at.outOfOrder,
        };
      }
      case 'look':
        return at.triedLive
          ? { ...at, after: new Set([...at.after, move.at]) }
          : { ...at, before: new Set([...at.before, move.at]) };
      case 'try live':
        return at.gaugeStuck ? at : { ...at, triedLive: true };
      case 'another gauge':
        return { ...at, ...anew, gaugeStuck: false };
      case 'shut further away':
        return { ...at, ...anew, shutFurther: new Set([...at.shutFurther, move.side]) };
      case 'call it dead':
        return { ...at, called: true };
    }
  }, start);
}

/** What is really still there at a place. */
export function stillThere(exercise: MakeItDead, at: SetOut, energy: Energy): GaugePressure {
  const lets = exercise.points.filter((point) => point.for.includes(energy.kind));
  const done = lets.every(({ id }) => at.done.has(id));
  const side = SIDES.find((each) => energy.kind === `${each} pressure`);
  const full = energy.kind.includes('air') ? AIR : exercise.pressure;
  if (energy.kind === 'cavity pressure') {
    // A pocket drains with the sides it opens to.
    const sides = exercise.energies.filter(({ kind }) => SIDES.some((each) => kind === `${each} pressure`));
    const held = sides.map((each) => stillThere(exercise, at, each));
    const most = Math.max(0, ...held.map(({ value }) => value));
    return done ? psig(most) : full;
  }
  if (!done) return full;
  const passing = side !== undefined && side === exercise.passes && !at.shutFurther.has(side);
  return passing ? psig(Math.round(full.value * PASSING_SHARE)) : psig(0);
}

/** What the gauge in hand shows there. */
const shownAt = (exercise: MakeItDead, at: SetOut, energy: Energy): GaugePressure =>
  at.gaugeStuck ? psig(0) : stillThere(exercise, at, energy);

const isGone = (exercise: MakeItDead, at: SetOut, energy: Energy): boolean =>
  byGauge(energy)
    ? stillThere(exercise, at, energy).value === 0
    : exercise.points.filter((point) => point.for.includes(energy.kind)).every(({ id }) => at.done.has(id));

const isDead = (exercise: MakeItDead, at: SetOut): boolean =>
  exercise.energies.every((energy) => isGone(exercise, at, energy));

function saidOf(exercise: MakeItDead, moves: readonly Move[]): Said | undefined {
  const move = moves.at(-1);
  if (!move) return undefined;
  const [was, is] = [setOut(exercise, moves.slice(0, -1)), setOut(exercise, moves)];
  switch (move.do) {
    case 'point': {
      const point = exercise.points.find(({ id }) => id === move.point);
      if (!point) return { right: false, words: 'There is no such point in this line.' };
      if (was.done.has(point.id)) return { right: true, words: 'That is done already.' };
      const early = first(exercise.points, point).find((id) => !was.done.has(id));
      const before = exercise.points.find(({ id }) => id === early);
      return before
        ? { right: false, words: phrase`Too early. First: ${before.title}. ${before.why}` }
        : { right: true, words: phrase`${point.title}. ${point.why}` };
    }
    case 'look': {
      const energy = exercise.energies.find(({ kind }) => kind === move.at);
      if (!energy) return undefined;
      if (!byGauge(energy))
        return isGone(exercise, is, energy)
          ? { right: true, words: `Looked at and tried: ${energy.where}.` }
          : { right: false, words: `It is still there: ${energy.where}.` };
      const shown = shownAt(exercise, is, energy);
      return { right: shown.value === 0, words: phrase`${energy.where}: ${shown}` };
    }
    case 'try live':
      return is.gaugeStuck
        ? {
            right: false,
            words: phrase`On ${AIR} of shop air it shows ${psig(0)}: this gauge tells nothing.`,
          }
        : { right: true, words: phrase`On ${AIR} of shop air it shows ${AIR}: it lives.` };
    case 'another gauge':
      return { right: true, words: 'Another gauge. What the last one showed counts for nothing.' };
    case 'shut further away':
      return move.side === exercise.passes
        ? { right: true, words: `The next valve ${move.side} is shut and locked, by its owner.` }
        : { right: true, words: `Shut further away too, though the ${move.side} block holds.` };
    case 'call it dead':
      return isDead(exercise, was)
        ? { right: true, words: 'Nothing is left in it.' }
        : { right: false, words: 'It is not dead: whoever opens it now is hurt.' };
  }
}

function best(exercise: MakeItDead): Move[] {
  const { points, energies, passes, gaugeStuck } = exercise;
  const looks = energies.map(({ kind }): Move => ({ do: 'look', at: kind }));
  return [
    ...points.map(({ id }): Move => ({ do: 'point', point: id })),
    ...(passes ? ([{ do: 'shut further away', side: passes }] satisfies Move[]) : []),
    ...(gaugeStuck ? ([{ do: 'try live' }, { do: 'another gauge' }] satisfies Move[]) : []),
    ...looks,
    { do: 'try live' },
    ...looks,
    { do: 'call it dead' },
  ];
}

function mark(exercise: MakeItDead, moves: readonly Move[]): MarkLine[] {
  const at = setOut(exercise, moves);
  const { points, energies } = exercise;
  const proved = energies.filter(
    (energy) =>
      at.after.has(energy.kind) &&
      (!isReadTwice(energy) || at.before.has(energy.kind)) &&
      isGone(exercise, at, energy),
  );
  const dead = isDead(exercise, at);
  const early = at.outOfOrder.length;
  const needless = [...at.shutFurther].filter((side) => side !== exercise.passes).length;
  return [
    {
      what: 'Everything shut, let out and held',
      of: 30,
      points: (30 * at.done.size) / points.length - NEEDLESS_COSTS * needless,
      said: `${at.done.size} of ${points.length} points${needless > 0 ? '; what held was shut further away too, and the plant stands longer for it' : ''}.`,
    },
    {
      what: 'In an order that is safe',
      of: 20,
      points: at.done.size === 0 ? 0 : 20 - 10 * early,
      said: early === 0 ? 'Nothing was opened before it was shut away.' : `${early} too early.`,
    },
    {
      what: 'Zero proved twice, the gauge tried live between',
      of: 30,
      points: energies.length === 0 ? 30 : (30 * proved.length) / energies.length,
      said: `${proved.length} of ${energies.length} places. A reading before and after counts, of the same gauge, with nothing changed since.`,
    },
    {
      ...allOrNone(
        'Called dead when it is',
        20,
        at.called && dead,
        at.called ? (dead ? 'It is.' : 'It was not.') : 'Nobody called it: nobody knows where it stands.',
      ),
      ...(at.called && !dead ? { unsafe: true as const } : {}),
    },
  ];
}

function hint(exercise: MakeItDead, moves: readonly Move[]): Phrase {
  const at = setOut(exercise, moves);
  const next = exercise.points.find(
    (point) => !at.done.has(point.id) && first(exercise.points, point).every((id) => at.done.has(id)),
  );
  if (next) return phrase`${next.title}: ${next.why}`;
  if (!at.triedLive) return 'Look at every place, then try the gauge on pressure that you know is there.';
  const still = exercise.energies.find((energy) => !isGone(exercise, at, energy));
  if (still) return `Something still comes to the ${still.where}. What should hold it back?`;
  return 'Look at every place once more: the gauge lives, so now its zero is one.';
}

export const makeItDead: DrillKind<
  MakeItDead,
  Move,
  { passes?: Side | undefined; gaugeStuck?: boolean | undefined }
> = {
  id: 'make-it-dead',
  title: 'Make it dead',
  teaches:
    'A closed valve is no proof: zero is read, the gauge is tried on live pressure, zero is read again.',
  minutes: 4,
  of: () => true,
  move: moveSchema,
  planted: z.strictObject({ passes: z.enum(SIDES).optional(), gaugeStuck: z.boolean().optional() }),
  make: ({ valve, level, dice, planted }) => {
    const line = makeLine(valve, level, dice);
    const points = pointsOf(valve, line);
    const single = SIDES.filter((side) => line[side].shutBy === 'block valve');
    const [passRoll, sideRoll, stuckRoll] = [dice.uniform(), dice.uniform(), dice.uniform()];
    const chosen = planted
      ? single.find((side) => side === planted.passes)
      : level >= 2 && passRoll < 0.4
        ? single[Math.floor(sideRoll * single.length)]
        : undefined;
    const gaugeStuck = planted ? (planted.gaugeStuck ?? false) : level >= 3 && stuckRoll < 0.3;
    const energies = energiesOf(valve, line).filter(isProvable);
    return {
      valve,
      line,
      points,
      energies,
      pressure: psig(60 + 20 * Math.floor(dice.uniform() * 20)),
      ...(chosen === undefined ? {} : { passes: chosen }),
      gaugeStuck: gaugeStuck && energies.some(byGauge),
    };
  },
  said: saidOf,
  ended: (exercise, moves) => setOut(exercise, moves).called,
  mark,
  best,
  hint,
};
