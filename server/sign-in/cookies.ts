import { parse } from 'cookie';
import type { Request, Response } from 'express';
import { randomBytes } from 'node:crypto';
import type { Config } from '../config';

/** Two small cookies beside the session's; scripts read neither, other sites send neither. */
const NAMES = {
  /** Of a browser that nobody has signed in on: what its token is made from. Gone when the browser closes. */
  visit: 'dusk-wren-visit',
  /** Of a device that somebody has signed in on. */
  device: 'dusk-wren-device',
} as const;
type Name = keyof typeof NAMES;

const LONG = 400 * 24 * 60 * 60 * 1000;
const SHAPE = /^[A-Za-z0-9_-]{32}$/;

export function readCookie(request: Request, name: Name): string | undefined {
  const value = parse(request.headers.cookie ?? '')[NAMES[name]];
  return value !== undefined && SHAPE.test(value) ? value : undefined;
}

/** The cookie as it is, or a new one set on the answer. */
export function ensureCookie(request: Request, response: Response, name: Name, config: Config): string {
  const held = readCookie(request, name);
  if (held !== undefined) return held;
  const value = randomBytes(24).toString('base64url');
  response.cookie(NAMES[name], value, {
    httpOnly: true,
    sameSite: 'strict',
    secure: config.PUBLIC_URL.startsWith('https:'),
    ...(name === 'device' ? { maxAge: LONG } : {}),
  });
  return value;
}
