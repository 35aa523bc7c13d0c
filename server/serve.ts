import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Logger } from 'pino';
import { createApp } from './app';
import type { Config } from './config';
import { firstLeadCode } from './sign-in/first-lead';
import { connect } from './database/connection';
import { HALF_RESTORED, isHalfRestored } from './database/half-restored';
import { watchClock } from './keeping/clock';
import { watchFolder } from './drops/folder';
import { hostsIn } from './machines/hosts';
import { pruneHourly } from './keeping/prune';
import { keepTelling } from './machines/teller';
import { keepBackedUp } from './keeping/schedule';
import { withoutStatement } from './database/failures';
import { fillLives } from './database/fill-lives';
import { fillTimes } from './database/fill-times';
import { nobodyYet } from './database/people';

export interface Running {
  readonly url: string;
  /** The code that makes the first lead, while nobody is on file. */
  readonly firstLead: string | undefined;
  /** Stops taking requests, finishes those in flight, lets go of the database. */
  readonly close: () => Promise<void>;
}

const LONGEST_FAREWELL = 10_000;

export async function serve(config: Config, logger: Logger): Promise<Running> {
  const sequelize = connect(config.DATABASE_URL, { silence: config.DATABASE_SILENCE * 1000 });
  if (await isHalfRestored(sequelize).catch(() => false)) throw new Error(HALF_RESTORED);
  const app = createApp(sequelize, config, logger);
  const server = createServer(app.express);
  server.keepAliveTimeout = 65_000;
  const stopPruning = pruneHourly(sequelize, (error) =>
    logger.warn(withoutStatement(error), 'could not prune'),
  );
  const stopBackingUp = keepBackedUp(sequelize, config, logger);
  const stopLooking = config.DROP_FOLDER === undefined ? undefined : watchFolder(config.DROP_FOLDER, logger);
  const stopFilling = fillLives(sequelize, logger);
  const stopLearning = fillTimes(sequelize, logger);
  const stopPlanning = app.week.keepUp((error) => logger.warn(withoutStatement(error), 'could not plan'));
  const stopTelling = keepTelling(sequelize, hostsIn(config.HOOK_HOSTS), (error) =>
    logger.warn(withoutStatement(error), 'could not tell of what happened'),
  );
  const stopWatching = watchClock(app.clock, (jump) => logger.warn(jump, 'the clock jumped'));
  await listening(server, config);
  const { port } = addressOf(server);
  return {
    url: `http://${config.HOST}:${port}`,
    firstLead: (await nobodyYet().catch(() => false)) ? firstLeadCode(config) : undefined,
    close: async () => {
      const closed = new Promise<void>((done) => server.close(() => done()));
      stopPruning();
      stopBackingUp();
      await Promise.all([stopLooking?.(), stopTelling()]);
      stopFilling();
      stopLearning();
      stopPlanning();
      stopWatching();
      server.closeIdleConnections();
      const force = setTimeout(() => server.closeAllConnections(), LONGEST_FAREWELL).unref();
      // Streams never end by themselves; their browsers come back by themselves.
      app.streams.endAll();
      await closed;
      clearTimeout(force);
      await app.close();
      await sequelize.close();
    },
  };
}

function listening(server: Server, config: Config): Promise<void> {
  return new Promise((done, failed) => {
    server.once('error', failed);
    server.listen(config.PORT, config.HOST, () => done());
  });
}

function addressOf(server: Server): AddressInfo {
  const address = server.address();
  if (address === null || typeof address === 'string') throw new Error('the server has no port');
  return address;
}
