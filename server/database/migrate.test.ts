import { blockedSchema } from '@dusk-wren/core/plan';
import { randomUUID } from 'node:crypto';
import { QueryTypes, type QueryInterface, type Sequelize } from 'sequelize';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { EmptyDatabases } from '../testing/empty-databases';
import { openShop, Screen, type Shop } from '../testing/shop';
import { connect } from './connection';
import { migrate, MIGRATIONS, tablesBehind } from './migrate';
import { defineModels, SheetRow } from './models';
import { sheetFor } from './makers-sheets';

const quiet = () => undefined;
const databases = new EmptyDatabases();
const opened: Sequelize[] = [];

async function emptyDatabase(): Promise<Sequelize> {
  const sequelize = connect(await databases.make());
  opened.push(sequelize);
  return sequelize;
}

/** Every table with its columns and indexes, as the database has them. */
async function shapeOf(sequelize: Sequelize): Promise<string[]> {
  const rows = await sequelize.query<{ line: string }>(
    `SELECT CONCAT(table_name, '.', column_name, ' ', column_type, ' ', is_nullable) AS line
       FROM information_schema.columns WHERE table_schema = DATABASE()
     UNION ALL
     SELECT CONCAT(table_name, ' index ', index_name, ' ', seq_in_index, ' ', column_name, ' ', non_unique)
       FROM information_schema.statistics WHERE table_schema = DATABASE()`,
    { type: QueryTypes.SELECT },
  );
  return rows.map(({ line }) => line).sort();
}

/** A database whose connection is cut after so many changes. */
function cutAfter(queries: QueryInterface, changes: number): QueryInterface {
  let left = changes;
  const spend = () => {
    if (left-- <= 0) throw new Error('cut');
  };
  const counting = <T extends object>(target: T, names: readonly string[]): T =>
    new Proxy(target, {
      get(object, name) {
        const value: unknown = Reflect.get(object, name);
        if (name === 'sequelize' && typeof value === 'object' && value !== null)
          return counting(value, ['query']);
        if (typeof value !== 'function') return value;
        return (...given: unknown[]): unknown => {
          if (names.includes(String(name))) spend();
          return Reflect.apply(value, object, given);
        };
      },
    });
  return counting(queries, ['createTable', 'dropTable']);
}

let whole: string[];
beforeAll(async () => {
  const sequelize = await emptyDatabase();
  await migrate(sequelize, quiet);
  whole = await shapeOf(sequelize);
});
afterAll(async () => {
  for (const sequelize of opened) await sequelize.close();
  await databases.drop();
});

describe('a migration that was cut off', () => {
  it(
    'can be run again, wherever it was cut, and the tables are those of one go',
    { timeout: 120_000 },
    async () => {
      for (const [i, { name, up }] of MIGRATIONS.entries()) {
        const sequelize = await emptyDatabase();
        const queries = sequelize.getQueryInterface();
        for (const before of MIGRATIONS.slice(0, i)) await before.up(queries);
        let cuts = 0;
        for (let changes = 0; ; changes++) {
          const cut = await up(cutAfter(queries, changes)).then(
            () => false,
            () => true,
          );
          if (!cut) break;
          cuts++;
        }
        expect(cuts, name).toBeGreaterThan(0);
        for (const after of MIGRATIONS.slice(i + 1)) await after.up(queries);
        const without = whole.filter((line) => !line.startsWith('migrations'));
        expect(await shapeOf(sequelize), name).toEqual(without);
      }
    },
  );
  it('two at once take turns', async () => {
    const url = await databases.make();
    const [first, second] = [connect(url), connect(url)];
    await Promise.all([migrate(first, quiet), migrate(second, quiet)]);
    await second.close();
    expect(await shapeOf(first)).toEqual(whole);
    await first.close();
  });
});

interface Column {
  readonly table: string;
  readonly column: string;
  readonly type: string;
  /** Whether a server that does not know it may leave it out. */
  readonly optional: boolean;
}

async function columnsOf(sequelize: Sequelize): Promise<readonly Column[]> {
  const rows = await sequelize.query<Omit<Column, 'optional'> & { optional: number }>(
    `SELECT table_name AS 'table', column_name AS 'column', column_type AS type,
       (is_nullable = 'YES' OR column_default IS NOT NULL OR extra LIKE '%auto_increment%') AS optional
     FROM information_schema.columns WHERE table_schema = DATABASE()`,
    { type: QueryTypes.SELECT },
  );
  return rows.map((row) => ({ ...row, optional: Boolean(row.optional) }));
}

/** Since when a server of the version before goes on answering while the next one brings the tables up to date. */
const SINCE = '007-setup';

/** Reads every column that a server knows, by name, over and over until told that it is over. */
function reader(sequelize: Sequelize, known: readonly Column[]) {
  const tables = [...new Set(known.map(({ table }) => table))];
  const once = async () => {
    for (const table of tables) {
      const columns = known.flatMap((each) => (each.table === table ? [`\`${each.column}\``] : []));
      await sequelize.query(`SELECT ${columns.join()} FROM ${table}`, { type: QueryTypes.SELECT });
    }
  };
  let isOver = false;
  const reading = (async () => {
    while (!isOver) await once();
    await once();
  })();
  return () => {
    isOver = true;
    return reading;
  };
}

describe('an older server beside a newer one', () => {
  it(`reads all it knows while any migration since ${SINCE} runs, and can still write after it`, async () => {
    const sequelize = await emptyDatabase();
    const queries = sequelize.getQueryInterface();
    const since = MIGRATIONS.findIndex(({ name }) => name === SINCE);
    expect(since).toBeGreaterThan(0);
    for (const { up } of MIGRATIONS.slice(0, since)) await up(queries);
    for (const { name, up } of MIGRATIONS.slice(since)) {
      const known = await columnsOf(sequelize);
      const read = reader(sequelize, known);
      await up(queries);
      await expect(read(), name).resolves.toBeUndefined();
      const after = await columnsOf(sequelize);
      const was = new Map(known.map((each) => [`${each.table}.${each.column}`, each.type]));
      const is = new Map(after.map((each) => [`${each.table}.${each.column}`, each.type]));
      for (const [column, type] of was) expect(is.get(column), `${column} after ${name}`).toBe(type);
      const its = new Set(known.map(({ table }) => table));
      const wanted = after.filter(
        (each) => its.has(each.table) && !was.has(`${each.table}.${each.column}`) && !each.optional,
      );
      expect(wanted, name).toEqual([]);
    }
  });
});

describe('an older database', () => {
  it('brings its maker’s sheets along as the shop’s', async () => {
    const sequelize = await emptyDatabase();
    const queries = sequelize.getQueryInterface();
    for (const { up } of MIGRATIONS.slice(0, 3)) await up(queries);
    const torque = { dimension: 'torque', value: 90, unit: 'lbf·ft' };
    const body = { model: 'H 7', revision: 'B', figures: { jointTorque: { value: torque, page: '4' } } };
    await sequelize.query('INSERT INTO makers_sheets (model, body) VALUES (:model, :body)', {
      replacements: { model: 'H7', body: JSON.stringify(body) },
    });
    await migrate(sequelize, quiet);
    defineModels(sequelize);
    expect((await sheetFor('h 7'))?.revision).toBe('B');
    expect(await SheetRow.count()).toBe(1);
  });
});

describe('what stopped a job, as a sentence of an older server', () => {
  const before = (blocked: object) => JSON.stringify({ stage: 'strip', blocked });
  it.each([
    [
      { kind: 'part', text: 'Waits: stem', expected: '2026-12-01' },
      { kind: 'part', part: 'stem', expected: '2026-12-01' },
    ],
    [
      { kind: 'pressure', text: 'Not at zero: 45 psig' },
      {
        kind: 'pressure',
        shown: { dimension: 'gauge pressure', value: 45, unit: 'psig', entered: '45 psig' },
      },
    ],
    [
      { kind: 'ask', text: 'Ask: stem, blue tint' },
      { kind: 'question', step: 'Ask: stem, blue tint' },
    ],
    [
      { kind: 'hold', text: 'Hold: contact and calls' },
      { kind: 'hold', step: 'Hold: contact and calls' },
    ],
  ])('%j is data after', async (was, is) => {
    const sequelize = await emptyDatabase();
    const queries = sequelize.getQueryInterface();
    const whatStops = MIGRATIONS.findIndex(({ name }) => name === '005-what-stops-a-job');
    for (const { up } of MIGRATIONS.slice(0, whatStops)) await up(queries);
    const id = randomUUID();
    await sequelize.query(
      `INSERT INTO valves (id, tag, customer, construction, body)
       VALUES (:id, 'V-1', 'here', 'globe-bolted', '{}')`,
      { replacements: { id } },
    );
    await sequelize.query(
      `INSERT INTO jobs (id, valve_id, version, state, tag, location, due_key, summary, opened_at)
       VALUES (:id, :id, 2, 'open', 'V-1', 'here', '9999-12-31', :summary, NOW())`,
      { replacements: { id, summary: before(was) } },
    );
    await migrate(sequelize, quiet);
    const [row] = await sequelize.query<{ summary: string }>('SELECT summary FROM jobs', {
      type: QueryTypes.SELECT,
    });
    const { blocked } = JSON.parse(row?.summary ?? '{}') as { blocked: unknown };
    expect(blocked).toEqual(is);
    expect(blockedSchema.safeParse(blocked).success).toBe(true);
  });
});

describe('ready', () => {
  let shop: Shop;
  beforeAll(async () => {
    shop = await openShop();
  });
  afterAll(() => shop.close());
  it('is a server whose tables are its own: neither older nor newer', async () => {
    const screen = await Screen.open(shop);
    expect((await screen.get('/readyz')).status).toBe(200);
    await shop.sequelize.query("INSERT INTO migrations (name) VALUES ('999-from-the-future')");
    const newer = await screen.get('/readyz');
    expect(newer.status).toBe(503);
    expect(newer.body.migrationsOfANewerServer).toEqual(['999-from-the-future']);
    await shop.sequelize.query("DELETE FROM migrations WHERE name IN ('999-from-the-future', '004-who-may')");
    expect((await screen.get('/readyz')).body.pendingMigrations).toEqual(['004-who-may']);
    expect((await tablesBehind(shop.sequelize)).unknown).toEqual([]);
  });
});
