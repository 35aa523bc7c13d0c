import type { betterPlanRequest, WeekView } from '@dusk-wren/contract/week';
import type { Sequelize } from 'sequelize';
import type { z } from 'zod';
import { onlyOne } from '../database/lock';
import { Refusal } from '../refusal';
import { draftOf, type Draft, type Pinned } from './draft';
import { keepWeek, keptWeek, whatItIsMadeOf } from './kept';
import { Planner, type PlanAnswer } from './planner';
import { standingPlan, viewOf } from './view';

type Offered = z.output<typeof betterPlanRequest>;

/** Between two plans that nobody asked for, so that work is not slowed by its own plan: at least, and for each millisecond of the last. */
const PAUSE_MILLISECONDS = 2000;
const PAUSE_EACH = 5;

/**
 * The plan of the shop's week: made again where something that it was made of has changed. Whoever asks gets the plan of
 * now; while the server runs it is kept up beside the work (`keepUp`), for lists that read it and nobody waits for.
 */
export class WeekKeeper {
  private readonly planner = new Planner();
  private making: Promise<WeekView> | undefined;
  private told: (() => void) | undefined;

  constructor(
    private readonly sequelize: Sequelize,
    /** By whose clocks the shop goes. */
    private readonly zone: () => Promise<string>,
    private readonly now: () => Date,
  ) {}

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
    this.making = this.make(madeOf, kept?.view);
    try {
      return await this.making;
    } finally {
      this.making = undefined;
    }
  }

  /** Refuses what cannot be planned: an operation put where it cannot be. */
  async tryPin(pin: Pinned): Promise<void> {
    const draft = await draftOf(this.now(), await this.zone());
    const open = draft.jobs.find(({ view }) => view.id === pin.job);
    if (!open?.operations.some(({ id, done }) => id === pin.id && !done))
      throw new Refusal({ code: 'not-found', what: 'work of that job that is still to be done' });
    const others = draft.pins.filter(({ job, id }) => job !== pin.job || id !== pin.id);
    const tried = await this.planner.plan({ week: draft.weekWith([...others, pin]), stood: [] });
    if (tried.kind === 'none') throw new Refusal({ code: 'week.impossible', why: tried.why.why });
  }

  /** Puts a plan that a solver found in the place of the one that stands, where it is one of the same week and better. */
  async offer({ from, plan, bound }: Offered): Promise<WeekView> {
    const madeOf = await whatItIsMadeOf(this.now());
    const kept = await keptWeek();
    if (kept?.madeOf !== madeOf || kept.view.from !== from) throw new Refusal({ code: 'week.changed' });
    const { view } = kept;
    const answer = await this.planner.plan({ week: view.week, stood: view.plan, offered: plan });
    if (answer.kind === 'none') throw new Refusal({ code: 'week.no-better' });
    const { objective } = answer.quality;
    // What its solver has proved holds for the plan that it found.
    const proved = Math.min(objective, Math.max(bound, answer.quality.bound));
    const better = {
      ...view,
      ...{ plan: [...plan], objective, bound: proved },
      gap: objective === 0 ? 0 : (objective - proved) / objective,
    };
    await keepWeek(this.sequelize, madeOf, better);
    return better;
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
      await onlyOne(this.sequelize, 'week', 0, () => this.current());
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

  private async make(madeOf: string, before: WeekView | undefined): Promise<WeekView> {
    const draft = await draftOf(this.now(), await this.zone());
    // What was pinned and is no more goes where it would have gone, and its job with it.
    const pinned = new Set(draft.pins.map(({ job, id }) => `${job} ${id}`));
    const freed = new Set(
      (before?.pins ?? []).flatMap(({ job, id }) => (pinned.has(`${job} ${id}`) ? [] : [job])),
    );
    const stood = standingPlan(before, draft.from).filter(({ job }) => !freed.has(String(job)));
    const { answer, pins, said } = await this.planned(draft, stood);
    const view = viewOf({ draft, pins, said, answer, before });
    await keepWeek(this.sequelize, madeOf, view);
    return view;
  }

  /** With every pin that can be kept, the oldest first. */
  private async planned(draft: Draft, stood: ReturnType<typeof standingPlan>) {
    let pins = draft.pins;
    const said: string[] = [];
    for (;;) {
      const answer: PlanAnswer = await this.planner.plan({ week: draft.weekWith(pins), stood });
      const newest = pins.at(-1);
      if (answer.kind === 'planned' || !newest) return { answer, pins, said };
      pins = pins.slice(0, -1);
      const tag = draft.jobs.find(({ view }) => view.id === newest.job)?.view.tag ?? '';
      said.push(`${tag}, ${newest.id}: not where ${newest.by} put it, for that cannot be any more.`);
    }
  }
}
