import type { NoPlan, Placing, Quality, Week } from '@dusk-wren/core/schedule';
import { Piscina } from 'piscina';

/** What the worker is asked: to plan a week with the plan that stood, or whether another plan is better than that. */
export interface PlanErrand {
  readonly week: Week;
  readonly stood: readonly Placing[];
  readonly offered?: readonly Placing[];
}

export type PlanAnswer =
  | {
      readonly kind: 'planned';
      readonly plan: readonly Placing[];
      readonly quality: Quality;
    }
  | { readonly kind: 'none'; readonly why: NoPlan };

/** From the built server its neighbour; from the sources themselves, read by tsx. */
const fromSource = import.meta.url.endsWith('.ts');
const WORKER = new URL(fromSource ? './planner-worker.ts' : './planner-worker.mjs', import.meta.url);

/** Plans weeks off the event loop, one at a time. */
export class Planner {
  private readonly pool = new Piscina<PlanErrand, PlanAnswer>({
    filename: WORKER.href,
    minThreads: 0,
    maxThreads: 1,
    idleTimeout: 60_000,
    ...(fromSource ? { execArgv: ['--import', 'tsx'] } : {}),
  });

  plan(errand: PlanErrand): Promise<PlanAnswer> {
    return this.pool.run(errand);
  }

  async close(): Promise<void> {
    await this.pool.destroy();
  }
}
