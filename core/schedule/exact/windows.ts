import { generate } from '../engine/generate';
import type { Instance, Task } from '../instance';
import { byStart, type Placed } from '../placed';
import type { Solved } from '../engine/instant';
import { randomFrom } from '../engine/random';
import { compare, scoreOf } from '../score';
import { settled } from '../engine/settle';
import { buildAgain } from '../engine/timeline';
import type { Watch } from '../watch';
import { lateJobs } from '../late/why-late';
import { modelOf, type Level } from './model';
import { planOf } from './read';
import type { Solver } from './solver';
import { windowAt } from './window';

/** As many operations as are solved at once within a larger week, and no longer than this. */
const SIZE = 20;
const SECONDS_EACH = 5;

/**
 * Betters a large week piece by piece: round a link of the chain that makes a job late, what is near it is solved anew
 * (large neighbourhoods: Shaw 1998), and the whole made again in the order that came of it. Never worse than it was.
 */
export async function byWindows(
  instance: Instance,
  from: Solved,
  solver: Solver,
  watch: Watch,
): Promise<Solved> {
  let solved = from;
  const random = randomFrom(1);
  while (watch.left() > 0) {
    const level: Level | undefined =
      solved.score.hard > solved.bounds.hard
        ? 'hard'
        : solved.score.late > solved.bounds.late
          ? 'late'
          : undefined;
    const late = lateJobs(instance, solved.plan).filter(({ job }) => level !== 'hard' || job.hard);
    const chain = late[Math.floor(random() * late.length)]?.chain ?? [];
    const link = chain[Math.floor(random() * chain.length)];
    if (!level || !link) return solved;
    const window = windowAt(instance, solved.plan, link.placed.start, SIZE);
    const score = scoreOf(window.instance, window.plan);
    if (score[level] <= 0) continue;
    const model = modelOf(window.instance, { level, score, until: window.until });
    let piece: readonly Placed[] | undefined;
    await solver.run(model.text, Math.min(SECONDS_EACH, watch.left()), (solution) => {
      piece = planOf(window.instance, model, solution);
    });
    const made = piece && wholeWith(instance, solved.plan, piece, window.whole);
    if (!made) continue;
    const plan = settled(instance, made);
    const its = scoreOf(instance, plan);
    if (compare(its, solved.score) >= 0) continue;
    solved = { ...solved, plan, score: its };
    watch.heard?.(solved);
  }
  return solved;
}

/** The whole in the order and by the hands that came of a piece; what follows moves up or makes room. */
function wholeWith(
  instance: Instance,
  plan: readonly Placed[],
  piece: readonly Placed[],
  whole: ReadonlyMap<Task, Task>,
): readonly Placed[] | undefined {
  const moved = new Map<Task, Placed>();
  for (const each of piece) {
    const task = whole.get(each.task);
    if (task) moved.set(task, { ...each, task });
  }
  const inOrder = plan.map((each) => moved.get(each.task) ?? each).toSorted(byStart);
  const seen = new Set<Task>();
  const follows = inOrder.every(({ task }) => {
    seen.add(task);
    return task.before.every(({ task: before }) => seen.has(before));
  });
  const built = follows ? buildAgain(instance, inOrder) : undefined;
  if (built) return built.plan;
  const starts = new Map(inOrder.map(({ task, start }) => [task, start]));
  const made = generate(instance, (task) => starts.get(task) ?? 0);
  return Array.isArray(made) ? made : undefined;
}
