import { openApiDocument, OPERATIONS } from '@dusk-wren/contract/open-api';
import type { Router } from 'express';
import { execFile } from 'node:child_process';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import openapiTS, { astToString } from 'openapi-typescript';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { z } from 'zod';
import { openShop, PIN, Screen, type Shop } from './testing/shop';

const run = promisify(execFile);
const root = join(import.meta.dirname, '..');
/** What serves our own pages alone, and may change with them. */
const OUR_PAGES = [
  ...[
    '/setup/',
    '/drills',
    '/outages',
    '/fleet',
    '/week/',
    '/instruments/',
    '/jobs/:id/stock',
    '/jobs/import',
  ],
  ...['/jobs/:id/recalls', '/fault-counts', '/screw-effects', '/badge', '/own-pin', '/first-lead'],
  ...['/openapi.json', '/jobs/:id/photos/:photo'],
];

/** Every way into the server, as it is registered. */
function routesOf({ stack }: Router): string[] {
  return stack.flatMap(({ route, handle }) => {
    if (route) {
      const methods = route.stack.map(({ method }) => method);
      return [...new Set(methods)].map((method) => `${method} ${route.path}`);
    }
    const inner: unknown = handle;
    return typeof inner === 'function' && 'stack' in inner ? routesOf(inner as unknown as Router) : [];
  });
}

describe('what other programs may ask', () => {
  let shop: Shop;
  let server: Server;
  let base: string;
  beforeAll(async () => {
    shop = await openShop();
    server = createServer(shop.app.express);
    await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
    base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(async () => {
    await new Promise((closed) => server.close(closed));
    await shop.close();
  });

  it('is told to whoever asks, and nothing of the shop with it', async () => {
    const answer = await request(shop.app.express).get('/api/openapi.json');
    expect([answer.status, answer.headers['set-cookie']]).toEqual([200, undefined]);
    expect(answer.body).toEqual(JSON.parse(JSON.stringify(openApiDocument())));
    expect(answer.text).not.toContain('Test Street');
  });
  it('names every way into the server, but those of our own pages', () => {
    const told = new Set(
      OPERATIONS.map(({ method, path }) => `${method} ${path.replaceAll(/\{(\w+)\}/g, ':$1')}`),
    );
    const there = routesOf(shop.app.express.router).filter((route) => !/ \/(healthz|readyz)$/.test(route));
    expect(there.length).toBeGreaterThan(100);
    const silent = there.filter((route) => !told.has(route));
    expect(silent.filter((route) => !OUR_PAGES.some((ours) => route.includes(` ${ours}`)))).toEqual([]);
    // Those of signing in stand behind what lets machines past them.
    const behind = OPERATIONS.filter(({ group }) => group === 'Signing in').map(({ path }) => ` ${path}`);
    const gone = [...told].filter((route) => !there.includes(route));
    expect(gone.filter((route) => !behind.some((path) => route.endsWith(path)))).toEqual([]);
  });
  it('lets nobody in who is not signed in, where it says so', async () => {
    const nobody = request.agent(shop.app.express);
    const asked = OPERATIONS.filter(({ who }) => who !== 'anybody');
    const open = [];
    for (const { method, path } of asked) {
      const { status } = await nobody[method](`/api${path.replaceAll(/\{(\w+)\}/g, shop.valve)}`);
      if (status !== 401 && status !== 403) open.push([path, status]);
    }
    expect(open).toEqual([]);
    expect(asked.length).toBeGreaterThan(40);
  });
  it('answers as it says, by its own schemas', async () => {
    const lea = await Screen.open(shop, 'lea');
    const job = await lea.openJob(shop);
    const wanted: Readonly<Record<string, string>> = { due: '?by=2030-01-01', valvesLike: '?tag=T-1' };
    let looked = 0;
    for (const { id, method, path, answer, who } of OPERATIONS) {
      if (method !== 'get' || who === 'machine' || !('json' in answer) || path.includes('{code}')) continue;
      const address = path.replace('{id}', path.startsWith('/register') ? shop.valve : job);
      const got = await lea.get(`/api${address}${wanted[id] ?? ''}`);
      expect([id, got.status, answer.json.safeParse(got.body).error]).toEqual([id, 200, undefined]);
      looked += 1;
    }
    expect(looked).toBeGreaterThan(15);
  });
  it('a client made from the document does a job end to end', async () => {
    const made = join(root, '.data/client');
    mkdirSync(made, { recursive: true });
    const told = await request(base).get('/api/openapi.json');
    const types = astToString(await openapiTS(told.text));
    writeFileSync(join(made, 'api.d.ts'), types);
    await run('npm', ['run', '-s', 'tsc', '--', '--noEmit', '-p', 'server/testing/client'], { cwd: root });
    const args = ['--import', 'tsx', 'server/testing/client/do-a-job.ts', base, PIN];
    const { stdout } = await run(process.execPath, args, { cwd: root, maxBuffer: 2 ** 24 });
    const done = z
      .object({
        job: z.uuid(),
        sent: z.number(),
        kinds: z.array(z.string()),
        code: z.string().nullable(),
        paper: z.string(),
      })
      .parse(JSON.parse(stdout));
    expect(done.kinds).toEqual(expect.arrayContaining(['job-opened', 'hold-released', 'certificate-signed']));
    expect(done.sent).toBeGreaterThan(50);
    expect([done.paper, done.code]).toEqual(['%PDF-', expect.stringMatching(/^[0-9A-F -]{20,}$/)]);
    const ada = await Screen.open(shop, 'ada');
    const { body } = await ada.get('/api/jobs?state=released&q=CL-1');
    expect(body.jobs.map(({ id }: { id: string }) => id)).toEqual([done.job]);
  });
});
