import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Sequelize } from 'sequelize';
import type { Config } from './config';
import { answerError, notFound } from './errors';
import { LiveFeed } from './live/feed';
import { healthRoutes } from './routes/health';
import { jobRoutes } from './routes/jobs';
import { photoRoutes } from './routes/photos';
import { sessionRoutes } from './routes/session';
import { shopRoutes } from './routes/shop';
import { storeRoutes } from './routes/store';
import { requirePerson, sessions } from './sign-in/session';
import { defineModels } from './store/models';

export interface App {
  readonly express: Express;
  readonly feed: LiveFeed;
}

/** The whole HTTP side, for one database: no state of its own between requests. */
export function createApp(
  sequelize: Sequelize,
  config: Config,
  logger: Logger,
  now: () => Date = () => new Date(),
): App {
  defineModels(sequelize);
  const app = express();
  const feed = new LiveFeed((error) => logger.warn({ err: error }, 'live feed could not look'));
  app.disable('x-powered-by');
  app.set('trust proxy', config.TRUST_PROXY);
  app.set('query parser', 'simple');
  app.use(
    pinoHttp({
      logger,
      genReqId: () => randomUUID(),
      customLogLevel: (_request, response, error) =>
        error || response.statusCode >= 500 ? 'error' : 'debug',
      redact: ['req.headers.cookie', 'req.headers["x-csrf-token"]', 'res.headers["set-cookie"]'],
    }),
  );
  app.use(helmet(securityHeaders(config)));
  app.use(
    compression({
      filter: (request, response) =>
        response.getHeader('content-type') !== 'text/event-stream' && compression.filter(request, response),
    }),
  );
  app.use(healthRoutes(sequelize));
  const isoNow = () => now().toISOString();
  const api = express.Router();
  api.use((_request, response, next) => {
    response.set('cache-control', 'no-store');
    next();
  });
  api.use(express.json({ limit: '5mb', strict: true }));
  api.use(sessions(sequelize, config));
  api.use(sessionRoutes(sequelize, config));
  api.use(requirePerson);
  api.use(jobRoutes(sequelize, feed, config, isoNow));
  api.use(photoRoutes());
  api.use(shopRoutes(config, () => isoNow().slice(0, 10)));
  api.use(storeRoutes(sequelize, () => isoNow().slice(0, 10)));
  api.use(notFound);
  app.use('/api', api);
  if (config.WEB_ROOT !== undefined) servePages(app, config.WEB_ROOT);
  app.use(notFound);
  app.use(answerError);
  return { express: app, feed };
}

const A_YEAR = 365 * 24 * 60 * 60 * 1000;

function servePages(app: Express, root: string): void {
  app.use(
    '/assets',
    express.static(join(root, 'assets'), { immutable: true, maxAge: A_YEAR, fallthrough: false }),
  );
  app.use(express.static(root, { index: false, maxAge: 0 }));
  app.get(/^\/(?!api\/).*$/, (_request, response) => {
    response.sendFile(join(root, 'index.html'), {
      cacheControl: false,
      headers: { 'cache-control': 'no-cache' },
    });
  });
}

function securityHeaders(config: Config) {
  const https = config.PUBLIC_URL.startsWith('https:');
  return {
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        // Vuetify writes its theme into a style element, Vue sets widths on elements.
        styleSrc: ["'self'", "'unsafe-inline'"],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        formAction: ["'self'"],
        baseUri: ["'none'"],
        frameAncestors: ["'none'"],
      },
    },
    strictTransportSecurity: https,
    referrerPolicy: { policy: 'no-referrer' as const },
  };
}
