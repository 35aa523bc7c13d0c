import type { PersonStamp } from '@dusk-wren/core/job';
import { workingDaysFrom } from '@dusk-wren/core/plan';
import type { Sequelize } from 'sequelize';
import { makeToken } from '../database/machine-tokens';
import { handIn } from '../database/work-orders';
import { SUGAR } from './scenario';

const HOUR = 60 * 60 * 1000;

/** What the refinery's own program asks for: one valve that the shop knows, and one that it has never seen. */
const ASKED = [
  { number: 'R-30218', tag: 'FV-61', reported: 'hunts at low flow', inDays: 12, hoursAgo: 20 },
  { number: 'R-30224', tag: 'HV-2251', reported: 'passes when shut', inDays: 8, hoursAgo: 3 },
] as const;

/** A token of another program, and the work orders that it has handed in: they wait where valves are received. */
export async function seedOrders(sequelize: Sequelize, lead: PersonStamp, now: number): Promise<void> {
  const made = { sequelize, by: lead, now: new Date(now - 30 * 24 * HOUR) };
  const { token } = await makeToken(made, {
    name: 'Works planning',
    scopes: ['orders', 'events'],
    days: 365,
  });
  for (const { number, tag, reported, inDays, hoursAgo } of ASKED) {
    const due = workingDaysFrom(new Date(now).toISOString(), inDays);
    const asked = { tag, reported, due, customer: SUGAR, scope: 'overhaul' as const };
    await handIn(sequelize, token, number, asked, new Date(now - hoursAgo * HOUR));
  }
}
