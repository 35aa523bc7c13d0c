import { jobLine, jobSummaryView, type JobLine } from '@dusk-wren/contract';
import { plannedJobView, type PlannedJobView } from '@dusk-wren/contract/planned';
import { readyBy } from '@dusk-wren/core/plan';
import { dayIn } from '@dusk-wren/core/quantity';
import { Op, UniqueConstraintError, type Sequelize, type Transaction } from 'sequelize';
import {
  jobId as jobIdSchema,
  type CommandId,
  type JobId,
  type PersonStamp,
  type Place,
  type Scope,
  type ValveId,
} from '@dusk-wren/core/job';
import { CONSTRUCTIONS, sizeWords, valveSchema, type ShelfUnitKind, type Valve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { Refusal } from '../refusal';
import { commitOpening } from './commit';
import { happened } from './happenings';
import { jobsWithWords } from './jobs-by-words';
import { loadLog } from './job-log';
import { JobRow, ReceiptRow, ValveRow } from './models';
import { shopDay, shopZone } from './shop-day';
import { beside, SOONEST_FIRST } from './soonest-first';
import { waitingFor } from './waiting-for';
import { decodeCursor, pageOf } from './paging';
import { carriedOf } from './valve-lives';
import { transacted } from './transacted';
import { PlannedJobRow } from './week-models';
import { fileValve, holdValve, rulesOf } from './valves';
import { takeOrder } from './work-orders';

interface ListQuery {
  state: 'open' | 'released' | 'condemned' | 'all';
  person?: string;
  /** Only what waits for this person. */
  waitsFor?: PersonStamp;
  q?: string;
  cursor?: string;
  limit: number;
}

/** A page of jobs, soonest due first, by keyset on indexed columns. */
export async function listJobs(
  sequelize: Sequelize,
  query: ListQuery,
  now: string,
): Promise<{ jobs: JobLine[]; next: string | null }> {
  const after = query.cursor === undefined ? undefined : decodeCursor(query.cursor);
  const where = {
    [Op.and]: [
      query.state === 'all' ? {} : { state: query.state },
      query.person === undefined ? {} : { personId: query.person },
      query.waitsFor === undefined ? {} : waitingFor(query.waitsFor, await shopDay(now)),
      after ? beside('after', { dueKey: after.key, id: after.id }) : {},
    ],
  };
  const limit = query.limit + 1;
  const rows = query.q
    ? await jobsWithWords(sequelize, query.q, where, limit)
    : await JobRow.findAll({ where, order: SOONEST_FIRST, limit });
  const { page, next } = pageOf(rows, query.limit, ({ dueKey, id }) => [dueKey, id]);
  const valves = await ValveRow.findAll({ where: { id: page.map(({ valveId }) => valveId) } });
  const byId = new Map(valves.map((row) => [row.id, valveSchema.parse(JSON.parse(row.body))]));
  const planned = await plannedFor(page);
  return {
    jobs: page.map((row) => lineOf(row, byId.get(row.valveId), planned.get(row.id), now)),
    next,
  };
}

interface Planned extends PlannedJobView {
  /** The day on which it is ready, by the shop's clocks. */
  readonly readyOn: string | undefined;
}

/** What the plan of the week says of those that are open, by their ids. */
async function plannedFor(rows: readonly JobRow[]): Promise<ReadonlyMap<string, Planned>> {
  const open = rows.filter(({ state }) => state === 'open').map(({ id }) => id);
  const [planned, zone] = await Promise.all([PlannedJobRow.findAll({ where: { jobId: open } }), shopZone()]);
  return new Map(
    planned.map(({ jobId, body }) => {
      const said = plannedJobView.parse(JSON.parse(body));
      return [jobId, { ...said, readyOn: said.readyAt === null ? undefined : dayIn(said.readyAt, zone) }];
    }),
  );
}

function lineOf(row: JobRow, valve: Valve | undefined, planned: Planned | undefined, now: string): JobLine {
  const summary = jobSummaryView.parse(JSON.parse(row.summary));
  return jobLine.parse({
    id: row.id,
    valveId: row.valveId,
    tag: row.tag,
    serial: row.serial,
    customer: valve?.customer ?? '',
    location: valve?.location ?? row.location,
    construction: valve ? CONSTRUCTIONS[valve.construction].name : '',
    size: valve ? sizeWords(valve) : '',
    due: row.due,
    // What came since the last plan was made is added up until the next one.
    readyBy: summary.state === 'open' ? (planned?.readyOn ?? readyBy(summary, now)) : null,
    next: planned?.next ?? null,
    openedAt: row.openedAt.toISOString(),
    summary,
  });
}

export async function findJob(id: string): Promise<JobRow> {
  const row = await JobRow.findByPk(id);
  if (!row) throw new Refusal({ code: 'not-found', what: 'job' });
  return row;
}

interface Opening {
  commandId: CommandId;
  valve: { id: ValveId } | { new: Valve };
  place: Place;
  scope?: Scope;
  reported: string;
  due?: string;
  only?: ShelfUnitKind;
  /** The work order that it is opened for. */
  order?: string;
}

/** Opens a job on a valve on file or a new one; the same command id opens it once. */
export async function openJobOn(
  sequelize: Sequelize,
  opening: Opening,
  person: PersonStamp,
  now: string,
): Promise<JobId> {
  const jobId = jobIdSchema.parse(randomUUID());
  try {
    return await transacted(sequelize, async (transaction) => {
      const receipt = await ReceiptRow.findByPk(opening.commandId, { transaction });
      if (receipt) return await openedBy(receipt, person, transaction);
      const filed =
        'id' in opening.valve
          ? await holdValve(opening.valve.id, transaction)
          : await fileValve(opening.valve.new, transaction);
      if (!filed) throw new Refusal({ code: 'not-found', what: 'valve' });
      if (filed.standing === 'scrapped') throw new Refusal({ code: 'valve.scrapped', tag: filed.valve.tag });
      const carried = opening.only === undefined ? await carriedOf(filed.id, transaction) : undefined;
      const body = {
        valve: filed.valve,
        site: await rulesOf(filed.valve.customer, transaction),
        place: opening.place,
        reported: opening.reported,
        ...(opening.scope === undefined ? {} : { scope: opening.scope }),
        ...(opening.due === undefined ? {} : { due: opening.due }),
        ...(opening.only === undefined ? {} : { only: opening.only }),
        ...(carried === undefined ? {} : { carried }),
      };
      await commitOpening(
        { jobId, valveId: filed.id, commandId: opening.commandId, body, person, now },
        transaction,
      );
      const at = new Date(now);
      const order = opening.order ?? null;
      if (order !== null) await takeOrder(order, jobId, at, transaction);
      await happened({ kind: 'job opened', at, jobId, tag: filed.valve.tag, order }, transaction);
      return jobId;
    });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    const receipt = await ReceiptRow.findByPk(opening.commandId);
    if (receipt) return openedBy(receipt, person);
    throw new Refusal({
      code: 'valve.job-open',
      tag: 'new' in opening.valve ? opening.valve.new.tag : 'This valve',
    });
  }
}

/** The job that a command opened, asked again by the same person; an id that was used for anything else opens nothing. */
async function openedBy(
  { jobId, firstSeq }: ReceiptRow,
  person: PersonStamp,
  transaction: Transaction | null = null,
): Promise<JobId> {
  const [opened] = firstSeq === 1 ? await loadLog(jobId, 0, transaction) : [];
  if (opened?.by.id !== person.id) throw new Refusal({ code: 'command.other-answer' });
  return jobIdSchema.parse(jobId);
}
