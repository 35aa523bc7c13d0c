import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

const uuid = { type: DataTypes.UUID, allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const maybe = (length: number) => ({ type: DataTypes.STRING(length), allowNull: true });
const day = { type: DataTypes.DATEONLY, allowNull: false };
const count = { type: DataTypes.INTEGER, allowNull: false };
const money = { type: DataTypes.DECIMAL(12, 2), allowNull: false };

/** What signed jobs say in the lives of their valves, how old parts became, what was drawn and is to be ordered. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'valves', 'due_on', 'DATE NULL');
  await addColumnOnce(queries, 'valves', 'due', 'TEXT NULL');
  await addIndexOnce(
    queries,
    'valves',
    ['due_on', 'id', 'standing', 'customer', 'construction'],
    'valves_by_due',
  );
  await queries.createTable('job_lives', {
    job_id: { ...uuid, primaryKey: true },
    valve_id: uuid,
    customer: text(80),
    construction: text(40),
    signed: day,
    minutes: count,
    parts: money,
    found: maybe(20),
    cause: maybe(60),
    came_back: { type: DataTypes.BOOLEAN, allowNull: false },
    body: { type: DataTypes.TEXT('long'), allowNull: false },
  });
  // Both hold all that the charts sum: no summary is read for them.
  await addIndexOnce(
    queries,
    'job_lives',
    ['valve_id', 'signed', 'customer', 'minutes', 'parts'],
    'lives_of_valve',
  );
  await addIndexOnce(
    queries,
    'job_lives',
    ['signed', 'customer', 'found', 'cause', 'came_back'],
    'lives_by_day',
  );
  await queries.createTable('part_lives', {
    job_id: { ...uuid, primaryKey: true },
    part: { ...text(60), primaryKey: true },
    valve_id: uuid,
    construction: text(40),
    service: text(60),
    fitted_on: day,
    ended_on: { type: DataTypes.DATEONLY, allowNull: true },
    /** Running, failed, or gone for another cause. */
    fate: text(20),
    /** The one before it had failed, at an age that nobody knows. */
    after_unknown: { type: DataTypes.BOOLEAN, allowNull: false },
  });
  await addIndexOnce(
    queries,
    'part_lives',
    ['construction', 'part', 'fate', 'after_unknown'],
    'part_lives_by_part',
  );
  await addIndexOnce(queries, 'part_lives', ['valve_id', 'part'], 'part_lives_of_valve');
  await queries.createTable('drawn_parts', {
    job_id: { ...uuid, primaryKey: true },
    part: { ...text(60), primaryKey: true },
    number: { ...text(40), primaryKey: true },
    on_day: day,
    count,
    price: money,
  });
  await addIndexOnce(queries, 'drawn_parts', ['number', 'on_day'], 'drawn_by_part');
  await addColumnOnce(queries, 'jobs', 'orders_version', 'INT NULL');
  await queries.createTable('order_lines', {
    job_id: { ...uuid, primaryKey: true },
    part: { ...text(60), primaryKey: true },
    tag: text(40),
    order_by: { type: DataTypes.DATEONLY, allowNull: true },
    body: { type: DataTypes.TEXT, allowNull: false },
  });
}
