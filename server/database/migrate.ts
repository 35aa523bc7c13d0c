import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { HALF_RESTORED, isHalfRestored } from './half-restored';
import { makeLeases, onlyOne } from './lock';
import * as firstTables from './migrations/001-first-tables';
import * as storeTables from './migrations/002-store';
import * as beforeMeasuring from './migrations/003-before-measuring';
import * as whoMay from './migrations/004-who-may';
import * as whatStopsAJob from './migrations/005-what-stops-a-job';
import * as screwEffects from './migrations/006-screw-effects';
import * as setup from './migrations/007-setup';
import * as instruments from './migrations/008-instruments';
import * as keeping from './migrations/009-keeping';
import * as shop from './migrations/010-shop';
import * as places from './migrations/011-places';
import * as atABench from './migrations/012-at-a-bench';
import * as secondFactor from './migrations/013-second-factor';
import * as calibrationFiles from './migrations/014-calibration-files';
import * as driverSettings from './migrations/015-driver-settings';
import * as sheetsOnSetup from './migrations/016-sheets-on-setup';
import * as register from './migrations/017-register';
import * as lives from './migrations/018-lives';
import * as week from './migrations/019-week';
import * as outages from './migrations/020-outages';
import * as drills from './migrations/021-drills';
import * as turns from './migrations/022-turns';
import * as recordings from './migrations/023-recordings';
import * as machines from './migrations/024-machines';
import * as leases from './migrations/025-leases';
import * as erased from './migrations/026-erased';
import * as fleetOfDecades from './migrations/027-fleet-of-decades';

type Log = (message: string) => void;

/** Migrations in order, by the name that is remembered in the database. Each can be run again after it was cut off. */
export const MIGRATIONS = [
  { name: '001-first-tables', ...firstTables },
  { name: '002-store', ...storeTables },
  { name: '003-before-measuring', ...beforeMeasuring },
  { name: '004-who-may', ...whoMay },
  { name: '005-what-stops-a-job', ...whatStopsAJob },
  { name: '006-screw-effects', ...screwEffects },
  { name: '007-setup', ...setup },
  { name: '008-instruments', ...instruments },
  { name: '009-keeping', ...keeping },
  { name: '010-shop', ...shop },
  { name: '011-places', ...places },
  { name: '012-at-a-bench', ...atABench },
  { name: '013-second-factor', ...secondFactor },
  { name: '014-calibration-files', ...calibrationFiles },
  { name: '015-driver-settings', ...driverSettings },
  { name: '016-sheets-on-setup', ...sheetsOnSetup },
  { name: '017-register', ...register },
  { name: '018-lives', ...lives },
  { name: '019-week', ...week },
  { name: '020-outages', ...outages },
  { name: '021-drills', ...drills },
  { name: '022-turns', ...turns },
  { name: '023-recordings', ...recordings },
  { name: '024-machines', ...machines },
  { name: '025-leases', ...leases },
  { name: '026-erased', ...erased },
  { name: '027-fleet-of-decades', ...fleetOfDecades },
];

const PATIENCE_SECONDS = 120;

function runner(sequelize: Sequelize, log: Log) {
  const queries = sequelize.getQueryInterface();
  const say = (message: Record<string, unknown>) =>
    log([message['event'], message['name']].filter((word) => typeof word === 'string').join(' '));
  return new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({ name, up: () => up(queries) })),
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: { info: say, warn: say, error: say, debug: () => undefined },
  });
}

/** Brings the tables up to date, one at a time: a second call from elsewhere waits for the first. */
export async function migrate(sequelize: Sequelize, log: Log): Promise<void> {
  if (await isHalfRestored(sequelize)) throw new Error(HALF_RESTORED);
  await makeLeases(sequelize);
  const ran = await onlyOne(sequelize, 'migrations', PATIENCE_SECONDS, () => runner(sequelize, log).up());
  if (!ran) throw new Error('another one is bringing the tables up to date still');
}

/** How the tables stand to this server: it is ready only when both are empty. */
export async function tablesBehind(
  sequelize: Sequelize,
): Promise<{ pending: string[]; /** Run by a newer server. */ unknown: string[] }> {
  const umzug = runner(sequelize, () => undefined);
  const known = new Set(MIGRATIONS.map(({ name }) => name));
  return {
    pending: (await umzug.pending()).map(({ name }) => name),
    unknown: (await new SequelizeStorage({ sequelize, tableName: 'migrations' }).executed()).filter(
      (name) => !known.has(name),
    ),
  };
}
