import { spawn, spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import { describe, expect, it } from 'vitest';

/** Starting up, as a person at a terminal meets it: what is wrong is said, nothing is left running, exit code not 0. */
function script(name, environment = {}, args = []) {
  const { DATABASE_URL: _url, SESSION_SECRET: _secret, ...inherited } = process.env;
  const done = spawnSync(process.execPath, [`scripts/${name}.mjs`, ...args], {
    encoding: 'utf8',
    env: { ...inherited, ...environment },
    timeout: 60_000,
  });
  return { code: done.status, said: done.stderr, printed: done.stdout };
}

describe('npm run demo', () => {
  it.each(['eighty', '0', '70000', '4780.5'])('PORT=%s is refused in words', (PORT) => {
    const { code, said } = script('demo', { PORT });
    expect(code).toBe(1);
    expect(said).toContain(`PORT is ${PORT}; it must be a number from 1 to 65535.`);
  });
  it('a port in use is said, with the way out, before anything is made', async () => {
    const taken = createServer();
    await new Promise((ready) => taken.listen(0, '127.0.0.1', ready));
    const { port } = taken.address();
    const demo = spawn(process.execPath, ['scripts/demo.mjs'], {
      env: { ...process.env, PORT: String(port) },
    });
    const [printed, said] = [[], []];
    demo.stdout.on('data', (chunk) => printed.push(String(chunk)));
    demo.stderr.on('data', (chunk) => said.push(String(chunk)));
    const code = await new Promise((ended) => demo.on('close', ended));
    taken.close();
    expect(code).toBe(1);
    expect(said.join('')).toContain(
      `Port ${port} is in use. Stop what uses it, or choose another: PORT=4781 npm run demo`,
    );
    expect(printed.join('')).not.toContain('database');
  });
});

describe('npm start', () => {
  it('names every wrong value of the environment', () => {
    const { code, said, printed } = script('start', { PORT: 'x' });
    expect(code).not.toBe(0);
    const told = said + printed;
    if (/Nothing is built yet/.test(told)) expect(told).toContain('npm run build');
    else for (const name of ['DATABASE_URL', 'SESSION_SECRET', 'PORT']) expect(told).toContain(name);
  });
});

describe('npm test', () => {
  it('its scripts are plain Node without packages, so that they run before npm ci', async () => {
    const { readdirSync, readFileSync } = await import('node:fs');
    const files = ['scripts', 'scripts/machine'].flatMap((folder) =>
      readdirSync(folder)
        .filter((name) => name.endsWith('.mjs') && !name.endsWith('.test.mjs'))
        .map((name) => `${folder}/${name}`),
    );
    expect(files.length).toBeGreaterThan(8);
    for (const file of files) {
      const imported = [...readFileSync(file, 'utf8').matchAll(/^import .* from '([^']+)'/gm)].map(
        ([, from]) => from ?? '',
      );
      expect(
        imported.filter((from) => !from.startsWith('node:') && !from.startsWith('.')),
        file,
      ).toEqual([]);
    }
  });
});
