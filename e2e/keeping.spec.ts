import { expect, test, type Page } from '@playwright/test';
import { createConnection } from 'mariadb';
import { execFileSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { builtServer } from '../scripts/machine/built-server.mjs';
import { nothingSerious } from './axe';
import { BACKUPS, DATABASE, FIRST, signIn } from './bench';
import { root } from './play-demo';
import { tooSmall } from './sizes';

/** The certificate of a job as it reads, and the code that it is known by. */
async function certificate(page: Page, server: string, job: string) {
  await page.goto(`${server}/jobs/${job}/certificate`);
  await expect(page.getByText(/Signed by/).first()).toBeVisible();
  await expect(page.getByText('by it a printed paper is held against this record')).toBeVisible();
  return (await page.locator('main').innerText()).replaceAll(server, 'the shop');
}

test('backed up from the page; the disk gone; restored elsewhere, a signed certificate says the same', async ({
  page,
}) => {
  test.setTimeout(120_000);
  await signIn(page, 'Petra Lundholm');
  const connection = await createConnection(DATABASE);
  const [signed] = await connection.query<{ id: string }[]>(
    "SELECT id FROM jobs WHERE state = 'released' ORDER BY id LIMIT 1",
  );
  const job = signed?.id ?? '';
  const before = await certificate(page, FIRST, job);

  const file = await test.step('taken now, beside the one that the server took by itself', async () => {
    await page.goto(`${FIRST}/setup`);
    await page.getByRole('button', { name: 'Keeping' }).click();
    const list = page.getByRole('region', { name: 'Keeping' }).getByRole('listitem');
    await expect(list.first()).toContainText('.sql.gz');
    const had = await list.count();
    await page.getByRole('button', { name: 'Back up now' }).click();
    await expect(list).toHaveCount(had + 1);
    await expect(page.getByRole('heading', { name: /^Last backed up/ })).toBeVisible();
    expect(await tooSmall(page)).toEqual([]);
    await nothingSerious(page);
    const ready = (await (await page.request.get(`${FIRST}/readyz`)).json()) as { lastBackup: string };
    expect(Date.parse(ready.lastBackup)).toBeGreaterThan(0);
    return /shop-[\d-]+\.sql\.gz/.exec(await list.first().innerText())?.[0] ?? '';
  });

  const name = `dw_restored_${randomUUID().slice(0, 8)}`;
  await connection.query(`CREATE DATABASE ${name}`);
  const env = {
    ...process.env,
    DATABASE_URL: DATABASE.replace(/\/[^/]*$/, `/${name}`),
    SESSION_SECRET: 'a secret of another machine, 32+ letters',
    WEB_ROOT: join(root, 'web/dist'),
    LOG_LEVEL: 'error',
  };
  const said = execFileSync('npm', ['run', '-s', 'restore', '--', join(BACKUPS, file)], {
    cwd: root,
    env,
    encoding: 'utf8',
  });
  expect(said).toMatch(/Restored as of .* Everybody signs in anew\./);
  const server = await builtServer(env);
  try {
    await test.step('everybody signs in anew, and finds the shop as it was', async () => {
      await page.context().clearCookies();
      await signIn(page, 'Noor Castellane', server.url);
      expect(await certificate(page, server.url, job)).toBe(before);
    });
    const verified = execFileSync('npm', ['run', '-s', 'verify'], { cwd: root, env, encoding: 'utf8' });
    expect(verified).toMatch(/\d+ jobs, \d+ entries; all follow/);
  } finally {
    await server.stop();
    await connection.query(`DROP DATABASE ${name}`);
    await connection.end();
  }
});
