import type { HoursOfPerson, Learned } from '@dusk-wren/contract/week';
import { dayIn } from '@dusk-wren/core/quantity';
import {
  factorFor,
  gapsOf,
  weekOfShop,
  type Gaps,
  type OperationKind,
  type Placing,
  type OpenDay,
  type Week,
} from '@dusk-wren/core/schedule';
import { listHours } from '../database/setup-hours';
import { listPlaces } from '../database/setup-places';
import { OutageRow, PinRow } from '../database/week-models';
import { Op } from 'sequelize';
import { timesLately } from '../database/work-times';
import { wantingByPerson } from '../drill/work-rules';
import { openJobs, type OpenJob } from './open-jobs';
import { dayAfter, daysOf, plannedShop } from './shop';

const MINUTE = 60_000;
/** Days that a plan looks ahead at the least, and past the last day that anything waits for. */
const LEAST_DAYS = 60;
const DAYS_AFTER = 30;
const MOST_DAYS = 400;

/** An operation that a lead has put somewhere. */
export interface Pinned {
  readonly job: string;
  readonly id: string;
  readonly start?: Date;
  readonly person?: string;
  readonly by: string;
}

/** All that a plan is made from, as it stood at one moment. */
export interface Draft {
  /** A whole minute: all others count from it. */
  readonly from: Date;
  readonly zone: string;
  readonly days: readonly OpenDay[];
  readonly people: readonly Pick<HoursOfPerson, 'id' | 'name'>[];
  readonly jobs: readonly OpenJob[];
  /** How long work took lately, by construction and kind. */
  readonly learned: Learned;
  /** Oldest first; only those of work that is still to be done. */
  readonly pins: readonly Pinned[];
  readonly gaps: Gaps;
  /** With these pins, and no others. */
  readonly weekWith: (pins: readonly Pinned[]) => Week;
}

export async function draftOf(now: Date, zone: string): Promise<Draft> {
  const from = new Date(Math.floor(now.getTime() / MINUTE) * MINUTE);
  const today = dayIn(from.toISOString(), zone);
  const [hours, places, jobs, pinRows, outages, wanting] = await Promise.all([
    listHours(today),
    listPlaces(),
    openJobs(),
    PinRow.findAll({ order: [['at', 'ASC']] }),
    lastDaysOfOutages(today),
    wantingByPerson(now),
  ]);
  const shop = plannedShop(hours, places, wanting);
  const days = daysOf(from, zone, daysFor(today, [...daysWanted(jobs), ...outages]));
  const learned = await learnedOf(jobs);
  const asked = jobs.map(({ view: { id, due, hard, weight, notBefore, construction }, operations }) => ({
    ...{ id, hard, weight, operations },
    ...(due === null ? {} : { due }),
    ...(notBefore === null ? {} : { release: notBefore }),
    factor: (kind: OperationKind) => factorFor(learned, construction, kind),
  }));
  const plain = weekOfShop(shop, asked, days);
  const left = new Set(
    jobs.flatMap(({ view, operations }) =>
      operations.filter(({ done }) => !done).map(({ id }) => `${view.id} ${id}`),
    ),
  );
  const there = new Set(hours.people.map(({ id }) => String(id)));
  return {
    ...{ from, zone, days, jobs, learned },
    people: hours.people.map(({ id, name }) => ({ id, name })),
    pins: pinRows.flatMap((row) =>
      left.has(`${row.jobId} ${row.operation}`) ? [pinOf(row, from, there)] : [],
    ),
    gaps: gapsOf(shop, asked),
    weekWith: (pins) => withPins(plain, pins, from),
  };
}

/** What was learned on valves of the constructions that are open. */
async function learnedOf(jobs: readonly OpenJob[]): Promise<Learned> {
  const constructions = new Set(jobs.map(({ view }) => view.construction));
  const lately = await Promise.all(
    [...constructions].map(async (each) => [each, await timesLately(each)] as const),
  );
  return Object.fromEntries(lately);
}

const pinOf = (
  { jobId, operation, start, personId, pinnedBy }: PinRow,
  from: Date,
  there: ReadonlySet<string>,
): Pinned => ({
  ...{ job: jobId, id: operation, by: pinnedBy },
  // What should have begun by now is late, and no longer to be begun then.
  ...(start && start >= from ? { start } : {}),
  ...(personId !== null && there.has(personId) ? { person: personId } : {}),
});

function withPins(week: Week, pins: readonly Pinned[], from: Date): Week {
  const given = new Set(
    pins.flatMap(({ job, id, person }) => (person === undefined ? [] : [`${job} ${id}`])),
  );
  return {
    ...week,
    // A lead may hand on what somebody has begun.
    jobs: week.jobs.map((job) => ({
      ...job,
      operations: job.operations.map((operation) => {
        if (operation.person === undefined || !given.has(`${job.id} ${operation.id}`)) return operation;
        const { person: _, ...rest } = operation;
        return rest;
      }),
    })),
    pinned: pins.map(({ job, id, start, person }) => ({
      ...{ job, id },
      ...(start === undefined ? {} : { start: minutesBetween(from, start) }),
      ...(person === undefined ? {} : { person }),
    })),
  };
}

/** Days that jobs wait for. */
const daysWanted = (jobs: readonly OpenJob[]): string[] =>
  jobs.flatMap(({ view, operations }) => [
    ...operations.flatMap(({ until }) => until ?? []),
    ...(view.notBefore === null ? [] : [view.notBefore]),
  ]);

async function lastDaysOfOutages(today: string): Promise<string[]> {
  const rows = await OutageRow.findAll({ where: { toDay: { [Op.gte]: today } }, attributes: ['toDay'] });
  return rows.map(({ toDay }) => toDay);
}

function daysFor(today: string, wanted: readonly string[]): number {
  const last = wanted.reduce((a, b) => (a > b ? a : b), today);
  let days = LEAST_DAYS;
  while (days < MOST_DAYS && dayAfter(today, days - DAYS_AFTER) < last) days += DAYS_AFTER;
  return days;
}

export const minutesBetween = (from: Date, to: Date): number =>
  Math.round((to.getTime() - from.getTime()) / MINUTE);

/** The same plan, counted from another moment. */
export const shifted = (plan: readonly Placing[], from: Date, to: Date): Placing[] => {
  const by = minutesBetween(to, from);
  return plan.map((each) => ({ ...each, start: each.start + by, end: each.end + by }));
};

export const momentAt = (from: Date, minute: number): Date => new Date(from.getTime() + minute * MINUTE);
