import { byChecklist, byFinder, PLANTED } from '@dusk-wren/core/testing/planted-faults';

/** The fault finder beside the fixed checklist, over every planted fault and 20 seeds each. */
const SEEDS = Array.from({ length: 20 }, (_, i) => 7919 * (i + 1));
const runs = PLANTED.flatMap((planted) =>
  SEEDS.map((seed) => ({ planted, finder: byFinder(planted, seed), list: byChecklist(planted, seed) })),
);
const share = (right: number) => `${((100 * right) / runs.length).toFixed(1)} %`;
const mean = (values: readonly number[]) => values.reduce((a, b) => a + b, 0) / values.length;
for (const way of ['finder', 'list'] as const) {
  const right = runs.filter((run) => run[way].named === run.planted.fault).length;
  console.log(
    `  ${way === 'finder' ? 'fault finder   ' : 'fixed checklist'}  named first ${share(right)}, ${mean(runs.map((run) => run[way].checks)).toFixed(2)} checks, ${mean(runs.map((run) => run[way].minutes)).toFixed(1)} minutes`,
  );
}
const saved = 1 - mean(runs.map(({ finder }) => finder.minutes)) / mean(runs.map(({ list }) => list.minutes));
console.log(`  ${(100 * saved).toFixed(0)} % fewer minutes (at least 30 % wanted), ${runs.length} runs`);
if (saved < 0.3) throw new Error('the finder saves too little');
