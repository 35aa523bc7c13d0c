import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import * as firstTables from './migrations/001-first-tables';
import * as storeTables from './migrations/002-store';
import * as beforeMeasuring from './migrations/003-before-measuring';

type Log = (message: string) => void;

/** Migrations in order, by the name that is remembered in the database. */
const MIGRATIONS = [
  { name: '001-first-tables', ...firstTables },
  { name: '002-store', ...storeTables },
  { name: '003-before-measuring', ...beforeMeasuring },
];

function runner(sequelize: Sequelize, log: Log) {
  const queries = sequelize.getQueryInterface();
  const say = (message: Record<string, unknown>) =>
    log(`${String(message['event'])} ${String(message['name'] ?? '')}`);
  return new Umzug({
    migrations: MIGRATIONS.map(({ name, up, down }) => ({
      name,
      up: () => up(queries),
      down: () => down(queries),
    })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: { info: say, warn: say, error: say, debug: () => undefined },
  });
}

export async function migrate(sequelize: Sequelize, log: Log): Promise<void> {
  await runner(sequelize, log).up();
}

/** Names of migrations not run yet: a server is ready only when there are none. */
export async function pendingMigrations(sequelize: Sequelize): Promise<string[]> {
  return (await runner(sequelize, () => undefined).pending()).map(({ name }) => name);
}
