import {
  boundsOf,
  faultsOf,
  instanceOf,
  instant,
  proveWeek,
  weekPlan,
  type Week,
} from '@dusk-wren/core/schedule';
import { must } from '@dusk-wren/core/problem';
import { FT10, weekOf } from '@dusk-wren/core/testing/job-shops';
import { shopWeek } from '@dusk-wren/core/testing/shop-weeks';
import { nodeSolver } from '@dusk-wren/solver/node';

const LIMIT_MILLISECONDS = 300;
/** What the clock of the browser's worker leaves it. */
const CLOCK_MILLISECONDS = 250;

/** The plan that a screen gets: how long it took, and how far from the best it is at most. */
function atOnce(what: string, week: Week): void {
  const began = performance.now();
  const instance = must(instanceOf(week));
  const by = began + CLOCK_MILLISECONDS;
  const solved = must(instant(instance, { puts: 2_500_000, isOver: () => performance.now() > by }));
  const took = performance.now() - began;
  const { operations, objective, bound, gap } = weekPlan(instance, solved);
  const faults = faultsOf(week, operations);
  if (faults.length > 0) throw new Error(faults[0]);
  const kept = took <= LIMIT_MILLISECONDS;
  console.log(
    `  ${kept ? 'within' : 'MISSED'}  ${what}, ${operations.length} operations: ${took.toFixed(0)} ms (limit ${LIMIT_MILLISECONDS} ms); ${objective}, bound ${bound}, gap ${(100 * gap).toFixed(1)} %`,
  );
  if (!kept) process.exitCode = 1;
}

const undated = (week: Week): Week => ({
  ...week,
  jobs: week.jobs.map(({ due: _, ...job }) => ({ ...job, hard: false })),
});

for (const jobs of [20, 100, 200]) {
  atOnce(`Week of ${jobs} jobs with dates`, shopWeek(jobs));
  atOnce(`The same by its end alone`, undated(shopWeek(jobs)));
}

const SECONDS = 240;
const week = weekOf(FT10);
const began = performance.now();
const plan = must(
  await proveWeek(week, nodeSolver, { left: () => SECONDS - (performance.now() - began) / 1000 }),
);
const isProved = plan.end === FT10.best && plan.bound === FT10.best;
console.log(
  `  ${isProved ? 'within' : 'MISSED'}  FT10 proved to take ${plan.bound} of ${FT10.best} (simple bound ${boundsOf(must(instanceOf(week))).end}): ${((performance.now() - began) / 1000).toFixed(0)} s`,
);
if (!isProved) process.exitCode = 1;
