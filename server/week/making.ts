import type { betterPlanRequest, WeekView } from '@dusk-wren/contract/week';
import type { Sequelize } from 'sequelize';
import type { z } from 'zod';
import { Refusal } from '../refusal';
import { draftOf, type Draft, type Pinned } from './draft';
import { keepWeek, keptWeek, whatItIsMadeOf } from './kept';
import { solved, weighed, type PlanAnswer } from './solved';
import { standingPlan, viewOf } from './view';

/** Where and when a week is planned. */
export interface Moment {
  readonly sequelize: Sequelize;
  readonly now: Date;
  /** By whose clocks the shop goes. */
  readonly zone: string;
}

export type Offered = z.output<typeof betterPlanRequest>;

/** Plans the week as it is now, and keeps it. */
export async function makeWeek({ sequelize, now, zone }: Moment): Promise<void> {
  const madeOf = await whatItIsMadeOf(now);
  const before = (await keptWeek())?.view;
  const draft = await draftOf(now, zone);
  // What was pinned and is no more goes where it would have gone, and its job with it.
  const pinned = new Set(draft.pins.map(({ job, id }) => `${job} ${id}`));
  const freed = new Set(
    (before?.pins ?? []).flatMap(({ job, id }) => (pinned.has(`${job} ${id}`) ? [] : [job])),
  );
  const stood = standingPlan(before, draft.from).filter(({ job }) => !freed.has(String(job)));
  await keepWeek(sequelize, madeOf, viewOf({ draft, ...planned(draft, stood), before }));
}

/** With every pin that can be kept, the oldest first. */
function planned(draft: Draft, stood: ReturnType<typeof standingPlan>) {
  let pins = draft.pins;
  const said: string[] = [];
  for (;;) {
    const answer: PlanAnswer = solved(draft.weekWith(pins), stood);
    const newest = pins.at(-1);
    if (answer.kind === 'planned' || !newest) return { answer, pins, said };
    pins = pins.slice(0, -1);
    const tag = draft.jobs.find(({ view }) => view.id === newest.job)?.view.tag ?? '';
    said.push(`${tag}, ${newest.id}: not where ${newest.by} put it, for that cannot be any more.`);
  }
}

/** Refuses what cannot be planned: an operation put where it cannot be. */
export async function tryPin({ now, zone }: Moment, pin: Pinned): Promise<void> {
  const draft = await draftOf(now, zone);
  const open = draft.jobs.find(({ view }) => view.id === pin.job);
  if (!open?.operations.some(({ id, done }) => id === pin.id && !done))
    throw new Refusal({ code: 'not-found', what: 'work of that job that is still to be done' });
  const others = draft.pins.filter(({ job, id }) => job !== pin.job || id !== pin.id);
  const tried = solved(draft.weekWith([...others, pin]), []);
  if (tried.kind === 'none') throw new Refusal({ code: 'week.impossible', why: tried.why.why });
}

/** Puts a plan that a solver found in the place of the one that stands, where it is one of the same week and better. */
export async function takePlan({ sequelize, now }: Moment, { from, plan, bound }: Offered): Promise<void> {
  const madeOf = await whatItIsMadeOf(now);
  const kept = await keptWeek();
  if (kept?.madeOf !== madeOf || kept.view.from !== from) throw new Refusal({ code: 'week.changed' });
  const { view } = kept;
  const answer = weighed(view.week, view.plan, plan);
  if (answer.kind === 'none') throw new Refusal({ code: 'week.no-better' });
  const { objective } = answer.quality;
  // What its solver has proved holds for the plan that it found.
  const proved = Math.min(objective, Math.max(bound, answer.quality.bound));
  const better: WeekView = {
    ...view,
    ...{ plan: [...plan], objective, bound: proved },
    gap: objective === 0 ? 0 : (objective - proved) / objective,
  };
  await keepWeek(sequelize, madeOf, better);
}
