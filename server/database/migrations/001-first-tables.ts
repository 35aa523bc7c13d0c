import { DataTypes, type QueryInterface } from 'sequelize';
import { addIndexOnce } from './once';

const uuid = { type: DataTypes.UUID, allowNull: false };
const key = { ...uuid, primaryKey: true };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const maybe = (length: number) => ({ type: DataTypes.STRING(length), allowNull: true });
const json = { type: DataTypes.TEXT('long'), allowNull: false };
const day = { type: DataTypes.DATEONLY, allowNull: true };
const moment = { type: DataTypes.DATE(3), allowNull: false };
const count = { type: DataTypes.INTEGER, allowNull: false };

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('people', {
    id: key,
    name: { ...text(80), unique: true },
    role: text(20),
    pin_hash: text(200),
  });
  await queries.createTable('valves', {
    id: key,
    tag: text(40),
    serial: maybe(60),
    customer: text(80),
    construction: text(40),
    body: json,
    simulated: { type: DataTypes.TEXT, allowNull: true },
  });
  await addIndexOnce(queries, 'valves', ['tag', 'id'], 'valves_by_tag');
  await addIndexOnce(queries, 'valves', ['serial'], 'valves_by_serial');
  await addIndexOnce(queries, 'valves', ['customer', 'tag'], 'valves_one_tag_a_customer', { unique: true });
  await queries.createTable('sites', { customer: { ...text(80), primaryKey: true }, rules: json });
  await queries.createTable('jobs', {
    id: key,
    valve_id: { ...uuid, references: { model: 'valves', key: 'id' } },
    version: count,
    state: text(12),
    person_id: { type: DataTypes.UUID, allowNull: true },
    tag: text(40),
    serial: maybe(60),
    location: text(220),
    due: day,
    due_key: text(10),
    opened_at: moment,
    summary: json,
    open_valve_id: { type: DataTypes.UUID, allowNull: true, unique: true },
  });
  await addIndexOnce(queries, 'jobs', ['state', 'due_key', 'id'], 'jobs_by_state');
  await addIndexOnce(queries, 'jobs', ['state', 'person_id', 'due_key', 'id'], 'jobs_by_person');
  await addIndexOnce(queries, 'jobs', ['due_key', 'id'], 'jobs_by_due');
  await addIndexOnce(queries, 'jobs', ['tag'], 'jobs_by_tag');
  await addIndexOnce(queries, 'jobs', ['serial'], 'jobs_by_serial');
  await queries.createTable('job_events', {
    id: { type: DataTypes.BIGINT, primaryKey: true, autoIncrement: true },
    job_id: { ...uuid, references: { model: 'jobs', key: 'id' } },
    seq: count,
    command_id: uuid,
    kind: text(40),
    format: count,
    body: json,
    person: json,
    instrument_id: { type: DataTypes.UUID, allowNull: true },
    at: text(40),
    received_at: moment,
  });
  await addIndexOnce(queries, 'job_events', ['job_id', 'seq'], 'job_events_in_order', { unique: true });
  await queries.createTable('command_receipts', {
    command_id: key,
    job_id: uuid,
    first_seq: count,
    last_seq: count,
  });
  await queries.createTable('instruments', {
    id: key,
    name: { ...text(80), unique: true },
    kind: text(40),
    driver: text(40),
    calibration_due: { type: DataTypes.DATEONLY, allowNull: false },
  });
  await queries.createTable('sessions', {
    sid: { ...text(64), primaryKey: true },
    expires: moment,
    data: { type: DataTypes.TEXT, allowNull: true },
    created_at: moment,
    updated_at: moment,
  });
  await addIndexOnce(queries, 'sessions', ['expires'], 'sessions_by_expiry');
  await queries.createTable('rate_limits', {
    key: { ...text(120), primaryKey: true },
    hits: count,
    resets_at: moment,
  });
}
