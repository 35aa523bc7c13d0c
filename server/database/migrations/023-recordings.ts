import { DataTypes, type QueryInterface } from 'sequelize';
import { addIndexOnce } from './once';

/** Recordings that a rig left as files, and the job that each is of. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('recordings', {
    id: { type: DataTypes.UUID, allowNull: false, primaryKey: true },
    sum: { type: DataTypes.STRING(64), allowNull: false },
    file: { type: DataTypes.STRING(120), allowNull: false },
    body: { type: DataTypes.BLOB('long'), allowNull: false },
    rows: { type: DataTypes.INTEGER, allowNull: false },
    at: { type: DataTypes.DATE(3), allowNull: false },
    job_id: { type: DataTypes.UUID, allowNull: true },
    why: { type: DataTypes.STRING(200), allowNull: true },
  });
  await addIndexOnce(queries, 'recordings', ['sum'], 'recordings_once', { unique: true });
  await addIndexOnce(queries, 'recordings', ['job_id', 'at'], 'recordings_of');
  await addIndexOnce(queries, 'recordings', ['at'], 'recordings_lately');
}
