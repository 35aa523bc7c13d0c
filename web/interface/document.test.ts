import { openApiDocument, OPERATIONS } from '@dusk-wren/contract/open-api';
import { describe, expect, it } from 'vitest';
import { documentView, inWords, partsOf, waysOf, whoMay } from './document';

const document = documentView.parse(JSON.parse(JSON.stringify(openApiDocument())));
const { schemas } = document.components;
const wayOf = (id: string) => {
  const found = waysOf(document, '')
    .flatMap(({ ways }) => ways)
    .find(({ asked }) => asked.operationId === id);
  if (!found) throw new Error(id);
  return found;
};

describe('the page of what other programs may ask', () => {
  it('shows everything that is in the document', () => {
    const shown = waysOf(document, '').flatMap(({ ways }) => ways.map(({ asked }) => asked.operationId));
    expect(shown.toSorted()).toEqual(OPERATIONS.map(({ id }) => id).toSorted());
  });
  it('finds by a word of the path, the name or what it does', () => {
    const found = waysOf(document, 'Order work ').flatMap(({ ways }) => ways.map(({ path }) => path));
    expect(new Set(found)).toEqual(
      new Set(['/work-orders', '/work-orders/{number}', '/work-orders/{number}/refuse']),
    );
    expect(waysOf(document, 'no such thing')).toEqual([]);
  });
  it('says who may', () => {
    expect(whoMay(wayOf('getSession').asked)).toBe('anybody');
    expect(whoMay(wayOf('due').asked)).toBe('whoever is signed in; a token for due');
    expect(whoMay(wayOf('handInOrder').asked)).toBe('a token for orders');
  });
  it('opens a schema part by part, through names, lists and kinds', () => {
    const parts = partsOf({ $ref: '#/components/schemas/HandInOrderRequest' }, schemas);
    expect(parts.find(({ name }) => name === 'tag')).toMatchObject({ isLeftOut: false });
    expect(parts.find(({ name }) => name === 'due')).toMatchObject({ isLeftOut: true });
    const commands = partsOf({ $ref: '#/components/schemas/Command' }, schemas).map(({ name }) => name);
    expect(commands).toContain('take-measurement');
    const jobs = partsOf({ $ref: '#/components/schemas/ListJobsAnswer' }, schemas);
    const lines = jobs.find(({ name }) => name === 'jobs');
    expect(partsOf(lines?.shape ?? {}, schemas).map(({ name }) => name)).toContain('tag');
  });
  it.each([
    [{ type: 'string', maxLength: 40 }, 'string (40 letters at most)'],
    [{ type: 'integer', minimum: 0, maximum: Number.MAX_SAFE_INTEGER }, 'integer (from 0)'],
    [{ enum: ['US', 'SI'] }, '"US" | "SI"'],
    [{ type: 'array', items: { $ref: '#/components/schemas/Entry' } }, 'list of Entry'],
    [{ anyOf: [{ type: 'string' }, { type: 'null' }] }, 'string or null'],
    [{}, 'anything'],
  ])('%j is “%s”', (shape, words) => {
    expect(inWords(shape)).toBe(words);
  });
});
