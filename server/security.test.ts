import fc from 'fast-check';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pino } from 'pino';
import request from 'supertest';
import { z } from 'zod';
import { createApp } from './app';
import { EventRow, PersonRow } from './database/models';
import { note, openShop, PIN, Screen, type Shop } from './testing/shop';

let shop: Shop;
let ada: Screen;
let job: string;
beforeAll(async () => {
  shop = await openShop();
  ada = await Screen.open(shop, 'ada');
  job = await ada.openJob(shop);
});
afterAll(() => shop.close());

describe('sign-in', () => {
  it('keeps PINs as argon2id', async () => {
    const person = await PersonRow.findByPk(shop.people.ada);
    expect(person?.pinHash).toMatch(/^\$argon2id\$/);
  });
  it('refuses a wrong PIN and an unknown person alike', async () => {
    const screen = await Screen.open(shop);
    const wrong = await screen.post('/api/session', { personId: shop.people.ada, pin: '0000' });
    const nobody = await screen.post('/api/session', { personId: randomUUID(), pin: PIN });
    expect([wrong.status, nobody.status]).toEqual([401, 401]);
    expect(wrong.body).toEqual(nobody.body);
  });
  it('sets a cookie that scripts cannot read and other sites do not send', async () => {
    const screen = await Screen.open(shop);
    const answer = await screen.post('/api/session', { personId: shop.people.ada, pin: PIN });
    const cookie = String(answer.headers['set-cookie']);
    expect(cookie).toContain('HttpOnly');
    expect(cookie).toContain('SameSite=Strict');
  });
  it('lets nobody see or do anything without it', async () => {
    const screen = await Screen.open(shop);
    for (const path of [
      '/api/jobs',
      `/api/jobs/${job}`,
      `/api/jobs/${job}/certificate.pdf`,
      '/api/valves',
      '/api/instruments',
    ]) {
      expect((await screen.get(path)).status, path).toBe(401);
    }
  });
  it('wants the token on every write', async () => {
    const answer = await ada.agent
      .post(`/api/jobs/${job}/commands`)
      .send({ baseVersion: 2, commandId: randomUUID(), command: note('x') });
    expect(answer.status).toBe(403);
    expect(answer.body.problem.code).toBe('csrf.missing');
  });
  it.each([
    ['a page of somebody else', { origin: 'https://evil.test' }, 403],
    ['one without an address', { origin: 'null' }, 403],
    ['another port of this machine', { origin: 'http://127.0.0.1:1' }, 403],
    ['a browser that says only that it is another site', { 'sec-fetch-site': 'cross-site' }, 403],
    ['the page that people reach it by', { origin: 'http://127.0.0.1:4780' }, 200],
    [
      'a page of the very host that is asked',
      { origin: 'http://valves.test:8080', host: 'valves.test:8080' },
      200,
    ],
    ['our own page', { 'sec-fetch-site': 'same-origin' }, 200],
    ['no browser', {}, 200],
  ])('from %s, with the token: %j is %i', async (_whose, headers, status) => {
    const { version } = (await ada.get(`/api/jobs/${job}`)).body;
    const answer = await ada.agent
      .post(`/api/jobs/${job}/commands`)
      .set({ ...ada.headers(), ...headers })
      .send({ baseVersion: version, commandId: randomUUID(), command: note('where from') });
    expect([answer.status, answer.body.problem?.code]).toEqual([
      status,
      status === 403 ? 'origin.other' : undefined,
    ]);
  });
  it('ends when signed out', async () => {
    const screen = await Screen.open(shop, 'bo');
    expect((await screen.get('/api/jobs')).status).toBe(200);
    const session = await screen.get('/api/session');
    await screen.agent.delete('/api/session').set('x-csrf-token', session.body.csrf);
    expect((await screen.get('/api/jobs')).status).toBe(401);
  });
});

describe('the log of requests', () => {
  it('says what was asked, and nothing that opens anything', async () => {
    const lines: string[] = [];
    const logger = pino({ level: 'debug' }, { write: (line: string) => void lines.push(line) });
    const app = createApp(shop.sequelize, shop.config, logger);
    const secret = { authorization: 'Bearer dw_S3cr3tOfAMachine', cookie: 'dusk-wren=S3cr3tOfAPerson' };
    await request(app.express)
      .get('/api/due')
      .set({ ...secret, 'x-csrf-token': 'S3cr3tOfAPage' });
    await app.close();
    expect(lines.join('')).toContain('/api/due');
    expect(lines.join('')).not.toContain('S3cr3t');
  });
});

describe('the bill of materials', () => {
  it('is made with the build: what of others runs, with version and licence, and nothing of development', () => {
    const { bomFormat, specVersion, components } = z
      .object({
        bomFormat: z.string(),
        specVersion: z.string(),
        components: z.array(
          z.looseObject({ name: z.string(), version: z.string(), licenses: z.array(z.unknown()).optional() }),
        ),
      })
      .parse(JSON.parse(readFileSync(join(import.meta.dirname, 'dist/bill-of-materials.cdx.json'), 'utf8')));
    expect([bomFormat, Number(specVersion) >= 1.5]).toEqual(['CycloneDX', true]);
    const names = components.map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['express', 'sequelize', 'vue', 'zod']));
    for (const developing of ['vitest', '@playwright/test', 'eslint'])
      expect(names).not.toContain(developing);
    expect(components.find(({ name }) => name === 'express')?.licenses).toEqual([{ license: { id: 'MIT' } }]);
  });
});

describe('headers', () => {
  it('a real content security policy, and no word on what runs here', async () => {
    const { headers } = await ada.get('/api/jobs');
    expect(headers['content-security-policy']).toMatch(/default-src 'none'/);
    expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe/);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['x-powered-by']).toBeUndefined();
    expect(headers['cache-control']).toBe('no-store');
  });
});

const typed = (answer: { status: number; body: { problem?: { code?: unknown }; text?: unknown } }) => {
  expect(answer.status).toBeGreaterThanOrEqual(400);
  expect(answer.status).toBeLessThan(500);
  expect(typeof answer.body.problem?.code).toBe('string');
  expect(typeof answer.body.text).toBe('string');
};

describe('malformed input of every route is a 4xx with a typed body (property)', () => {
  const rubbish = fc.oneof(
    fc.jsonValue(),
    fc.string(),
    fc.record({ commandId: fc.string(), valve: fc.jsonValue() }),
    fc.record({ baseVersion: fc.integer(), commandId: fc.uuid(), command: fc.jsonValue() }),
  );
  const posts = [
    '/api/session',
    '/api/jobs',
    '/api/jobs/import',
    '/api/jobs/JOB/commands',
    '/api/jobs/not-an-id/commands',
    '/api/nowhere',
  ];
  it.each(posts)('POST %s', async (path) => {
    await fc.assert(
      fc.asyncProperty(rubbish, async (body) => {
        typed(await ada.post(path.replace('JOB', job), body));
      }),
      { seed: 20, numRuns: 25 },
    );
  });

  const word = fc.string({ minLength: 1, maxLength: 30 }).map((text) => encodeURIComponent(text));
  it('GET with rubbish in the address', async () => {
    await fc.assert(
      fc.asyncProperty(word, async (text) => {
        for (const path of [
          `/api/jobs/${text}x`,
          `/api/jobs/${text}/certificate.pdf`,
          `/api/jobs/${text}/live`,
          `/api/jobs/${text}/export.json`,
          `/api/instruments/${text}/readings`,
          `/api/jobs?cursor=${text}`,
          `/api/jobs?limit=x${text}`,
          `/api/valves?cursor=${text}`,
          `/api/jobs?${text}x=1`,
          `/api/jobs/${job}/live?after=x${text}`,
        ])
          typed(await ada.get(path));
      }),
      { seed: 21, numRuns: 12 },
    );
  });

  it('text that is no JSON, and more than the limit', async () => {
    const send = (body: string) =>
      ada.agent.post('/api/jobs').set(ada.headers()).set('content-type', 'application/json').send(body);
    typed(await send('{"half":'));
    const large = await send(`{"a":"${'x'.repeat(5_500_000)}"}`);
    expect(large.status).toBe(413);
    typed(large);
    typed(await ada.get('/api/%E0%A4%A'));
  });

  it('a command of every kind with a rubbish body stores nothing', async () => {
    const before = await EventRow.count({ where: { jobId: job } });
    const kinds = [
      'identify-valve',
      'do-step',
      'take-measurement',
      'take-runout',
      'make-finding',
      'overrule-call',
      'order-part',
      'receive-part',
      'check-bluing',
      'log-lapping',
      'fit-packing',
      'tighten-bolt',
      'run-pressure-test',
      'release-hold',
      'strike-entry',
      'sign-certificate',
    ];
    await fc.assert(
      fc.asyncProperty(fc.constantFrom(...kinds), fc.jsonValue(), async (kind, body) => {
        typed(await ada.command(job, 2, { kind, body }));
      }),
      { seed: 22, numRuns: 40 },
    );
    expect(await EventRow.count({ where: { jobId: job } })).toBe(before);
  });
});
