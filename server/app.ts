import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import type { Sequelize } from 'sequelize';
import type { Config } from './config';
import { answerError, notFound } from './errors';
import { Printer } from './documents/printer';
import { ClockWatch } from './keeping/clock';
import { LiveFeed } from './live/feed';
import { OpenStreams } from './live/open-streams';
import { certificateRoutes } from './routes/certificates';
import { healthRoutes } from './routes/health';
import { notTooDeep } from './routes/depth';
import { importRoutes } from './routes/import';
import { forPeople, machines } from './machines/bearer';
import { notTooMany } from './machines/rate';
import { jobRoutes } from './routes/jobs';
import { paperRoutes } from './routes/papers';
import { keepingRoutes } from './routes/keeping';
import { photoRoutes } from './routes/photos';
import { recordingRoutes } from './routes/recordings';
import { hoursRoutes } from './routes/hours';
import { placeRoutes } from './routes/places';
import { sessionRoutes } from './routes/session';
import { setupRoutes } from './routes/setup';
import { setupFileRoutes } from './routes/setup-files';
import { recallRoutes } from './routes/recalls';
import { setupInstrumentRoutes } from './routes/setup-instruments';
import { sheetRoutes } from './routes/sheets';
import { siteRoutes } from './routes/sites';
import { shopRoutes } from './routes/shop';
import { stockRoutes } from './routes/stock';
import { fleetRoutes } from './routes/fleet';
import { drillRoutes } from './routes/drills';
import { openApiRoutes } from './routes/open-api';
import { machineRoutes } from './routes/machines';
import { outageRoutes } from './routes/outages';
import { valveRoutes } from './routes/valves';
import { weekRoutes } from './routes/week';
import { csrfGuard } from './sign-in/csrf';
import { ownPagesOnly } from './sign-in/origin';
import { requirePerson, requireSamePerson } from './sign-in/person';
import { sessions } from './sign-in/session';
import { withoutStatement } from './database/failures';
import { defineModels } from './database/models';
import { settingsOf } from './database/shop-settings';
import { shopZone } from './database/shop-day';
import { WeekKeeper } from './week/keeper';

export interface App {
  readonly express: Express;
  readonly feed: LiveFeed;
  readonly streams: OpenStreams;
  readonly clock: ClockWatch;
  readonly week: WeekKeeper;
  /** Lets go of what runs beside the requests. */
  readonly close: () => Promise<void>;
}

const MOST_JSON = '5mb';

/** The whole HTTP side, for one database: no state of its own between requests. */
export function createApp(
  sequelize: Sequelize,
  config: Config,
  logger: Logger,
  now: () => Date = () => new Date(),
): App {
  defineModels(sequelize);
  const app = express();
  const cannotLook = (error: unknown) => logger.warn(withoutStatement(error), 'live feed could not look');
  const feed = new LiveFeed(cannotLook);
  const streams = new OpenStreams(sequelize, cannotLook);
  const printer = new Printer(() => settingsOf(config));
  const week = new WeekKeeper(
    sequelize,
    { url: config.DATABASE_URL, silence: config.DATABASE_SILENCE * 1000 },
    shopZone,
    now,
  );
  app.disable('x-powered-by');
  app.set('trust proxy', config.TRUST_PROXY);
  app.set('query parser', 'simple');
  app.use(
    pinoHttp({
      logger,
      genReqId: () => randomUUID(),
      // A failure is logged once, where it is answered.
      customLogLevel: () => 'debug',
      serializers: { err: withoutStatement },
      redact: [
        ...['req.headers.cookie', 'req.headers.authorization', 'req.headers["x-csrf-token"]'],
        'res.headers["set-cookie"]',
      ],
    }),
  );
  app.use(helmet(securityHeaders(config)));
  app.use(
    compression({
      filter: (request, response) =>
        response.getHeader('content-type') !== 'text/event-stream' && compression.filter(request, response),
    }),
  );
  app.use(permissions);
  const clock = new ClockWatch(() => now().getTime());
  app.use(healthRoutes(sequelize, clock));
  const isoNow = () => now().toISOString();
  const api = express.Router();
  api.use((_request, response, next) => {
    response.set('cache-control', 'no-store');
    next();
  });
  api.use(openApiRoutes());
  api.use(machines(now));
  api.use(notTooMany());
  api.use(forPeople(ownPagesOnly(config)));
  api.use(forPeople(sessions(sequelize, config)));
  api.use(forPeople(sessionRoutes(sequelize, config, now)));
  api.use(forPeople(requirePerson));
  api.use(forPeople(csrfOnWrites(config)));
  api.use(forPeople(requireSamePerson));
  // Whatever is written may be something that the week is made of: it is looked at again, and planned where it is.
  api.use((request, response, next) => {
    if (request.method !== 'GET') response.on('finish', () => week.changed());
    next();
  });
  api.use(importRoutes(sequelize, printer, isoNow));
  api.use(photoRoutes());
  api.use(certificateRoutes(sequelize, now));
  api.use(express.json({ limit: MOST_JSON, strict: true }));
  api.use(notTooDeep);
  api.use(jobRoutes({ sequelize, feed, streams, config, now }));
  api.use(recordingRoutes(config));
  api.use(paperRoutes(printer, config));
  api.use(shopRoutes(config, feed, streams, isoNow));
  api.use(valveRoutes(sequelize, now));
  api.use(fleetRoutes(sequelize, now));
  api.use(stockRoutes(sequelize, isoNow));
  api.use(setupRoutes(sequelize, now));
  api.use(setupInstrumentRoutes(sequelize, streams, now));
  api.use(placeRoutes(sequelize, now));
  api.use(hoursRoutes(sequelize, now));
  api.use(outageRoutes(sequelize, now));
  api.use(drillRoutes({ sequelize, printer, config, now }));
  api.use(weekRoutes({ sequelize, week, printer, config, now }));
  api.use(sheetRoutes(sequelize, now));
  api.use(setupFileRoutes(sequelize, now));
  api.use(recallRoutes(sequelize, printer, now));
  api.use(siteRoutes(sequelize, config, now));
  api.use(machineRoutes(sequelize, config, now));
  api.use(keepingRoutes(sequelize, config, clock, now));
  api.use(notFound);
  app.use('/api', api);
  if (config.WEB_ROOT !== undefined) servePages(app, config.WEB_ROOT);
  app.use(notFound);
  app.use(answerError);
  const close = async () => {
    feed.stop();
    streams.endAll();
    await Promise.all([printer.close(), week.close()]);
  };
  return { express: app, feed, streams, clock, week, close };
}

/** What no page of ours asks of a browser. */
const permissions: RequestHandler = (_request, response, next) => {
  response.set('permissions-policy', 'geolocation=(), microphone=(), payment=(), usb=(), serial=(self)');
  next();
};

/** Every write carries its token, whatever route it goes to. */
function csrfOnWrites(config: Config): RequestHandler {
  const guard = csrfGuard(config);
  return (request, response, next) =>
    request.method === 'GET' || request.method === 'HEAD' ? next() : guard(request, response, next);
}

/** The worker of the constraint solver: it alone runs WebAssembly, and does nothing but fetch its own files. */
const SOLVER = /minizinc-worker[^/]*\.js$/;
const SOLVER_MAY = "default-src 'none'; script-src 'self' 'wasm-unsafe-eval'; connect-src 'self'";

const A_YEAR = 365 * 24 * 60 * 60 * 1000;

function servePages(app: Express, root: string): void {
  app.use(
    '/assets',
    express.static(join(root, 'assets'), {
      ...{ immutable: true, maxAge: A_YEAR, fallthrough: false },
      setHeaders: (response, path) => {
        if (SOLVER.test(path)) response.setHeader('content-security-policy', SOLVER_MAY);
      },
    }),
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
