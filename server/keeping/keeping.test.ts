import { randomBytes, randomUUID } from 'node:crypto';
import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gunzipSync, gzipSync } from 'node:zlib';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { connect } from '../database/connection';
import { defineModels, EventRow, PhotoRow } from '../database/models';
import { up } from '../database/migrations/009-keeping';
import { EmptyDatabases } from '../testing/empty-databases';
import { note, openShop, Screen, type Shop } from '../testing/shop';
import { backUp } from './backup';
import { backupName, backupsIn, prune } from './backup-files';
import { checkLogs } from './check-logs';
import { checkBackup } from './read-backup';
import { restore } from './restore';
import { isBackupDue } from './schedule';

const KEEP = fileURLToPath(new URL('../dist/keep.mjs', import.meta.url));
const PASSPHRASE = 'correct horse battery staple';

let shop: Shop;
let lea: Screen;
let job: string;
let folder: string;
const databases = new EmptyDatabases();

beforeAll(async () => {
  shop = await openShop();
  folder = await mkdtemp(join(tmpdir(), 'kept-'));
  lea = await Screen.open(shop, 'lea');
  job = await lea.openJob(shop);
  for (let i = 0; i < 3; i++)
    await lea.command(job, await versionOf(job), note(`said ${i}, “ä” and a \\ too`));
});
afterAll(async () => {
  await shop.close();
  await rm(folder, { recursive: true, force: true });
  await databases.drop();
});

async function versionOf(id: string): Promise<number> {
  return Number((await lea.get(`/api/jobs/${id}`)).body.version);
}

async function take(passphrase?: string, keep = 14, now = new Date()) {
  const kept = await backUp(
    shop.sequelize,
    {
      DATABASE_URL: shop.databaseUrl,
      SHOP_NAME: 'Test Street valve shop',
      BACKUP_KEEP: keep,
      BACKUP_PASSPHRASE: passphrase,
      folder,
    },
    () => now,
  );
  if (!kept) throw new Error('another one is being taken');
  return kept;
}

/** Looks into another database with the same models, and gives them back. */
async function inside<T>(url: string, look: () => Promise<T>): Promise<T> {
  const sequelize = connect(url);
  defineModels(sequelize);
  try {
    return await look();
  } finally {
    defineModels(shop.sequelize);
    await sequelize.close();
  }
}

const pictureOf = (bytes: number) => ({
  ...{ id: randomUUID(), jobId: job, width: 2, height: 2 },
  body: randomBytes(bytes),
});
const logRows = () => EventRow.findAll({ order: [['id', 'ASC']], raw: true });

describe('a back-up', () => {
  it('brings a shop back as it was, photographs and letters, into an empty place', async () => {
    const photo = pictureOf(500);
    await PhotoRow.create(photo);
    const before = await logRows();
    const { file, bytes } = await take();
    expect(bytes).toBeGreaterThan(1000);
    const url = await databases.make();
    const head = await restore({
      file: join(folder, file),
      url,
      passphrase: undefined,
      say: () => undefined,
    });
    expect(head.shop).toBe('Test Street valve shop');
    await inside(url, async () => {
      expect(await logRows()).toEqual(before);
      expect((await PhotoRow.findByPk(photo.id))?.body).toEqual(photo.body);
      expect((await checkLogs()).faults).toEqual([]);
    });
    await PhotoRow.destroy({ where: { id: photo.id } });
  });
  it('is SQL that MariaDB’s own client reads, without this application', async () => {
    const { file } = await take(undefined, 14, new Date('2026-01-02T03:04:05Z'));
    expect(file).toBe('shop-2026-01-02-030405.sql.gz');
    const sql = gunzipSync(await readFile(join(folder, file))).toString();
    expect(sql).toMatch(/^-- Dusk Wren back-up \{"format":1,/);
    expect(sql).toMatch(/CREATE TABLE `job_events`/);
    expect(sql).not.toMatch(/INSERT INTO `sessions`/);
    // The last line is the sum of all before it, as coreutils make it.
    const [text, said] = sql.split(/-- sha256 (?=[0-9a-f]{64}\n$)/);
    const sum = spawnSync('sha256sum', { input: text ?? '', encoding: 'utf8' }).stdout.slice(0, 64);
    expect(said?.trim()).toBe(sum);
  });
  it('keeps so many, the newest, and touches nothing else in the folder', async () => {
    const own = await mkdtemp(join(tmpdir(), 'kept-'));
    const names = [1, 2, 3, 4].map((day) => backupName(new Date(`2026-03-0${day}T01:00:00Z`), day === 4));
    for (const name of [...names, 'letters.txt', `${names[0]}.unfinished`])
      await writeFile(join(own, name), '');
    await prune(own, 2);
    expect((await readdir(own)).sort()).toEqual(['letters.txt', ...names.slice(2)]);
    expect(await backupsIn(own)).toEqual(names.slice(2));
    await rm(own, { recursive: true });
  });
  it('that fails says why, leaves no half file, and is on the list', async () => {
    const gone = { DATABASE_URL: shop.databaseUrl.replace(/:\d+\//, ':9/'), folder };
    const before = await readdir(folder);
    await expect(
      backUp(
        shop.sequelize,
        { ...gone, SHOP_NAME: 'x', BACKUP_KEEP: 3, BACKUP_PASSPHRASE: undefined },
        () => new Date(),
      ),
    ).rejects.toThrow(/mariadb-dump ended with 2/);
    expect(await readdir(folder)).toEqual(before);
    const { body } = await lea.get('/api/setup/backups');
    expect(body.backups[0].failed).toMatch(/mariadb-dump ended/);
    expect(body.lastGood.file).toMatch(/^shop-/);
  });
  it('is taken by one server at a time: the other leaves it, and says nothing of it', async () => {
    const [first, second] = await Promise.allSettled([take(), take()]);
    const whole = [first, second].filter(({ status }) => status === 'fulfilled');
    expect(whole).toHaveLength(1);
    expect((await lea.get('/api/setup/backups')).body.backups[0].failed).toBeNull();
  });
  it('is due after its hours, and when the clock says that the last one is still to come', async () => {
    const at = new Date('2027-05-01T00:00:00Z');
    await take(undefined, 14, at);
    const after = (hours: number) => new Date(at.getTime() + hours * 3_600_000);
    expect(await isBackupDue(24, after(23))).toBe(false);
    expect(await isBackupDue(24, after(24))).toBe(true);
    expect(await isBackupDue(24, after(-1))).toBe(true);
  });
});

describe('a file that is not whole', () => {
  it('is refused wherever it was cut or changed, before anything is written', async () => {
    const { file } = await take(undefined, 14, new Date('2026-02-01T00:00:00Z'));
    const whole = await readFile(join(folder, file));
    const text = gunzipSync(whole);
    const spoilt: readonly [string, Buffer][] = [
      ['cut', whole.subarray(0, whole.length - 20)],
      ['cut', whole.subarray(0, 100)],
      ['no last line', gzipSync(text.subarray(0, text.length - 74))],
      ['changed', gzipSync(Buffer.from(text.toString('latin1').replace('said 1', 'said 9'), 'latin1'))],
      ['something else', gzipSync(Buffer.from('DROP TABLE jobs;\n'.repeat(20)))],
      ['nothing', Buffer.alloc(0)],
    ];
    const url = await databases.make();
    for (const [what, bytes] of spoilt) {
      const path = join(folder, 'spoilt');
      await writeFile(path, bytes);
      await expect(
        restore({ file: path, url, passphrase: undefined, say: () => undefined }),
        what,
      ).rejects.toThrow(/cut off|damaged|sum|no back-up|empty|ends before/);
    }
    await inside(url, async () => {
      await expect(EventRow.count()).rejects.toThrow();
    });
  });
});

describe('a sealed back-up', () => {
  it('opens with its passphrase alone, and shows nothing of what is in it', async () => {
    const { file } = await take(PASSPHRASE, 14, new Date('2026-02-02T00:00:00Z'));
    const path = join(folder, file);
    expect(file).toMatch(/\.sealed$/);
    expect((await checkBackup(path, PASSPHRASE)).shop).toBe('Test Street valve shop');
    await expect(checkBackup(path, undefined)).rejects.toThrow(/is sealed/);
    await expect(checkBackup(path, 'another passphrase')).rejects.toThrow(/does not open|unpacked/);
    const changed = Buffer.from(await readFile(path));
    changed[changed.length - 40] = (changed[changed.length - 40] ?? 0) ^ 1;
    await writeFile(join(folder, 'changed'), changed);
    await expect(checkBackup(join(folder, 'changed'), PASSPHRASE)).rejects.toThrow(/does not open|unpacked/);
  });
});

describe('a restore', () => {
  it('goes into an empty place alone: a shop that is there is not touched', async () => {
    const { file } = await take(undefined, 14, new Date('2026-02-03T00:00:00Z'));
    const had = await EventRow.count();
    await expect(
      restore({
        file: join(folder, file),
        url: shop.databaseUrl,
        passphrase: undefined,
        say: () => undefined,
      }),
    ).rejects.toThrow(/not empty/);
    expect(await EventRow.count()).toBe(had);
  });
  it('killed in the middle is known for a half, served by nobody, and done whole by the next', async () => {
    // So much that loading takes a while.
    const photos = Array.from({ length: 4 }, () => pictureOf(2e6));
    for (const photo of photos) await PhotoRow.create(photo);
    const { file } = await take(undefined, 14, new Date('2026-02-04T00:00:00Z'));
    const before = await logRows();
    const url = await databases.make();
    const env = { ...process.env, DATABASE_URL: url, SESSION_SECRET: shop.config.SESSION_SECRET };
    const child = spawn(process.execPath, [KEEP, 'restore', join(folder, file)], { env });
    const killed = once(child, 'exit');
    child.stdout.on('data', (chunk: Buffer) => {
      if (chunk.toString().includes('Loading')) child.kill('SIGKILL');
    });
    expect((await killed)[1]).toBe('SIGKILL');
    const main = fileURLToPath(new URL('../dist/main.mjs', import.meta.url));
    const served = spawnSync(process.execPath, [main], { env: { ...env, PORT: '0' }, encoding: 'utf8' });
    expect(served.status).toBe(1);
    expect(served.stderr).toMatch(/a restore into this database was cut off/);
    const again = spawnSync(process.execPath, [KEEP, 'restore', join(folder, file)], {
      env,
      encoding: 'utf8',
    });
    expect(again.stderr).toBe('');
    expect(again.status).toBe(0);
    await inside(url, async () => {
      expect(await logRows()).toEqual(before);
      expect(await PhotoRow.count()).toBe(photos.length);
    });
    await PhotoRow.destroy({ where: {} });
  });
});

describe('a log that was edited outside the application', () => {
  const edit = (sql: string) => shop.sequelize.query(sql, { replacements: { job } });
  let rows: EventRow[];
  beforeEach(async () => {
    rows = await logRows();
    expect((await checkLogs()).faults).toEqual([]);
  });
  afterEach(async () => {
    await EventRow.destroy({ where: {} });
    await EventRow.bulkCreate(rows);
  });
  it.each([
    [
      'a word',
      "SET body = REPLACE(body, 'said 1', 'said 7')",
      /entry 4 \(note-added, .*outside the application/,
    ],
    ['a name', "SET person = REPLACE(person, 'lea', 'ivo')", /entry 1 /],
    ['a moment', "SET at = IF(seq = 5, '2020-01-01T00:00:00.000Z', at)", /entry 5 /],
    ['two that changed places', 'SET seq = CASE seq WHEN 3 THEN 99 WHEN 4 THEN 3 ELSE seq END', /entry 3 /],
  ])('%s is said, and where', async (_what, change, where) => {
    await edit(`UPDATE job_events ${change} WHERE job_id = :job ORDER BY seq`);
    await edit('UPDATE job_events SET seq = 4 WHERE job_id = :job AND seq = 99');
    const { faults } = await checkLogs();
    expect(faults).toEqual([{ job, tag: 'T-1', what: expect.stringMatching(where) as string }]);
  });
  it.each([
    [2, 'entry 2 is missing'],
    [5, 'entries 5 to 5 are missing'],
  ])('entry %d taken out is missed', async (seq, what) => {
    await edit(`DELETE FROM job_events WHERE job_id = :job AND seq = ${seq}`);
    expect((await checkLogs()).faults).toEqual([{ job, tag: 'T-1', what }]);
  });
  it('an older log gets its hashes by the migration, the same that the server gives', async () => {
    await edit("UPDATE job_events SET hash = '', told_by_device = IF(seq = 4, 1, told_by_device)");
    await up(shop.sequelize.getQueryInterface());
    expect((await checkLogs()).faults).toEqual([]);
    const now = await logRows();
    expect(now[2]?.hash).toBe(rows[2]?.hash);
    expect(now[3]?.hash).not.toBe(rows[3]?.hash);
  });
  it('another preparation gives no hashes to what was altered', async () => {
    await edit("UPDATE job_events SET body = '{}' WHERE job_id = :job AND seq = 3");
    await up(shop.sequelize.getQueryInterface());
    expect((await checkLogs()).faults).toHaveLength(1);
  });
});
