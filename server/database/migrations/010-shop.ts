import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

/** Recalls of jobs whose readings are in doubt, what the shop itself has decided, and how often a site's rules were changed. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'sites', 'version', 'INT NOT NULL DEFAULT 1');
  await queries.createTable('recalls', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    instrument_id: { type: DataTypes.UUID, allowNull: false },
    calibration_id: { type: DataTypes.INTEGER, allowNull: false },
    job_id: { type: DataTypes.UUID, allowNull: false },
    why: { type: DataTypes.TEXT('long'), allowNull: false },
    opened_at: { type: DataTypes.DATE(3), allowNull: false },
    opened_by: { type: DataTypes.TEXT, allowNull: false },
    closed_at: { type: DataTypes.DATE(3), allowNull: true },
    closed_by: { type: DataTypes.TEXT, allowNull: true },
    closed_why: { type: DataTypes.STRING(400), allowNull: true },
  });
  await addIndexOnce(queries, 'recalls', ['calibration_id', 'job_id'], 'recalls_once', { unique: true });
  await addIndexOnce(queries, 'recalls', ['job_id'], 'recalls_by_job');
  await queries.createTable('shop_settings', {
    name: { type: DataTypes.STRING(40), primaryKey: true },
    value: { type: DataTypes.STRING(200), allowNull: false },
  });
}
