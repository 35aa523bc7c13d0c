import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import type { Config } from '../config';
import { Refusal } from '../refusal';
import { ensureCookie, readCookie } from './cookies';

/**
 * The token that writes must carry. Signed in, it lives in the session; before that it is made from a cookie, so that
 * looking at the sign-in page leaves nothing behind in the database.
 */
export function csrfToken(request: Request, response: Response, config: Config): string {
  if (request.session.personId !== undefined)
    return (request.session.csrf ??= randomBytes(24).toString('base64url'));
  return visitToken(ensureCookie(request, response, 'visit', config), config);
}

const visitToken = (visit: string, { SESSION_SECRET }: Config): string =>
  createHmac('sha256', SESSION_SECRET).update(`visit ${visit}`).digest('base64url');

/** Refuses a write whose token is not its session's, or its visit's. */
export function csrfGuard(config: Config): RequestHandler {
  return (request: Request, _response: Response, next: NextFunction) => {
    const sent = Buffer.from(request.get('x-csrf-token') ?? '');
    const held = Buffer.from(heldToken(request, config) ?? '');
    if (held.length === 0 || sent.length !== held.length || !timingSafeEqual(sent, held))
      throw new Refusal({ code: 'csrf.missing' });
    next();
  };
}

function heldToken(request: Request, config: Config): string | undefined {
  if (request.session.personId !== undefined) return request.session.csrf;
  const visit = readCookie(request, 'visit');
  return visit === undefined ? undefined : visitToken(visit, config);
}
