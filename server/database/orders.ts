import { orderView } from '@dusk-wren/contract/stock';
import { jobId } from '@dusk-wren/core/job';
import { col, literal, Op } from 'sequelize';
import type { z } from 'zod';
import { ordersOf } from './kept-orders';
import { OrderLineRow } from './life-models';
import { JobRow } from './models';
import { shopDay } from './shop-day';
import { stateOf } from './state-of';

/** What open jobs want ordered or wait for, the most pressing first. */
export async function listOrders(now: string): Promise<z.output<typeof orderView>[]> {
  const today = await shopDay(now);
  await catchUp();
  const rows = await OrderLineRow.findAll({
    // A job that an older server closed has its lines still.
    where: { jobId: { [Op.in]: literal("(SELECT id FROM jobs WHERE state = 'open')") } },
    order: [
      [col('order_by'), 'ASC'],
      ['jobId', 'ASC'],
    ],
    raw: true,
  });
  return rows
    .map(({ jobId: job, tag, body }) => {
      const line = orderView.parse({ job, tag, ...(JSON.parse(body) as object) });
      return { ...line, late: isLate(line, today) };
    })
    .sort((a, b) => (a.orderBy ?? '9').localeCompare(b.orderBy ?? '9'));
}

/** The last day to order it has passed, or the day it was to come. */
const isLate = ({ state, expected, orderBy }: z.output<typeof orderView>, today: string): boolean =>
  state !== 'arrived' &&
  (expected === undefined ? orderBy !== undefined && orderBy < today : expected < today);

/** Jobs that were written past the follower: by an older server, or out of a file. */
async function catchUp(): Promise<void> {
  const rows = await JobRow.findAll({
    where: {
      state: 'open',
      ordersVersion: { [Op.or]: [null, { [Op.ne]: col('version') }] },
    },
  });
  for (const row of rows) {
    const job = jobId.parse(row.id);
    await ordersOf(row, job, await stateOf(job, row.version));
  }
}
