import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import first from './samples/frozen-2026-11-26.json';
import places from './samples/frozen-2026-11-26-place.json';
import scopes from './samples/frozen-2026-11-26-scope.json';
import rounds from './samples/frozen-2026-11-26-ways-round.json';
import live from './samples/frozen-2026-11-27-live.json';
import leftForNow from './samples/frozen-2026-11-28-left-for-now.json';
import leaks from './samples/frozen-2026-11-27-leak.json';
import strokes from './samples/frozen-2026-11-27-stroke.json';
import later from './samples/frozen-2026-11-26-later-kinds.json';
import { must } from '../problem';
import { defaultValve } from '../valve';
import { bendReadings } from '../testing/bend';
import { BenchJob, DIAL, id, INSPECTOR, LEAD, TECHNICIAN } from '../testing/bench';
import { describeEntry, EVENTS, fold, readEntry, readLog, standingEntries } from '.';

/** A job with something of everything: bent stem, lapped seat, wrong bolt, failed test, a struck entry. */
function eventful(): BenchJob {
  const valve = { ...defaultValve('globe-bolted'), plate: { model: 'H 7' } };
  const job = new BenchJob(valve);
  for (const place of ['in line', 'out and back'] as const)
    job.send({ kind: 'change-place', body: { place, reason: 'the body face decides' } });
  for (const scope of ['quote', 'overhaul'] as const)
    job.send({ kind: 'change-scope', body: { scope, reason: 'the owner decides' } });
  job.workTo('diagnose.place');
  job.send({
    kind: 'take-evidence',
    body: { symptom: 'passes when shut', check: 'flush', result: 1, readBy: 'hand' },
  });
  job.send({
    kind: 'place-fault',
    body: { step: 'diagnose.place', symptom: 'passes when shut', cause: 'debris' },
  });
  job.workTo('inspect.runout');
  job.send({
    kind: 'take-runout',
    body: { step: 'inspect.runout', readings: bendReadings(3), readBy: DIAL },
  });
  job.send({
    kind: 'file-makers-sheet',
    body: {
      sheet: { model: 'H 7', revision: 'C', figures: { stemTir: { value: '5 thou', page: '12' } } },
    },
  });
  const filed = job.log.length;
  job.send({ kind: 'check-makers-sheet', body: { filed } }, LEAD);
  job.send({ kind: 'lay-part', body: { part: 'bonnet gasket', lot: 'discard' } });
  job.send({ kind: 'add-photo', body: { photo: id(88), part: 'stem', caption: 'stem as it came out' } });
  job.send({ kind: 'add-note', body: { text: 'stem was wound out dry' } });
  job.send({ kind: 'leave-for-now', body: { what: 'a clamp on the bypass', recall: '2027-02-01' } });
  job.send({
    kind: 'check-kit',
    body: { sheet: 'PS-1', kit: 'A', found: [{ line: '1', count: 1, cureDate: '2Q24' }] },
  });
  job.send({ kind: 'choose-way', body: { way: { question: 'bluing', choice: 'straight down' } } });
  job.send({
    kind: 'attach-working',
    body: { working: 'lathe.speed', given: { diameter: '2 in', surfaceSpeed: '40 ft/min' } },
  });
  job.send({ kind: 'assign-person', body: { person: LEAD } });
  job.send(
    { kind: 'overrule-call', body: { part: 'stem', verdict: 'renew', reason: 'agreed with the customer' } },
    LEAD,
  );
  job.workTo('inspect.blue').blue('inspect.blue', 200);
  job.workTo('rebuild.bolt-up').send({
    kind: 'tighten-bolt',
    body: { step: 'rebuild.bolt-up', bolt: 2, torque: '30 lbf·ft', readBy: DIAL },
  });
  job.workTo('test.seat').send({
    kind: 'run-pressure-test',
    body: {
      step: 'test.seat',
      pressure: '1630 psig',
      hold: '60 s',
      leak: { perMinute: 30, of: 'drops' },
      readBy: DIAL,
    },
  });
  job.send({
    kind: 'take-unit',
    body: { unit: id(77), kind: 'packed bonnet', serial: 'S 7' },
  });
  job.send({ kind: 'identify-valve', body: { details: { serial: 'A 1' } } });
  job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'wrong serial' } });
  return job.workTo('nothing');
}

/** What only a test that leaks at something brings into a log. */
function leaked(): BenchJob {
  const step = 'test.shell';
  const job = new BenchJob(defaultValve('globe-bolted'), { place: 'bare' }).workTo(step);
  const leak = { perMinute: 6, of: 'drops' } as const;
  job.send({
    kind: 'run-pressure-test',
    body: { step, pressure: '1130 psig', hold: '60 s', leak, readBy: DIAL },
  });
  return job.send({ kind: 'trace-leak', body: { step, to: 'gland' } });
}

/** What only a valve that pops brings into a log. */
function popped(): BenchJob {
  const step = 'test.pops';
  const job = new BenchJob(defaultValve('relief-spring')).workTo(step);
  job.send({ kind: 'turn-screw', body: { step, screw: 'compression screw', by: '-0.25 turn' } });
  job.send({
    kind: 'keep-curve',
    body: { step, what: 'first pop', seconds: [0, 9, 9.5], psig: [0, 250, 233], readBy: DIAL },
  });
  return job;
}

/** What only a valve that a positioner places brings into a log. */
const stroked = (): BenchJob =>
  new BenchJob(defaultValve('control-globe-double-seat')).workTo('release.sign');

const full = eventful();
/** Only bringing a file in writes that it was imported. */
const WRITTEN_BY_COMMANDS = Object.keys(EVENTS).filter((kind) => kind !== 'job-imported');

describe('folding', () => {
  it('every kind of event is in the sample', () => {
    const kinds = [...full.log, ...popped().log, ...stroked().log, ...leaked().log].map(({ kind }) => kind);
    expect(new Set(kinds)).toEqual(new Set(WRITTEN_BY_COMMANDS));
  });

  it('in pieces equals from scratch (property)', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: full.log.length }), { maxLength: 6 }), (cuts) => {
        const places = [0, ...cuts.sort((a, b) => a - b), full.log.length];
        const pieces = places.slice(1).map((end, i) => full.log.slice(places[i], end));
        const state = pieces.reduce((so, piece) => must(fold(piece, so)), must(fold([])));
        expect(state).toEqual(full.state);
      }),
      { seed: 1 },
    );
  });

  it('refuses a gap and a repeat', () => {
    const [first, second, third] = full.log;
    if (!first || !second || !third) throw new Error('the log is too short');
    expect(fold([first, third]).problem).toEqual({ code: 'event.out-of-order', expected: 2, found: 3 });
    expect(fold([first, first]).problem).toMatchObject({ code: 'event.out-of-order' });
  });

  it('never changes what it was given: states are frozen', () => {
    expect(Object.isFrozen(full.state)).toBe(true);
    expect(Object.isFrozen(full.state.records['step-done'])).toBe(true);
    expect(() => Object.assign(full.state, { version: 1 })).toThrow();
    for (const entry of full.log) {
      expect(Object.isFrozen(entry.body), entry.kind).toBe(true);
      for (const inner of Object.values(entry.body)) expect(Object.isFrozen(inner), entry.kind).toBe(true);
    }
  });

  it('a struck entry stays in the log and its consequences go', () => {
    const job = new BenchJob().workTo('inspect.runout');
    const before = job.plan().steps.map(({ id, status }) => `${id} ${status}`);
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(9), readBy: DIAL },
    });
    expect(job.plan().calls.get('stem')?.verdict).toBe('renew');
    const wrong = job.state.version;
    expect(
      job.try(
        { kind: 'strike-entry', body: { entry: wrong, reason: 'dial was loose' } },
        { ...TECHNICIAN, id: INSPECTOR.id },
      ),
    ).toMatchObject({ code: 'entry.fixed' });
    job.send({ kind: 'strike-entry', body: { entry: wrong, reason: 'dial was loose' } });
    expect(job.plan().steps.map(({ id, status }) => `${id} ${status}`)).toEqual(before);
    expect(job.log.some(({ seq }) => seq === wrong)).toBe(true);
    expect(job.state.struck[wrong]).toBe(wrong + 1);
    expect(standingEntries(job.state).some(({ seq }) => seq === wrong)).toBe(false);
  });

  it('striking work that a hold was released on asks for the hold again', () => {
    const job = new BenchJob().workTo('rebuild.clean');
    const blue = job.log.find(({ kind }) => kind === 'bluing-checked');
    job.send({ kind: 'strike-entry', body: { entry: blue?.seq ?? 0, reason: 'marked on the wrong ring' } });
    expect(job.step('hold.contact')?.status).toBe('waiting');
    expect(job.step('inspect.blue')?.status).toBe('ready');
  });
});

describe('two people at one bench (property)', () => {
  const commands = [
    { kind: 'add-note', body: { text: 'a' } },
    {
      kind: 'make-finding',
      body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'pitted', depth: '2 thou' } },
    },
    { kind: 'make-finding', body: { step: 'inspect.disc', finding: { kind: 'sound' } } },
    { kind: 'take-runout', body: { step: 'inspect.runout', readings: bendReadings(4), readBy: DIAL } },
    { kind: 'make-finding', body: { step: 'inspect.bushing', finding: { kind: 'thread worn' } } },
    { kind: 'do-step', body: { step: 'rebuild.gasket' } },
    { kind: 'overrule-call', body: { part: 'stem', verdict: 'fit', reason: 'short service' } },
  ] as const;
  it('whatever the interleaving, what was accepted folds the same however it is batched, and always applies', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...commands, ...commands], { minLength: 1 }),
        fc.integer({ min: 1, max: 9 }),
        (order, size) => {
          const job = new BenchJob().workTo('inspect.runout');
          order.forEach((command, i) => job.try(command, i % 2 === 0 ? TECHNICIAN : LEAD));
          let state = must(fold([]));
          for (let i = 0; i < job.log.length; i += size)
            state = must(fold(job.log.slice(i, i + size), state));
          expect(state).toEqual(job.state);
          expect(must(readLog(JSON.parse(JSON.stringify(job.log))))).toEqual(job.log);
        },
      ),
      { seed: 2, numRuns: 20 },
    );
  }, 60_000);
});

describe('stored formats', () => {
  it('a frozen log of format 1 still reads, kind by kind, and folds to the same job', () => {
    const log = must(readLog(first));
    expect(
      new Set(
        [
          log,
          ...[later, places, scopes, rounds, live, strokes, leaks, leftForNow].map((each) =>
            must(readLog(each)),
          ),
        ]
          .flat()
          .map(({ kind }) => kind),
      ),
    ).toEqual(new Set(Object.keys(EVENTS)));
    expect(must(fold(log)).records['certificate-signed']).toHaveLength(1);
  });

  it.each([
    [{ seq: 1, kind: 'gone-fishing', format: 1, body: {} }, 'event.unknown-kind'],
    [{ seq: 1, kind: 'step-done', format: 99, body: {} }, 'event.unknown-format'],
    [{ seq: 1, kind: 'step-done', format: 1, body: { step: 7 } }, 'event.broken'],
    [{ kind: 'step-done' }, 'event.broken'],
    ['text', 'event.broken'],
  ])('%j is an error, never skipped', (raw, code) => {
    expect(readEntry(raw).problem?.code).toBe(code);
  });

  it('every entry has its line for the log', () => {
    for (const entry of full.log) expect(describeEntry(entry, 'US').length).toBeGreaterThan(2);
  });
});
