import { describe, expect, it } from 'vitest';
import { ROUNDS, waysOf, wayRoundOn, wayWanted, valveAsLeft, type RoundOf } from '../job';
import { wantedRound } from '.';
import { BenchJob } from '../testing/bench';
import { CONSTRUCTION_IDS, defaultValve, type ConstructionId } from '../valve';

/** Which way round things go: facts of the trade (common practice), as constructions have them. */
const RIGHT: readonly [ConstructionId, RoundOf, string][] = [
  ['solenoid-pilot', 'metal disc of the diaphragm', 'disc up'],
  ['solenoid-pilot', 'cone spring', 'wide end on the diaphragm'],
  ['solenoid-pilot', 'armature spring', 'tight coils at the top'],
  ['control-lowpressure-diaphragm', 'bevel of the diaphragm', 'bevel down'],
  ['gate-slab-unitised', 'lips of the seals', 'to the pressure'],
  ['relief-shear-pin', 'pressure side of the cushion', 'away from the bonnet'],
  ['control-balanced-cage', 'long lip of the cage', 'lip down'],
  ['dump-weight-lever', 'rounded side of the trunnion hub', 'towards the inlet'],
  ['dump-weight-lever', 'letters and numbers', 'all up'],
];

const bench = (id: ConstructionId) => new BenchJob(defaultValve(id), { place: 'bare' });

function done(job: BenchJob, id: string): void {
  const step = job.step(id);
  if (!step) throw new Error(`no step ${id}`);
  job.work(step);
}

describe('which way round', () => {
  it('every one has two ways that are told apart', () => {
    for (const what of ROUNDS) expect(new Set(waysOf(what)).size, what).toBe(2);
  });

  it.each(RIGHT)('%s: %s goes back %s', (id, what, way) => {
    const job = bench(id).workTo('hold.contact');
    const step = job
      .plan()
      .steps.find(
        ({ stage, task }) =>
          stage === 'rebuild' && task.kind === 'way-round' && task.rounds.some((ask) => ask.what === what),
      );
    if (!step) throw new Error(`${id} has no step for the ${what}`);
    job.workTo(step.id);
    const [right, wrong] = waysOf(what);
    expect(right).toBe(way);
    job.send({ kind: 'see-way-round', body: { step: step.id, what, way: wrong } });
    expect(job.step(step.id)?.status, 'the wrong way round finishes nothing').toBe('ready');
    done(job, step.id);
    expect(job.step(step.id)?.status).toBe('done');
  });

  it.each(CONSTRUCTION_IDS)('%s: what is seen as it came is put back by a step that knows', (id) => {
    const { steps } = bench(id).plan();
    const put = steps.flatMap(({ stage, task }) =>
      stage !== 'strip' && task.kind === 'way-round' ? task.rounds.map(({ what }) => what) : [],
    );
    const seen = steps.flatMap(({ stage, task }) =>
      stage === 'strip' && task.kind === 'way-round' ? task.rounds : [],
    );
    expect(seen.map(({ what }) => what).filter((what) => !put.includes(what))).toEqual([]);
    expect(seen.every(({ was }) => was === undefined)).toBe(true);
  });

  it('a cartridge in its first service goes back turned, whichever way it came', () => {
    for (const way of waysOf('numbered end of the cartridge')) {
      const job = bench('control-ball-in-venturi').workTo('strip.cartridge');
      const seen = { step: 'strip.cartridge', what: 'numbered end of the cartridge', way } as const;
      job.send({ kind: 'see-way-round', body: seen });
      done(job.workTo('rebuild.cartridge'), 'rebuild.cartridge');
      expect(wayRoundOn(job.state, 'rebuild.cartridge', 'numbered end of the cartridge')).not.toBe(way);
    }
  });

  it('an arm that was reversed stays reversed when the valve is opened again', () => {
    const valve = defaultValve('control-butterfly');
    const job = new BenchJob(valve, { place: 'bare', scope: 'reversal' });
    const wanted = (state: typeof job.state) => {
      const step = job.plan().steps.findLast(({ on }) => on.includes('vane arm'));
      const [ask] = step?.task.kind === 'way-round' ? step.task.rounds : [];
      return ask && wantedRound(state, ask);
    };
    job.workTo('rebuild.vane-arm');
    expect(wanted(job.state)).toBe('second slot');
    const reopened = new BenchJob(
      {
        ...valve,
        features: { ...valve.features, moved: { kind: 'vane-arm', action: 'air-to-open', reversing: true } },
      },
      { place: 'bare' },
    ).workTo('test.seat');
    reopened.send({
      kind: 'run-pressure-test',
      body: {
        step: 'test.seat',
        pressure: '50 psig',
        hold: '60 s',
        leak: { perMinute: 900, of: 'bubbles' },
        readBy: 'hand',
      },
    });
    const again = reopened.plan().steps.find(({ id }) => id === 'rebuild.vane-arm@2')?.task;
    const [ask] = again?.kind === 'way-round' ? again.rounds : [];
    if (!ask) throw new Error('the arm does not come off again');
    expect(wantedRound(reopened.state, ask)).toBe('second slot');
    expect(reopened.plan().openings).toBe(2);
  });

  it('a step that has no such thing takes none, and says what it wants', () => {
    const job = bench('solenoid-pilot').workTo('strip.diaphragm');
    const asked = (what: RoundOf, way: string) =>
      job.try({ kind: 'see-way-round', body: { step: 'strip.diaphragm', what, way } });
    expect(asked('long lip of the cage', 'lip down')).toMatchObject({ code: 'step.wants' });
    expect(asked('cone spring', 'sideways')).toMatchObject({
      code: 'step.wants',
      wants: 'wide end on the diaphragm, narrow end on the diaphragm',
    });
  });

  it('settled by the trade, it goes in so whatever it was found like; else as it came', () => {
    expect(wayWanted('cone spring', 'narrow end on the diaphragm', false)).toBe('wide end on the diaphragm');
    expect(wayWanted('key slot of the arm', 'second slot', false)).toBe('second slot');
    expect(wayWanted('key slot of the arm', 'second slot', true)).toBe('first slot');
    expect(wayWanted('key slot of the arm', undefined, false)).toBeUndefined();
  });
});

describe('a part of two faces is remembered (common practice)', () => {
  const worn = (turned: boolean) => {
    const valve = defaultValve('dump-weight-lever');
    const job = new BenchJob(
      { ...valve, features: { ...valve.features, seat: { kind: 'reversible', turned } } },
      { place: 'bare' },
    ).workTo('inspect.reversible-seat');
    const step = 'inspect.reversible-seat';
    job.send({ kind: 'make-finding', body: { step, finding: { kind: 'light marks' } } });
    return job;
  };
  it('worn on one face it is turned over, and the next job knows', () => {
    const job = worn(false);
    expect(job.plan().calls.get('reversible seat')).toMatchObject({ verdict: 'rework', method: 'turn over' });
    job.workTo('nothing');
    expect(valveAsLeft(job.state)?.features.seat).toEqual({ kind: 'reversible', turned: true });
  });
  it('worn on the other as well it is new, and on its first face again', () => {
    const job = worn(true);
    expect(job.plan().calls.get('reversible seat')?.verdict).toBe('renew');
    job.workTo('nothing');
    expect(valveAsLeft(job.state)?.features.seat).toEqual({ kind: 'reversible', turned: false });
  });
});
