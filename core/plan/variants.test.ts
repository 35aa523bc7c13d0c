import { describe, expect, it } from 'vitest';
import { valveAsLeft } from '../job';
import { BenchJob } from '../testing/bench';
import {
  defaultValve,
  featuresSchema,
  moverWords,
  partsOf,
  type ConstructionId,
  type RawFeatures,
  type Valve,
} from '../valve';

const variant = (id: ConstructionId, change: Partial<RawFeatures>): Valve => {
  const valve = defaultValve(id);
  return { ...valve, ends: 'screwed', features: featuresSchema.parse({ ...valve.features, ...change }) };
};
const relief = (own: Partial<Extract<RawFeatures['closure'], { kind: 'relief-disc' }>>): Valve =>
  variant('relief-spring', { closure: { kind: 'relief-disc', ...own } });
const swing = (outside: 'lever and weight' | 'lever and dashpot'): Valve =>
  variant('check-swing', { closure: { kind: 'swing-disc', outside } });
const hygienic = (size: 'small' | 'large'): Valve =>
  variant('control-hygienic-seat', { moved: { kind: 'hygienic-cylinder', size } });

/** What each variant has besides, and how many of it (common practice). */
const VARIANTS: readonly [string, Valve, Readonly<Record<string, number>>][] = [
  ['a swing check with a weight', swing('lever and weight'), { 'outside weight': 1, 'shaft packing': 2 }],
  ['a swing check with a dashpot', swing('lever and dashpot'), { dashpot: 1, 'nut lock': 1 }],
  ['a relief valve with a bellows', relief({ balancedBy: 'bellows' }), { bellows: 1, 'bellows gasket': 1 }],
  ['a relief valve with a soft insert', relief({ facing: 'soft insert' }), { 'soft insert': 1 }],
  ['a pilot-operated relief valve', relief({ pilot: true }), { 'pilot seals': 1, 'dome seal': 1 }],
  ['a small hygienic valve', hygienic('small'), { 'actuator O-rings': 3, 'bonnet O-rings': 1 }],
  ['a large hygienic valve', hygienic('large'), { 'cylinder O-ring': 3, 'piston guide rings': 2 }],
  [
    'a solenoid valve',
    defaultValve('solenoid-pilot'),
    { 'cover O-ring': 2, 'armature O-ring': 1, 'orifice O-ring': 1 },
  ],
  ['a ball valve', defaultValve('ball-three-piece'), { 'stem seals': 2 }],
  ['a dump valve', defaultValve('dump-weight-lever'), { 'shaft packing': 2, 'stuffing box O-ring': 1 }],
];

describe.each(VARIANTS)('%s', (_, valve, besides) => {
  it('has its own parts on its list, with their count', () => {
    const counted = new Map<string, number>(partsOf(valve).map(({ role, quantity }) => [role, quantity]));
    for (const [role, quantity] of Object.entries(besides)) expect(counted.get(role), role).toBe(quantity);
  });

  it('puts back what it took off, and can be worked to its certificate', () => {
    const job = new BenchJob(valve, { place: 'bare' });
    const { steps } = job.plan();
    expect(steps.flatMap(({ on }) => on).sort()).toEqual(steps.flatMap(({ off }) => off).sort());
    expect(job.workTo('nothing').state.records['certificate-signed']).toHaveLength(1);
  });
});

describe('what a variant asks for', () => {
  it('a pilot-operated valve is moved through its pilot, on its plate; others against their spring', () => {
    expect(moverWords(relief({ pilot: true }).features).name).toMatch(/pilot/);
    expect(moverWords(relief({}).features).name).toMatch(/against a spring/);
  });
  const tests = (valve: Valve) =>
    new BenchJob(valve, { place: 'bare' })
      .plan()
      .steps.filter(({ stage }) => stage === 'test')
      .map(({ parts, task, optional }) => ({ parts, kind: task.kind, must: optional === undefined }));
  it('a bellows is proved from the outlet side; without one that is asked only where the outlet is closed', () => {
    const outlet = (valve: Valve) => tests(valve).find(({ parts }) => parts.includes('bonnet gasket'));
    expect(outlet(relief({ balancedBy: 'bellows' }))).toMatchObject({ must: true, kind: 'measure' });
    expect(outlet(relief({}))).toMatchObject({ must: false });
  });
  it('a lifting lever is tried with pressure under it, where there is one', () => {
    const lever = (valve: Valve) => tests(valve).some(({ parts }) => parts.includes('lifting lever'));
    expect(lever(relief({}))).toBe(true);
    expect(lever(variant('relief-spring', { moved: { kind: 'set-spring', liftingLever: false } }))).toBe(
      false,
    );
  });
  it('a soft insert is new, its disc is lapped by nobody', () => {
    const plan = new BenchJob(relief({ facing: 'soft insert' }), { place: 'bare' }).plan();
    const lapped = plan.steps.filter(({ task }) => task.kind === 'lapping').flatMap(({ parts }) => parts);
    expect(lapped).toEqual(['nozzle']);
    expect(plan.calls.get('soft insert')?.verdict).toBe('renew');
  });
  it('a full-port body whose own seat is damaged is done; a reduced port has a seat of its own', () => {
    const port = (kind: 'full' | 'reduced') =>
      variant('control-lowpressure-diaphragm', { seat: { kind: 'ported', port: kind } });
    const looks = (valve: Valve) =>
      new BenchJob(valve, { place: 'bare' })
        .plan()
        .steps.flatMap(({ task }) => (task.kind === 'look' && task.part === 'body' ? task.choices : []))
        .map(({ finding }) => finding.kind);
    expect(looks(port('reduced'))).not.toContain('own seat damaged');
    expect(looks(port('full'))).toContain('own seat damaged');
    const job = new BenchJob(port('full'), { place: 'bare' }).workTo('inspect.body-face');
    const finding = { kind: 'own seat damaged' } as const;
    job.send({ kind: 'make-finding', body: { step: 'inspect.body-face', finding } });
    expect(job.plan().condemned).toBe(true);
  });
  it('the trim of a balanced plug alone leaves the actuator on its bonnet, and its preload goes back by the count', () => {
    const { steps } = new BenchJob(defaultValve('control-balanced-cage'), {
      place: 'bare',
      scope: 'trim',
    }).plan();
    expect(steps.flatMap(({ off }) => off)).not.toContain('actuator');
    const turns = steps.filter(
      ({ task }) =>
        task.kind === 'measure' && task.asks.some(({ what }) => what === 'turns of the spring adjuster'),
    );
    expect(turns.map(({ stage }) => stage)).toEqual(['strip', 'rebuild']);
  });
  it('what is usual for a yoke-clamped globe is not what is usual for a bolted one, and may be chosen otherwise', () => {
    const words = (job: BenchJob) => job.plan().steps.find(({ task }) => task.kind === 'bluing')?.why;
    const clamped = new BenchJob(defaultValve('globe-yoke-clamp'), { place: 'bare' });
    expect(JSON.stringify(words(clamped))).toMatch(/pressed straight home/);
    const bolted = new BenchJob(defaultValve('globe-bolted'), { place: 'bare' });
    expect(JSON.stringify(words(bolted))).toMatch(
      /quarter turn under light pressure, the disc locked to its stem/,
    );
    clamped.send({ kind: 'choose-way', body: { way: { question: 'bluing', choice: 'quarter turn' } } });
    expect(JSON.stringify(words(clamped))).toMatch(/quarter turn/);
  });
});

describe('metal that was cut', () => {
  const cutSeat = () => {
    const job = new BenchJob(defaultValve('globe-bolted'), { place: 'bare' }).workTo('inspect.seat');
    const finding = { kind: 'seat damage', form: 'pitted', depth: '0.02 in' } as const;
    job.send({ kind: 'make-finding', body: { step: 'inspect.seat', finding } });
    return job.workTo('repair.metal.seat');
  };
  it('is measured and comes off the stock that the record of the valve keeps', () => {
    const job = cutSeat();
    const asked = { step: 'repair.metal.seat', what: 'metal taken off the seat', readBy: 'hand' } as const;
    job.send({ kind: 'take-measurement', body: { ...asked, value: '0.02 in' } });
    job.workTo('nothing');
    const seat = valveAsLeft(job.state)?.features.seat;
    // 0.06 in was there (the usual globe of this shop); 0.02 in came off.
    expect(seat && 'stock' in seat && seat.stock?.value).toBeCloseTo(0.04, 9);
  });
  it('a disc turned to an angle is measured to it: 29° within 15′ (common practice of this globe)', () => {
    const job = new BenchJob(defaultValve('globe-yoke-clamp'), { place: 'bare' }).workTo('inspect.disc');
    const finding = { kind: 'seat damage', form: 'wire drawn', depth: '0.02 in' } as const;
    job.send({ kind: 'make-finding', body: { step: 'inspect.disc', finding } });
    const task = job.step('repair.metal.disc')?.task;
    const angle =
      task?.kind === 'measure' ? task.asks.find(({ dimension }) => dimension === 'angle') : undefined;
    expect(angle?.mustBe).toMatchObject({ from: { value: 28.75 }, to: { value: 29.25 } });
  });
});
