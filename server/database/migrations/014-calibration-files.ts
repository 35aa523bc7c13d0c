import { DataTypes, type QueryInterface } from 'sequelize';

/** The certificate of a calibration, as its laboratory sent it. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('calibration_files', {
    calibration_id: { type: DataTypes.INTEGER, primaryKey: true },
    name: { type: DataTypes.STRING(120), allowNull: false },
    type: { type: DataTypes.STRING(40), allowNull: false },
    body: { type: DataTypes.BLOB('long'), allowNull: false },
  });
}
