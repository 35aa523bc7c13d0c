import { DataTypes, type QueryInterface } from 'sequelize';
import { addIndexOnce } from './once';

const uuid = { type: DataTypes.UUID, allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const maybe = (length: number) => ({ type: DataTypes.STRING(length), allowNull: true });
const json = { type: DataTypes.TEXT('long'), allowNull: false };
const moment = { type: DataTypes.DATE(3), allowNull: false };
const perhaps = { type: DataTypes.DATE(3), allowNull: true };

/** Other programs: their tokens, the work orders that they hand in, what happened, and the addresses that are told of it. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('machine_tokens', {
    id: { ...uuid, primaryKey: true },
    name: text(60),
    hash: text(64),
    scopes: json,
    until: moment,
    made_by: text(80),
    used_at: perhaps,
    ended_at: perhaps,
  });
  await addIndexOnce(queries, 'machine_tokens', ['hash'], 'machine_tokens_hash', { unique: true });
  await queries.createTable('work_orders', {
    number: { ...text(40), primaryKey: true },
    token_id: uuid,
    handed_in_by: text(60),
    asked: json,
    state: text(20),
    why: maybe(200),
    job_id: { type: DataTypes.UUID, allowNull: true },
    at: moment,
  });
  await addIndexOnce(queries, 'work_orders', ['state', 'at'], 'work_orders_waiting');
  await queries.createTable('happenings', {
    id: { ...uuid, primaryKey: true },
    seq: { type: DataTypes.BIGINT.UNSIGNED, allowNull: true },
    kind: text(30),
    at: moment,
    job_id: { type: DataTypes.UUID, allowNull: true },
    tag: text(40),
    order_number: maybe(40),
  });
  await addIndexOnce(queries, 'happenings', ['seq', 'at'], 'happenings_in_order', { unique: false });
  await queries.createTable('hooks', {
    id: { ...uuid, primaryKey: true },
    address: text(300),
    secret: text(64),
    kinds: json,
    made_by: text(80),
    is_on: { type: DataTypes.BOOLEAN, allowNull: false },
  });
  await queries.createTable('calls', {
    hook_id: { ...uuid, primaryKey: true },
    seq: { type: DataTypes.BIGINT.UNSIGNED, allowNull: false, primaryKey: true },
    state: text(20),
    tries: { type: DataTypes.INTEGER, allowNull: false },
    next_at: moment,
    said: maybe(200),
    told_at: perhaps,
  });
  await addIndexOnce(queries, 'calls', ['state', 'next_at'], 'calls_waiting');
  await queries.sequelize.query("INSERT IGNORE INTO turns (what, taken) VALUES ('happenings', 0)");
}
