import type { openOutageRequest } from '@dusk-wren/contract/outages';
import type { openDueDone } from '@dusk-wren/contract';
import type { z } from 'zod';
import { noted } from '../database/noted-change';
import { openSeveral } from '../database/open-several';
import type { Moment } from '../database/setup-changes';
import { WantRow } from '../database/week-models';
import { findOutage } from './outages';

/** Opens jobs for the window: none is begun before it, and its end does not move. */
export async function openOutage(
  moment: Moment,
  id: string,
  { valves }: z.output<typeof openOutageRequest>,
): Promise<z.output<typeof openDueDone>> {
  const { name, fromDay, toDay } = await findOutage(id);
  const { sequelize, by, now } = moment;
  const why = { reported: `Outage: ${name}`, due: toDay };
  const done = await openSeveral(sequelize, valves, () => why, by, now.toISOString());
  await noted(moment, 'week', async (transaction) => {
    for (const { job } of done.opened)
      await WantRow.upsert({ jobId: job, hard: true, weight: 1, notBefore: fromDay }, { transaction });
    return `outage ${name}: ${done.opened.length} jobs opened`;
  });
  return done;
}
