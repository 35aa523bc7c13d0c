import { execFile } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { nodeModules } from './machine/modules.mjs';
import { main, root, step } from './machine/say.mjs';
import { run } from './machine/run.mjs';

const SOURCES = [
  'core',
  'contract',
  'server',
  'web',
  'scripts/build.mjs',
  'package-lock.json',
  'tsconfig.base.json',
];
const MARK = join(root, 'server/dist/.built-from');

function* files(path) {
  if (!statSync(path).isDirectory()) {
    yield path;
    return;
  }
  for (const name of readdirSync(path).sort())
    if (name !== 'dist' && name !== 'node_modules' && !name.endsWith('.test.ts'))
      yield* files(join(path, name));
}

function sourceHash() {
  const hash = createHash('sha256');
  for (const source of SOURCES)
    for (const file of files(join(root, source)))
      hash.update(file.slice(root.length)).update(readFileSync(file));
  return hash.digest('hex');
}

/** Builds pages and server, when anything they are made of has changed. */
export async function build() {
  const hash = sourceHash();
  if (
    existsSync(MARK) &&
    existsSync(join(root, 'web/dist/index.html')) &&
    readFileSync(MARK, 'utf8') === hash
  )
    return;
  await step('Building the pages', () =>
    run('npx', ['vite', 'build', '--logLevel', 'warn'], {
      cwd: join(root, 'web'),
      quiet: true,
      failure: 'The pages did not build',
    }),
  );
  await step('Building the server', async () => {
    const esbuild = await import('esbuild');
    await esbuild.build({
      entryPoints: [
        ...['main', 'prepare', 'people', 'keep', 'bench-device'],
        ...['documents/printer-worker', 'week/planner-worker'],
      ].map((name) => ({ in: join(root, `server/${name}.ts`), out: basename(name) })),
      outdir: join(root, 'server/dist'),
      outExtension: { '.js': '.mjs' },
      bundle: true,
      platform: 'node',
      target: 'node20',
      format: 'esm',
      sourcemap: true,
      legalComments: 'none',
      plugins: [workspacesInside],
      logLevel: 'warning',
    });
  });
  mkdirSync(join(root, 'server/dist'), { recursive: true });
  await step('Writing the bill of materials', materials);
  writeFileSync(MARK, hash);
}

/**
 * What of others runs in production, with version and licence, as CycloneDX: for whoever has to know. `--omit=dev` would
 * leave out what development needs as well, Vue among it: what is for development alone is marked, and left out here.
 */
async function materials() {
  const { stdout } = await promisify(execFile)(
    'npm',
    ['sbom', '--sbom-format=cyclonedx', '--sbom-type=application'],
    { cwd: root, maxBuffer: 64 * 1024 * 1024 },
  );
  const bill = JSON.parse(stdout);
  const isForDevelopment = ({ properties = [] }) =>
    properties.some(({ name, value }) => name === 'cdx:npm:package:development' && value === 'true');
  const components = bill.components.filter((each) => !isForDevelopment(each));
  const here = new Set(components.map((each) => each['bom-ref']));
  const dependencies = bill.dependencies
    .filter(({ ref }) => here.has(ref) || ref === bill.metadata.component['bom-ref'])
    .map(({ ref, dependsOn }) => ({ ref, dependsOn: dependsOn.filter((each) => here.has(each)) }));
  writeFileSync(
    join(root, 'server/dist/bill-of-materials.cdx.json'),
    JSON.stringify({ ...bill, components, dependencies }, null, 1),
  );
}

/** Our own workspaces go into the bundle, packages from npm stay outside. */
const workspacesInside = {
  name: 'workspaces-inside',
  setup(builder) {
    builder.onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@dusk-wren/') ? undefined : { path, external: true },
    );
  },
};

if (import.meta.url === pathToFileURL(process.argv[1]).href) {
  await main(async () => {
    await nodeModules();
    await build();
  });
}
