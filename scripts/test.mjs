import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { build } from './build.mjs';
import { dataHome, privateDatabase } from './machine/database.mjs';
import { debianPackages } from './machine/debian.mjs';
import { nodeModules } from './machine/modules.mjs';
import { run } from './machine/run.mjs';
import { main, Plain, root, step } from './machine/say.mjs';
import { totals } from './machine/totals.mjs';

const SUITES = ['unit', 'server', 'e2e'];
const results = join(root, '.data/results');

/** A suite that could not start, or came to no report, is one failure: it is never counted as nothing. */
const NOT_RUN = { passed: 0, failed: 1, skipped: 0 };

async function suite(name, command, args, env) {
  const report = join(results, `${name}.json`);
  rmSync(report, { force: true });
  let ended = true;
  await step(`Tests: ${name}`, () => run(command, args, { env }).catch(() => (ended = false)));
  const counted = existsSync(report) ? totals(name, JSON.parse(readFileSync(report, 'utf8'))) : NOT_RUN;
  // A runner that ends badly without a failed test has failed outside of them.
  return { name, ...counted, failed: ended ? counted.failed : Math.max(1, counted.failed) };
}

await main(async () => {
  const wanted = process.argv.slice(2).filter((name) => SUITES.includes(name));
  const suites = wanted.length > 0 ? wanted : SUITES;
  await debianPackages(
    ...(suites.some((name) => name !== 'unit') ? ['mariadb-server', 'rsync', 'haproxy'] : []),
    ...(suites.includes('server') ? ['poppler-utils'] : []),
    ...(suites.includes('e2e') ? ['chromium-headless-shell'] : []),
  );
  await nodeModules();
  if (suites.some((name) => name !== 'unit')) await build();
  mkdirSync(results, { recursive: true });
  const done = [];
  const vitest = (name) => [
    'vitest',
    'run',
    '--project',
    name,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${join(results, `${name}.json`)}`,
  ];
  if (suites.includes('unit')) done.push(await suite('unit', 'npx', vitest('unit')));
  if (suites.some((name) => name !== 'unit')) {
    const home = dataHome('test');
    for (const name of ['mariadb', 'mariadb.half-made', 'secrets.json'])
      rmSync(join(home, name), { recursive: true, force: true });
    const database = await step('Starting a private database for the tests', () =>
      privateDatabase({ name: 'test', databases: [], mayCreate: true }),
    );
    const stop = () => void database.stop().then(() => process.exit(1));
    process.once('SIGINT', stop);
    process.once('SIGTERM', stop);
    const env = { TEST_DATABASE_URL: database.url('mysql'), NODE_ENV: 'test' };
    try {
      if (suites.includes('server')) done.push(await suite('server', 'npx', vitest('server'), env));
      if (suites.includes('e2e'))
        done.push(
          await suite(
            'e2e',
            'npx',
            ['playwright', 'test', '--config', join(root, 'e2e/playwright.config.ts')],
            { ...env, PLAYWRIGHT_JSON_OUTPUT_NAME: join(results, 'e2e.json') },
          ),
        );
    } finally {
      await database.stop();
    }
  }
  for (const { name, passed, failed, skipped } of done)
    process.stdout.write(`${name}: ${passed} passed, ${failed} failed, ${skipped} skipped\n`);
  const sum = (key) => done.reduce((total, each) => total + each[key], 0);
  process.stdout.write(`\n${sum('passed')} passed, ${sum('failed')} failed, ${sum('skipped')} skipped\n`);
  if (sum('failed') > 0) throw new Plain('Some tests failed.');
});
