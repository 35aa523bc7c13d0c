import { DataTypes, type QueryInterface } from 'sequelize';
import { addIndexOnce } from './once';

const uuid = { type: DataTypes.UUID, allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const body = { type: DataTypes.TEXT('long'), allowNull: false };
const moment = { type: DataTypes.DATE(3), allowNull: false };
const number = { type: DataTypes.DOUBLE, allowNull: false };
const count = { type: DataTypes.INTEGER, allowNull: false };

/** Exercises that were done and sent, and what is asked before somebody is planned for a kind of work. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('drill_attempts', {
    id: { ...uuid, primaryKey: true },
    person_id: uuid,
    drill: text(40),
    level: count,
    construction: text(40),
    ticket: body,
    moves: body,
    hints: count,
    score: number,
    marks: body,
    seconds: number,
    at: moment,
    task_id: { type: DataTypes.UUID, allowNull: true },
  });
  await addIndexOnce(queries, 'drill_attempts', ['person_id', 'at'], 'drill_attempts_of');
  await addIndexOnce(queries, 'drill_attempts', ['at'], 'drill_attempts_lately');
  await queries.createTable('drill_tasks', {
    id: { ...uuid, primaryKey: true },
    ticket: body,
    note: text(200),
    people: body,
    sent_by: text(80),
    at: moment,
  });
  await queries.createTable('work_rules', {
    work: { ...text(40), primaryKey: true },
    drills: body,
    witnessed: { type: DataTypes.BOOLEAN, allowNull: false },
  });
  await queries.createTable('witnessed_work', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    person_id: uuid,
    work: text(40),
    job_id: uuid,
    witnessed_by: text(80),
    at: moment,
  });
}
