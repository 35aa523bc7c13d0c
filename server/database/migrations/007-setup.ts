import { DataTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';

const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });

/** What a lead sets up: people who choose their own PIN and who leave, and who changed what. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'people', 'skills', "TEXT NOT NULL DEFAULT '[]'");
  await addColumnOnce(queries, 'people', 'left_at', 'DATETIME(3) NULL');
  await addColumnOnce(queries, 'people', 'code_until', 'DATETIME(3) NULL');
  await queries.createTable('setup_changes', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    at: { type: DataTypes.DATE(3), allowNull: false },
    person: { type: DataTypes.TEXT, allowNull: false },
    subject: text(20),
    what: text(200),
    before: { type: DataTypes.TEXT, allowNull: true },
    after: { type: DataTypes.TEXT, allowNull: true },
  });
  await addIndexOnce(queries, 'setup_changes', ['subject', 'id'], 'setup_changes_by_subject');
}
