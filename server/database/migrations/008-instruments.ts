import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });

/** The register of instruments: what each is, when it was calibrated, how it was found and left. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'instruments', 'serial', "VARCHAR(60) NOT NULL DEFAULT ''");
  await addColumnOnce(queries, 'instruments', 'reach', "VARCHAR(60) NOT NULL DEFAULT ''");
  await addColumnOnce(queries, 'instruments', 'resolution', "VARCHAR(40) NOT NULL DEFAULT ''");
  await addColumnOnce(queries, 'instruments', 'retired_at', 'DATETIME(3) NULL');
  await queries.createTable('calibrations', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    instrument_id: { type: DataTypes.UUID, allowNull: false },
    day: { type: DataTypes.DATEONLY, allowNull: false },
    due: { type: DataTypes.DATEONLY, allowNull: false },
    found_off: { type: DataTypes.DOUBLE, allowNull: false },
    left_off: { type: DataTypes.DOUBLE, allowNull: false },
    certificate: text(60),
    person: { type: DataTypes.TEXT, allowNull: false },
    at: { type: DataTypes.DATE(3), allowNull: false },
  });
  await addIndexOnce(queries, 'calibrations', ['instrument_id', 'day'], 'calibrations_by_instrument');
  await addIndexOnce(queries, 'job_events', ['instrument_id', 'at'], 'events_by_instrument');
}
