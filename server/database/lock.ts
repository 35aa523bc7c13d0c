import { QueryTypes, type Sequelize } from 'sequelize';

const BEAT = 500;

/**
 * Does work that only one server of the shop may do at a time: `undefined` where another one holds the lock for longer than
 * `patience` seconds. A holder that dies lets go of it.
 */
export async function onlyOne<T>(
  sequelize: Sequelize,
  what: string,
  patience: number,
  work: () => Promise<T>,
): Promise<{ readonly done: T } | undefined> {
  return sequelize.transaction(async (transaction) => {
    const lock = `${sequelize.getDatabaseName()} ${what}`;
    const [row] = await sequelize.query<{ got: number | bigint | null }>(
      'SELECT GET_LOCK(:lock, :patience) AS got',
      { replacements: { lock, patience }, type: QueryTypes.SELECT, transaction },
    );
    if (Number(row?.got ?? 0) !== 1) return undefined;
    // A connection that says nothing is taken for dead: it says something while the work goes on elsewhere.
    const beat = setInterval(() => {
      void sequelize.query('SELECT 1', { transaction }).catch(() => undefined);
    }, BEAT);
    try {
      return { done: await work() };
    } finally {
      clearInterval(beat);
      await sequelize.query('SELECT RELEASE_LOCK(:lock)', {
        replacements: { lock },
        type: QueryTypes.SELECT,
        transaction,
      });
    }
  });
}
