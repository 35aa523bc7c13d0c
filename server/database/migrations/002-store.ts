import { DataTypes, type QueryInterface } from 'sequelize';
import { addIndexOnce } from './once';

const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const maybe = (length: number) => ({ type: DataTypes.STRING(length), allowNull: true });
const count = { type: DataTypes.INTEGER, allowNull: false };

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('parts_stock', {
    number: { ...text(40), primaryKey: true },
    name: text(120),
    part: text(60),
    fits: text(80),
    material: text(60),
    elastomer: maybe(40),
    price: { type: DataTypes.DECIMAL(12, 2), allowNull: false },
    lead_days: count,
    bin: text(20),
    on_hand: count,
    reorder_at: count,
    cure_date: maybe(20),
  });
  await addIndexOnce(queries, 'parts_stock', ['name', 'number'], 'parts_stock_by_name');
  await addIndexOnce(queries, 'parts_stock', ['fits', 'part'], 'parts_stock_by_fit');
  await queries.createTable('kits', {
    number: { ...text(60), primaryKey: true },
    construction: text(40),
    body: { type: DataTypes.TEXT('long'), allowNull: false },
  });
  await addIndexOnce(queries, 'kits', ['construction'], 'kits_by_construction');
  await queries.createTable('shelf_units', {
    id: { type: DataTypes.UUID, allowNull: false, primaryKey: true },
    kind: text(40),
    serial: text(60),
    valve_key: text(80),
    state: text(20),
    built_on: { type: DataTypes.DATEONLY, allowNull: true },
    job_id: { type: DataTypes.UUID, allowNull: true },
    tag: maybe(40),
  });
  await addIndexOnce(queries, 'shelf_units', ['state', 'valve_key'], 'shelf_units_by_state');
}
