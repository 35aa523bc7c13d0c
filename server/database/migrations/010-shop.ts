import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce } from './once';

/** What the shop itself has decided, and how often a site's rules were changed. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'sites', 'version', 'INT NOT NULL DEFAULT 1');
  await queries.createTable('shop_settings', {
    name: { type: DataTypes.STRING(40), primaryKey: true },
    value: { type: DataTypes.STRING(200), allowNull: false },
  });
}
