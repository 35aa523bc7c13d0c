import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Logger } from 'pino';
import { createApp } from './app';
import type { Config } from './config';
import { connect } from './store/database';

export interface Running {
  readonly url: string;
  /** Stops taking requests, finishes those in flight, lets go of the database. */
  readonly close: () => Promise<void>;
}

const LONGEST_FAREWELL = 10_000;

export async function serve(config: Config, logger: Logger): Promise<Running> {
  const sequelize = connect(config.DATABASE_URL);
  const { express, feed } = createApp(sequelize, config, logger);
  const server = createServer(express);
  server.keepAliveTimeout = 65_000;
  await listening(server, config);
  const { port } = addressOf(server);
  return {
    url: `http://${config.HOST}:${port}`,
    close: async () => {
      const closed = new Promise<void>((done) => server.close(() => done()));
      feed.stop();
      server.closeIdleConnections();
      const force = setTimeout(() => server.closeAllConnections(), LONGEST_FAREWELL).unref();
      endStreams(server);
      await closed;
      clearTimeout(force);
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

/** Event streams never end by themselves; their browsers come back by themselves. */
function endStreams(server: Server): void {
  setTimeout(() => server.closeAllConnections(), 1500).unref();
}
