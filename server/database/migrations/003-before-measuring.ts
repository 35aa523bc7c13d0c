import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('fault_counts', {
    symptom: { type: DataTypes.STRING(40), allowNull: false, primaryKey: true },
    cause: { type: DataTypes.STRING(40), allowNull: false, primaryKey: true },
    count: { type: DataTypes.INTEGER, allowNull: false },
  });
  await queries.createTable('makers_sheets', {
    model: { type: DataTypes.STRING(60), allowNull: false, primaryKey: true },
    body: { type: DataTypes.TEXT, allowNull: false },
  });
  await queries.createTable('photos', {
    id: { type: DataTypes.UUID, allowNull: false, primaryKey: true },
    job_id: { type: DataTypes.UUID, allowNull: false },
    width: { type: DataTypes.INTEGER, allowNull: false },
    height: { type: DataTypes.INTEGER, allowNull: false },
    body: { type: DataTypes.BLOB('long'), allowNull: false },
  });
  // Tags and serials as they are compared (core/valve/plate-reader, plateKey), so that a duplicate is found by an index.
  for (const what of ['tag', 'serial']) {
    await addColumnOnce(queries, 'valves', `${what}_key`, 'VARCHAR(60) NULL');
    await queries.sequelize.query(
      `UPDATE valves SET ${what}_key = REPLACE(REPLACE(REGEXP_REPLACE(UPPER(${what}), '[^A-Z0-9]', ''), 'O', '0'), 'I', '1')`,
    );
    await addIndexOnce(queries, 'valves', [`${what}_key`], `valves_by_${what}_key`);
  }
  await addIndexOnce(queries, 'photos', ['job_id'], 'photos_by_job');
}
