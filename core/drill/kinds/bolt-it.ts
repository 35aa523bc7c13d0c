import { z } from 'zod';
import { must } from '../../problem';
import { phrase, quantity, quantityOf, valueIn, type Length, type Phrase, type Torque } from '../../quantity';
import type { Chance } from '../../simulation';
import { boltingCrowfoot, boltingSequence, type TighteningPass } from '../../workings';
import type { Asked, DrillKind, Said } from '../frame/drill';
import type { MarkLine } from '../frame/marks';

const moveSchema = z.discriminatedUnion('do', [
  z.strictObject({ do: z.literal('set'), to: quantityOf('torque') }),
  z.strictObject({ do: z.literal('pull'), bolt: z.int().min(1).max(96) }),
]);
type Move = z.output<typeof moveSchema>;

/** An adapter on the wrench: it is longer by so much. */
export interface CrowFoot {
  readonly wrench: Length;
  readonly adapter: Length;
}

export interface BoltIt {
  readonly bolts: number;
  readonly torque: Torque;
  /** Crosswise at each share of the torque, and once round. */
  readonly passes: readonly TighteningPass[];
  readonly crowFoot?: CrowFoot;
  /** Pulls that click before their torque is there: the first of a bolt in a pass. */
  readonly early: readonly { readonly pass: number; readonly bolt: number }[];
}

/** A wrench is set to its scale: this share of what is right is right. */
const SETTING_WITHIN = 0.04;
/** What an early click comes to. */
const EARLY_SHARE = 0.7;

/** A pull on a bolt, and what it came to. */
export interface Pull {
  readonly bolt: number;
  readonly pass: number;
  readonly shown: Torque;
  readonly verdict: 'counts' | 'early' | 'wrong bolt' | 'wrong setting' | 'left an early one';
}

export interface BoltedUp {
  /** The pass in hand; as many as there are when it is done. */
  readonly pass: number;
  /** Bolts tight in this pass, in order. */
  readonly tight: readonly number[];
  readonly setting: Torque | undefined;
  readonly pulls: readonly Pull[];
  /** The bolt whose last click came early, until it is pulled again. */
  readonly owed: number | undefined;
  readonly finished: boolean;
}

const isLast = ({ passes }: BoltIt, pass: number) => pass === passes.length - 1;

/** What to set the wrench to for a torque on the nut. */
export function settingFor({ crowFoot }: BoltIt, torque: Torque): Torque {
  return crowFoot ? must(boltingCrowfoot.work({ torque, ...crowFoot })).result.setting : torque;
}

const steps = (a: number, b: number, bolts: number) => {
  const turn = (((a - b) % bolts) + bolts) % bolts;
  return Math.min(turn, bolts - turn);
};

/**
 * The bolts that may come next. Crosswise: the one opposite what was just pulled, then one that lies farthest from all that
 * are tight; once round: a neighbour the same way on. Any start is right (ASME PCC-1 legacy pattern and its mirror images).
 */
export function allowedNext(exercise: BoltIt, pass: number, tight: readonly number[]): number[] {
  const { bolts, passes } = exercise;
  const all = Array.from({ length: bolts }, (_, i) => i + 1);
  const free = all.filter((bolt) => !tight.includes(bolt));
  const last = tight.at(-1);
  if (last === undefined) return free;
  if (isLast(exercise, pass)) {
    const before = tight.at(-2);
    const round = (by: number) => ((last - 1 + by + bolts) % bolts) + 1;
    const ways = before === undefined ? [1, -1] : [(last - before + bolts) % bolts === 1 ? 1 : -1];
    return ways.map(round).filter((bolt) => free.includes(bolt));
  }
  const tabled = nextInOrder(passes[pass]?.order ?? [], tight);
  if (bolts % 2 === 0 && tight.length % 2 === 1)
    return [...new Set([((last - 1 + bolts / 2) % bolts) + 1, ...tabled])].filter((bolt) =>
      free.includes(bolt),
    );
  const nearest = (bolt: number) => Math.min(...tight.map((each) => steps(bolt, each, bolts)));
  const widest = Math.max(...free.map(nearest));
  return free.filter((bolt) => nearest(bolt) === widest || tabled.includes(bolt));
}

/** The published order, begun at any bolt and either way round. */
function nextInOrder(order: readonly number[], tight: readonly number[]): number[] {
  const [first] = tight;
  if (first === undefined) return [];
  const bolts = order.length;
  return [1, -1].flatMap((way) => {
    const as = order.map((bolt) => (((((bolt - 1) * way + first - 1) % bolts) + bolts) % bolts) + 1);
    const next = as[tight.length];
    return tight.every((bolt, i) => as[i] === bolt) && next !== undefined ? [next] : [];
  });
}

const within = (a: Torque, b: Torque) =>
  Math.abs(valueIn(a, 'lbf·ft') - valueIn(b, 'lbf·ft')) <= SETTING_WITHIN * valueIn(b, 'lbf·ft');

const share = (torque: Torque, of: number): Torque =>
  quantity('torque', Math.round(valueIn(torque, 'lbf·ft') * of * 10) / 10, 'lbf·ft');

/** The joint after these moves. */
export function boltedUp(exercise: BoltIt, moves: readonly Move[]): BoltedUp {
  const start: BoltedUp = {
    pass: 0,
    tight: [],
    setting: undefined,
    pulls: [],
    owed: undefined,
    finished: false,
  };
  return moves.reduce<BoltedUp>((at, move) => {
    if (at.finished) return at;
    return move.do === 'set' ? { ...at, setting: move.to } : pulled(exercise, at, move.bolt);
  }, start);
}

function pulled(exercise: BoltIt, at: BoltedUp, bolt: number): BoltedUp {
  const { pass, tight, setting, owed } = at;
  const wanted = settingFor(exercise, exercise.passes[pass]?.torque ?? exercise.torque);
  const shownAt = setting ?? quantity('torque', 0, 'lbf·ft');
  const keep = (verdict: Pull['verdict'], shown = shownAt): BoltedUp => ({
    ...at,
    pulls: [...at.pulls, { bolt, pass, shown, verdict }],
  });
  if (!setting || !within(setting, wanted)) return keep('wrong setting');
  if (owed !== undefined && bolt !== owed) return keep('left an early one');
  if (owed === undefined && !allowedNext(exercise, pass, tight).includes(bolt)) return keep('wrong bolt');
  const isEarly =
    owed === undefined && exercise.early.some((each) => each.pass === pass && each.bolt === bolt);
  if (isEarly) return { ...keep('early', share(shownAt, EARLY_SHARE)), owed: bolt };
  const now = [...tight, bolt];
  const full = now.length === exercise.bolts;
  return {
    ...keep('counts'),
    owed: undefined,
    pass: full ? pass + 1 : pass,
    tight: full ? [] : now,
    finished: full && isLast(exercise, pass),
  };
}

const COUNTS = { 1: [4, 8], 2: [8, 8], 3: [8, 12], 4: [12, 16] } as const;

function make({ level, dice }: Asked<never>): BoltIt {
  const bolts = COUNTS[level][dice.uniform() < 0.5 ? 0 : 1];
  const torque = quantity('torque', 40 + 10 * Math.floor(dice.uniform() * 17), 'lbf·ft');
  const worked = must(boltingSequence.work({ bolts, passes: 'thirds', torque })).result;
  // Two passes crosswise and one round are enough to show that it is known.
  const passes = [...worked.passes.slice(-2), worked.circularPass];
  const hasCrowFoot = level >= 3 ? dice.uniform() < 0.6 : level === 2 && dice.uniform() < 0.3;
  return {
    ...{ bolts, torque, passes },
    ...(hasCrowFoot ? { crowFoot: crowFootBy(dice) } : {}),
    early: level === 1 ? [] : earlyBy(dice, bolts, level >= 4 ? 2 : 1),
  };
}

const crowFootBy = (dice: Chance): CrowFoot => ({
  wrench: quantity('length', 16 + 2 * Math.floor(dice.uniform() * 4), 'in'),
  adapter: quantity('length', 2 + Math.floor(dice.uniform() * 5) / 2, 'in'),
});

const earlyBy = (dice: Chance, bolts: number, count: number): BoltIt['early'] =>
  Array.from({ length: count }, (_, pass) => ({ pass, bolt: 1 + Math.floor(dice.uniform() * bolts) }));

const WHY: Readonly<Record<Exclude<Pull['verdict'], 'counts' | 'early'>, string>> = {
  'wrong bolt':
    'Not that one: opposite what was pulled last, then where the joint is slackest. Round once at the end.',
  'wrong setting': 'The wrench is not set for this pass.',
  'left an early one': 'The last click came before its torque was there: that bolt is slack.',
};

function saidOf(exercise: BoltIt, moves: readonly Move[]): Said | undefined {
  const move = moves.at(-1);
  if (!move) return undefined;
  const at = boltedUp(exercise, moves);
  if (move.do === 'set') {
    const wanted = settingFor(exercise, exercise.passes[at.pass]?.torque ?? exercise.torque);
    return { right: within(move.to, wanted), words: phrase`Wrench set to ${move.to}.` };
  }
  const pull = at.pulls.at(-1);
  if (!pull) return undefined;
  return pull.verdict === 'counts' || pull.verdict === 'early'
    ? { right: true, words: phrase`Bolt ${pull.bolt} clicks at ${pull.shown}.` }
    : { right: false, words: WHY[pull.verdict] };
}

function best(exercise: BoltIt): Move[] {
  return exercise.passes.flatMap(({ torque, order }, pass): Move[] => [
    { do: 'set', to: settingFor(exercise, torque) },
    ...order.flatMap((bolt): Move[] => {
      const isEarly = exercise.early.some((each) => each.pass === pass && each.bolt === bolt);
      return isEarly
        ? [
            { do: 'pull', bolt },
            { do: 'pull', bolt },
          ]
        : [{ do: 'pull', bolt }];
    }),
  ]);
}

function mark(exercise: BoltIt, moves: readonly Move[]): MarkLine[] {
  const at = boltedUp(exercise, moves);
  const all = exercise.bolts * exercise.passes.length;
  const count = (verdict: Pull['verdict']) => at.pulls.filter((pull) => pull.verdict === verdict).length;
  const behind = count('counts') / all;
  const wrong = count('wrong bolt');
  const settings = count('wrong setting');
  const left = count('left an early one');
  const line = (what: string, of: number, mistakes: number, costs: number, said: string): MarkLine => ({
    ...{ what, of, said },
    points: Math.max(0, of * behind - costs * mistakes),
  });
  return [
    line(
      'Crosswise, then once round',
      60,
      wrong,
      6,
      `${count('counts')} of ${all} pulls; ${wrong} on a bolt that was not next.`,
    ),
    line('The wrench set for each pass', 20, settings, 5, `${settings} pulls with another setting.`),
    line(
      'A bad click noticed',
      20,
      left,
      10,
      left === 0 ? 'None was left slack.' : `${left} pulls with a slack bolt behind.`,
    ),
  ];
}

function hint(exercise: BoltIt, moves: readonly Move[]): Phrase {
  const { pass, tight, setting, owed } = boltedUp(exercise, moves);
  const wanted = settingFor(exercise, exercise.passes[pass]?.torque ?? exercise.torque);
  if (!setting || !within(setting, wanted))
    return exercise.crowFoot
      ? 'The crow-foot makes the wrench longer: it takes less on the scale. T · L / (L + E).'
      : phrase`This pass is ${exercise.passes[pass]?.percent ?? 100} % of ${exercise.torque}.`;
  if (owed !== undefined) return `Bolt ${owed} is not tight yet.`;
  return `Next can be bolt ${allowedNext(exercise, pass, tight).join(' or ')}.`;
}

export const boltIt: DrillKind<BoltIt, Move, never> = {
  id: 'bolt-it',
  title: 'Bolt it',
  teaches:
    'Crosswise and in passes, then once round; the wrench set for what hangs on it; a click that came early is pulled again.',
  minutes: 4,
  of: () => true,
  move: moveSchema,
  make,
  said: saidOf,
  ended: (exercise, moves) => boltedUp(exercise, moves).finished,
  mark,
  best,
  hint,
};
