import { QueryTypes, type Sequelize } from 'sequelize';

/** Stands in a database for as long as a back-up is being loaded into it. */
const MARK = 'restoring';

export const HALF_RESTORED =
  'a restore into this database was cut off, so that only part of the shop is there: run it again';

export async function isHalfRestored(sequelize: Sequelize): Promise<boolean> {
  return (await tablesOf(sequelize)).includes(MARK);
}

export async function tablesOf(sequelize: Sequelize): Promise<string[]> {
  const rows = await sequelize.query<{ name: string }>(
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()',
    { type: QueryTypes.SELECT },
  );
  return rows.map(({ name }) => name);
}

/** Makes a database ready to be loaded: one that was being loaded is emptied first. */
export async function beginRestore(sequelize: Sequelize): Promise<void> {
  const queries = sequelize.getQueryInterface();
  if (await isHalfRestored(sequelize)) {
    await sequelize.transaction(async (transaction) => {
      await sequelize.query('SET FOREIGN_KEY_CHECKS = 0', { transaction });
      for (const table of await tablesOf(sequelize))
        // The mark goes last: however this is cut off, what is left is known for a half.
        if (table !== MARK) await queries.dropTable(table, { transaction });
      await sequelize.query('SET FOREIGN_KEY_CHECKS = 1', { transaction });
    });
    return;
  }
  await sequelize.query(`CREATE TABLE ${MARK} (since DATETIME NOT NULL DEFAULT CURRENT_TIMESTAMP)`);
}

export async function endRestore(sequelize: Sequelize): Promise<void> {
  await sequelize.getQueryInterface().dropTable(MARK);
}
