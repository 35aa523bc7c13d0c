import { valveSchema } from '@dusk-wren/core/valve';
import { DataTypes, QueryTypes, type QueryInterface } from 'sequelize';
import { addColumnOnce, addIndexOnce } from './once';
import { wordRows } from '../valve-words';

const AT_A_TIME = 500;

/** Where valves stand, what each is found by, and what was changed of one outside of any job. */
export async function up(queries: QueryInterface): Promise<void> {
  await addColumnOnce(queries, 'valves', 'standing', "VARCHAR(20) NOT NULL DEFAULT 'in place'");
  await addIndexOnce(queries, 'jobs', ['valve_id', 'opened_at'], 'jobs_by_valve');
  await queries.createTable('valve_words', {
    word: { type: DataTypes.STRING(100, true), allowNull: false, primaryKey: true },
    tag: { type: DataTypes.STRING(40), allowNull: false, primaryKey: true },
    valve_id: { type: DataTypes.UUID, allowNull: false, primaryKey: true },
  });
  await addIndexOnce(queries, 'valve_words', ['valve_id'], 'words_of_valve');
  await queries.createTable('shared_words', {
    word: { type: DataTypes.STRING(24, true), allowNull: false, primaryKey: true },
  });
  await queries.createTable('valve_changes', {
    id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
    valve_id: { type: DataTypes.UUID, allowNull: false },
    at: { type: DataTypes.DATE(3), allowNull: false },
    person: { type: DataTypes.TEXT, allowNull: false },
    what: { type: DataTypes.STRING(240), allowNull: false },
  });
  await addIndexOnce(queries, 'valve_changes', ['valve_id', 'id'], 'changes_of_valve');
  await fillWords(queries);
}

/** Words of the valves that were on file before; those that are there already stay. */
async function fillWords({ sequelize }: QueryInterface): Promise<void> {
  for (let after = ''; ;) {
    const rows = await sequelize.query<{ id: string; body: string; standing: string }>(
      'SELECT id, body, standing FROM valves WHERE id > :after ORDER BY id LIMIT :limit',
      { replacements: { after, limit: AT_A_TIME }, type: QueryTypes.SELECT },
    );
    const found = rows.flatMap(({ id, body, standing }) => {
      const valve = valveSchema.safeParse(JSON.parse(body));
      return valve.success ? [wordRows(id, valve.data, standing)] : [];
    });
    const words = found.flatMap((each) => each.words.map(({ word, tag, valveId }) => [word, tag, valveId]));
    const shared = [...new Set(found.flatMap((each) => each.shared))].map((word) => [word]);
    if (words.length > 0) {
      await sequelize.query('INSERT IGNORE INTO valve_words (word, tag, valve_id) VALUES :words', {
        replacements: { words },
      });
      await sequelize.query('INSERT IGNORE INTO shared_words (word) VALUES :shared', {
        replacements: { shared },
      });
    }
    const last = rows.at(-1);
    if (!last) return;
    after = last.id;
  }
}
