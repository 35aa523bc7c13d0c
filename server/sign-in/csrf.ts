import type { NextFunction, Request, RequestHandler, Response } from 'express';
import { randomBytes } from 'node:crypto';
import type { Config } from '../config';
import { Refusal } from '../refusal';
import { ensureCookie, readCookie } from './cookies';
import { isSame, isSealed, seal } from './secrets';

/**
 * The token that writes must carry. Signed in, it lives in the session; before that it is made from a cookie, so that
 * looking at the sign-in page leaves nothing behind in the database.
 */
export function csrfToken(request: Request, response: Response, config: Config): string {
  if (request.session.personId !== undefined)
    return (request.session.csrf ??= randomBytes(24).toString('base64url'));
  return visitToken(ensureCookie(request, response, 'visit', config), config);
}

const ofVisit = (visit: string): string => `visit ${visit}`;
const visitToken = (visit: string, config: Config): string => seal(config, ofVisit(visit));

/** Refuses a write whose token is not its session's, or its visit's. */
export function csrfGuard(config: Config): RequestHandler {
  return (request: Request, _response: Response, next: NextFunction) => {
    if (!isHeld(request, request.get('x-csrf-token') ?? '', config))
      throw new Refusal({ code: 'csrf.missing' });
    next();
  };
}

function isHeld(request: Request, sent: string, config: Config): boolean {
  const { personId, csrf } = request.session;
  if (personId !== undefined) return isSame(sent, csrf ?? '');
  const visit = readCookie(request, 'visit');
  return visit !== undefined && isSealed(config, ofVisit(visit), sent);
}
