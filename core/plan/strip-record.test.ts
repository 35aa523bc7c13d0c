import { describe, expect, it } from 'vitest';
import { apartDegrees, MARKS_MEET_DEGREES } from '../job';
import { degrees, parseQuantity, valueIn } from '../quantity';
import { BenchJob, LEAD } from '../testing/bench';
import { waitsFor } from '../testing/relations';
import { CONSTRUCTION_IDS, defaultValve, type ConstructionId } from '../valve';
import { handOver } from '.';

const mark = (job: BenchJob, step: string, clock: string) =>
  job.try({ kind: 'set-mark', body: { step, part: 'bonnet', clock } });

describe('match marks (handbook part 1: nobody wrote down how the bonnet was clocked)', () => {
  it('are typed by the clock: 2 o’clock is 60°, 12 is 0°', () => {
    const read = (text: string) => {
      const parsed = parseQuantity(text, 'angle');
      return parsed.ok ? valueIn(parsed.value, '°') : undefined;
    };
    expect(read("2 o'clock")).toBeCloseTo(60, 9);
    expect(read('4.5 oclock')).toBeCloseTo(135, 9);
    expect(apartDegrees(degrees(0), degrees(360))).toBe(0);
    expect(apartDegrees(degrees(350), degrees(10))).toBe(20);
  });
  it('come before any joint is loosened, and are asked for again before a test', () => {
    for (const id of CONSTRUCTION_IDS) {
      const { steps } = new BenchJob(defaultValve(id)).plan();
      const at = (step: string) => steps.findIndex((each) => each.id === step);
      if (at('strip.match-mark') < 0) continue;
      const { task } = steps[at('strip.match-mark')] ?? {};
      const marked = task?.kind === 'marks' ? task.parts : [];
      const opened = steps.findIndex(({ off }) => off.some((part) => marked.includes(part)));
      if (opened >= 0) expect(at('strip.match-mark'), id).toBeLessThan(opened);
      if (at('setup.marks') >= 0)
        expect(at('setup.marks'), id).toBeLessThan(steps.findIndex(({ stage }) => stage === 'test'));
    }
  });
  it('that do not meet at rebuild are kept and hold the job until they do', () => {
    const job = new BenchJob().workTo('strip.match-mark');
    expect(mark(job, 'strip.match-mark', "2 o'clock")).toBeUndefined();
    job.workTo('setup.marks');
    expect(mark(job, 'setup.marks', '75°')).toBeUndefined();
    expect(job.step('setup.marks')?.status).toBe('ready');
    expect(mark(job, 'setup.marks', `${60 + MARKS_MEET_DEGREES}°`)).toBeUndefined();
    expect(job.step('setup.marks')?.status).toBe('done');
    expect(job.state.records['mark-set']).toHaveLength(3);
  });
  it('on a part that has none are refused', () => {
    const job = new BenchJob().workTo('strip.match-mark');
    expect(
      job.try({ kind: 'set-mark', body: { step: 'strip.match-mark', part: 'gland', clock: '0°' } }),
    ).toMatchObject({ code: 'step.wants', wants: 'bonnet' });
  });
});

describe('settings that are lost with the first turn (common practice)', () => {
  it('a relief valve: the height of its screw once the cap is off, its turns as it is backed off; both again', () => {
    const job = new BenchJob(defaultValve('relief-spring'));
    const before = (id: string) => [...waitsFor(job.plan(), id)];
    // Nothing under a cap can be measured with the cap on.
    expect(job.step('strip.settings')).toBeUndefined();
    expect(before('strip.screw-height')).toContain('strip.cap');
    expect(before('strip.compression-screw')).toContain('strip.screw-height');
    const was = (id: string) => {
      const task = job.step(id)?.task;
      return task?.kind === 'measure' ? task.asks.map((ask) => `${ask.what}: ${String(ask.was)}`) : [];
    };
    expect(was('rebuild.compression-screw')).toEqual([
      'turns of the compression screw: strip.compression-screw',
    ]);
    expect(was('setup.screw-height')).toEqual(['height of the compression screw: strip.screw-height']);
    expect(before('setup.screw-height')).toContain('setup.set');
  });
  it('packing fills what lantern ring and adapters leave of the box, so many of it below the port', () => {
    // 2 in deep, 1/4 in gland, 3/8 in lantern ring; rings 1/4 in, compressed by a quarter: 0.1875 in each.
    const packed = (id: ConstructionId) => {
      const job = new BenchJob(defaultValve(id)).workTo('rebuild.pack');
      const task = job.step('rebuild.pack')?.task;
      if (task?.kind !== 'packing') throw new Error(`${id} is not packed`);
      return task;
    };
    expect(packed('control-globe-double-seat')).toMatchObject({ rings: 7, below: 4, opened: 'cut at 45°' });
    expect(packed('plug-eccentric')).toMatchObject({ opened: 'cut radially' });
    expect(packed('control-balanced-cage')).toMatchObject({ opened: 'whole' });
  });
  it('what is counted off is counted on again by the step that restores it, side by side', () => {
    const pairs: [ConstructionId, string, string][] = [
      ['control-balanced-cage', 'strip.preload', 'rebuild.preload'],
      ['control-ball-in-venturi', 'strip.coupler', 'rebuild.couple'],
      ['control-butterfly', 'strip.actuator-off', 'rebuild.actuator-on'],
      ['globe-yoke-clamp', 'strip.shims', 'rebuild.shims'],
    ];
    for (const [id, off, on] of pairs) {
      const job = new BenchJob(defaultValve(id));
      const [taken, again] = [job.step(off)?.task, job.step(on)?.task];
      expect(taken?.kind, off).toBe('measure');
      if (taken?.kind !== 'measure' || again?.kind !== 'measure') throw new Error(`${on} compares nothing`);
      expect(again.asks.map(({ what }) => what)).toEqual(taken.asks.map(({ what }) => what));
      expect(
        again.asks.every(({ was }) => was === off),
        on,
      ).toBe(true);
    }
  });
  it('a relief valve: its rings are counted before the bonnet is off and come back by the count (blowdown)', () => {
    const job = new BenchJob(defaultValve('relief-spring')).workTo('strip.ring-notches');
    const count = (step: string, value: string) =>
      job.try({
        kind: 'take-measurement',
        body: { step, what: 'upper ring, notches from its stop', value, readBy: 'hand' },
      });
    expect(count('strip.ring-notches', '12 notches')).toBeUndefined();
    expect(job.step('strip.bonnet')?.status).toBe('waiting');
    expect(count('strip.ring-notches', '3 psig')).toBeDefined();
    const { task } = job.step('rebuild.rings') ?? {};
    expect(task?.kind === 'measure' && task.asks.map(({ was }) => was)).toEqual([
      'strip.ring-notches',
      'strip.ring-notches',
    ]);
  });
  it('every valve with a spring to set has its figure taken', () => {
    const sprung = ['spring-diaphragm', 'range-spring', 'weight-lever'];
    for (const id of CONSTRUCTION_IDS) {
      const valve = defaultValve(id);
      const has = new BenchJob(valve).step('strip.settings') !== undefined;
      if (sprung.includes(valve.features.moved.kind)) expect(has, id).toBe(true);
    }
  });
});

describe('as found', () => {
  it('is stroked and read before anything is loosened, or passed over with a word', () => {
    const job = new BenchJob(defaultValve('control-balanced-cage')).workTo('diagnose.as-found');
    const step = job.step('diagnose.as-found');
    expect(step?.why).toMatch(/interval/);
    expect(job.try({ kind: 'do-step', body: { step: 'diagnose.as-found' } })).toMatchObject({
      code: 'step.wants',
    });
    job.send({ kind: 'do-step', body: { step: 'diagnose.as-found', notNeeded: true } });
    expect(job.step('diagnose.as-found')?.status).toBe('done');
  });
});

describe('the tray and the hand-over', () => {
  it('only what has come off is kept, discarded or held', () => {
    const job = new BenchJob().workTo('strip.lift');
    const lay = () => job.try({ kind: 'lay-part', body: { part: 'bonnet gasket', lot: 'discard' } });
    expect(lay()).toMatchObject({ code: 'input.conflict' });
    job.workTo('inspect.clean');
    expect(lay()).toBeUndefined();
  });
  it('says what is off and where it lies, what is loose, whose locks hang', () => {
    const job = new BenchJob().workTo('inspect.clean');
    job.send({ kind: 'lay-part', body: { part: 'bonnet gasket', lot: 'discard' } });
    const now = handOver(job.plan(), job.state);
    expect(now.tray.map(({ place }) => place)).toEqual(now.tray.map((_, i) => i + 1));
    expect(now.tray.find(({ part }) => part === 'bonnet gasket')?.lot).toBe('discard');
    expect(now.tray.find(({ part }) => part === 'stem')?.lot).toBe('not said');
    expect(now.loose.join()).toMatch(/not torqued yet/);
    expect(now.locks).toHaveLength(2);
    job.send({ kind: 'assign-person', body: { person: LEAD } });
    const done = handOver(job.workTo('nothing').plan(), job.state);
    expect(done).toMatchObject({ tray: [], loose: [], locks: [] });
  });
  it('a spring that is still in says so; once it is out it is silent', () => {
    const job = new BenchJob(defaultValve('relief-spring'));
    expect(handOver(job.plan(), job.state).loaded.join()).toMatch(/compression screw/);
    job.workTo('inspect.clean');
    expect(handOver(job.plan(), job.state).loaded).toEqual([]);
  });
});
