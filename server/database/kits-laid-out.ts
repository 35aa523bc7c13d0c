import type { Command } from '@dusk-wren/core/command';
import type { JobState } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { wrongKits } from '@dusk-wren/core/stock';
import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { listKits } from './stock';

/** A kit that is on file for another valve is not laid out for this one. */
export async function kitsAreOfValve(
  command: Command,
  state: JobState,
  transaction: Transaction,
): Promise<void> {
  if (command.kind !== 'match-spares') return;
  const valve = must(plan(state))?.valve;
  const wrong = valve ? wrongKits(await listKits(transaction), valve, command.body.laid) : [];
  if (wrong.length > 0)
    throw new Refusal({ code: 'input.conflict', fields: ['laid'], why: wrong.join('; ') });
}
