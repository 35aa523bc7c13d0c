import { spawn, spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { firstLeadCode } from './sign-in/first-lead';
import { checkPin } from './sign-in/pin';
import { DeviceRow, PersonRow } from './database/models';
import { openShop, Screen, type Shop } from './testing/shop';

/** People from a terminal, as the one who runs the server meets it: the built program, its words and its exit code. */
const built = (name: string) => fileURLToPath(new URL(`dist/${name}.mjs`, import.meta.url));

let shop: Shop;
beforeAll(async () => {
  shop = await openShop();
});
afterAll(() => shop.close());

const environment = () => ({
  ...process.env,
  DATABASE_URL: shop.databaseUrl,
  SESSION_SECRET: shop.config.SESSION_SECRET,
});
function people(args: readonly string[], input = '') {
  const done = spawnSync(process.execPath, [built('people'), ...args], {
    encoding: 'utf8',
    env: environment(),
    input,
  });
  return { code: done.status, printed: done.stdout, said: done.stderr };
}
const pinIn = (printed: string) => /PIN is (\d{6})/.exec(printed)?.[1] ?? '';
const hashOf = async (name: string) => (await PersonRow.findOne({ where: { name } }))?.pinHash;

describe('people.mjs', () => {
  it('adds a person with a made-up PIN, who can sign in with it', async () => {
    const { code, printed } = people(['add', 'Mara Quill', 'inspector']);
    expect(code).toBe(0);
    expect(printed).toContain('Mara Quill is in, as inspector.');
    expect(await checkPin(await hashOf('Mara Quill'), pinIn(printed))).toBe(true);
    expect(people(['list']).printed).toContain('Mara Quill, inspector');
  });
  it('takes a PIN from standard input, and none that is too short for the role', async () => {
    expect(people(['add', 'Odd Fern', 'technician', '--pin-from-input'], '8642\n').code).toBe(0);
    expect(await checkPin(await hashOf('Odd Fern'), '8642')).toBe(true);
    const short = people(['add', 'Lo Vane', 'lead', '--pin-from-input'], '8642\n');
    expect(short.code).toBe(1);
    expect(short.said).toContain('The PIN of a lead has at least 6 digits.');
    expect(await hashOf('Lo Vane')).toBeUndefined();
  });
  it('gives another PIN: the old one and the devices it was used on count no more', async () => {
    const person = await PersonRow.findOne({ where: { name: 'Mara Quill' } });
    await DeviceRow.create({ device: 'a'.repeat(64), personId: person?.id ?? '', seenAt: new Date() });
    const before = await hashOf('Mara Quill');
    const { printed } = people(['pin', 'Mara Quill']);
    expect(await hashOf('Mara Quill')).not.toBe(before);
    expect(await checkPin(await hashOf('Mara Quill'), pinIn(printed))).toBe(true);
    expect(await DeviceRow.count({ where: { personId: person?.id ?? '' } })).toBe(0);
  });
  it('changes a role, and removes, and who is removed is out at the next press', async () => {
    const ada = await Screen.open(shop, 'ada');
    expect(people(['role', 'ada', 'lead']).code).toBe(0);
    expect((await ada.get('/api/session')).body.person.role).toBe('lead');
    expect(people(['remove', 'ada']).printed).toContain('ada is out.');
    expect((await ada.get('/api/jobs')).status).toBe(401);
  });
  it.each([
    [['add', 'Nobody', 'emperor'], /“emperor” is no role\. There are: technician, inspector, lead/],
    [['add', 'bo', 'lead'], /bo is here already/],
    [['pin', 'Ghost'], /There is no “Ghost”\. There are: .*bo/],
    [['fly'], /People of the shop, from a terminal/],
    [[], /node server\/dist\/people\.mjs list/],
  ])('%j is refused in words', (args, words) => {
    const { code, said } = people(args);
    expect(code).toBe(1);
    expect(said).toMatch(words);
  });
});

describe('a server on an empty database', () => {
  it('prints the code that makes the first lead', async () => {
    await PersonRow.destroy({ where: {} });
    const child = spawn('setpriv', ['--pdeathsig=KILL', process.execPath, built('main')], {
      env: { ...environment(), PORT: '0', LOG_LEVEL: 'silent' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let printed = '';
    await new Promise<void>((ready, failed) => {
      child.stdout.on('data', (chunk: Buffer) => {
        printed += chunk.toString();
        if (printed.includes('first lead')) ready();
      });
      child.once('exit', () => failed(new Error(printed)));
    });
    child.removeAllListeners('exit');
    child.kill();
    expect(printed).toContain(firstLeadCode(shop.config));
  });
});
