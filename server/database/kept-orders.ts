import { valveOf, type JobId, type JobState } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { orderLines } from '@dusk-wren/core/stock';
import type { Transaction } from 'sequelize';
import type { Change } from './change';
import { OrderLineRow } from './life-models';
import { JobRow } from './models';

/** Lateness is of the day that the list is read on. */
const NO_DAY = '0000-01-01';

/** What a job wants ordered is kept as its log grows, so that the list is read and not worked out. */
export async function followOrders({ jobId, before, after, transaction }: Change): Promise<void> {
  const isOver = after.records['certificate-signed'].length > 0;
  const [was, is] = [linesOf(before), isOver ? [] : linesOf(after)];
  if (JSON.stringify(was) !== JSON.stringify(is)) await write(jobId, after, is, transaction);
}

type Lines = ReturnType<typeof linesOf>;
function linesOf(state: JobState) {
  const planned = plan(state);
  if (!planned.ok || !planned.value) return [];
  return orderLines(planned.value, state, NO_DAY);
}

async function write(
  job: JobId,
  state: JobState,
  lines: Lines,
  transaction: Transaction | null,
): Promise<void> {
  const tag = valveOf(state)?.tag ?? '';
  await OrderLineRow.destroy({ where: { jobId: job }, transaction });
  const rows = lines.map((line) => ({
    ...{ jobId: job, part: line.part, tag, orderBy: line.orderBy ?? null, body: JSON.stringify(line) },
  }));
  await OrderLineRow.bulkCreate(rows, { transaction });
}

/** Works out the lines of a job that an older server wrote last. */
export async function ordersOf(row: JobRow, job: JobId, state: JobState): Promise<void> {
  await write(job, state, linesOf(state), null);
  await JobRow.update({ ordersVersion: row.version }, { where: { id: row.id, version: row.version } });
}
