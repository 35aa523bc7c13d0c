import type { SetupChange } from '@dusk-wren/contract';
import type { Transaction } from 'sequelize';
import { noteChange, type Moment } from './setup-changes';
import { oneAtATime } from './transacted';

/** As many letters as a line of the changes has. */
const MOST_LETTERS = 200;

/** A change in a transaction of its own, with its line under Changes in the words that it answers with. */
export const noted = (
  { sequelize, by, now }: Moment,
  subject: SetupChange['subject'],
  change: (transaction: Transaction) => Promise<string>,
): Promise<void> =>
  oneAtATime(sequelize, async (transaction) => {
    const what = (await change(transaction)).slice(0, MOST_LETTERS);
    await noteChange({ by, at: now, subject, what }, transaction);
  });
