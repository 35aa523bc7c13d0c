import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { root } from '../machine/say.mjs';

const LIMIT_KB = 250;
const dist = join(root, 'web/dist');

/** Gzipped JavaScript of the entry and everything the floor page needs before it can be shown. */
export function firstLoad(report) {
  const manifest = JSON.parse(readFileSync(join(dist, '.vite/manifest.json'), 'utf8'));
  const needed = new Set();
  const take = (key) => {
    const chunk = manifest[key];
    if (!chunk || needed.has(chunk.file)) return;
    needed.add(chunk.file);
    (chunk.imports ?? []).forEach(take);
  };
  take('index.html');
  take('pages/FloorPage.vue');
  const bytes = [...needed]
    .filter((file) => file.endsWith('.js'))
    .reduce((total, file) => total + gzipSync(readFileSync(join(dist, file))).length, 0);
  report('JavaScript of the first load, gzipped', bytes / 1000, LIMIT_KB, 'kB');
}
