import { z } from 'zod';
import {
  callOnFinding,
  USUAL_RULES,
  VERDICTS,
  wordReason,
  type Call,
  type Finding,
  type Verdict,
} from '../../inspection';
import { must } from '../../problem';
import { formatNumber, phrase, quantity, thou, valueIn, type Length, type Phrase } from '../../quantity';
import type { Chance } from '../../simulation';
import { PART_CATALOGUE, partsOf, type PartRole, type Valve } from '../../valve';
import { repairOrRenew } from '../../workings';
import type { Asked, DrillKind, Said } from '../frame/drill';
import { allOrNone, type MarkLine } from '../frame/marks';

const moveSchema = z.strictObject({
  verdict: z.enum(VERDICTS),
  /** What it costs to do so; nothing where nothing is done. */
  cost: z.number().min(0).max(1e7),
});
type Move = z.output<typeof moveSchema>;

/** What the shop pays, in its own money. */
export interface Prices {
  readonly hours: number;
  readonly rate: number;
  readonly consumables: number;
  readonly waitDays: number;
  readonly price: number;
  readonly leadDays: number;
  readonly spareDays: number;
  readonly delayCost: number;
  readonly fittingHours: number;
}

export interface FitOrNot {
  readonly valve: Valve;
  readonly part: PartRole;
  readonly finding: Finding;
  readonly prices: Prices;
  /** What the rule says, before the money is asked. */
  readonly rule: Call;
  /** What is right: a rework that costs more than a new part is none. */
  readonly verdict: Verdict;
  readonly cost: number;
}

/** How far the money may be off (handbook part 7). */
export const MONEY_WITHIN = 0.1;

const whole = (dice: Chance, least: number, most: number) =>
  Math.round(least + dice.uniform() * (most - least));

/** How far beside a limit a figure lies, share of it: nearer with the level, never on it. */
const NEAR = { 1: 0.6, 2: 0.4, 3: 0.25, 4: 0.12 } as const;
type Level = keyof typeof NEAR;

const beside = (limit: Length, level: Level, dice: Chance): Length => {
  const mils = valueIn(limit, 'thou');
  const share = 1 + (dice.uniform() < 0.5 ? -1 : 1) * NEAR[level] * (0.5 + 0.5 * dice.uniform());
  return thou(Math.max(0.5, Math.round(mils * share * 2) / 2));
};

/** Findings that a part of its kind can have, where a rule says something of how deep or where. */
function findingsOn(role: PartRole): ((level: Level, dice: Chance) => Finding)[] {
  const { kind } = PART_CATALOGUE[role];
  const { grindInTo, refaceTo, lapJointFaceTo, turnJointFaceTo } = USUAL_RULES;
  const seat =
    (limit: Length) =>
    (level: Level, dice: Chance): Finding => ({
      kind: 'seat damage',
      form: dice.uniform() < 0.5 ? 'pitted' : 'wire drawn',
      depth: beside(limit, level, dice),
    });
  const face =
    (limit: Length) =>
    (level: Level, dice: Chance): Finding => ({
      kind: 'joint face damage',
      form: dice.uniform() < 0.5 ? 'pit' : 'steam cut',
      depth: beside(limit, level, dice),
    });
  const zones = ['packing zone', 'below the backseat', 'thread'] as const;
  if (kind === 'seating') return [seat(grindInTo), seat(refaceTo)];
  if (role === 'body' || role === 'bonnet') return [face(lapJointFaceTo), face(turnJointFaceTo)];
  if (kind === 'stem')
    return [
      (_level, dice) => ({
        kind: 'stem mark',
        zone: zones[Math.floor(dice.uniform() * zones.length)] ?? 'thread',
      }),
    ];
  if (kind === 'spring') return [() => ({ kind: 'spring fault', form: 'set' })];
  return [];
}

const partsWith = (valve: Valve): PartRole[] =>
  partsOf(valve)
    .map(({ role }) => role)
    .filter((role) => findingsOn(role).length > 0);

const pricesBy = (level: Level, dice: Chance): Prices => ({
  hours: whole(dice, 2, 9),
  rate: 5 * whole(dice, 12, 22),
  consumables: 5 * whole(dice, 2, 16),
  waitDays: whole(dice, 0, 3),
  // Cheap parts make a rework a poor bargain now and then.
  price: level >= 3 ? 10 * whole(dice, 8, 90) : 10 * whole(dice, 80, 160),
  leadDays: whole(dice, 1, 14),
  spareDays: whole(dice, 0, 8),
  delayCost: 25 * whole(dice, 0, 14),
  fittingHours: whole(dice, 1, 2),
});

/** Both sums, by the working of a real job. */
export function sums(prices: Prices): { readonly repair: number; readonly renew: number } {
  const { hours, fittingHours, waitDays, leadDays, spareDays, ...money } = prices;
  const time = (value: number, unit: 'h' | 'd') => quantity('time', value, unit);
  const { repairCost, renewCost } = must(
    repairOrRenew.work({
      ...money,
      hours: time(hours, 'h'),
      fittingHours: time(fittingHours, 'h'),
      waitDays: time(waitDays, 'd'),
      leadDays: time(leadDays, 'd'),
      spareDays: time(spareDays, 'd'),
    }),
  ).result;
  return { repair: repairCost, renew: renewCost };
}

/** Nearer to each other than this nobody can say which is the cheaper by a glance. */
const CLEAR = 0.15;

function right(
  rule: Call,
  prices: Prices,
  canRenew: boolean,
): { verdict: Verdict; cost: number } | undefined {
  const { repair, renew } = sums(prices);
  switch (rule.verdict) {
    case 'rework': {
      if (canRenew && Math.abs(repair - renew) < CLEAR * Math.max(repair, renew)) return undefined;
      return canRenew && renew < repair
        ? { verdict: 'renew', cost: renew }
        : { verdict: 'rework', cost: repair };
    }
    case 'renew':
      return { verdict: 'renew', cost: renew };
    case 'fit':
    case 'ask':
    case 'condemn':
      return { verdict: rule.verdict, cost: 0 };
  }
}

function make({ valve, level, dice }: Asked<never>): FitOrNot {
  const parts = partsWith(valve);
  for (;;) {
    const part = parts[Math.floor(dice.uniform() * parts.length)] ?? 'body';
    const ways = findingsOn(part);
    const finding = ways[Math.floor(dice.uniform() * ways.length)]?.(level, dice);
    const prices = pricesBy(level, dice);
    if (!finding) continue;
    const rule = callOnFinding({ valve, site: USUAL_RULES, part }, finding);
    const stays = partsOf(valve).some(({ role, stays: built }) => role === part && built);
    const answer = right(rule, prices, !stays);
    if (answer) return { valve, part, finding, prices, rule, ...answer };
  }
}

const isNear = (cost: number, told: number) => Math.abs(told - cost) <= MONEY_WITHIN * cost + 1e-9;

function whyOf({ rule, verdict, prices }: FitOrNot): Phrase {
  const because = wordReason(rule.reason);
  if (rule.verdict !== 'rework') return because;
  const { repair, renew } = sums(prices);
  const both = `reworked ${formatNumber(repair, 0)}, new ${formatNumber(renew, 0)}`;
  return verdict === 'renew'
    ? phrase`${because}; it could be reworked, but a new one is cheaper: ${both}`
    : phrase`${because}: ${both}`;
}

function mark(exercise: FitOrNot, moves: readonly Move[]): MarkLine[] {
  const told = moves.at(-1);
  const isRight = told?.verdict === exercise.verdict;
  return [
    allOrNone('The call', 60, isRight, phrase`${exercise.verdict}: ${whyOf(exercise)}.`),
    allOrNone(
      'The money',
      40,
      isRight && isNear(exercise.cost, told.cost),
      exercise.cost === 0
        ? 'Nothing is spent on that call.'
        : `${formatNumber(exercise.cost, 0)}; within a tenth is right.`,
    ),
  ];
}

const costing = ({ cost }: FitOrNot): string => (cost > 0 ? `, for ${formatNumber(cost, 0)}` : '');

function saidOf(exercise: FitOrNot, moves: readonly Move[]): Said | undefined {
  const told = moves.at(-1);
  if (!told) return undefined;
  return {
    right: told.verdict === exercise.verdict,
    words: phrase`${exercise.verdict}${costing(exercise)}: ${whyOf(exercise)}.`,
  };
}

export const fitOrNot: DrillKind<FitOrNot, Move, never> = {
  id: 'fit-or-not',
  title: 'Fit or not?',
  teaches:
    'A figure, a limit, a rule: then what it costs. What may be reworked is renewed where the wait makes new cheaper.',
  minutes: 3,
  of: (valve) => partsWith(valve).length > 0,
  move: moveSchema,
  make,
  said: saidOf,
  ended: (_, moves) => moves.length > 0,
  mark,
  best: ({ verdict, cost }) => [{ verdict, cost }],
  hint: ({ rule }) =>
    rule.verdict === 'rework'
      ? 'The rule lets it be reworked. Now both sums: hours and the wait, or price and lead time.'
      : 'Hold what was found against the limits of the shop’s rules.',
};
