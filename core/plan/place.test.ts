import { describe, expect, it } from 'vitest';
import { openJob } from '../command';
import { USUAL_RULES } from '../inspection';
import { placeOf, PLACES, type Place } from '../job';
import { psig, say, valueIn } from '../quantity';
import { BenchJob, TECHNICIAN } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import { placesOf } from '../procedure';
import { CONSTRUCTION_IDS, defaultValve, type ConstructionId, type Valve } from '../valve';
import { placeAdvice } from '.';

const at = (place: Place, id: ConstructionId = 'globe-bolted', known: Partial<Valve> = {}) =>
  new BenchJob({ ...defaultValve(id), ...known }, { place });
const stepsOf = (job: BenchJob) => job.plan().steps;
const idsOf = (job: BenchJob) => stepsOf(job).map(({ id }) => id);
/** Whether a step waits for another, directly or through others. */
const afterIn = (job: BenchJob) => (step: string, before: string) => waitsFor(job.plan(), step).has(before);
const read = (job: BenchJob, step: string, what: string, value: string) =>
  job.send({ kind: 'take-measurement', body: { step, what, value, readBy: 'hand' } });

/** Those that can be overhauled without leaving their line. */
const STAYING = CONSTRUCTION_IDS.filter((id) =>
  placesOf(defaultValve(id).features, 'overhaul').includes('in line'),
);

describe('a valve that stays in its line (handbook part 6.1)', () => {
  it.each(STAYING)('%s: on no rig, and proved in service once its locks are off', (id) => {
    const job = at('in line', id);
    const rigged = stepsOf(job).filter(({ task }) => task.kind === 'pressure-test');
    // The seats of an oilfield valve alone are proved, between its blocks (API 6A).
    expect(rigged.map((step) => step.id)).toEqual(id === 'gate-slab-unitised' ? ['test.seat'] : []);
    const after = afterIn(job);
    const lockedOut = stepsOf(job).filter(({ isolation }) => isolation?.is === 'restored');
    expect(lockedOut.length).toBeGreaterThan(0);
    for (const { id: point } of lockedOut) expect(after('service.look', point), point).toBe(true);
    // A relief valve is popped and sealed by a pump of its own, its block still shut.
    const tests = stepsOf(job).filter(
      ({ stage, task }) => stage === 'test' && task.kind === 'do' && id !== 'relief-spring',
    );
    for (const test of tests) expect(after(test.id, 'restore.sign'), test.id).toBe(true);
    expect(after('hold.test', 'service.look')).toBe(true);
    expect(after('release.sign', 'hold.test')).toBe(true);
  });
  it('a leak seen keeps it open; none is wanted', () => {
    const job = at('in line').workTo('service.look');
    read(job, 'service.look', 'line pressure', '88 psig');
    read(job, 'service.look', 'leaks seen', '1 piece');
    expect(job.step('service.look')?.status).toBe('ready');
    read(job, 'service.look', 'leaks seen', '0 pieces');
    expect(job.step('service.look')?.status).toBe('done');
    expect(job.step('service.gland')?.optional).toBeDefined();
  });
});

describe('what can only be reached out of its line (common practice)', () => {
  const AWAY = ['control-rotary-eccentric', 'control-butterfly', 'relief-shear-pin'] as const;
  it.each(AWAY)(
    '%s: its trim comes out through its ends, and nobody is sent to do that in the pipe',
    (id) => {
      const { features } = defaultValve(id);
      expect(placesOf(features, 'overhaul')).toEqual(['out and back', 'bare']);
      expect(placesOf(features, 'check')).toContain('in line');
      const opened = openJob(
        { valve: defaultValve(id), site: USUAL_RULES, place: 'in line', reported: '' },
        TECHNICIAN,
      );
      expect(opened).toMatchObject({ problem: { code: 'input.conflict', fields: ['place'] } });
      const job = at('out and back', id);
      expect(
        job.try({ kind: 'change-place', body: { place: 'in line', reason: 'quicker so' } }),
      ).toMatchObject({
        code: 'input.conflict',
      });
    },
  );
  it('its actuator, packing or positioner is worked on where it stands; for its trim it is said to come out first', () => {
    const valve = { ...defaultValve('control-rotary-eccentric'), ends: 'screwed' as const };
    for (const scope of ['repack', 'actuator', 'positioner', 'reversal', 'set-up'] as const)
      expect(placesOf(valve.features, scope), scope).toContain('in line');
    const job = new BenchJob(valve, { place: 'in line', scope: 'repack' });
    const widen = () =>
      job.try({ kind: 'change-scope', body: { scope: 'trim', reason: 'the shaft is scored' } });
    expect(widen()).toMatchObject({ code: 'input.conflict', why: expect.stringMatching(/flange end/) });
    job.send({ kind: 'change-place', body: { place: 'out and back', reason: 'for its shaft' } });
    expect(widen()).toBeUndefined();
  });
});

describe('a relief valve in its line is popped by a pump of its own (handbook part 6.6)', () => {
  const job = at('in line', 'relief-spring', { plate: { setPressure: psig(250), stamp: 'UV' } });
  const POPPED = ['strip.as-found-pop', 'setup.set', 'test.pops'];
  it('as found, set and three pops while its block is locked, let down and proved after each', () => {
    const after = afterIn(job);
    expect(after('restore.block.upstream', 'test.pops')).toBe(true);
    expect(after('strip.as-found-pop', 'isolate.sign')).toBe(true);
    for (const id of POPPED) {
      const task = job.step(id)?.task;
      expect(task?.kind === 'measure' && task.asks.at(-1), id).toMatchObject({ mustBe: 'zero' });
      expect(job.step(id)?.tools, id).toEqual(['hand pump and test gauge']);
    }
  });
  it('on the rig of the shop nothing is let down at a test connection', () => {
    for (const id of POPPED) {
      const step = at('bare', 'relief-spring', { plate: { setPressure: psig(250), stamp: 'UV' } }).step(id);
      expect(step?.tools, id).toEqual(['test rig']);
      expect(step?.task.kind === 'measure' && step.task.asks.map(({ mustBe }) => mustBe)).not.toContain(
        'zero',
      );
    }
  });
});

describe('a part that stays in its line and is past what is done there (handbook part 6.1)', () => {
  const found = (depth: string) =>
    at('in line')
      .workTo('inspect.body-face')
      .send({
        kind: 'make-finding',
        body: {
          step: 'inspect.body-face',
          finding: { kind: 'joint face damage', form: 'pit', depth },
        },
      });
  it('a joint face too deep to lap: out of its line is offered, and where it stays no lathe is asked for', () => {
    const job = found('40 thou');
    expect(job.plan().calls.get('body')?.method).toBe('turn joint face');
    expect(placeAdvice(job.state, job.plan())).toMatchObject({
      to: 'out and back',
      why: expect.stringMatching(/^body/),
    });
    expect(job.step('repair.turn-body-face')?.tools).toEqual(['portable facing machine']);
    job.send({ kind: 'change-place', body: { place: 'out and back', reason: 'its face is turned' } });
    expect(placeAdvice(job.state, job.plan())).toBeUndefined();
    expect(job.step('repair.turn-body-face')?.tools).toEqual(['lathe']);
  });
  it('one that a lap takes off stays where it is', () => {
    const job = found('2 thou');
    expect(placeAdvice(job.state, job.plan())).toBeUndefined();
  });
});

describe('left apart in an open line', () => {
  it('a quote and a condemned body keep their locks, and somebody has them before anybody signs', () => {
    const quoted = new BenchJob({ ...defaultValve(), ends: 'screwed' }, { place: 'in line', scope: 'quote' });
    const condemned = at('in line')
      .workTo('inspect.body-face')
      .send({ kind: 'make-finding', body: { step: 'inspect.body-face', finding: { kind: 'cracked' } } });
    for (const job of [quoted, condemned]) {
      expect(afterIn(job)('release.sign', 'release.locked')).toBe(true);
      expect(job.step('release.locked')?.task).toMatchObject({
        writes: expect.stringMatching(/who holds them/),
      });
    }
    expect(at('bare').step('release.locked')).toBeUndefined();
    expect(at('in line').step('release.locked')).toBeUndefined();
  });
});

describe('out to the shop and back', () => {
  it.each(CONSTRUCTION_IDS)(
    '%s: lifted after zero is proved and signed, before anything is taken off',
    (id) => {
      const job = at('out and back', id);
      const after = afterIn(job);
      expect(after('lift.out', 'isolate.sign')).toBe(true);
      for (const { id: step, off, opening } of stepsOf(job))
        if (off.length > 0 && opening === 1) expect(after(step, 'lift.blinds'), step).toBe(true);
      for (const { id: step, isolation } of stepsOf(job))
        if (isolation?.is === 'restored') expect(after(step, 'lift.blinds-out'), step).toBe(true);
      expect(after('lift.back', 'hold.test')).toBe(true);
    },
  );
  it('each leg carries W / (2 cos(angle/2)): 400 lb at 60° is 231 lbf', () => {
    const job = at('out and back').workTo('lift.load');
    read(job, 'lift.load', 'mass of the valve', '400 lb');
    read(job, 'lift.load', 'angle between the legs', '60°');
    expect(say(job.step('lift.out')?.why ?? '', 'US')).toMatch(
      /Each leg carries 230\.9 lbf|Each leg carries 231 lbf/,
    );
  });
  it('over 120° between the legs nobody lifts', () => {
    const job = at('out and back').workTo('lift.load');
    read(job, 'lift.load', 'mass of the valve', '400 lb');
    read(job, 'lift.load', 'angle between the legs', '130°');
    expect(job.step('lift.load')?.status).toBe('ready');
  });
  it.each([
    // ASME B16.5.
    [4, 300, 8, '3/4-10'],
    [8, 150, 8, '3/4-10'],
    [6, 600, 12, '1-8'],
  ] as const)(
    'NPS %d class %d: %d studs %s in each flange, by a torque of their own',
    (nps, pressureClass, bolts, thread) => {
      const job = at('out and back', 'gate-wedge', { nps, pressureClass, ends: 'flanged' });
      for (const side of ['upstream', 'downstream']) {
        const step = job.step(`lift.bolt.${side}`);
        expect(step?.task).toMatchObject({ kind: 'bolt-up', bolts });
        expect(say(step?.why ?? '', 'US')).toContain(thread);
      }
    },
  );
  it('the torque of a 3/4-10 B7 stud at K 0.16 and half of yield (T = K·D·F)', () => {
    const task = at('out and back', 'gate-wedge', { nps: 4, pressureClass: 300, ends: 'flanged' }).step(
      'lift.bolt.upstream',
    )?.task;
    // 0.16 × 0.75 in × 52.5 ksi × 0.334 in² / 12.
    expect(task?.kind === 'bolt-up' && valueIn(task.torque, 'lbf·ft')).toBeCloseTo(175.6, 0);
  });
  it.each(['screwed', 'welded'] as const)('%s ends have no flange to bolt', (ends) => {
    const ids = idsOf(at('out and back', 'globe-bolted', { ends }));
    expect(ids).toContain('lift.back');
    expect(ids.filter((id) => /lift\.(bolt|faces)/.test(id))).toEqual([]);
  });
  it('as many blinds come out as went in', () => {
    const job = at('out and back').workTo('lift.blinds');
    read(job, 'lift.blinds', 'blinds', '3 blinds');
    job.workTo('lift.blinds-out');
    read(job, 'lift.blinds-out', 'blinds', '2 blinds');
    expect(job.step('lift.blinds-out')?.status).toBe('ready');
    read(job, 'lift.blinds-out', 'blinds', '3 blinds');
    expect(job.step('lift.blinds-out')?.status).toBe('done');
  });
});

describe('in bare', () => {
  it.each([
    ['gate-wedge', true],
    ['gate-slab-unitised', true],
    ['plug-lubricated', true],
    ['ball-three-piece', true],
    ['globe-bolted', false],
    ['control-butterfly', false],
  ] as const)('%s: a pocket between its faces is let out and proved: %s', (id, isWanted) => {
    const job = at('bare', id);
    expect(idsOf(job).includes('isolate.zero.cavity-pressure')).toBe(isWanted);
    if (!isWanted) return;
    const after = afterIn(job);
    for (const { id: step, off } of stepsOf(job))
      if (off.length > 0) expect(after(step, 'isolate.zero.cavity-pressure'), step).toBe(true);
  });
  it('it is neither lifted out nor looked at in service', () => {
    for (const id of CONSTRUCTION_IDS)
      expect(idsOf(at('bare', id)).filter((step) => /^(lift|service)\./.test(step))).toEqual([]);
  });
});

describe('another place after all', () => {
  const change = (job: BenchJob, place: Place, reason = 'the body face must be turned') =>
    job.try({ kind: 'change-place', body: { place, reason } });
  it('the plan follows, and what was done stays done', () => {
    const job = at('in line').workTo('strip.match-mark');
    const done = stepsOf(job).filter(({ status }) => status === 'done').length;
    expect(change(job, 'out and back')).toBeUndefined();
    expect(placeOf(job.state)).toBe('out and back');
    expect(job.step('lift.out')?.status).not.toBe('done');
    expect(job.step('service.look')).toBeUndefined();
    expect(stepsOf(job).filter(({ status }) => status === 'done')).toHaveLength(done);
  });
  it('a valve that is out goes back the way it came; bare ones were never in a line', () => {
    const job = at('out and back').workTo('lift.blinds');
    expect(change(job, 'in line')).toMatchObject({ code: 'input.conflict' });
    for (const place of PLACES) expect(change(at('bare'), place)).toMatchObject({ code: 'input.conflict' });
    expect(change(at('in line'), 'bare')).toMatchObject({ code: 'input.conflict' });
  });
  it('it wants a reason', () => {
    expect(change(at('in line'), 'out and back', ' ')).toMatchObject({ code: 'command.invalid' });
  });
});

describe('what protects the vessel while its relief valve is away (common practice)', () => {
  it.each(['relief-spring', 'relief-shear-pin'] as const)(
    '%s: answered before the first block is touched',
    (id) => {
      const job = at('out and back', id);
      const after = afterIn(job);
      expect(job.step('isolate.protected')?.task).toMatchObject({
        kind: 'do',
        writes: expect.stringMatching(/who agreed/),
      });
      for (const { id: point, isolation } of stepsOf(job))
        if (isolation?.is === 'point') expect(after(point, 'isolate.protected'), point).toBe(true);
    },
  );
  it('the block beside it is sealed open before two sign; one without a block has nothing to seal', () => {
    const job = at('out and back', 'relief-spring');
    const after = afterIn(job);
    expect(after('restore.sealed-open', 'restore.block.upstream')).toBe(true);
    expect(after('restore.sign', 'restore.sealed-open')).toBe(true);
    expect(at('out and back', 'relief-shear-pin').step('restore.sealed-open')).toBeUndefined();
    expect(at('out and back', 'globe-bolted').step('isolate.protected')).toBeUndefined();
  });
  it('a pump is locked out before anything of its pop-off is touched, and given back last', () => {
    const job = at('out and back', 'relief-shear-pin');
    const after = afterIn(job);
    expect(job.step('isolate.pump')?.task.kind).toBe('lock');
    for (const step of stepsOf(job))
      if (step.off.length > 0) expect(after(step.id, 'isolate.pump'), step.id).toBe(true);
    expect(after('restore.sign', 'restore.pump')).toBe(true);
    expect(after('restore.pump', 'restore.vent.upstream')).toBe(true);
  });
});

describe('hydrogen sulphide (handbook part 6.1)', () => {
  const sour = { medium: { name: 'Sour gas', hazards: ['h2s' as const] } };
  const APPARATUS = /Breathing apparatus at any opened joint/;

  it.each(CONSTRUCTION_IDS)(
    '%s: said at every step at line pressure and at every slackening, in each place',
    (id) => {
      for (const place of placesOf(defaultValve(id).features, 'overhaul')) {
        const job = at(place, id, sour);
        for (const { id: step, caution = '', isolation, stage, off, task } of stepsOf(job)) {
          const opens =
            stage === 'strip' &&
            off.some((part) => /bonnet|cover bolts|gland|cap bolts|blind head|body bolts/.test(part));
          const live =
            (isolation && 'live' in isolation) ||
            (place === 'in line' && stage === 'test' && task.kind !== 'hold');
          if (opens || live) expect(caution, step).toMatch(APPARATUS);
        }
      }
    },
  );
  it('said once a step, and not where there is none', () => {
    const twice = stepsOf(at('in line', 'globe-bolted', sour)).filter(
      ({ caution = '' }) => caution.split('Breathing apparatus').length > 2,
    );
    expect(twice).toEqual([]);
    expect(stepsOf(at('in line')).some(({ caution = '' }) => APPARATUS.test(caution))).toBe(false);
  });
});

describe('a trial on its own supply (handbook part 6.1)', () => {
  const job = () => at('in line', 'solenoid-pilot').workTo('trial.lift');

  it('is offered where it is moved by power that is locked out, and may be passed over', () => {
    expect(job().step('trial.lift')?.optional).toBeDefined();
    const passed = job().send({ kind: 'do-step', body: { step: 'trial.lift', notNeeded: true } });
    expect(passed.step('trial.back')).toBeUndefined();
    expect(at('in line', 'globe-bolted').step('trial.lift')).toBeUndefined();
    expect(at('out and back', 'solenoid-pilot').step('trial.lift')).toBeUndefined();
  });
  it('lifted, it wants two names, the locks back, and zero proved again before anything is given back', () => {
    const lifted = job();
    expect(lifted.try({ kind: 'do-step', body: { step: 'trial.lift' } })).toBeDefined();
    lifted.send({ kind: 'do-step', body: { step: 'trial.lift', note: 'L 4 by Ines, Jory saw all clear' } });
    const after = afterIn(lifted);
    expect(after('restore.power', 'trial.zero')).toBe(true);
    expect(after('trial.zero', 'trial.back')).toBe(true);
    lifted.send({ kind: 'do-step', body: { step: 'trial.back', note: 'L 4 by Ines, Jory looked' } });
    read(lifted, 'trial.zero', 'voltage', '24 V');
    expect(lifted.step('trial.zero')?.status).toBe('ready');
    read(lifted, 'trial.zero', 'voltage', '0 V');
    expect(lifted.step('trial.zero')?.status).toBe('done');
  });
});
