import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { STAGES } from '../job';
import { bendReadings } from '../testing/bend';
import { readyBy, summarise, workingDaysFrom } from '.';
import { BenchJob, DIAL, INSPECTOR, LAPSED, LEAD, TECHNICIAN } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import { defaultValve, type Valve } from '../valve';
import { say, inches } from '../quantity';

const ids = (job: BenchJob) => job.plan().steps.map(({ id }) => id);
/** Each waits for the one named before it, directly or through others. */
const expectOrder = (job: BenchJob, ...wanted: string[]) => {
  expect(ids(job)).toEqual(expect.arrayContaining(wanted));
  wanted.slice(1).forEach((id, i) => {
    expect([...waitsFor(job.plan(), id)], `${id} waits for ${wanted[i] ?? ''}`).toContain(wanted[i]);
  });
};

describe('the order of a bolted-bonnet globe valve (common practice; handbook part 2, construction 1)', () => {
  const job = new BenchJob();

  it('goes through the stages, each step after what it waits for', () => {
    const steps = job.plan().steps;
    expect(new Set(steps.map(({ stage }) => stage))).toEqual(
      new Set(STAGES.filter((stage) => stage !== 'repair' || steps.some((step) => step.stage === 'repair'))),
    );
    const place = new Map(steps.map(({ id }, i) => [id, i]));
    for (const step of steps)
      for (const before of step.after) expect(place.get(before)).toBeLessThan(place.get(step.id) ?? -1);
  });

  it('proves zero before anything is loosened', () => {
    expectOrder(
      job,
      'isolate.block.upstream',
      'isolate.vent.upstream',
      'isolate.zero.upstream-pressure',
      'strip.match-mark',
      'strip.slack',
    );
  });

  it('gland before bonnet nuts, bonnet off as one with the wheel, stem out after the wheel, gland with it, packing last', () => {
    expectOrder(
      job,
      'strip.slack',
      'strip.gland-nuts',
      'strip.bonnet-nuts',
      'strip.lift',
      'strip.wheel',
      'strip.stem',
      'strip.gland',
      'strip.packing',
    );
    expectOrder(job, 'strip.lift', 'strip.gasket');
  });

  it('wound open before the gasket and bonnet go on, torque before packing, bushing greased after', () => {
    expectOrder(
      job,
      'rebuild.stem-in',
      'rebuild.open',
      'rebuild.gasket',
      'rebuild.bonnet-on',
      'rebuild.bolt-up',
      'rebuild.pack',
      'rebuild.grease-bushing',
    );
  });

  it('shell, backseat, seat, witness, release', () => {
    expectOrder(
      job,
      'test.shell',
      'test.backseat',
      'test.seat',
      'hold.test',
      'release.place',
      'release.sign',
    );
  });

  it('gasket and packing are always new', () => {
    expect(
      ['bonnet gasket', 'packing'].map(
        (part) => job.plan().calls.get(part === 'packing' ? 'packing' : 'bonnet gasket')?.verdict,
      ),
    ).toEqual(['renew', 'renew']);
  });

  it('every step says why it is there and what it is for', () => {
    for (const step of job.plan().steps) {
      expect(step.because.text.length).toBeGreaterThan(5);
      expect(say(step.why, 'US').length).toBeGreaterThan(10);
    }
  });

  it('warns where it bites: disc open before the bonnet, no grip on the stem, wood in the chamber', () => {
    expect(job.step('rebuild.bonnet-on')?.caution).toMatch(/fully open/);
    expect(job.step('strip.stem')?.caution).toMatch(/pipe grip/);
    expect(job.step('strip.packing')?.caution).toMatch(/Wood or plastic/);
  });

  it('takes an hour or two at the bench for the strip and rebuild of a small one (common practice)', () => {
    const small = new BenchJob({ ...defaultValve(), nps: 2 });
    const minutes = small
      .plan()
      .steps.filter(({ stage }) => stage === 'strip' || stage === 'rebuild')
      .reduce((sum, step) => sum + step.minutes, 0);
    expect(minutes).toBeGreaterThan(60);
    expect(minutes).toBeLessThan(180);
  });

  it('leaves out what the valve has not: no backseat, no isolation for a bare valve', () => {
    const valve = defaultValve();
    const plain = new BenchJob(
      { ...valve, features: { ...valve.features, backseat: false } },
      { place: 'bare' },
    );
    expect(ids(plain)).not.toContain('test.backseat');
    expect(ids(plain)).not.toContain('isolate.zero.upstream-pressure');
    expect(ids(plain)).toContain('isolate.decontaminated');
  });
});

describe('findings change the plan', () => {
  it('stem over the site’s limit: renew, order, and what needs the stem waits; the seat goes on', () => {
    const job = new BenchJob().workTo('inspect.runout');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(3.1), readBy: DIAL },
    });
    expect(job.plan().calls.get('stem')).toMatchObject({ verdict: 'renew' });
    expectOrder(job, 'order.stem', 'arrive.stem', 'rebuild.stem-in');
    expect(job.step('order.stem')?.because).toMatchObject({ kind: 'finding', entry: job.state.version });
    job.send({ kind: 'order-part', body: { step: 'order.stem', expected: '2026-11-30' } });
    expect(job.step('rebuild.stem-in')?.after).toContain('arrive.stem');
    expect(job.step('inspect.seat')?.status).toBe('ready');
    expect(job.step('arrive.stem')?.waits).toEqual([{ kind: 'part', part: 'stem', expected: '2026-11-30' }]);
    const summary = summarise(job.state);
    expect(summary && readyBy(summary, '2026-11-24T08:00:00Z')).toBe('2026-11-30');
  });

  it.each([
    ['0.002 in', 'grind in', [], ['repair.lathe-seat', 'repair.reface-seat']],
    ['0.008 in', 'reface and lap', ['repair.reface-seat'], ['repair.lathe-seat']],
    ['0.02 in', 'lathe and lap', ['repair.lathe-seat'], ['repair.reface-seat']],
  ])('seat damage %s: %s (handbook part 3, method by depth)', (depth, method, there, absent) => {
    const job = new BenchJob().workTo('inspect.seat');
    job.send({
      kind: 'make-finding',
      body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'wire drawn', depth } },
    });
    expect(job.plan().calls.get('seat')?.method).toBe(method);
    expectOrder(job, ...there, 'repair.lap#1', 'repair.blue#1', 'hold.contact');
    for (const id of absent) expect(ids(job)).not.toContain(id);
    expect(ids(job)).not.toContain('inspect.blue');
  });

  it('deeper than the stock: a screwed seat is renewed, an integral one condemns the valve', () => {
    const deep = (kind: 'screwed' | 'integral') => {
      const valve = defaultValve();
      const job = new BenchJob({
        ...valve,
        features: {
          ...valve.features,
          seat: { kind, face: 'hard-faced', diameter: inches(3), stock: inches(0.015) },
        },
      }).workTo('inspect.seat');
      return job.send({
        kind: 'make-finding',
        body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'pitted', depth: '0.02 in' } },
      });
    };
    expectOrder(deep('screwed'), 'order.seat', 'arrive.seat', 'fit.seat', 'repair.lap#1');
    const condemned = deep('integral');
    expect(condemned.plan().condemned).toBe(true);
    expect(ids(condemned)).not.toContain('rebuild.bolt-up');
    expect(ids(condemned)).toContain('release.condemn');
  });

  it('a broken blue line asks for another round; three without gain for refacing', () => {
    const job = new BenchJob().workTo('inspect.blue').blue('inspect.blue', 300);
    for (const round of [1, 2, 3]) {
      expectOrder(job, `repair.lap#${round}`, `repair.blue#${round}`);
      job.workTo(`repair.blue#${round}`).blue(`repair.blue#${round}`, 300);
    }
    expectOrder(job, 'repair.blue#3', 'repair.reface#4', 'repair.lap#4', 'repair.blue#4');
    job.workTo('repair.blue#4').blue('repair.blue#4', 360);
    expect(ids(job)).not.toContain('repair.lap#5');
  });

  it('rounds that gain go on lapping', () => {
    const job = new BenchJob().workTo('inspect.blue').blue('inspect.blue', 200);
    for (const [round, degrees] of [
      [1, 240],
      [2, 290],
      [3, 340],
    ] as const)
      job.workTo(`repair.blue#${round}`).blue(`repair.blue#${round}`, degrees);
    expect(ids(job)).toContain('repair.lap#4');
    expect(ids(job)).not.toContain('repair.reface#4');
  });

  it('a seat test over its allowance goes back to the seat with a new gasket, and everything done stays done', () => {
    const job = new BenchJob().workTo('test.seat');
    const before = job
      .plan()
      .steps.filter(({ status }) => status === 'done')
      .map(({ id }) => id);
    const task = job.step('test.seat')?.task;
    if (task?.kind !== 'pressure-test') throw new Error('no seat test');
    job.send({
      kind: 'run-pressure-test',
      body: {
        step: 'test.seat',
        pressure: task.pressure,
        hold: task.hold,
        leak: { ...task.allowed, perMinute: task.allowed.perMinute + 1 },
        readBy: DIAL,
      },
    });
    expectOrder(
      job,
      'test.seat',
      'strip.vent@2',
      'strip.lift@2',
      'repair.lap#1@2',
      'repair.blue#1@2',
      'hold.contact@2',
      'rebuild.gasket@2',
      'rebuild.bolt-up@2',
      'test.seat@2',
      'hold.test@2',
    );
    expect(ids(job)).not.toContain('hold.test');
    for (const id of before) expect(job.step(id)?.status).toBe('done');
    expect(job.step('repair.lap#1@2')?.because).toMatchObject({ kind: 'finding', entry: job.state.version });
    job.workTo('nothing');
    expect(summarise(job.state)).toMatchObject({ state: 'released', travel: 10 });
  });

  it('a reading out of calibration does not count', () => {
    const job = new BenchJob().workTo('inspect.runout');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(5), readBy: LAPSED },
    });
    expect(job.step('inspect.runout')?.status).toBe('ready');
    expect(job.plan().calls.get('stem')).toBeUndefined();
  });

  it('pressure that does not fall to zero stops the job before the strip', () => {
    const job = new BenchJob().workTo('isolate.zero.upstream-pressure');
    job.send({
      kind: 'take-measurement',
      body: {
        step: 'isolate.zero.upstream-pressure',
        what: 'pressure upstream',
        value: '41 psig',
        readBy: 'hand',
      },
    });
    expect(job.step('isolate.zero.upstream-pressure')?.status).toBe('ready');
    expect(job.try({ kind: 'do-step', body: { step: 'strip.slack' } })).toMatchObject({ code: 'step.waits' });
  });

  it('an overrule changes the plan and keeps who and why; a new look ends it', () => {
    const job = new BenchJob().workTo('inspect.runout');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(3.1), readBy: DIAL },
    });
    job.send(
      {
        kind: 'overrule-call',
        body: { part: 'stem', verdict: 'fit', reason: 'block valve, runs open all year' },
      },
      LEAD,
    );
    expect(job.plan().calls.get('stem')).toMatchObject({
      verdict: 'fit',
      overruled: { was: 'renew', by: LEAD.name },
    });
    expect(ids(job)).not.toContain('order.stem');
    job.workTo('inspect.stem').send({
      kind: 'make-finding',
      body: { step: 'inspect.stem', finding: { kind: 'stem mark', zone: 'packing zone' } },
    });
    expect(job.plan().calls.get('stem')?.verdict).toBe('renew');
  });

  it('unknown figures are asked first, and answers let the work go on', () => {
    const { nps: _nps, pressureClass: _class, ...unknown } = defaultValve();
    const job = new BenchJob(unknown satisfies Valve);
    expect(ids(job)).toEqual(expect.arrayContaining(['receive.ask.nps', 'receive.ask.pressureClass']));
    expect(job.step('test.seat')?.task.kind).toBe('wants');
    job.send({ kind: 'identify-valve', body: { details: { nps: 4, pressureClass: 300 } } });
    expect(job.step('receive.ask.nps')?.status).toBe('done');
    expect(job.step('test.seat')?.task).toMatchObject({ kind: 'pressure-test', hold: { value: 60 } });
  });
});

describe('any valve, any findings (property)', () => {
  const findings = fc.record({
    stem: fc.constantFrom(0, 2, 3, 8),
    seat: fc.constantFrom('', '0.001 in', '0.006 in', '0.03 in'),
    disc: fc.constantFrom('', '0.002 in', '0.02 in'),
    bushing: fc.boolean(),
    face: fc.constantFrom('', '2 thou', '20 thou'),
    blue: fc.constantFrom(0, 200, 360),
    leak: fc.constantFrom(0, 3),
    backseat: fc.boolean(),
    bare: fc.boolean(),
  });
  it('never circles, never loses a done step, always ends with a signature', () => {
    fc.assert(
      fc.property(findings, (found) => {
        const valve = defaultValve();
        const job = new BenchJob(
          { ...valve, ends: 'screwed', features: { ...valve.features, backseat: found.backseat } },
          { place: found.bare ? 'bare' : 'out and back' },
        );
        let leaks = found.leak;
        let done = new Set<string>();
        for (let i = 0; i < 600; i++) {
          const current = job.plan();
          const doneNow = new Set(
            current.steps.filter(({ status }) => status === 'done').map(({ id }) => id),
          );
          expect([...done].filter((id) => !doneNow.has(id))).toEqual([]);
          done = doneNow;
          const step = current.inHand;
          if (!step) break;
          if (step.id === 'inspect.runout')
            job.send({
              kind: 'take-runout',
              body: { step: step.id, readings: bendReadings(found.stem), readBy: DIAL },
            });
          else if (step.id === 'inspect.seat' && found.seat)
            job.send({
              kind: 'make-finding',
              body: { step: step.id, finding: { kind: 'seat damage', form: 'pitted', depth: found.seat } },
            });
          else if (step.id === 'inspect.disc' && found.disc)
            job.send({
              kind: 'make-finding',
              body: { step: step.id, finding: { kind: 'seat damage', form: 'pitted', depth: found.disc } },
            });
          else if (step.id === 'inspect.bushing' && found.bushing)
            job.send({ kind: 'make-finding', body: { step: step.id, finding: { kind: 'thread worn' } } });
          else if (step.id === 'inspect.body-face' && found.face)
            job.send({
              kind: 'make-finding',
              body: { step: step.id, finding: { kind: 'joint face damage', form: 'pit', depth: found.face } },
            });
          else if (step.id === 'inspect.blue') job.blue(step.id, found.blue);
          else if (step.task.kind === 'pressure-test' && step.task.test === 'seat' && leaks > 0) {
            leaks -= 1;
            job.send({
              kind: 'run-pressure-test',
              body: {
                step: step.id,
                pressure: step.task.pressure,
                hold: step.task.hold,
                leak: { ...step.task.allowed, perMinute: step.task.allowed.perMinute + 100 },
                readBy: DIAL,
              },
            });
          } else job.work(step);
        }
        expect(job.state.records['certificate-signed']).toHaveLength(1);
      }),
      { seed: 11, numRuns: 8 },
    );
  }, 60_000);
});

describe('due dates', () => {
  it('counts working days only', () => {
    expect(workingDaysFrom('2026-11-24T08:00:00Z', 4)).toBe('2026-11-30');
    expect(workingDaysFrom('2026-11-27T08:00:00Z', 1)).toBe('2026-11-30');
  });
});

describe('holds', () => {
  it('only an inspector who did none of the work, and not while an ask is open', () => {
    const job = new BenchJob().workTo('inspect.gland');
    job.send({
      kind: 'make-finding',
      body: { step: 'inspect.gland', finding: { kind: 'unsure', what: 'blue tint on one side' } },
    });
    job.workTo('hold.contact');
    expect(job.try({ kind: 'release-hold', body: { step: 'hold.contact' } }, TECHNICIAN)).toMatchObject({
      code: 'hold.wrong-role',
    });
    expect(job.try({ kind: 'release-hold', body: { step: 'hold.contact' } }, INSPECTOR)).toMatchObject({
      code: 'hold.asks-open',
      parts: ['gland'],
    });
    expect(
      job.try(
        { kind: 'overrule-call', body: { part: 'gland', verdict: 'fit', reason: 'heat tint only' } },
        TECHNICIAN,
      ),
    ).toMatchObject({ code: 'role.not-allowed' });
    job.send(
      { kind: 'overrule-call', body: { part: 'gland', verdict: 'fit', reason: 'heat tint only' } },
      LEAD,
    );
    job.send({ kind: 'release-hold', body: { step: 'hold.contact' } }, INSPECTOR);
    const worked = new BenchJob()
      .workTo('strip.lift')
      .send({ kind: 'do-step', body: { step: 'strip.lift' } }, INSPECTOR)
      .workTo('hold.contact');
    expect(worked.try({ kind: 'release-hold', body: { step: 'hold.contact' } }, INSPECTOR)).toMatchObject({
      code: 'hold.own-work',
    });
  });
});
