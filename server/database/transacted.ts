import { DatabaseError, type Sequelize, type Transaction } from 'sequelize';

/** Two transactions met, here or on two nodes of a cluster, and this one lost: nothing of it was kept. */
const LOST_TO_ANOTHER: readonly number[] = [1020, 1213];
const MOST_TIMES = 12;
/** Longer each time, and never the same, so that two who met do not meet again. */
const pause = (time: number) =>
  new Promise<void>((done) => setTimeout(done, Math.random() * Math.min(200, 4 * 2 ** time)));

/** Whether a transaction was given up for another one's sake, and may be done again from its beginning. */
export const isLostToAnother = (error: unknown): boolean =>
  error instanceof DatabaseError &&
  'errno' in error.parent &&
  LOST_TO_ANOTHER.includes(Number(error.parent.errno));

/**
 * Work in a transaction, done again where it lost to another one: a deadlock, or a commit that came first on another node of
 * a cluster. What it does beside the database must bear being done twice. It sends one write at a time: whatever was sent
 * behind a statement that the transaction was given up at is no part of it any more, and is kept.
 */
export async function transacted<T>(
  sequelize: Sequelize,
  work: (transaction: Transaction) => Promise<T>,
): Promise<T> {
  for (let time = 1; ; time += 1) {
    try {
      return await sequelize.transaction(work);
    } catch (error) {
      if (!isLostToAnother(error) || time === MOST_TIMES) throw error;
      await pause(time);
    }
  }
}

/**
 * One change at a time, on every server: names, and leads, are counted before they are changed. Each takes the shop's turn
 * before it reads anything; a row that all of them write is what a cluster's nodes tell each other of.
 */
export const oneAtATime = <T>(
  sequelize: Sequelize,
  work: (transaction: Transaction) => Promise<T>,
): Promise<T> =>
  transacted(sequelize, async (transaction) => {
    await sequelize.query("UPDATE turns SET taken = taken + 1 WHERE what = 'setup'", { transaction });
    return work(transaction);
  });
