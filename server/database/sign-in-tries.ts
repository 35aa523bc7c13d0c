import { Op, type Sequelize } from 'sequelize';
import { TriesRow } from './models';
import { transacted } from './transacted';

/** Wrong PINs that are let pass without a wait: thick gloves. */
const FREE = 4;
const FIRST_WAIT_SECONDS = 15;
const LONGEST_WAIT_SECONDS = 60 * 60;
/** A day without a wrong one, and the count starts over. */
const FORGOTTEN_AFTER = 24 * 60 * 60 * 1000;

/** Seconds to wait after so many wrong PINs in a row: twice as long each time, an hour at most. */
export function waitAfter(failures: number): number {
  return failures <= FREE
    ? 0
    : Math.min(LONGEST_WAIT_SECONDS, FIRST_WAIT_SECONDS * 2 ** (failures - FREE - 1));
}

/**
 * Counts a try before it is looked at, so that many at once count as many. Answers with the seconds still to wait when it
 * comes too early: such a try is not counted and not looked at.
 */
export async function beginTry(
  sequelize: Sequelize,
  key: string,
  now: Date,
): Promise<{ wait: number } | { failuresBefore: number }> {
  const none = { key, failures: 0, lastAt: now, nextAt: new Date(0) };
  await TriesRow.bulkCreate([none], { ignoreDuplicates: true });
  return transacted(sequelize, async (transaction) => {
    const row = await TriesRow.findByPk(key, { transaction, lock: transaction.LOCK.UPDATE });
    if (!row) return { failuresBefore: 0 };
    const early = row.nextAt.getTime() - now.getTime();
    if (early > 0) return { wait: Math.ceil(early / 1000) };
    const before = now.getTime() - row.lastAt.getTime() > FORGOTTEN_AFTER ? 0 : row.failures;
    const failures = before + 1;
    const wait = waitAfter(failures);
    // Without a wait nothing is too early, not even a try that came in the same millisecond.
    const nextAt = wait === 0 ? row.nextAt : new Date(now.getTime() + wait * 1000);
    await row.update({ failures, lastAt: now, nextAt }, { transaction });
    return { failuresBefore: before };
  });
}

/** A right PIN: its tries count no more. */
export async function forgetTries(key: string): Promise<void> {
  await TriesRow.destroy({ where: { key } });
}

/** A lead's reset: tries of a person from any device. */
export async function forgetTriesOf(person: string): Promise<void> {
  await TriesRow.destroy({ where: { key: { [Op.like]: `%${person}` } } });
}

/** Rows that mean nothing any more. */
export async function pruneTries(now: Date): Promise<void> {
  await TriesRow.destroy({ where: { lastAt: { [Op.lt]: new Date(now.getTime() - FORGOTTEN_AFTER) } } });
}
