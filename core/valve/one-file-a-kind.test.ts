import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { closureSchema, MOVER_KINDS } from './features';
import { PART_ROLES } from './parts';

const ROOT = new URL('../../', import.meta.url);
const FOLDERS = ['core', 'contract', 'server', 'web', 'cli'];

const sources = FOLDERS.flatMap((folder) =>
  readdirSync(new URL(`${folder}/`, ROOT), { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(ts|vue)$/.test(file))
    .filter((file) => !/\.test\.ts$|(^|\/)(dist|node_modules|testing)\//.test(file))
    .map((file) => `${folder}/${file}`),
).map((file) => ({ file, text: readFileSync(new URL(file, ROOT), 'utf8') }));

/** Kinds that are also the name of a part or of a dimension, which may stand anywhere. */
const otherWords = new Set<string>([...PART_ROLES, 'flow']);
const kinds = [...closureSchema.options.map(({ shape }) => shape.kind.value), ...MOVER_KINDS].filter(
  (kind) => !otherWords.has(kind),
);

describe('a kind is named where it is defined, and where its records are', () => {
  it.each(kinds)(
    '%s: its schema, a construction, and one record each for valve, procedure and drawings',
    (kind) => {
      const named = sources.filter(({ text }) => text.includes(`'${kind}'`)).map(({ file }) => file);
      expect(named.length, named.join(', ')).toBeLessThanOrEqual(5);
    },
  );
});
