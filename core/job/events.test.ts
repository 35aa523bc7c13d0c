import { describe, expect, it } from 'vitest';
import first from './samples/format-1.json';
import later from './samples/format-1-later-kinds.json';
import { describeEntry, entrySchema, EVENTS, readEntry, type EventKind } from '.';

/** One stored entry of every kind, out of the frozen log or, for a kind that came after it, frozen beside it. */
const frozen: readonly { kind: string }[] = [...first, ...later];
const KINDS = Object.keys(EVENTS) as EventKind[];
const sample = (kind: EventKind): Record<string, unknown> => {
  const found = frozen.find((entry) => entry.kind === kind);
  if (!found) throw new Error(`the frozen log has no ${kind}`);
  return structuredClone(found);
};

describe.each(KINDS)('an entry of %s', (kind) => {
  it('reads as it was written, and goes to JSON and back unchanged', () => {
    const entry = entrySchema.parse(sample(kind));
    expect(entry.kind).toBe(kind);
    expect(entrySchema.parse(JSON.parse(JSON.stringify(entry)))).toEqual(entry);
  });
  it('has a line for the log that a person can read', () => {
    const line = describeEntry(entrySchema.parse(sample(kind)));
    expect(line.length).toBeGreaterThan(1);
    expect(line).not.toMatch(/undefined|\[object|NaN/);
  });
  it.each(['seq', 'commandId', 'by', 'at', 'body'])('without its %s is broken, and said to be', (field) => {
    const { [field]: _gone, ...rest } = sample(kind);
    expect(readEntry(rest).problem?.code).toMatch(/^event\./);
  });
  it('with something in its body that no version knows is broken', () => {
    const entry = sample(kind);
    expect(readEntry({ ...entry, body: { ...(entry['body'] as object), paint: 'red' } }).problem?.code).toBe(
      'event.broken',
    );
  });
  it('of a later format is refused by name, never guessed at', () => {
    expect(readEntry({ ...sample(kind), format: EVENTS[kind].format + 1 }).problem).toMatchObject({
      code: 'event.unknown-format',
      kind,
    });
  });
  it.each([
    ['seq', 0],
    ['seq', 1.5],
    ['at', 'yesterday'],
    ['commandId', 'one'],
    ['by', { name: 'nobody' }],
  ])('with the %s %j is broken', (field, value) => {
    expect(readEntry({ ...sample(kind), [field]: value }).ok).toBe(false);
  });
});
