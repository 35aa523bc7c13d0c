import { Validator } from '@seriousme/openapi-schema-validator';
import { COMMANDS } from '@dusk-wren/core/command';
import { describe, expect, it } from 'vitest';
import { openApiDocument, OPERATIONS } from '.';

const document = openApiDocument();
const text = JSON.stringify(document);

describe('the document of what other programs may ask', () => {
  it('is OpenAPI 3.1 by the schema of that specification', async () => {
    const validator = new Validator();
    const { valid, errors } = await validator.validate(JSON.parse(text));
    expect({ valid, errors }).toEqual({ valid: true, errors: undefined });
    expect(validator.version).toBe('3.1');
  });
  it('has every operation once, by a name of its own', () => {
    const ids = OPERATIONS.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    const ways = Object.values(document.paths).flatMap((path) => Object.keys(path));
    expect(ways).toHaveLength(OPERATIONS.length);
  });
  it('refers to nothing that it does not have', () => {
    const refs = new Set([...text.matchAll(/"\$ref":"([^"]*)"/g)].map(([, ref]) => ref ?? ''));
    const missing = [...refs].filter((ref) => {
      const name = /^#\/components\/schemas\/(\w+)$/.exec(ref)?.[1];
      return name === undefined || document.components.schemas[name] === undefined;
    });
    expect(missing).toEqual([]);
    expect(refs.size).toBeGreaterThan(30);
  });
  it('says every part of a path', () => {
    for (const { path, parameters = {} } of OPERATIONS)
      expect(Object.keys(parameters)).toEqual([...path.matchAll(/\{(\w+)\}/g)].map(([, name]) => name));
  });
  it('knows every command of the bench', () => {
    const { oneOf = [] } = document.components.schemas['Command'] ?? {};
    const kinds = JSON.stringify(oneOf);
    for (const kind of Object.keys(COMMANDS)) expect(kinds).toContain(`"const":"${kind}"`);
  });
  it('asks a token of every write, and a scope of every machine', () => {
    const { post } = document.paths['/jobs/{id}/commands'] ?? {};
    expect(JSON.stringify(post)).toContain('x-csrf-token');
    expect(JSON.stringify(document.paths['/due']?.['get'])).toContain('{"token":["due"]}');
    expect(JSON.stringify(document.paths['/due/open']?.['post'])).not.toContain('"token"');
  });
});
