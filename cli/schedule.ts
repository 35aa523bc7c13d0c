import { planWeek, proveWeek, readWeek } from '@dusk-wren/core/schedule';
import { nodeSolver } from '@dusk-wren/solver/node';
import { contentOf } from './content';
import { UsageError } from './usage';

/** A plan of a shop's week, or why there is none. */
export async function scheduleOf([file, ...more]: readonly string[]): Promise<{
  readonly feasible: boolean;
  readonly printed: unknown;
}> {
  if (file === undefined || more.length > 0) throw new UsageError('schedule takes one file.');
  const read = readWeek(await contentOf(file));
  if (!read.ok) throw new UsageError(`${file}: ${read.problem.why}`);
  const by = performance.now() + read.value.seconds * 1000;
  const made =
    read.value.seconds === 0
      ? planWeek(read.value)
      : await proveWeek(read.value, nodeSolver, { left: () => (by - performance.now()) / 1000 });
  if (made.ok) return { feasible: true, printed: made.value };
  if (made.problem.kind === 'bad file') throw new UsageError(`${file}: ${made.problem.why}`);
  return { feasible: false, printed: { feasible: false, reason: made.problem.why } };
}
