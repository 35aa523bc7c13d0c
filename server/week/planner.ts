import type { AnyProblem } from '@dusk-wren/contract';
import { Piscina } from 'piscina';
import { Refusal } from '../refusal';
import type { Pinned } from './draft';
import type { Offered } from './making';

/** What the thread is asked, by the shop's clock and at a moment. */
export interface PlanErrand {
  readonly now: Date;
  readonly zone: string;
  readonly what:
    | { readonly kind: 'make' }
    | { readonly kind: 'try pin'; readonly pin: Pinned }
    | { readonly kind: 'take plan'; readonly offered: Offered };
}

export type Planned = { readonly kind: 'done' } | { readonly kind: 'refused'; readonly problem: AnyProblem };

/** How the thread reaches the database: its address, and milliseconds of silence after which it is taken for gone. */
export interface PlannersDatabase {
  readonly url: string;
  readonly silence: number;
}

/** From the built server its neighbour; from the sources themselves, read by tsx. */
const fromSource = import.meta.url.endsWith('.ts');
const WORKER = new URL(fromSource ? './planner-worker.ts' : './planner-worker.mjs', import.meta.url);

/**
 * Plans weeks off the event loop, one at a time: what a plan is made of is read, and what it says is kept, in that thread too,
 * for with many jobs on the benches that takes longer than a command may wait.
 */
export class Planner {
  private readonly pool: Piscina<PlanErrand, Planned>;

  constructor(database: PlannersDatabase) {
    this.pool = new Piscina({
      filename: WORKER.href,
      workerData: database,
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: 60_000,
      ...(fromSource ? { execArgv: ['--import', 'tsx'] } : {}),
    });
  }

  /** Throws what the thread refuses. */
  async ask(errand: PlanErrand): Promise<void> {
    const planned = await this.pool.run(errand);
    if (planned.kind === 'refused') throw new Refusal(planned.problem);
  }

  async close(): Promise<void> {
    await this.pool.destroy();
  }
}
