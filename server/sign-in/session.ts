import { personStamp, type PersonStamp } from '@dusk-wren/core/job';
import connectSession from 'connect-session-sequelize';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import session from 'express-session';
import { randomBytes, timingSafeEqual } from 'node:crypto';
import { DataTypes, type Sequelize } from 'sequelize';
import type { Config } from '../config';
import { Refusal } from '../refusal';

declare module 'express-session' {
  interface SessionData {
    person: PersonStamp;
    csrf: string;
  }
}

const HALF_A_DAY = 12 * 60 * 60 * 1000;

/** Sessions in the database: a same-site cookie that scripts cannot read. */
export function sessions(sequelize: Sequelize, config: Config): RequestHandler {
  sequelize.define(
    'SessionRow',
    {
      sid: { type: DataTypes.STRING(64), primaryKey: true },
      expires: DataTypes.DATE(3),
      data: DataTypes.TEXT,
    },
    { tableName: 'sessions', timestamps: true },
  );
  const SequelizeStore = connectSession(session.Store);
  const options = {
    db: sequelize,
    table: 'SessionRow',
    expiration: HALF_A_DAY,
    checkExpirationInterval: 15 * 60 * 1000,
    // A sign-in lasts half a day from its start: no write for every request. (Its types do not know this option.)
    disableTouch: true,
  };
  const store = new SequelizeStore(options);
  return session({
    name: 'dusk-wren',
    secret: config.SESSION_SECRET,
    store,
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

/** The token that writes must carry; made once a session. */
export function csrfToken(request: Request): string {
  request.session.csrf ??= randomBytes(24).toString('base64url');
  return request.session.csrf;
}

/** Refuses a write whose token is not the session's. */
export function requireCsrf(request: Request, _response: Response, next: NextFunction): void {
  const sent = Buffer.from(request.get('x-csrf-token') ?? '');
  const held = Buffer.from(request.session.csrf ?? '');
  if (held.length === 0 || sent.length !== held.length || !timingSafeEqual(sent, held))
    throw new Refusal({ code: 'csrf.missing' });
  next();
}

/** The person signed in, or a refusal. */
export function personOf(request: Request): PersonStamp {
  const read = personStamp.safeParse(request.session.person);
  if (!read.success) throw new Refusal({ code: 'sign-in.needed' });
  return read.data;
}

export function requirePerson(request: Request, _response: Response, next: NextFunction): void {
  personOf(request);
  next();
}
