import type { WeekView } from '@dusk-wren/contract/week';
import type { Sequelize } from 'sequelize';
import { onlyOne } from '../database/lock';
import type { Pinned } from './draft';
import { keptWeek, madeOfKept, whatItIsMadeOf } from './kept';
import type { Offered } from './making';
import { Planner, type PlanErrand, type PlannersDatabase } from './planner';

/** Between two plans that nobody asked for, so that work is not slowed by its own plan: at least, and for each millisecond of the last. */
const PAUSE_MILLISECONDS = 2000;
const PAUSE_EACH = 5;

/**
 * The plan of the shop's week: made again where something that it was made of has changed. Whoever asks gets the plan of
 * now; while the server runs it is kept up beside the work (`keepUp`), for lists that read it and nobody waits for.
 */
export class WeekKeeper {
  private readonly planner: Planner;
  private making: Promise<void> | undefined;
  private told: (() => void) | undefined;

  constructor(
    private readonly sequelize: Sequelize,
    database: PlannersDatabase,
    /** By whose clocks the shop goes. */
    private readonly zone: () => Promise<string>,
    private readonly now: () => Date,
  ) {
    this.planner = new Planner(database);
  }

  /** The plan as it should be now. */
  async current(): Promise<WeekView> {
    const madeOf = await whatItIsMadeOf(this.now());
    const kept = await keptWeek();
    if (kept?.madeOf === madeOf) return kept.view;
    // Who asks while one is made waits for that one, and asks again what it was made of.
    if (this.making) {
      await this.making;
      return this.current();
    }
    await this.make();
    return this.standing();
  }

  /** Refuses what cannot be planned: an operation put where it cannot be. */
  tryPin(pin: Pinned): Promise<void> {
    return this.ask({ kind: 'try pin', pin });
  }

  /** Puts a plan that a solver found in the place of the one that stands, where it is one of the same week and better. */
  async offer(offered: Offered): Promise<WeekView> {
    await this.ask({ kind: 'take plan', offered });
    return this.standing();
  }

  /** Something that the plan is made of has changed. */
  changed(): void {
    this.told?.();
  }

  /** Plans beside the work from now on; answers with how to stop. */
  keepUp(failed: (error: unknown) => void): () => void {
    let timer: NodeJS.Timeout | undefined;
    let pause = PAUSE_MILLISECONDS;
    let isOver = false;
    const keep = async () => {
      const began = performance.now();
      // One server is enough: the others read what it keeps.
      await onlyOne(this.sequelize, 'week', 0, async () => {
        if ((await whatItIsMadeOf(this.now())) !== (await madeOfKept())) await this.make();
      });
      pause = Math.max(PAUSE_MILLISECONDS, PAUSE_EACH * (performance.now() - began));
    };
    this.told = () => {
      timer ??= setTimeout(() => {
        keep()
          .catch((error: unknown) => {
            if (!isOver) failed(error);
          })
          .finally(() => (timer = undefined));
      }, pause);
    };
    this.told();
    return () => {
      isOver = true;
      clearTimeout(timer);
      this.told = undefined;
    };
  }

  async close(): Promise<void> {
    await this.making?.catch(() => undefined);
    await this.planner.close();
  }

  private async ask(what: PlanErrand['what']): Promise<void> {
    await this.planner.ask({ now: this.now(), zone: await this.zone(), what });
  }

  private make(): Promise<void> {
    this.making ??= this.ask({ kind: 'make' }).finally(() => (this.making = undefined));
    return this.making;
  }

  private async standing(): Promise<WeekView> {
    const kept = await keptWeek();
    if (!kept) throw new Error('the plan that was made is not there');
    return kept.view;
  }
}
