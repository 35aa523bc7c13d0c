import { DataTypes, type QueryInterface } from 'sequelize';

/** A row that whatever is done one at a time writes first. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('turns', {
    what: { type: DataTypes.STRING(40), primaryKey: true },
    taken: { type: DataTypes.BIGINT.UNSIGNED, allowNull: false, defaultValue: 0 },
  });
  await queries.sequelize.query("INSERT IGNORE INTO turns (what, taken) VALUES ('setup', 0)");
}
