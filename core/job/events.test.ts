import { describe, expect, it } from 'vitest';
import first from './samples/frozen-2026-11-26.json';
import later from './samples/frozen-2026-11-26-later-kinds.json';
import places from './samples/frozen-2026-11-26-place.json';
import scopes from './samples/frozen-2026-11-26-scope.json';
import rounds from './samples/frozen-2026-11-26-ways-round.json';
import live from './samples/frozen-2026-11-27-live.json';
import leaks from './samples/frozen-2026-11-27-leak.json';
import strokes from './samples/frozen-2026-11-27-stroke.json';
import leftForNow from './samples/frozen-2026-11-28-left-for-now.json';
import recorded from './samples/frozen-2026-11-29-recorded.json';
import tests from './samples/frozen-2026-11-26-pressure-tested.json';
import { must } from '../problem';
import { defaultValve, type ConstructionId, type Features } from '../valve';
import { describeEntry, EVENTS, fold, placeOf, readEntry, readLog, scopeOf, type EventKind } from '.';

/**
 * Stored entries, frozen as a version of that day wrote them: every kind that there was, and a kind that had a new format
 * then in both. A file is never edited again; a new format freezes a new one.
 */
const frozen: readonly { kind: string }[] = [
  ...first,
  ...later,
  ...places,
  ...scopes,
  ...rounds,
  ...live,
  ...strokes,
  ...leaks,
  ...leftForNow,
];
const sample = (kind: string): Record<string, unknown> => {
  const found = frozen.find((entry) => entry.kind === kind);
  if (!found) throw new Error(`the frozen log has no ${kind}`);
  return structuredClone(found);
};

describe.each(Object.keys(EVENTS) as EventKind[])('an entry of %s', (kind) => {
  const entry = must(readEntry(sample(kind)));

  it('is read from what was stored, brought up to its format, and read again the same', () => {
    expect(entry).toMatchObject({ kind, format: EVENTS[kind].format });
    expect(must(readEntry(JSON.parse(JSON.stringify(entry))))).toEqual(entry);
  });
  it('has a line for the log that a person can read, in either system', () => {
    for (const system of ['US', 'SI'] as const) {
      const line = describeEntry(entry, system);
      expect(line.length).toBeGreaterThan(1);
      expect(line).not.toMatch(/undefined|\[object|NaN/);
    }
  });
  it('with something in its body that no version knows is broken', () => {
    const { body } = sample(kind);
    expect(readEntry({ ...sample(kind), body: { ...(body as object), paint: 'red' } }).problem?.code).toBe(
      'event.broken',
    );
  });
});

it('what was read out of a recording names its file, as it was kept', () => {
  const lines = must(readLog(recorded.map((entry, i) => ({ ...entry, seq: i + 1 })))).map((entry) =>
    describeEntry(entry, 'US'),
  );
  expect(lines).toEqual([
    'first pop: a curve of 5 points, out of RIG-8 pops.csv',
    'shell test at 2240 psig: 0 drops/min, out of rig 9 shell.csv',
  ]);
});

describe('an entry', () => {
  it.each(['seq', 'commandId', 'by', 'at', 'body'])('without its %s is broken, and said to be', (field) => {
    const { [field]: _gone, ...rest } = sample('note-added');
    expect(readEntry(rest).problem?.code).toBe('event.broken');
  });
  it.each([
    ['seq', 0],
    ['seq', 1.5],
    ['at', 'yesterday'],
    ['commandId', 'one'],
    ['by', { name: 'nobody' }],
  ])('with the %s %j is broken', (field, value) => {
    expect(readEntry({ ...sample('note-added'), [field]: value }).problem?.code).toBe('event.broken');
  });
  it('of a later format is refused by name, never guessed at', () => {
    const { format } = EVENTS['pressure-tested'];
    expect(readEntry({ ...sample('pressure-tested'), format: format + 1 }).problem).toEqual({
      code: 'event.unknown-format',
      kind: 'pressure-tested',
      format: format + 1,
      known: format,
    });
  });
});

describe('an opening of format 1, which knew two ways to come', () => {
  const { body, ...rest } = sample('job-opened') as { body: { came: string; valve: object } };
  const placed = (came: string, features: Features) =>
    must(readEntry({ ...rest, body: { ...body, came, valve: { ...body.valve, features } } }));
  const features = (id: ConstructionId) => defaultValve(id).features;

  it.each([
    ['bare', 'globe-bolted', 'bare'],
    ['in line', 'globe-bolted', 'out and back'],
    ['in line', 'control-rotary-eccentric', 'out and back'],
    ['in line', 'ball-three-piece', 'in line'],
    ['in line', 'plug-eccentric', 'in line'],
    ['in line', 'gate-slab-unitised', 'in line'],
  ] as const)('%s, %s: %s', (came, id, place) => {
    expect(placed(came, features(id)).body).toMatchObject({ place });
  });
  it('format 2 says it itself', () => {
    const log = must(readLog(places));
    expect(log.map(({ kind, format }) => [kind, format])).toEqual([
      ['job-opened', 2],
      ['place-changed', 1],
    ]);
    expect(placeOf(must(fold(log)))).toBe('in line');
  });
});

describe('what a job is for', () => {
  it('is an overhaul where nothing was said, and what was said last otherwise', () => {
    expect(scopeOf(must(fold(must(readLog(places)))))).toBe('overhaul');
    const log = must(readLog(scopes));
    expect(log.map((entry) => scopeOf(must(fold(log.slice(0, entry.seq)))))).toEqual(['repack', 'overhaul']);
  });
});

describe('a pressure test of format 1, a bare number', () => {
  const log = must(readLog(tests));
  const leaks = log.map((entry) => (entry.kind === 'pressure-tested' ? entry.body.leak : undefined));

  it('was drops of a liquid, bubbles of a gas, millilitres where it said so; format 2 says it itself', () => {
    expect(leaks).toEqual([
      { perMinute: 6, of: 'drops' },
      { perMinute: 24, of: 'bubbles' },
      { perMinute: 24123.648504780336, of: 'mL' },
      { perMinute: 2.34, of: 'mL' },
    ]);
    expect(new Set(log.map(({ format }) => format))).toEqual(new Set([2]));
  });
  it('reads in the log with its count, in figures that can be read, in the reader’s units', () => {
    expect(log.map((entry) => describeEntry(entry, 'US'))).toEqual([
      'seat test at 1628 psig: 6 drops/min',
      'seat test at 1628 psig: 24 bubbles/min',
      'seat test at 1628 psig: 24123.6 mL/min',
      'seat test at 1628 psig: 2.3 mL/min',
    ]);
    expect(describeEntry(must(readEntry(tests[0])), 'SI')).toBe('seat test at 112.25 bar g: 6 drops/min');
  });
  it('that format 1 could not have written is broken, not mended', () => {
    const [one] = tests;
    expect(readEntry({ ...one, body: { ...one?.body, leakPerMinute: 'few' } }).problem?.code).toBe(
      'event.broken',
    );
    expect(readEntry({ ...one, format: 2 }).problem?.code).toBe('event.broken');
  });
});
