import { DataTypes, type QueryInterface } from 'sequelize';

/** Where work is done: benches, vices, the lathe, the wash, rigs, with how many there are and when they are open. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('work_places', {
    id: { type: DataTypes.UUID, primaryKey: true },
    name: { type: DataTypes.STRING(80), allowNull: false },
    kind: { type: DataTypes.STRING(20), allowNull: false },
    count: { type: DataTypes.INTEGER, allowNull: false },
    days: { type: DataTypes.STRING(40), allowNull: false },
    opens: { type: DataTypes.STRING(5), allowNull: false },
    closes: { type: DataTypes.STRING(5), allowNull: false },
    retired_at: { type: DataTypes.DATE(3), allowNull: true },
  });
}
