import { DataTypes, type QueryInterface } from 'sequelize';

const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });

/** What a turn of a screw did to a figure, by model: the last job of it that was signed. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.createTable('screw_effects', {
    model: { ...text(60), primaryKey: true },
    screw: { ...text(40), primaryKey: true },
    what: { ...text(80), primaryKey: true },
    per_turn: { type: DataTypes.DOUBLE, allowNull: false },
  });
}
