import type { Express } from 'express';
import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { COMMANDS } from '@dusk-wren/core/command';
import { JobRow } from './database/models';
import { openShop, Screen, type Shop } from './testing/shop';

/** So many requests at least, however slow the machine. */
const ENOUGH = 200;
/** `FUZZ_SECONDS=3600 npm test -- server` goes on for an hour; twenty seconds find what one change broke. */
const SECONDS = Number(process.env['FUZZ_SECONDS'] ?? 20);
const SEED = Number(process.env['FUZZ_SEED'] ?? 20261126);

let shop: Shop;
let screens: Screen[];
let job: string;
beforeAll(async () => {
  shop = await openShop();
  screens = await Promise.all((['ada', 'ivo', 'lea'] as const).map((who) => Screen.open(shop, who)));
  screens.push(await Screen.open(shop));
  job = (await screens[0]?.openJob(shop)) ?? '';
});
afterAll(() => shop.close());

interface Layer {
  readonly route?: { readonly path: string | RegExp; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle: unknown;
}

/** Every route that the application has, as the application itself tells. */
function routesOf(app: Express): { method: string; path: string }[] {
  const found: { method: string; path: string }[] = [];
  const walk = (handle: unknown, prefix: string) => {
    if (typeof handle !== 'function' || !('stack' in handle) || !Array.isArray(handle.stack)) return;
    for (const layer of handle.stack as readonly Layer[]) {
      const { route } = layer;
      if (route && typeof route.path === 'string')
        for (const method of Object.keys(route.methods))
          found.push({ method, path: `${prefix}${route.path}` });
      else if (!route) walk(layer.handle, prefix === '' ? '/api' : prefix);
    }
  };
  for (const layer of app.router.stack as readonly unknown[] as readonly Layer[])
    if (layer.route && typeof layer.route.path === 'string')
      found.push({ method: 'get', path: layer.route.path });
    else walk(layer.handle, '');
  // Health stands beside /api; a router does not know where it hangs.
  return found.map(({ method, path }) => ({
    method,
    path: path.replace(/^\/api(?=\/(healthz|readyz)$)/, ''),
  }));
}

const STREAMS = /\/(live|readings)$/;
/** Stands for something nested five thousand levels deep, which is put in when it is sent. */
const DEEP = 'nested deep';
const nested = `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`;
const written = (sent: unknown): string => (JSON.stringify(sent) ?? '').replaceAll(`"${DEEP}"`, nested);

describe('every route', () => {
  const word = fc.oneof(
    fc.string({ unit: 'binary', maxLength: 40 }),
    fc.constantFrom(
      '',
      '0',
      '-1',
      '1e999',
      'null',
      '__proto__',
      '../../etc/passwd',
      '%00',
      '𝔘',
      "' OR 1=1 --",
    ),
    fc.uuid(),
  );
  const value: fc.Arbitrary<unknown> = fc.oneof(
    { weight: 6, arbitrary: fc.jsonValue({ maxDepth: 4 }) },
    { weight: 6, arbitrary: word },
    { weight: 2, arbitrary: fc.double() },
    {
      weight: 1,
      arbitrary: fc.constantFrom(DEEP, { __proto__: { polluted: true } }, 'x'.repeat(300_000), []),
    },
  );
  const body = fc.oneof(
    { weight: 2, arbitrary: value },
    {
      weight: 4,
      arbitrary: fc.record({
        baseVersion: fc.oneof(fc.integer(), fc.constantFrom(0, 1, 2, 3)),
        commandId: fc.uuid(),
        doneAt: fc.oneof(word, fc.constantFrom('9999-12-31T23:59:59Z', '0000-01-01T00:00:00Z')),
        command: fc.record({
          kind: fc.constantFrom(...Object.keys(COMMANDS), 'explode'),
          body: fc.oneof(
            value,
            fc.dictionary(
              fc.constantFrom(
                'step',
                'part',
                'readBy',
                'text',
                'given',
                'working',
                'entry',
                'reason',
                'line',
              ),
              value,
            ),
          ),
        }),
      }),
    },
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constantFrom('parts', 'stock', 'kits'),
        csv: fc.oneof(
          fc.string({ unit: 'binary', maxLength: 400 }),
          fc.constant('number,bin,on hand,reorder at,cure date\nA,"1\nB,2,3,4,5,6\n'),
        ),
      }),
    },
    {
      weight: 1,
      arbitrary: fc.record({
        format: fc.constant('dusk-wren job'),
        version: fc.constant(1),
        exportedAt: fc.constant('2026-11-26T00:00:00Z'),
        job: fc.record({ id: fc.uuid(), valveId: fc.uuid() }),
        entries: fc.array(value, { maxLength: 4 }),
      }),
    },
  );
  const typed = (answer: { status: number; body: { problem?: { code?: unknown }; text?: unknown } }) =>
    answer.status < 400 ||
    (typeof answer.body.problem?.code === 'string' && typeof answer.body.text === 'string');

  it(
    'answers anything with less than 500, and every refusal in words (property)',
    async () => {
      const routes = routesOf(shop.app.express);
      expect(routes.length).toBeGreaterThan(30);
      const ends = Date.now() + SECONDS * 1000;
      const real = { ':id': () => job, ':photo': randomUUID, ':kind': () => 'parts' };
      let asked = 0;
      const anything = fc.asyncProperty(
        fc.constantFrom(...routes),
        fc.constantFrom(0, 1, 2, 3),
        fc.boolean(),
        fc.array(word, { minLength: 3, maxLength: 3 }),
        fc.dictionary(fc.constantFrom('q', 'cursor', 'limit', 'units', 'after', 'job', 'step', 'x'), word),
        body,
        async ({ method, path }, who, rightPath, words, query, sent) => {
          const screen = screens[who] ?? screens[0];
          if (!screen) return;
          let i = 0;
          const filled = path.replace(/:\w+/g, (name) =>
            rightPath && name in real
              ? real[name as keyof typeof real]()
              : encodeURIComponent(words[i++ % words.length] ?? ''),
          );
          const search = new URLSearchParams(query).toString();
          // A stream that is let in never ends by itself: only refusals are looked at.
          const address = STREAMS.test(path)
            ? `${filled.replace(job, 'nowhere')}?${search}`
            : `${filled}?${search}`;
          asked++;
          const request = screen.agent[method as 'get' | 'post' | 'put' | 'delete'](address)
            .set(screen.headers())
            .timeout(20_000);
          const answer = await (method === 'get'
            ? request
            : request.set('content-type', 'application/json').send(written(sent)));
          expect(answer.status, `${method} ${address} ${JSON.stringify(sent).slice(0, 300)}`).toBeLessThan(
            500,
          );
          if (/^application\/json/.test(String(answer.headers['content-type'])))
            expect(typed(answer), `${method} ${address}`).toBe(true);
          if (method === 'delete') screens[who] = await Screen.open(shop, who === 3 ? undefined : NAMES[who]);
        },
      );
      await fc.assert(anything, {
        seed: SEED,
        numRuns: 1_000_000,
        interruptAfterTimeLimit: ends - Date.now(),
        markInterruptAsFailure: false,
      });
      // A slow machine asks as much, and takes its time.
      if (asked <= ENOUGH) await fc.assert(anything, { seed: SEED, numRuns: ENOUGH + 1 });
      expect(asked).toBeGreaterThan(ENOUGH);
    },
    (SECONDS + 120) * 1000,
  );

  it('and what it stored can still be read', async () => {
    const lea = await Screen.open(shop, 'lea');
    for (const { id } of await JobRow.findAll()) expect((await lea.get(`/api/jobs/${id}`)).status).toBe(200);
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
});

const NAMES = ['ada', 'ivo', 'lea'] as const;
