import { describe, expect, it } from 'vitest';
import { hangingLocks, SCOPES, valveAsLeft, type Place, type Scope } from '../job';
import { certificate, isolationSheet } from '../certificate';
import { placesOf, scopesOf } from '../procedure';
import { BenchJob } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import { CONSTRUCTION_IDS, defaultValve, type ConstructionId, type PartRole } from '../valve';
import { handOver, leftUnlooked, cures, scopeAdvice, smallestFor, summarise } from '.';

const valveOf = (id: ConstructionId) => ({ ...defaultValve(id), ends: 'screwed' as const });
/** In its line, or out of it where it must be for such a job. */
const usualAt = (id: ConstructionId, scope: Scope): Place =>
  placesOf(defaultValve(id).features, scope)[0] ?? 'bare';
const at = (id: ConstructionId, scope: Scope, place = usualAt(id, scope)) =>
  new BenchJob(valveOf(id), { place, ...(scope === 'overhaul' ? {} : { scope }) });
const idsOf = (job: BenchJob) => job.plan().steps.map(({ id }) => id);
const offOf = (job: BenchJob) => new Set(job.plan().steps.flatMap(({ off }) => off));
const partsTouched = (job: BenchJob): PartRole[] =>
  job.plan().steps.flatMap(({ off, on }) => [...off, ...on]);

/** One of the places that such a job can be done in, by turns. */
function placeOfTurn(id: ConstructionId, scope: Scope, turn: number): Place {
  const places = placesOf(defaultValve(id).features, scope);
  return places[turn % places.length] ?? 'bare';
}

/** Every job of less than an overhaul, each in one place in turn. */
const CUTS = CONSTRUCTION_IDS.flatMap((id) =>
  scopesOf(defaultValve(id).features)
    .filter((scope) => scope !== 'overhaul')
    .map((scope, i) => [id, scope, placeOfTurn(id, scope, i + CONSTRUCTION_IDS.indexOf(id))] as const),
);

describe.each(CUTS)('%s, %s, %s', (id, scope, place) => {
  const job = at(id, scope, place);
  const isReached = placesOf(defaultValve(id).features, 'overhaul').includes(place);
  const whole = at(id, 'overhaul', isReached ? place : 'out and back');

  it('what comes off goes back on, and nothing else does', () => {
    const back = new Set(job.plan().steps.flatMap(({ on }) => on));
    if (scope === 'quote') expect(back.size).toBe(0);
    else expect([...back].sort()).toEqual([...offOf(job)].sort());
  });

  it('takes nothing off that an overhaul leaves on, and keeps the order that an overhaul keeps', () => {
    for (const part of offOf(job)) expect([...offOf(whole)]).toContain(part);
    const order = new Map(idsOf(whole).map((step, i) => [step, i]));
    const stripped = job
      .plan()
      .steps.flatMap(({ id: step, off }) => (off.length > 0 ? [order.get(step) ?? -1] : []));
    expect(stripped).toEqual([...stripped].sort((a, b) => a - b));
    for (const { id: step, on } of job.plan().steps) {
      if (on.length === 0) continue;
      const before = waitsFor(job.plan(), step);
      for (const wanted of waitsFor(whole.plan(), step))
        if (job.step(wanted)?.stage === 'rebuild')
          expect([...before], `${step} waits for ${wanted}`).toContain(wanted);
    }
  });
});

// A fourth of them in turn: the others are the same steps again.
describe.each(CUTS.filter((_, i) => i % 4 === 0))('%s, %s, %s', (id, scope, place) => {
  it('can be worked to its certificate by whoever follows it, and nothing lies on the tray', () => {
    const job = at(id, scope, place).workTo('nothing');
    expect(summarise(job.state)?.state).toBe('released');
    if (scope !== 'quote') expect(handOver(job.plan(), job.state).tray).toEqual([]);
    const paper = certificate(job.state, job.log, 'US');
    expect(paper?.about.find(({ label }) => label === 'Scope')?.value).toBeTruthy();
  });
});

describe('what a job is for (handbook part 6.1)', () => {
  it.each(CONSTRUCTION_IDS)('%s: an overhaul asks for as much as every other job or more', (id) => {
    const all = at(id, 'overhaul').plan().remainingMinutes;
    for (const scope of scopesOf(defaultValve(id).features))
      expect(at(id, scope).plan().remainingMinutes, scope).toBeLessThanOrEqual(all + 30);
  });

  it('a repack takes off the gland and the packing alone, looks at the stem where it stands, measures the box', () => {
    for (const id of [
      'globe-bolted',
      'gate-wedge',
      'control-globe-double-seat',
      'control-rotary-eccentric',
    ] as const) {
      const job = at(id, 'repack');
      const still = [...offOf(job)].filter(
        (part) => !['gland nuts', 'gland', 'gland flange', 'packing', 'lantern ring'].includes(part),
      );
      expect(still, id).toEqual([]);
      const looked = job.plan().steps.filter(({ stage }) => stage === 'inspect');
      expect(
        looked.some(
          ({ task, parts }) => task.kind === 'look' && (parts.includes('stem') || parts.includes('shaft')),
        ),
      ).toBe(true);
      expect(looked.some(({ task }) => task.kind === 'measure')).toBe(true);
      expect(looked.some(({ task }) => task.kind === 'runout' || task.kind === 'bluing')).toBe(false);
    }
  });

  it('a dirty flapper opens no joint, and locks out what moves it but not the process', () => {
    const job = at('control-globe-double-seat', 'positioner');
    expect(partsTouched(job)).not.toEqual(expect.arrayContaining(['bonnet studs']));
    expect([...offOf(job)]).toEqual(expect.arrayContaining(['flappers', 'relay body']));
    const proved = job
      .plan()
      .steps.flatMap(({ isolation }) => (isolation?.is === 'proof' ? [isolation.energy] : []));
    expect(proved).toEqual(['supply air', 'signal air']);
    expect(job.step('service.look')).toBeUndefined();
  });

  it('set up alone takes nothing off and locks nothing out: its own air moves it', () => {
    const job = at('control-globe-double-seat', 'set-up');
    expect(offOf(job).size).toBe(0);
    expect(job.plan().steps.some(({ task }) => task.kind === 'lock')).toBe(false);
    expect(idsOf(job).some((id) => id.startsWith('bench-air'))).toBe(false);
    expect(idsOf(job)).toEqual(
      expect.arrayContaining(['setup.bench-set', 'setup.span', 'setup.stroke-test']),
    );
    const after = waitsFor(job.plan(), 'setup.bench-set');
    expect([...after]).toContain('isolate.agreed');
  });

  it.each(CONSTRUCTION_IDS)(
    '%s: whatever opens its pressure boundary in a line waits for two signatures',
    (id) => {
      for (const scope of scopesOf(defaultValve(id).features)) {
        if (scope === 'positioner') continue;
        const job = at(id, scope);
        for (const { id: step, off } of job.plan().steps)
          if (off.length > 0)
            expect([...waitsFor(job.plan(), step)], `${scope} ${step}`).toContain('isolate.sign');
      }
    },
  );

  it('a trim job sets what it uncoupled; an actuator job opens no joint and looks for no leak of one', () => {
    const trim = at('control-globe-double-seat', 'trim');
    expect(idsOf(trim)).toEqual(
      expect.arrayContaining(['setup.bench-set', 'setup.span', 'service.look', 'service.seat']),
    );
    expect(partsTouched(trim)).not.toContain('actuator diaphragm');
    const actuator = at('control-globe-double-seat', 'actuator');
    expect(partsTouched(actuator)).toContain('actuator diaphragm');
    expect(partsTouched(actuator)).not.toContain('bonnet studs');
    expect(idsOf(actuator)).not.toContain('service.look');
  });

  it('what nobody came to is not called new, and is named on paper with the day', () => {
    const job = at('control-globe-double-seat', 'repack');
    expect([...job.plan().calls.keys()]).toEqual(expect.arrayContaining(['packing']));
    expect(job.plan().calls.has('bonnet gasket')).toBe(false);
    expect(leftUnlooked('repack', job.plan().valve)).toEqual(
      expect.arrayContaining(['actuator', 'positioner and relay', 'trim and seat']),
    );
    job.workTo('nothing');
    const left = certificate(job.state, job.log, 'US')?.about.find(({ label }) => label === 'Not looked at');
    expect(left?.value).toMatch(/trim and seat.*by \w{3} \d+ \w{3} \d{4}/);
  });
});

describe('cut by a fault, widened by a finding', () => {
  const placed = (cause: 'flapper dirty' | 'something else') =>
    at('control-globe-double-seat', 'overhaul')
      .workTo('diagnose.place')
      .send({
        kind: 'place-fault',
        body: { step: 'diagnose.place', symptom: 'half travel', cause },
      });

  it('a placed fault proposes the smallest job that cures it; once it is said, nothing is proposed any more', () => {
    const job = placed('flapper dirty');
    expect(scopeAdvice(job.state, job.plan())).toMatchObject({
      to: 'positioner',
      why: expect.stringMatching(/flapper/),
    });
    const before = job.plan().remainingMinutes;
    job.send({
      kind: 'change-scope',
      body: { scope: 'positioner', reason: 'the fault lies in the flapper' },
    });
    expect(job.plan().remainingMinutes).toBeLessThan(before / 2);
    expect(scopeAdvice(job.state, job.plan())).toBeUndefined();
  });

  it('nothing smaller is proposed where the cause is not one that a smaller job cures', () => {
    const job = placed('something else');
    expect(scopeAdvice(job.state, job.plan())).toBeUndefined();
    expect(smallestFor('diaphragm torn', defaultValve('globe-bolted').features)).toBe('overhaul');
  });

  it('a scored stem found while repacking asks: widened, the job comes to it; left, the reason is kept', () => {
    const job = at('control-globe-double-seat', 'repack').workTo('inspect.stem');
    job.send({
      kind: 'make-finding',
      body: { step: 'inspect.stem', finding: { kind: 'stem mark', zone: 'packing zone' } },
    });
    const beyond = job.step('inspect.beyond.stem');
    expect(beyond?.task).toMatchObject({ kind: 'do', writes: expect.any(String) });
    expect([...waitsFor(job.plan(), 'hold.contact')]).toContain('inspect.beyond.stem');
    const advice = scopeAdvice(job.state, job.plan());
    expect(advice).toMatchObject({ to: 'trim' });
    const packed = new Set(idsOf(job).filter((id) => job.step(id)?.status === 'done'));
    job.send({ kind: 'change-scope', body: { scope: 'trim', reason: advice?.why ?? '' } });
    expect(job.step('inspect.beyond.stem')).toBeUndefined();
    expect(idsOf(job)).toEqual(expect.arrayContaining(['strip.plug', 'order.stem', 'rebuild.bolt-up']));
    for (const done of packed) expect(job.step(done)?.status, done).toBe('done');
  });

  it('cut after the strip has begun, what is off goes back and is proved, and every lock comes off', () => {
    const job = at('control-globe-double-seat', 'overhaul').workTo('inspect.clean');
    const off = new Set(handOver(job.plan(), job.state).tray.map(({ part }) => part));
    job.send({ kind: 'change-scope', body: { scope: 'positioner', reason: 'only the relay after all' } });
    const back = new Set(job.plan().steps.flatMap(({ on }) => on));
    for (const part of off) expect([...back], part).toContain(part);
    expect(idsOf(job)).toEqual(expect.arrayContaining(['rebuild.bolt-up', 'service.look']));
    job.workTo('nothing');
    expect(handOver(job.plan(), job.state)).toMatchObject({ tray: [], locks: [] });
    expect(summarise(job.state)?.state).toBe('released');
  });

  it('cut after the locks hang, they come off by the sheet that they were hung on', () => {
    for (const scope of ['positioner', 'set-up', 'check'] as const) {
      const job = at('control-globe-double-seat', 'overhaul').workTo('isolate.zero.upstream-pressure');
      expect(hangingLocks(job.state).length).toBeGreaterThan(1);
      job.send({ kind: 'change-scope', body: { scope, reason: 'less will do' } });
      const sheet = isolationSheet(job.state, 'US');
      expect(sheet?.points.filter(({ lock }) => lock !== undefined)).toHaveLength(
        hangingLocks(job.state).length,
      );
      job.workTo('nothing');
      expect(hangingLocks(job.state), scope).toEqual([]);
    }
  });

  it('the sheet of a smaller job has its own points and no others', () => {
    const points = (scope: Scope) =>
      isolationSheet(at('control-globe-double-seat', scope).state, 'US')?.points.map(({ id }) => id);
    expect(points('positioner')).toEqual(['bypass', 'air', 'signal']);
    expect(points('set-up')).toEqual([]);
  });

  it('a job that a valve cannot be in for is refused, and so is what it is already', () => {
    const job = at('globe-bolted', 'overhaul');
    const change = (scope: Scope) => job.try({ kind: 'change-scope', body: { scope, reason: 'wanted so' } });
    expect(change('overhaul')).toMatchObject({ code: 'input.conflict', fields: ['scope'] });
    for (const scope of SCOPES)
      if (!scopesOf(job.plan().valve.features).includes(scope))
        expect(change(scope), scope).toMatchObject({ code: 'input.conflict' });
  });

  it('a quote that is taken up goes on where it stood, with nothing to take apart twice', () => {
    const job = at('control-rotary-eccentric', 'quote').workTo('release.quote');
    job.send({ kind: 'change-scope', body: { scope: 'overhaul', reason: 'order taken' } });
    expect(job.plan().inHand?.stage).not.toBe('strip');
    expect(job.plan().steps.filter(({ stage, status }) => stage === 'strip' && status !== 'done')).toEqual(
      [],
    );
  });
});

describe('a fail action reversed as a job of its own (handbook part 6.2)', () => {
  const job = at('control-rotary-eccentric', 'reversal');

  it('asks who wants it before anything is isolated, and tries it with air off and signal off', () => {
    const after = (step: string) => [...waitsFor(job.plan(), step)];
    expect(after('isolate.line')).toContain('diagnose.reversal');
    expect(after('setup.fail-action')).toEqual(expect.arrayContaining(['rebuild.clevis-pin']));
    expect(after('release.sign')).toEqual(
      expect.arrayContaining(['setup.fail-action', 'release.fail-action']),
    );
  });
  it('does not ask a moved actuator to meet its old mark', () => {
    const marks = job.step('setup.marks')?.parts ?? [];
    expect(marks).not.toContain('actuator');
  });
  it('air-to-close becomes air-to-open: on the certificate and on the record of the valve', () => {
    expect(job.plan().valve.features.moved).toMatchObject({ action: 'air-to-close', reversing: true });
    job.workTo('nothing');
    const line = certificate(job.state, job.log, 'US')?.about.find(({ label }) => label === 'Fail action');
    expect(line?.value).toBe('was air-to-close, is air-to-open');
    expect(valveAsLeft(job.state)?.features.moved).toMatchObject({ action: 'air-to-open', reversing: false });
  });
});

describe('what a job puts right as it goes', () => {
  const { features } = defaultValve('control-balanced-cage');
  it.each([
    ['overhaul', 'debris', true],
    ['trim', 'packing too tight', true],
    ['repack', 'packing too tight', true],
    ['repack', 'debris', false],
    ['actuator', 'diaphragm torn', true],
    ['trim', 'diaphragm torn', false],
    ['set-up', 'positioner out of set', false],
    ['check', 'supply low', false],
  ] as const)('a %s and %s: %s', (scope, cause, is) => {
    expect(cures(scope, cause, features)).toBe(is);
  });
});
