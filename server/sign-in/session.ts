import connectSession from 'connect-session-sequelize';
import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import { DataTypes, Op, type Sequelize } from 'sequelize';
import { z } from 'zod';
import type { Config } from '../config';
import { secretsOf } from './secrets';

declare module 'express-session' {
  interface SessionData {
    /** Who signed in; name and role are looked up, so that they are as they stand now. */
    personId: string;
    csrf: string;
  }
}

/** A session as the store wrote it. */
const kept = z.custom<session.SessionData>(
  (value) => typeof value === 'object' && value !== null && 'cookie' in value,
);
const keptRow = z.object({ data: z.string() }).transform(({ data }) => kept.parse(JSON.parse(data)));

const HALF_A_DAY = 12 * 60 * 60 * 1000;

/** Sessions in the database: a same-site cookie that scripts cannot read. Only who signed in leaves a row. */
export function sessions(sequelize: Sequelize, config: Config): RequestHandler {
  const rows = sequelize.define(
    'SessionRow',
    {
      sid: { type: DataTypes.STRING(64), primaryKey: true },
      expires: DataTypes.DATE(3),
      data: DataTypes.TEXT,
    },
    { tableName: 'sessions', timestamps: true },
  );
  const SequelizeStore = connectSession(session.Store);
  class UnexpiredStore extends SequelizeStore {
    /** The store's own look-up takes a row until it is swept away; here it is none from the moment it expires. */
    override get(sid: string, done: (error: unknown, found?: session.SessionData | null) => void): void {
      rows
        .findOne({ where: { sid, expires: { [Op.gt]: new Date() } }, attributes: ['data'], raw: true })
        .then((row) => (row ? keptRow.parse(row) : null))
        .then((found) => done(null, found), done);
    }
  }
  const options = {
    db: sequelize,
    table: 'SessionRow',
    expiration: HALF_A_DAY,
    checkExpirationInterval: 15 * 60 * 1000,
    // A sign-in lasts half a day from its start: no write for every request. (Its types do not know this option.)
    disableTouch: true,
  };
  return session({
    name: 'dusk-wren',
    secret: secretsOf(config),
    store: new UnexpiredStore(options),
    resave: false,
    saveUninitialized: false,
    rolling: false,
    cookie: {
      httpOnly: true,
      sameSite: 'strict',
      secure: config.PUBLIC_URL.startsWith('https:'),
      maxAge: HALF_A_DAY,
    },
  });
}

/** A session of its own for who has just signed in: a cookie known before is worth nothing after. */
export async function beginSession(request: Request, personId: string): Promise<void> {
  await emptySession(request);
  request.session.personId = personId;
}

/** The session's row goes; what is left is that of a visitor. */
export async function emptySession(request: Request): Promise<void> {
  await new Promise<void>((done, failed) =>
    request.session.regenerate((error: unknown) => (error ? failed(asError(error)) : done())),
  );
}

export async function endSession(request: Request): Promise<void> {
  await new Promise<void>((done, failed) =>
    request.session.destroy((error: unknown) => (error ? failed(asError(error)) : done())),
  );
}

const asError = (error: unknown): Error =>
  error instanceof Error ? error : new Error('the session could not be kept', { cause: error });
