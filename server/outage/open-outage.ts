import type { openOutageRequest } from '@dusk-wren/contract/outages';
import type { jobsOpened } from '@dusk-wren/contract';
import { valveId } from '@dusk-wren/core/job';
import { workingDaysBefore } from '@dusk-wren/core/plan';
import type { z } from 'zod';
import { noted } from '../database/noted-change';
import { openSeveral } from '../database/open-several';
import type { Moment } from '../database/setup-changes';
import { WantRow } from '../database/week-models';
import { findOutage } from './outages';

/** Opens jobs for the window: none is begun before it, and its end does not move; spares are done by the day before it. */
export async function openOutage(
  moment: Moment,
  id: string,
  { valves }: z.output<typeof openOutageRequest>,
): Promise<z.output<typeof jobsOpened>> {
  const { name, fromDay, toDay } = await findOutage(id);
  const { sequelize, by, now } = moment;
  const within = { reported: `Outage: ${name}`, due: toDay };
  const before = { reported: `To go in with the outage: ${name}`, due: workingDaysBefore(fromDay, 1) };
  const isBefore = new Set(valves.flatMap(({ valve, when }) => (when === 'before' ? [valve] : [])));
  const opened = await openSeveral(
    sequelize,
    valves,
    (row) => (isBefore.has(valveId.parse(row.id)) ? before : within),
    by,
    now.toISOString(),
  );
  await noted(moment, 'week', async (transaction) => {
    for (const { valve, job } of opened.opened) {
      const notBefore = isBefore.has(valve) ? null : fromDay;
      await WantRow.upsert({ jobId: job, hard: true, weight: 1, notBefore }, { transaction });
    }
    return `outage ${name}: ${opened.opened.length} jobs opened`;
  });
  return opened;
}
