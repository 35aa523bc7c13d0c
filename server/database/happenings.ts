import { HAPPENINGS, type Happening, type HappeningView } from '@dusk-wren/contract';
import { jobId as jobIdSchema, type JobState } from '@dusk-wren/core/job';
import { randomUUID } from 'node:crypto';
import { Op, type Sequelize, type Transaction } from 'sequelize';
import { z } from 'zod';
import { CallRow, HappeningRow, HookRow, WorkOrderRow } from './machine-models';
import { transacted } from './transacted';

interface What {
  readonly kind: Happening;
  readonly at: Date;
  readonly jobId: string | null;
  readonly tag: string;
  readonly order?: string | null;
}

/** Notes something that other programs are told of, in the transaction that it happens in. */
export async function happened(
  { kind, at, jobId, tag, order }: What,
  transaction: Transaction,
): Promise<void> {
  const its =
    order === undefined && jobId !== null
      ? await WorkOrderRow.findOne({ where: { jobId }, attributes: ['number'], transaction })
      : undefined;
  await HappeningRow.create(
    { id: randomUUID(), kind, at, jobId, tag, orderNumber: order ?? its?.number ?? null },
    { transaction },
  );
}

/** What new entries of a job mean to other programs. */
export function happeningsOf(
  before: { readonly job: JobState; readonly state: string },
  after: { readonly job: JobState; readonly state: string },
): Happening[] {
  const signatures = ({ job }: { readonly job: JobState }) => job.records['certificate-signed'].length;
  return [
    ...(signatures(after) > signatures(before) ? (['certificate signed'] as const) : []),
    ...(signatures(after) < signatures(before) ? (['certificate struck'] as const) : []),
    ...(after.state === 'condemned' && before.state !== 'condemned' ? (['job condemned'] as const) : []),
  ];
}

const MOST_NUMBERED = 200;

/**
 * Gives numbers to what has none, one server at a time, and to every address that wants it its call: a number is given once
 * what happened is committed, so that nobody who reads on from the last number misses what was committed late.
 */
export async function numberHappenings(sequelize: Sequelize, now: Date): Promise<number> {
  if ((await HappeningRow.findOne({ where: { seq: null }, attributes: ['id'] })) === null) return 0;
  return transacted(sequelize, async (transaction) => {
    await sequelize.query("UPDATE turns SET taken = taken + 1 WHERE what = 'happenings'", { transaction });
    const rows = await HappeningRow.findAll({
      where: { seq: null },
      order: [
        ['at', 'ASC'],
        ['id', 'ASC'],
      ],
      limit: MOST_NUMBERED,
      transaction,
    });
    const last = Number((await HappeningRow.max('seq', { transaction })) ?? 0);
    const hooks = await HookRow.findAll({ where: { isOn: true }, transaction });
    for (const [i, row] of rows.entries()) {
      const seq = last + 1 + i;
      await row.update({ seq }, { transaction });
      const wanting = hooks.filter(({ kinds }) => kindsOf(kinds).some((kind) => kind === row.kind));
      const call = { seq, state: 'waiting', tries: 0, nextAt: now };
      await CallRow.bulkCreate(
        wanting.map(({ id: hookId }) => ({ hookId, ...call })),
        { transaction },
      );
    }
    return rows.length;
  });
}

export const kindsOf = (json: string): Happening[] => z.array(z.enum(HAPPENINGS)).parse(JSON.parse(json));

/** As other programs are told it. */
export const told = (row: HappeningRow): HappeningView => ({
  ...{ seq: Number(row.seq), id: row.id, kind: z.enum(HAPPENINGS).parse(row.kind), tag: row.tag },
  ...{ at: row.at.toISOString(), order: row.orderNumber },
  job: row.jobId === null ? null : jobIdSchema.parse(row.jobId),
});

const DAY = 24 * 60 * 60 * 1000;
/** Whoever reads on comes back sooner. */
const KEPT = 400 * DAY;
/** What an address was told, as its page shows it. */
const CALLS_KEPT = 90 * DAY;

/** Lets go of what was told long ago; what waits to be told stays, and the last number, from which the next is counted. */
export async function pruneTold(now: Date): Promise<void> {
  const ago = (milliseconds: number) => new Date(now.getTime() - milliseconds);
  await CallRow.destroy({
    where: { state: { [Op.ne]: 'waiting' }, nextAt: { [Op.lt]: ago(CALLS_KEPT) } },
  });
  const last = await HappeningRow.max('seq');
  const waiting = await CallRow.min('seq', { where: { state: 'waiting' } });
  const before = Math.min(Number(last ?? 0), Number(waiting ?? Infinity));
  await HappeningRow.destroy({ where: { seq: { [Op.lt]: before }, at: { [Op.lt]: ago(KEPT) } } });
}

/** What happened since, in its order. */
export async function happeningsAfter(after: number, limit: number): Promise<HappeningView[]> {
  const rows = await HappeningRow.findAll({
    where: { seq: { [Op.gt]: after } },
    order: [['seq', 'ASC']],
    limit,
  });
  return rows.map(told);
}
