import { orderView } from '@dusk-wren/contract/stock';
import { jobId } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { orderLines } from '@dusk-wren/core/stock';
import type { z } from 'zod';
import { JobRow } from './models';
import { shopDay } from './shop-day';
import { stateOf } from './state-of';

/** Open jobs looked through for orders: those wanted soonest. */
const MOST_JOBS = 200;

/** What open jobs want ordered or wait for, the most pressing first. */
export async function listOrders(now: string): Promise<z.output<typeof orderView>[]> {
  const today = await shopDay(now);
  const rows = await JobRow.findAll({
    where: { state: 'open' },
    order: [
      ['dueKey', 'ASC'],
      ['id', 'ASC'],
    ],
    limit: MOST_JOBS,
  });
  const lines = await Promise.all(
    rows.map(async (row) => {
      const id = jobId.parse(row.id);
      const state = await stateOf(id, row.version);
      const current = must(plan(state));
      return current
        ? orderLines(current, state, today).map((line) => orderView.parse({ job: id, tag: row.tag, ...line }))
        : [];
    }),
  );
  return lines.flat().sort((a, b) => (a.orderBy ?? '9').localeCompare(b.orderBy ?? '9'));
}
