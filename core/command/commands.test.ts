import { describe, expect, it } from 'vitest';
import { bendReadings } from '../testing/bend';
import { BenchJob, DIAL, id, INSPECTOR, LAPSED, LEAD, TECHNICIAN } from '../testing/bench';
import type { RawCommand } from '.';

/** Each command: what it puts in the log, and every way it says no. */
const code = (job: BenchJob, command: RawCommand, by = TECHNICIAN) => job.try(command, by)?.code;
const last = (job: BenchJob) => job.log.at(-1);

const bent = () =>
  new BenchJob()
    .workTo('inspect.runout')
    .send({ kind: 'take-runout', body: { step: 'inspect.runout', readings: bendReadings(6), readBy: DIAL } });
const unsure = () =>
  new BenchJob().workTo('inspect.seat').send({
    kind: 'make-finding',
    body: { step: 'inspect.seat', finding: { kind: 'unsure', what: 'blue tint' } },
  });

describe('order-part, receive-part', () => {
  it('the call orders a part, its arrival frees what waits for it', () => {
    const job = bent();
    expect(job.step('order.stem')?.status).toBe('ready');
    job.send({ kind: 'order-part', body: { step: 'order.stem', expected: '2026-12-01' } });
    expect(last(job)).toMatchObject({ kind: 'part-ordered', body: { part: 'stem', expected: '2026-12-01' } });
    expect(job.step('arrive.stem')?.waits).toMatchObject([
      { kind: 'part', part: 'stem', expected: '2026-12-01' },
    ]);
    job.send({ kind: 'receive-part', body: { step: 'arrive.stem' } });
    expect(job.step('arrive.stem')?.status).toBe('done');
  });
  it('is not expected in the past, nor on a step that orders nothing', () => {
    const job = bent();
    expect(
      job.try({ kind: 'order-part', body: { step: 'order.stem', expected: '2026-11-23' } }),
    ).toMatchObject({ code: 'input.out-of-range', field: 'expected' });
    expect(code(job, { kind: 'order-part', body: { step: 'order.stem', expected: 'soon' } })).toBe(
      'command.invalid',
    );
    expect(code(job, { kind: 'order-part', body: { step: 'inspect.seat', expected: '2026-12-01' } })).toMatch(
      /^step\./,
    );
    expect(code(job, { kind: 'order-part', body: { step: 'order.gland', expected: '2026-12-01' } })).toBe(
      'step.unknown',
    );
  });
});

describe('overrule-call', () => {
  it('stands with its reason and its person, and changes the plan', () => {
    const job = bent();
    job.send({
      kind: 'overrule-call',
      body: { part: 'stem', verdict: 'fit', reason: 'customer accepts it for one year' },
    });
    expect(last(job)).toMatchObject({ kind: 'call-overruled', by: { id: TECHNICIAN.id } });
    expect(job.plan().calls.get('stem')?.verdict).toBe('fit');
    expect(job.step('order.stem')).toBeUndefined();
  });
  it('an ask is only cleared by a lead or an inspector', () => {
    const job = unsure();
    const clear = {
      kind: 'overrule-call',
      body: { part: 'seat', verdict: 'fit', reason: 'only a stain' },
    } as const;
    expect(job.try(clear)).toMatchObject({
      code: 'role.not-allowed',
      role: 'technician',
      wanted: ['lead', 'inspector'],
    });
    expect(job.try(clear, LEAD)).toBeUndefined();
  });
  it.each([
    [{ part: 'handwheel', verdict: 'renew', reason: 'looks old' }, 'call.none'],
    [{ part: 'stem', verdict: 'fit', reason: 'x' }, 'command.invalid'],
    [{ part: 'keel', verdict: 'fit', reason: 'looks fine' }, 'command.invalid'],
    [{ part: 'stem', verdict: 'splendid', reason: 'looks fine' }, 'command.invalid'],
  ])('%j: %s', (body, problem) => {
    expect(code(bent(), { kind: 'overrule-call', body } as RawCommand)).toBe(problem);
  });
});

describe('release-hold', () => {
  const release = { kind: 'release-hold', body: { step: 'hold.contact' } } as const;
  it('only an inspector, who did none of the work', () => {
    const job = new BenchJob().workTo('hold.contact');
    expect(job.try(release)).toEqual({ code: 'hold.wrong-role', role: 'technician' });
    expect(job.try(release, LEAD)).toEqual({ code: 'hold.wrong-role', role: 'lead' });
    expect(job.try(release, INSPECTOR)).toBeUndefined();
    expect(job.step('hold.contact')?.status).toBe('done');
  });
  it('an inspector who measured may not release', () => {
    const job = new BenchJob().workTo('inspect.runout');
    job.send(
      { kind: 'take-runout', body: { step: 'inspect.runout', readings: bendReadings(1), readBy: DIAL } },
      INSPECTOR,
    );
    job.workTo('hold.contact');
    expect(job.try(release, INSPECTOR)).toMatchObject({ code: 'hold.own-work' });
  });
  it('a note is no work', () => {
    const job = new BenchJob().workTo('hold.contact');
    job.send({ kind: 'add-note', body: { text: 'seen' } }, INSPECTOR);
    expect(job.try(release, INSPECTOR)).toBeUndefined();
  });
});

describe('strike-entry', () => {
  const strike = (entry: number, reason = 'typed wrongly') =>
    ({ kind: 'strike-entry', body: { entry, reason } }) as const;
  it('one’s own entries; those of others take a lead or an inspector', () => {
    const job = new BenchJob();
    job
      .send({ kind: 'add-note', body: { text: 'mine' } })
      .send({ kind: 'add-note', body: { text: 'the lead’s' } }, LEAD);
    const [mine, leads] = [job.log.length - 1, job.log.length];
    expect(job.try(strike(leads))).toMatchObject({ code: 'entry.fixed', seq: leads });
    expect(job.try(strike(mine))).toBeUndefined();
    expect(job.try(strike(leads), INSPECTOR)).toBeUndefined();
  });
  it('not the beginning, not a correction, not twice, not what never was', () => {
    const job = new BenchJob();
    job.send({ kind: 'add-note', body: { text: 'x' } });
    const note = job.log.length;
    job.send(strike(note));
    expect(code(job, strike(1))).toBe('entry.fixed');
    expect(code(job, strike(note))).toBe('entry.unknown');
    expect(code(job, strike(note + 1))).toBe('entry.fixed');
    expect(code(job, strike(999))).toBe('entry.unknown');
    expect(code(job, strike(1, 'x'))).toBe('command.invalid');
  });
});

describe('take-measurement', () => {
  const packing = () => new BenchJob().workTo('isolate.zero.upstream-pressure');
  it('is read in the kind that the step asks for, and kept as it was typed', () => {
    const job = packing();
    const task = job.step('isolate.zero.upstream-pressure')?.task;
    if (task?.kind !== 'measure') throw new Error('isolate.zero measures nothing');
    const what = task.asks[0]?.what ?? '';
    job.send({
      kind: 'take-measurement',
      body: { step: 'isolate.zero.upstream-pressure', what, value: '41 psig', readBy: 'hand' },
    });
    expect(last(job)).toMatchObject({ body: { value: { entered: '41 psig', unit: 'psig' } } });
    expect(job.step('isolate.zero.upstream-pressure')?.status).toBe('ready');
    expect(
      job.try({
        kind: 'take-measurement',
        body: { step: 'isolate.zero.upstream-pressure', what, value: '3 in', readBy: 'hand' },
      }),
    ).toMatchObject({
      code: 'input.invalid',
      issues: [{ path: what, problem: { code: 'quantity.wrong-kind' } }],
    });
    expect(
      code(job, {
        kind: 'take-measurement',
        body: { step: 'isolate.zero.upstream-pressure', what: 'its colour', value: '0 psig', readBy: 'hand' },
      }),
    ).toBe('step.wants');
    expect(
      code(job, {
        kind: 'take-measurement',
        body: { step: 'isolate.zero.upstream-pressure', what, value: '0 psig', readBy: id(999) },
      }),
    ).toBe('instrument.unknown');
    job.send({
      kind: 'take-measurement',
      body: { step: 'isolate.zero.upstream-pressure', what, value: '0 psig', readBy: 'hand' },
    });
    expect(job.step('isolate.zero.upstream-pressure')?.status).toBe('done');
  });
});

describe('readings of an instrument out of calibration', () => {
  it('are kept, marked, and finish nothing', () => {
    const job = new BenchJob().workTo('inspect.runout');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(1), readBy: LAPSED },
    });
    expect(last(job)).toMatchObject({ body: { readBy: { name: 'Dial 4', inCalibration: false } } });
    expect(job.step('inspect.runout')?.status).toBe('ready');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(1), readBy: DIAL },
    });
    expect(job.step('inspect.runout')?.status).toBe('done');
  });
});

describe('tighten-bolt', () => {
  it.each([
    [{ bolt: 1, torque: '0 lbf·ft' }, 'command.invalid'],
    [{ bolt: 1, torque: '30 psi' }, 'command.invalid'],
    [{ bolt: 0, torque: '30 lbf·ft' }, 'command.invalid'],
    [{ bolt: 97, torque: '30 lbf·ft' }, 'command.invalid'],
  ])('%j: %s', (click, problem) => {
    const job = new BenchJob().workTo('rebuild.bolt-up');
    expect(
      code(job, {
        kind: 'tighten-bolt',
        body: { step: 'rebuild.bolt-up', readBy: DIAL, ...click },
      }),
    ).toBe(problem);
  });
  it('a click before its time is refused with what it waits for', () => {
    const job = new BenchJob();
    expect(
      job.try({
        kind: 'tighten-bolt',
        body: { step: 'rebuild.bolt-up', bolt: 1, torque: '30 lbf·ft', readBy: DIAL },
      }),
    ).toMatchObject({ code: 'step.waits' });
  });
});

describe('log-lapping', () => {
  const lapping = () => new BenchJob().workTo('inspect.blue').blue('inspect.blue', 90).workTo('repair.lap#1');
  it.each([
    ['3 min', undefined],
    ['90 s', undefined],
    ['0 min', 'input.out-of-range'],
    ['3 h', 'input.out-of-range'],
    ['3 in', 'command.invalid'],
  ])('for %s: %s', (minutes, problem) => {
    expect(code(lapping(), { kind: 'log-lapping', body: { step: 'repair.lap#1', grit: 240, minutes } })).toBe(
      problem,
    );
  });
});

describe('run-pressure-test', () => {
  const at = () => new BenchJob().workTo('test.seat');
  const run = (change: object) =>
    ({
      kind: 'run-pressure-test',
      body: {
        step: 'test.seat',
        pressure: '1630 psig',
        hold: '60 s',
        leak: { perMinute: 0, of: 'drops' },
        readBy: DIAL,
        ...change,
      },
    }) as RawCommand;
  it('within its allowance, at its pressure, for its hold: passed', () => {
    const job = at().send(run({}));
    expect(job.step('test.seat')?.status).toBe('done');
    expect(job.plan().openings).toBe(1);
  });
  it('over its allowance: back to the seat, another opening', () => {
    const job = at().send(run({ leak: { perMinute: 40, of: 'drops' } }));
    expect(job.plan().openings).toBe(2);
    expect(job.plan().steps.some(({ id: step }) => step.endsWith('@2'))).toBe(true);
  });
  it('counted another way than the allowance is: refused, whatever the figure', () => {
    expect(at().try(run({ leak: { perMinute: 0, of: 'mL' } }))).toMatchObject({
      code: 'leak.counted-otherwise',
      found: 'mL',
      wanted: 'drops',
    });
  });
  it.each([
    [{ pressure: '-5 psig' }],
    [{ pressure: '5 in' }],
    [{ hold: '0 s' }],
    [{ leak: { perMinute: -1, of: 'drops' } }],
    [{ leak: { perMinute: 'many', of: 'drops' } }],
    [{ leak: { perMinute: 1, of: 'beads' } }],
    [{ leak: 6 }],
  ])('%j is refused', (change) => {
    expect(code(at(), run(change))).toMatch(/^(command\.invalid|input\.)/);
  });
});

describe('sign-certificate', () => {
  it('closes the job; the next overhaul is after today', () => {
    const job = new BenchJob().workTo('release.sign');
    const sign = (nextDue: string): RawCommand => ({
      kind: 'sign-certificate',
      body: { step: 'release.sign', nextDue },
    });
    expect(job.try(sign('2026-11-24'), LEAD)).toMatchObject({ code: 'input.out-of-range', field: 'nextDue' });
    job.send(sign('2028-11-24'), LEAD);
    expect(code(job, { kind: 'add-note', body: { text: 'one more thing' } })).toBe('job.released');
  });
});

describe('attach-working', () => {
  it('keeps what the core says, in the system it was asked in', () => {
    const job = new BenchJob();
    job.send({
      kind: 'attach-working',
      body: {
        working: 'packing.rings',
        given: { stem: '25 mm', bore: '41 mm', depth: '60 mm', glandEntry: '6 mm' },
      },
    });
    expect(last(job)).toMatchObject({
      kind: 'working-attached',
      body: {
        title: 'Packing rings: section, cut length, count',
        answer: expect.arrayContaining([
          { label: 'Section', value: '8 mm' },
          { label: 'Rings', value: '9' },
        ]),
      },
    });
  });
  it.each([
    [{ working: 'fishing', given: {} }, 'working.unknown'],
    [{ working: 'lathe.speed', given: { diameter: '2 in' } }, 'input.invalid'],
    [
      { working: 'gasket.load', given: { factor: 3, seatingStress: '1 ksi', pressure: '1 psi' } },
      'input.conflict',
    ],
    [{ working: 'lathe.speed', given: { note: 'x'.repeat(30_000) } }, 'command.invalid'],
  ])('%#: %s', (body, problem) => {
    expect(code(new BenchJob(), { kind: 'attach-working', body })).toBe(problem);
  });
  it('does no work: an inspector who kept a working may still release', () => {
    const job = new BenchJob().workTo('hold.contact');
    job.send(
      {
        kind: 'attach-working',
        body: { working: 'lathe.speed', given: { diameter: '2 in', surfaceSpeed: '40 ft/min' } },
      },
      INSPECTOR,
    );
    expect(code(job, { kind: 'release-hold', body: { step: 'hold.contact' } }, INSPECTOR)).toBeUndefined();
  });
});
