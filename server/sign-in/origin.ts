import type { Request, RequestHandler } from 'express';
import type { Config } from '../config';
import { Refusal } from '../refusal';

const READING: readonly string[] = ['GET', 'HEAD', 'OPTIONS'];

/** Whether a page of this shop asks: the one that people reach by `PUBLIC_URL`, or by the very host that is asked. */
function isOurs(request: Request, origin: string, publicOrigin: string): boolean {
  if (origin === publicOrigin) return true;
  return URL.canParse(origin) && new URL(origin).host === request.get('host');
}

/**
 * Refuses a write that a page of somebody else makes, beside the token that it lacks: browsers say whose page it is
 * (`Origin`; where they say none, `Sec-Fetch-Site`). What is no browser says neither.
 */
export function ownPagesOnly({ PUBLIC_URL }: Config): RequestHandler {
  const publicOrigin = new URL(PUBLIC_URL).origin;
  return (request, _response, next) => {
    if (READING.includes(request.method)) return next();
    const origin = request.get('origin');
    const isAnothers =
      origin === undefined
        ? ['cross-site', 'same-site'].includes(request.get('sec-fetch-site') ?? 'none')
        : !isOurs(request, origin, publicOrigin);
    if (isAnothers)
      throw new Refusal({ code: 'origin.other', origin: (origin ?? 'another site').slice(0, 80) });
    next();
  };
}
