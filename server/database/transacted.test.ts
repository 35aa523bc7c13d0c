import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { EmptyDatabases } from '../testing/empty-databases';
import { connect } from './connection';
import { migrate } from './migrate';
import { oneAtATime, transacted } from './transacted';

const databases = new EmptyDatabases();
let sequelize: Sequelize;

beforeAll(async () => {
  sequelize = connect(await databases.make());
  await migrate(sequelize, () => undefined);
  await sequelize.query('CREATE TABLE two (id INT PRIMARY KEY, n INT NOT NULL)');
  await sequelize.query('INSERT INTO two VALUES (1, 0), (2, 0)');
});
afterAll(async () => {
  await sequelize.close();
  await databases.drop();
});

async function sum(where = '', transaction: Transaction | null = null): Promise<number> {
  const sql = `SELECT CAST(SUM(n) AS DOUBLE) AS n FROM two ${where}`;
  const [row] = await sequelize.query<{ n: number }>(sql, { type: QueryTypes.SELECT, transaction });
  return row?.n ?? -1;
}

it('two that lock the same rows the other way round are both done, and each once', async () => {
  let times = 0;
  const up = (first: number, second: number, bothHold: () => Promise<void>) =>
    transacted(sequelize, async (transaction: Transaction) => {
      times += 1;
      await sequelize.query(`UPDATE two SET n = n + 1 WHERE id = ${first}`, { transaction });
      await bothHold();
      await sequelize.query(`UPDATE two SET n = n + 1 WHERE id = ${second}`, { transaction });
    });
  let holding = 0;
  let release: () => void = () => undefined;
  const both = new Promise<void>((done) => (release = done));
  const hold = async () => {
    holding += 1;
    if (holding === 2) release();
    await both;
  };
  await Promise.all([up(1, 2, hold), up(2, 1, hold)]);
  // The database itself chose one of them to give up.
  expect(times).toBe(3);
  expect(await sum()).toBe(4);
});

it('what is refused for a reason of its own is not asked again', async () => {
  let times = 0;
  const refused = transacted(sequelize, async (transaction) => {
    times += 1;
    await sequelize.query('INSERT INTO two VALUES (1, 0)', { transaction });
  });
  await expect(refused).rejects.toThrow(/Validation error/);
  expect(times).toBe(1);
});

it('what is done one at a time sees what the one before it did, however many ask at once', async () => {
  await sequelize.query('INSERT INTO two VALUES (3, 0)');
  await Promise.all(
    Array.from({ length: 8 }, () =>
      oneAtATime(sequelize, async (transaction) => {
        const seen = await sum('WHERE id = 3', transaction);
        await sequelize.query(`UPDATE two SET n = ${seen + 1} WHERE id = 3`, { transaction });
      }),
    ),
  );
  expect(await sum('WHERE id = 3')).toBe(8);
});
