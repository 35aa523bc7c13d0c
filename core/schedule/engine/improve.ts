import type { Bounds } from '../bounds/bound';
import { criticalOf, type Critical, type Turn } from './critical';
import type { Instance, Task, Way } from '../instance';
import type { Placed } from '../placed';
import { randomFrom } from './random';
import { turned } from './reorder';
import { compare, scoreOf, type Score } from '../score';
import { build, buildAgain, waysIn, type Built } from './timeline';

/** How long to look: tasks put down in all, and a clock that says when to stop. */
export interface Budget {
  readonly puts: number;
  readonly isOver: () => boolean;
}

interface Stand extends Built {
  readonly order: readonly Task[];
  readonly ways: readonly Way[];
  /** What stood before begins no earlier than it did, until that is let go. */
  readonly floors: readonly number[];
  readonly score: Score;
}

/** One thing to try: another order, another pair of hands, or something earlier than it stood. */
interface Move {
  readonly order: readonly Task[];
  readonly ways: readonly Way[];
  readonly floors: readonly number[];
  /** What it is called while it is forbidden, and what would take it back. */
  readonly key: number;
  readonly back: number;
}

/** Moves tried before the best of them is made. */
const TRIED = 14;
/** Moves for which one that was made is not taken back: as many as this, and up to as many more. */
const TENURE = 8;
/** Moves without a better plan before it starts again from the best, some turns away. */
const PATIENCE = 400;
const SHAKEN = 6;
/** Starts from the best that came to nothing before it is left at that. */
const SHAKES = 10;
/** What a move costs beside putting its tasks down, in tasks. */
const OVERHEAD = 40;

/**
 * Local search by tabu on the chains that hold a plan up (Nowicki and Smutnicki 1996): neighbours on the same hands are
 * turned round, work is given to somebody else, the best of some is made, and not taken back for a while. Never worse
 * than what it begins with.
 */
export function improve(
  instance: Instance,
  first: readonly Placed[],
  budget: Budget,
  bounds: Bounds,
  seed = 1,
): readonly Placed[] {
  const random = randomFrom(seed);
  const begun = startFrom(instance, first);
  if (!begun) return first;
  let best = begun;
  let here = begun;
  let puts = 0;
  let since = 0;
  let step = 0;
  const forbidden = new Map<number, number>();
  let shakes = 0;
  const many = instance.tasks.length;
  const per = many + OVERHEAD;
  while (puts < budget.puts && shakes < SHAKES && !isBest(best.score, bounds) && !budget.isOver()) {
    const critical = criticalOf(instance, here, here.score);
    if (
      critical.turns.length === 0 &&
      !critical.tasks.some(({ ways, index }) => ways.length > 1 || here.floors[index])
    )
      break;
    step += 1;
    puts += per;
    let chosen: { stand: Stand; move: Move } | undefined;
    for (const move of movesFrom(here, critical, many, random)) {
      const built = build(instance, move.order, move.ways, move);
      puts += per;
      if (!built) continue;
      const stand = { ...move, ...built, score: scoreOf(instance, built.plan) };
      const isForbidden = (forbidden.get(move.key) ?? 0) > step;
      if (isForbidden && compare(stand.score, best.score) >= 0) continue;
      if (!chosen || compare(stand.score, chosen.stand.score) < 0) chosen = { stand, move };
    }
    since += 1;
    if (chosen) {
      here = chosen.stand;
      forbidden.set(chosen.move.back, step + TENURE + Math.floor(random() * TENURE));
      if (compare(here.score, best.score) < 0) [best, since, shakes] = [here, 0, 0];
    }
    if (!chosen || since > PATIENCE) {
      here = shaken(instance, best, random);
      since = 0;
      shakes += 1;
      forbidden.clear();
    }
  }
  return compare(best.score, scoreOf(instance, first)) <= 0 ? best.plan : first;
}

/** Nothing is better in anything that is wanted. */
export const isBest = ({ hard, late, moved, pauses, end }: Score, bounds: Bounds): boolean =>
  hard <= bounds.hard && late + moved <= bounds.late && pauses === 0 && end <= bounds.end;

function startFrom(instance: Instance, plan: readonly Placed[]): Stand | undefined {
  const floors: number[] = [];
  for (const [task, { start }] of instance.stood) if (start < instance.firmUntil) floors[task.index] = start;
  const built = buildAgain(instance, plan, { floors }) ?? buildAgain(instance, plan);
  return (
    built && {
      order: plan.map(({ task }) => task),
      ways: waysIn(plan),
      floors,
      ...built,
      score: scoreOf(instance, built.plan),
    }
  );
}

function* movesFrom(
  { order, ways, floors }: Stand,
  critical: Critical,
  many: number,
  random: () => number,
): Generator<Move> {
  const at: number[] = [];
  order.forEach((task, index) => (at[task.index] = index));
  for (const turn of some(critical.turns, TRIED, random)) {
    const next = turned(order, at, ways, turn);
    if (next) yield { order: next, ways, floors, ...keys(turn, many) };
  }
  const given = critical.tasks.filter((task) => task.ways.length > 1);
  for (const task of some(given, Math.ceil(TRIED / 3), random)) {
    const others = task.ways.filter((way) => way !== ways[task.index]);
    const way = others[Math.floor(random() * others.length)];
    const before = ways[task.index];
    if (!way || !before) continue;
    const changed = [...ways];
    changed[task.index] = way;
    yield { order, ways: changed, floors, key: wayKey(task, way, many), back: wayKey(task, before, many) };
  }
  for (const task of critical.tasks) {
    if (!floors[task.index]) continue;
    const lower = [...floors];
    lower[task.index] = 0;
    yield { order, ways, floors: lower, key: NEVER, back: NEVER };
  }
}
/** Not a move that is ever forbidden. */
const NEVER = 0.5;

const keys = ({ earlier, later }: Turn, many: number) => ({
  key: later.index * many + earlier.index,
  back: earlier.index * many + later.index,
});
const wayKey = (task: Task, way: Way, many: number) => -1 - (task.index + many * task.ways.indexOf(way));

/** As many as there are, or that many of them by chance. */
function some<T>(all: readonly T[], most: number, random: () => number): readonly T[] {
  if (all.length <= most) return all;
  const left = [...all];
  return Array.from({ length: most }, () => left.splice(Math.floor(random() * left.length), 1)).flat();
}

function shaken(instance: Instance, from: Stand, random: () => number): Stand {
  let here = from;
  for (let i = 0; i < SHAKEN; i++) {
    const moves = [...movesFrom(here, criticalOf(instance, here, here.score), instance.tasks.length, random)];
    const move = moves[Math.floor(random() * moves.length)];
    const built = move && build(instance, move.order, move.ways, move);
    if (move && built) here = { ...move, ...built, score: scoreOf(instance, built.plan) };
  }
  return here;
}
