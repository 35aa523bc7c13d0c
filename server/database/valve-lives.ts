import { jobId, openingOf, valveOf, type Carried, type JobId, type JobState } from '@dusk-wren/core/job';
import { carriedFrom, livedOf, livedSchema, partLives, type LivedJob } from '@dusk-wren/core/life';
import { daysBetween } from '@dusk-wren/core/quantity';
import { valveSchema } from '@dusk-wren/core/valve';
import { Op, type Transaction } from 'sequelize';
import type { Change } from './change';
import { costOf } from './drawn-parts';
import { duesNow } from './due-days';
import { JobLifeRow, PartLifeRow } from './life-models';
import { JobRow, ValveRow } from './models';
import { stateOf } from './state-of';
import { transacted } from './transacted';

/** A repair that came back: another job this soon after. */
const CAME_BACK_DAYS = 90;

/** The signed jobs of a valve, the oldest first; those that an older server signed are read once, and kept. */
export async function livesOf(valve: string, transaction: Transaction | null = null): Promise<LivedJob[]> {
  const rows = await rowsOf(valve, transaction);
  const kept = new Set(rows.map(({ jobId: job }) => job));
  const signed = await JobRow.findAll({
    where: { valveId: valve, state: { [Op.ne]: 'open' } },
    attributes: ['id', 'version'],
    transaction,
  });
  const missing = signed.filter(({ id }) => !kept.has(id));
  if (missing.length === 0) return rows.map(livedJob);
  if (transaction) await sumUp(valve, missing, transaction);
  else if (JobLifeRow.sequelize) await transacted(JobLifeRow.sequelize, (own) => sumUp(valve, missing, own));
  return (await rowsOf(valve, transaction)).map(livedJob);
}

/** Keeps what these jobs say, and what follows from it for their valve; two who look at once do it one after the other. */
async function sumUp(
  valve: string,
  missing: readonly Pick<JobRow, 'id' | 'version'>[],
  transaction: Transaction,
): Promise<void> {
  await ValveRow.findByPk(valve, { transaction, lock: transaction.LOCK.UPDATE, attributes: ['id'] });
  for (const { id, version } of missing) {
    const job = jobId.parse(id);
    await keepLife(valve, job, await stateOf(job, version, transaction), transaction);
  }
  await settleValve(valve, transaction);
}

const rowsOf = (valve: string, transaction: Transaction | null) =>
  JobLifeRow.findAll({
    where: { valveId: valve },
    order: [
      ['signed', 'ASC'],
      ['jobId', 'ASC'],
    ],
    transaction,
  });

/** Lives read lately, the least lately first: what a signed job says never changes. */
const read = new Map<string, LivedJob>();
const MOST_READ = 500;

function livedJob({ jobId: job, body }: JobLifeRow): LivedJob {
  const own = read.get(job) ?? { job: jobId.parse(job), lived: livedSchema.parse(JSON.parse(body)) };
  read.delete(job);
  read.set(job, own);
  const first = read.size > MOST_READ ? read.keys().next().value : undefined;
  if (first !== undefined) read.delete(first);
  return own;
}

/** What a valve brings into its next job; undefined where it was never here. */
export async function carriedOf(
  valve: string,
  transaction: Transaction | null = null,
): Promise<Carried | undefined> {
  const lives = await livesOf(valve, transaction);
  return lives.length === 0 ? undefined : carriedFrom(lives);
}

/** A signed job is a line in the life of its valve, which says from then on when it is due. */
export async function followLife({ jobId: job, after, entries, transaction }: Change): Promise<void> {
  if (!entries.some(({ kind }) => kind === 'certificate-signed')) return;
  await lifeKept(job, after, transaction);
}

/** Keeps what a signed job says; an open one, and one of a unit alone, says nothing of its valve. */
export async function lifeKept(job: JobId, state: JobState, transaction: Transaction): Promise<void> {
  if (state.records['certificate-signed'].length === 0) return;
  const row = await JobRow.findByPk(job, { transaction, attributes: ['valveId'] });
  if (!row) return;
  await keepLife(row.valveId, job, state, transaction);
  await settleValve(row.valveId, transaction);
}

async function keepLife(valve: string, job: JobId, state: JobState, transaction: Transaction): Promise<void> {
  const [lived, of, opening] = [livedOf(state), valveOf(state), openingOf(state)];
  if (!lived || !of || opening?.body.only !== undefined) return;
  const before = await JobLifeRow.findOne({
    where: { valveId: valve, signed: { [Op.lte]: lived.opened }, jobId: { [Op.ne]: job } },
    order: [['signed', 'DESC']],
    attributes: ['signed'],
    transaction,
  });
  await JobLifeRow.upsert(
    {
      ...{ jobId: job, valveId: valve, customer: of.customer, construction: of.construction },
      ...{ signed: lived.signed, minutes: Math.round(lived.minutes), body: JSON.stringify(lived) },
      parts: (await costOf(job, transaction)).toFixed(2),
      found: lived.asFound?.found ?? null,
      cause: lived.placed?.cause ?? null,
      cameBack: before !== null && daysBetween(before.signed, lived.opened) <= CAME_BACK_DAYS,
    },
    { transaction },
  );
}

/** Works out anew when a valve is due and how old its parts became. */
export async function settleValve(valve: string, transaction: Transaction): Promise<void> {
  const [row, rows] = await Promise.all([
    ValveRow.findByPk(valve, { transaction, lock: transaction.LOCK.UPDATE }),
    rowsOf(valve, transaction),
  ]);
  if (!row) return;
  const lives = rows.map(livedJob);
  const dues = await duesNow(row, lives, transaction);
  await row.update(
    { dueOn: dues[0]?.at ?? null, due: dues.length === 0 ? null : JSON.stringify(dues) },
    { transaction },
  );
  const of = valveSchema.parse(JSON.parse(row.body));
  await PartLifeRow.destroy({ where: { valveId: valve }, transaction });
  await PartLifeRow.bulkCreate(
    partLives(lives).map(({ part, fittedBy, fittedOn, endedOn, fate, afterUnknown }) => ({
      ...{ jobId: fittedBy, part, valveId: valve, construction: of.construction, fate, afterUnknown },
      ...{ service: of.medium?.name ?? '', fittedOn, endedOn: endedOn ?? null },
    })),
    { transaction },
  );
}

/** The same of the valve that a job is on. */
export async function settleValveOf(job: string, transaction: Transaction): Promise<void> {
  const row = await JobRow.findByPk(job, { transaction, attributes: ['valveId'] });
  if (row) await settleValve(row.valveId, transaction);
}
