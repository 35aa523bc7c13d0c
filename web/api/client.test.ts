import { afterEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { call, rememberSession } from './client';

const answer = (status: number, body: unknown) => new Response(JSON.stringify(body), { status });
const old = { problem: { code: 'csrf.missing' }, text: 'lost' };
const session = {
  person: null,
  csrf: 'new',
  ...{ shop: 'Test Street valve shop', units: 'SI', lockMinutes: 0, deviceKey: null },
};

/** A server that knows one token, and what it was asked in order. */
function serverThatKnows(token: string, now: unknown = session) {
  const asked: string[] = [];
  vi.stubGlobal(
    'fetch',
    (path: string, { method, headers }: { method: string; headers: Record<string, string> }) => {
      asked.push(`${method} ${path} ${headers['x-csrf-token'] ?? ''} ${headers['x-person'] ?? ''}`.trim());
      if (path === '/api/session') return Promise.resolve(answer(200, now));
      return Promise.resolve(
        headers['x-csrf-token'] === token ? answer(200, { done: true }) : answer(403, old),
      );
    },
  );
  return asked;
}
afterEach(() => vi.unstubAllGlobals());

const write = () => call('/badge', z.object({ done: z.boolean() }), { method: 'POST', body: {} });

describe('a write whose token is an old one', () => {
  it('asks for the new one, and is made once more as the person it was of', async () => {
    rememberSession('old', 'ada');
    const asked = serverThatKnows('new');
    await expect(write()).resolves.toEqual({ done: true });
    expect(asked).toEqual(['POST /api/badge old ada', 'GET /api/session', 'POST /api/badge new ada']);
  });
  it('is not made a third time', async () => {
    rememberSession('old', 'ada');
    const asked = serverThatKnows('another');
    await expect(write()).rejects.toMatchObject({ code: 'csrf.missing', isAboutSignIn: true });
    expect(asked).toHaveLength(3);
  });
  it('stays refused where no session can be read', async () => {
    rememberSession('old', 'ada');
    const asked = serverThatKnows('new', { nothing: true });
    await expect(write()).rejects.toMatchObject({ code: 'csrf.missing' });
    expect(asked).toHaveLength(2);
  });
});
