import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

const uuid = { type: DataTypes.UUID, allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const day = { type: DataTypes.DATEONLY, allowNull: false };
const body = { type: DataTypes.TEXT('long'), allowNull: false };
const moment = { type: DataTypes.DATE(3), allowNull: false };

/** How long work took on signed jobs, the day before which a job is not begun, and lists of valves for one shutdown. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('work_times', {
    job_id: { ...uuid, primaryKey: true },
    construction: text(40),
    signed: moment,
    body,
  });
  await addIndexOnce(queries, 'work_times', ['construction', 'signed'], 'work_times_lately');
  // Worked out again where they are wanted, with waits for what is not ordered yet.
  await queries.sequelize.query('DELETE FROM job_operations');
  await addColumnOnce(queries, 'week_wants', 'not_before', 'DATE NULL');
  await queries.createTable('outages', {
    id: { ...uuid, primaryKey: true },
    name: text(80),
    from_day: day,
    to_day: day,
    valves: body,
    made_by: text(80),
    made_at: moment,
  });
}
