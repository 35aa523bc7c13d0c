import { QueryTypes, type Sequelize } from 'sequelize';

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
    try {
      return { done: await work() };
    } finally {
      await sequelize.query('SELECT RELEASE_LOCK(:lock)', {
        replacements: { lock },
        type: QueryTypes.SELECT,
        transaction,
      });
    }
  });
}
