import { describe, expect, it } from 'vitest';
import { EMPTY_JOB } from '../job';
import { inches } from '../quantity';
import { bendReadings } from '../testing/bend';
import { BenchJob, DIAL, INSPECTOR, LEAD, TECHNICIAN } from '../testing/bench';
import { defaultValve } from '../valve';
import { certificate } from '.';

function finished(): BenchJob {
  const job = new BenchJob({ ...defaultValve(), ends: 'flanged' }).workTo('inspect.runout');
  job.send({
    kind: 'take-runout',
    body: { step: 'inspect.runout', readings: bendReadings(3.1), readBy: DIAL },
  });
  job.workTo('inspect.seat').send({
    kind: 'make-finding',
    body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'wire drawn', depth: '0.002 in' } },
  });
  job.workTo('rebuild.bolt-up').send({
    kind: 'tighten-bolt',
    body: { step: 'rebuild.bolt-up', bolt: 6, torque: '30 lbf·ft', readBy: DIAL },
  });
  job.workTo('test.seat').send({
    kind: 'run-pressure-test',
    body: {
      step: 'test.seat',
      pressure: '1630 psig',
      hold: '60 s',
      leak: { perMinute: 40, of: 'drops' },
      readBy: DIAL,
    },
  });
  return job.workTo('nothing');
}

describe('the certificate', () => {
  const job = finished();
  const paper = certificate(job.state, job.log, 'US');
  if (!paper) throw new Error('no certificate');

  it('says as found and as left', () => {
    expect(paper.asFound.join('\n')).toMatch(/stem runout \(TIR\): .*thou/);
    expect(paper.asFound.join('\n')).toMatch(/seat damage, wire drawn, 0.002 in deep/);
    expect(paper.asLeft.join('\n')).toMatch(/renewed: .*stem/);
    expect(paper.rings[0]?.left?.words).toMatch(/100 % of the circle/);
    expect(paper.runout?.readings.length).toBeGreaterThan(4);
  });

  it('what was taken and compared stands side by side, set-up among what it was left with', () => {
    const caged = new BenchJob(defaultValve('control-balanced-cage'), { place: 'bare' }).workTo(
      'strip.preload',
    );
    const turns = (step: string, value: string) =>
      caged.send({
        kind: 'take-measurement',
        body: { step, what: 'turns of the spring adjuster', value, readBy: 'hand' },
      });
    turns('strip.preload', '7 turns');
    caged.workTo('rebuild.preload');
    turns('rebuild.preload', '7.5 turns');
    caged.workTo('nothing');
    const { asFound = [], asLeft = [], pairs } = certificate(caged.state, caged.log, 'US') ?? {};
    expect(pairs).toContainEqual({
      what: 'turns of the spring adjuster',
      found: '7 turns',
      left: '7.5 turns',
    });
    expect([...asFound, ...asLeft].join()).not.toContain('turns of the spring adjuster');
    expect(asLeft.some((line) => line.startsWith('start of travel, rising'))).toBe(true);
    expect(asFound.some((line) => line.startsWith('start of travel, rising'))).toBe(false);
  });

  it('proofs of zero and sizes are no findings', () => {
    expect(paper.asFound.join()).not.toMatch(/pressure (up|down)stream|pressure at the vent/);
    expect(paper.measured.join()).toMatch(/stem diameter: /);
    expect(paper.asFound.join()).not.toMatch(/stem diameter/);
  });

  it('gives every call with its reason and whose rule it is', () => {
    expect(paper.calls.find(({ part }) => part === 'stem')).toMatchObject({ verdict: 'renew' });
    expect(paper.calls.every(({ reason, source }) => reason !== '' && source !== '')).toBe(true);
  });

  it('has a torque for every bolt and pass of both bolt-ups, and what was put right', () => {
    // The bonnet twice, and each line flange.
    expect(paper.torques).toHaveLength(4);
    for (const table of paper.torques) {
      expect(table.percents).toEqual([25, 50, 75, 100, 100]);
      expect(table.rows.every(({ passes }) => passes.every((torque) => torque !== undefined))).toBe(true);
    }
    expect(paper.torques[0]?.putRight.join()).toMatch(/Bolt 6.*wrong bolt/);
  });

  it('shows the failed and the passed seat test with allowance and source (API 598)', () => {
    const seat = paper.tests.filter(({ title }) => title === 'Seat test');
    expect(seat.map((line) => line.passed)).toEqual([false, true]);
    expect(seat[0]).toMatchObject({ leak: '40 drops/min', allowed: '6 drops/min' });
    expect(seat[0]?.source).toContain('API 598');
  });

  it('names people, holds and instruments, and says that readings were simulated', () => {
    expect(paper.people.map(({ name }) => name)).toEqual([TECHNICIAN.name, LEAD.name, INSPECTOR.name]);
    expect(paper.holds.every(({ by }) => by === INSPECTOR.name)).toBe(true);
    expect(paper.instruments).toMatchObject([{ name: 'Dial 2', calibrationDue: '2027-05-01' }]);
    expect(paper.simulated).toBe(true);
    expect(paper.signed?.nextDue).toBe('2029-11-24');
  });

  it('turns to SI without losing what was entered', () => {
    const metric = certificate(job.state, job.log, 'SI');
    expect(metric?.asFound.join('\n')).toMatch(/seat damage, wire drawn, 0.0508 mm deep/);
  });
});

describe('a certificate on the way', () => {
  it('is a draft with nothing found before anything was done', () => {
    const job = new BenchJob();
    const paper = certificate(job.state, job.log, 'US');
    expect(paper).toMatchObject({
      title: 'Overhaul certificate',
      condemned: false,
      asFound: [],
      asLeft: [],
      measured: [],
      torques: [],
      tests: [],
      workings: [],
    });
    expect(paper?.signed).toBeUndefined();
    expect(paper?.plate.length).toBeGreaterThan(3);
  });
  it('a condemned valve gets a report that says so', () => {
    const valve = defaultValve();
    const integral = {
      ...valve,
      features: {
        ...valve.features,
        seat: { kind: 'integral' as const, face: 'plain' as const, diameter: inches(3) },
      },
    };
    const job = new BenchJob(integral).workTo('inspect.seat');
    job.send({ kind: 'make-finding', body: { step: 'inspect.seat', finding: { kind: 'cracked' } } });
    const paper = certificate(job.state, job.log, 'US');
    expect(paper).toMatchObject({ title: 'Condemnation report', condemned: true });
    expect(paper?.calls.find(({ part }) => part === 'seat')?.verdict).toBe('condemn');
  });
  it('an overruled call stands with who said what', () => {
    const job = new BenchJob().workTo('inspect.runout');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(6), readBy: DIAL },
    });
    job.send({
      kind: 'overrule-call',
      body: { part: 'stem', verdict: 'fit', reason: 'one more season, customer agrees' },
    });
    const line = certificate(job.state, job.log, 'US')?.calls.find(({ part }) => part === 'stem');
    expect(line?.verdict).toBe('fit');
    expect(line?.overruled).toContain('overruled by technician 1');
    expect(line?.reason).toContain('one more season');
  });
  it('corrections are listed with their reason', () => {
    const job = new BenchJob();
    job.send({ kind: 'add-note', body: { text: 'x' } });
    job.send({ kind: 'strike-entry', body: { entry: job.log.length, reason: 'meant for another valve' } });
    expect(certificate(job.state, job.log, 'US')?.corrections.join()).toContain('meant for another valve');
  });
  it('workings kept with the job stand on it with answer and source', () => {
    const job = new BenchJob();
    job.send({
      kind: 'attach-working',
      body: {
        working: 'bolting.crowfoot',
        given: { torque: '100 lbf·ft', wrench: '18 in', adapter: '2.5 in' },
      },
    });
    expect(certificate(job.state, job.log, 'US')?.workings).toEqual([
      {
        title: 'Wrench setting with a crow-foot',
        answer: 'Set the wrench to: 87.8 lbf·ft',
        source: 'Lever arms of a wrench with an adapter (common practice)',
      },
    ]);
  });
  it('packing says its rings and where their joints lie', () => {
    const job = new BenchJob().workTo('release.sign');
    const packing = certificate(job.state, job.log, 'SI')?.packing;
    expect(packing?.rings).toBeGreaterThan(3);
    expect(packing?.joints.length).toBeGreaterThan(3);
  });
  it('there is none before a job is open', () => {
    expect(certificate(EMPTY_JOB, [], 'US')).toBeUndefined();
  });
});

describe('the certificate of a double-seated control valve', () => {
  const job = new BenchJob(defaultValve('control-globe-double-seat'), { place: 'bare' }).workTo(
    'inspect.blue.upper',
  );
  job.blue('inspect.blue.upper', 200).workTo('inspect.blue.lower').blue('inspect.blue.lower', 250);
  job.workTo('test.seat').send({
    kind: 'run-pressure-test',
    body: {
      step: 'test.seat',
      pressure: job.step('test.seat')?.task.kind === 'pressure-test' ? '60 psig' : '0 psig',
      hold: '60 s',
      leak: { perMinute: 2.34, of: 'mL' },
      readBy: DIAL,
    },
  });
  job.workTo('nothing');
  const paper = certificate(job.state, job.log, 'SI');

  it('has both contacts as found, and both as left', () => {
    const { rings = [] } = paper ?? {};
    expect(rings.map(({ found }) => found?.words).join()).toMatch(/55\.6 %.*69\.4 %/);
    expect(rings.filter(({ left }) => left?.passes)).toHaveLength(2);
  });
  it('counts the leak in what was counted, in figures that can be read (FCI 70-2, class II in mL)', () => {
    const seat = paper?.tests.find(({ title }) => title.startsWith('Seat test'));
    expect(seat?.leak).toBe('2.3 mL/min');
    expect(seat?.allowed).toMatch(/^\d+(\.\d)? mL\/min$/);
  });
});
