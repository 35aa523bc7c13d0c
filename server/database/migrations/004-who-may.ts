import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

const uuid = { type: DataTypes.UUID, allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const moment = { type: DataTypes.DATE(3), allowNull: false };
const count = { type: DataTypes.INTEGER, allowNull: false };

/** Who tried to sign in and from which device, whose sheet a maker's figure is, who brought a file into the store. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('sign_in_tries', {
    key: { ...text(120), primaryKey: true },
    failures: count,
    last_at: moment,
    next_at: moment,
  });
  await queries.createTable('known_devices', {
    device: { ...text(64), primaryKey: true },
    person_id: { ...uuid, primaryKey: true },
    seen_at: moment,
  });
  await queries.createTable('store_imports', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    kind: text(20),
    person: { type: DataTypes.TEXT, allowNull: false },
    at: moment,
    file: text(64),
    written: count,
    skipped: count,
  });
  await addIndexOnce(queries, 'store_imports', ['kind', 'id'], 'store_imports_by_kind');
  await queries.createTable('shop_sheets', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    model: text(60),
    body: { type: DataTypes.TEXT, allowNull: false },
    job_id: { type: DataTypes.UUID, allowNull: true },
    /** The entry that made it the shop's. */
    seq: { type: DataTypes.INTEGER, allowNull: true },
  });
  await addIndexOnce(queries, 'shop_sheets', ['model', 'id'], 'shop_sheets_by_model');
  await addIndexOnce(queries, 'shop_sheets', ['job_id', 'seq'], 'shop_sheets_by_entry');
  if (await queries.tableExists('makers_sheets')) {
    await queries.sequelize.query(
      'INSERT INTO shop_sheets (model, body) SELECT model, body FROM makers_sheets AS old ' +
        'WHERE NOT EXISTS (SELECT 1 FROM shop_sheets AS kept WHERE kept.model = old.model)',
    );
    await queries.dropTable('makers_sheets');
  }
  await queries.dropTable('rate_limits');
  await addColumnOnce(queries, 'job_events', 'told_by_device', 'TINYINT(1) NOT NULL DEFAULT 0');
}
