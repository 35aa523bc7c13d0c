import { peopleView, sessionView } from '@dusk-wren/contract';
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { EmptyDatabases } from './testing/empty-databases';

/** What docs/running.md tells whoever runs a server to type, typed in its order on a database with nothing in it. */
const root = fileURLToPath(new URL('..', import.meta.url));
const PAGE = readFileSync(join(root, 'docs/running.md'), 'utf8');
const folder = mkdtempSync(join(tmpdir(), 'running-'));
const databases = new EmptyDatabases();
const stopping: (() => Promise<void>)[] = [];
afterAll(async () => {
  for (const stop of stopping) await stop();
  await databases.drop();
  rmSync(folder, { recursive: true, force: true });
});

const environment = (url: string) => ({
  ...process.env,
  NODE_ENV: 'production',
  DATABASE_URL: url,
  SESSION_SECRET: 'a secret for this test alone, 32 or more',
  BACKUP_DIR: folder,
  PORT: '0',
  HOST: '127.0.0.1',
});

/** A command as the page has it, with FILE or NAME filled in; answers with what it printed. */
function typed(command: string, url: string, fill: Readonly<Record<string, string>> = {}): string {
  expect(PAGE).toContain(command);
  const filled = Object.entries(fill).reduce((line, [word, value]) => line.replace(word, value), command);
  const done = spawnSync('sh', ['-c', filled], { cwd: root, env: environment(url), encoding: 'utf8' });
  expect(done.status, `${filled}\n${done.stdout}${done.stderr}`).toBe(0);
  return done.stdout;
}

/** The server as the page starts it: where it listens, and the code of the first lead where nobody is on file. */
async function started(url: string): Promise<{ at: string; code: string | undefined }> {
  expect(PAGE).toContain('`npm start`');
  const server = spawn('npm', ['start'], { cwd: root, env: environment(url), detached: true });
  const gone = once(server, 'exit');
  stopping.push(async () => {
    if (server.pid !== undefined && server.exitCode === null) process.kill(-server.pid, 'SIGTERM');
    await gone;
  });
  let at: string | undefined;
  for await (const line of createInterface({ input: server.stdout })) {
    at ??= /"ready":"([^"]+)"/.exec(line)?.[1];
    const code = /first lead with this code, good until then: (\S+)/.exec(line)?.[1];
    if (code !== undefined && at !== undefined) return { at, code };
    if (at !== undefined && (await peopleAt(at)).length > 0) return { at, code: undefined };
  }
  throw new Error('it ended before it listened');
}

const sessionAt = async (at: string) => {
  const answer = await fetch(`${at}/api/session`);
  const cookie = answer.headers
    .getSetCookie()
    .map((each) => each.split(';')[0] ?? '')
    .join('; ');
  return { cookie, ...sessionView.parse(await answer.json()) };
};
const peopleAt = async (at: string): Promise<string[]> => {
  const answer = await fetch(`${at}/api/people`);
  return peopleView.parse(await answer.json()).people.map(({ name }) => name);
};

describe('a server of one’s own, by docs/running.md', () => {
  it(
    'is prepared, started, has its first lead, is backed up, checked, and stands elsewhere again',
    { timeout: 120_000 },
    async () => {
      const url = await databases.make();
      typed('node server/dist/prepare.mjs', url);
      const { at, code } = await started(url);

      const { cookie, csrf } = await sessionAt(at);
      const answer = await fetch(`${at}/api/first-lead`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-csrf-token': csrf, cookie },
        body: JSON.stringify({ code, name: 'Lou Harrow', pin: '864213' }),
      });
      expect(answer.status, await answer.clone().text()).toBe(201);
      expect((await fetch(`${at}/readyz`)).status).toBe(200);
      expect(await (await fetch(`${at}/sign-in`)).text()).toContain('<div id="app">');
      expect(typed('node server/dist/people.mjs list', url)).toContain('Lou Harrow, lead');

      const file = /\S+\.sql\.gz/.exec(typed('npm run backup', url))?.[0] ?? '';
      expect(file).toMatch(/shop-.*\.sql\.gz$/);
      const FILE = file.includes('/') ? file : join(folder, file);
      typed('npm run verify', url);
      typed('npm run verify FILE', url, { FILE });

      const elsewhere = await databases.make();
      typed('npm run restore FILE', elsewhere, { FILE });
      const again = await started(elsewhere);
      expect(again.code).toBeUndefined();
      expect(await peopleAt(again.at)).toEqual(['Lou Harrow']);
    },
  );
});
