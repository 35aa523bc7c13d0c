import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

const uuid = { type: DataTypes.UUID, allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const day = { type: DataTypes.DATEONLY, allowNull: false };
const body = { type: DataTypes.TEXT('long'), allowNull: false };
const moment = { type: DataTypes.DATE(3), allowNull: false };
const numbered = { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true };

/** Who is there when, what a lead wants of the plan, and the plan itself. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'people', 'hours', 'TEXT NULL');
  await queries.createTable('holidays', { day: { ...day, primaryKey: true }, name: text(80) });
  await queries.createTable('absences', {
    id: numbered,
    person_id: uuid,
    from_day: day,
    to_day: day,
    why: text(80),
  });
  await addIndexOnce(queries, 'absences', ['to_day', 'person_id'], 'absences_by_end');
  await queries.createTable('extra_hours', {
    id: numbered,
    person_id: uuid,
    day,
    opens: text(5),
    closes: text(5),
  });
  await addIndexOnce(queries, 'extra_hours', ['day', 'person_id'], 'extra_hours_by_day');
  await queries.createTable('job_operations', {
    job_id: { ...uuid, primaryKey: true },
    version: { type: DataTypes.INTEGER, allowNull: false },
    body,
  });
  await queries.createTable('week_wants', {
    job_id: { ...uuid, primaryKey: true },
    hard: { type: DataTypes.BOOLEAN, allowNull: false },
    weight: { type: DataTypes.INTEGER, allowNull: false },
  });
  await queries.createTable('week_pins', {
    job_id: { ...uuid, primaryKey: true },
    operation: { ...text(200), primaryKey: true },
    start: { type: DataTypes.DATE(3), allowNull: true },
    person_id: { type: DataTypes.UUID, allowNull: true },
    pinned_by: text(80),
    at: moment,
  });
  await queries.createTable('kept_weeks', {
    day: { ...day, primaryKey: true },
    /** What it was planned from, as one line. */
    made_of: text(120),
    from: moment,
    body,
  });
  await queries.createTable('planned_jobs', {
    job_id: { ...uuid, primaryKey: true },
    ready_at: { type: DataTypes.DATE(3), allowNull: true },
    body,
  });
}
