import { describe, expect, it } from 'vitest';
import type { Screw } from '../job';
import { valueIn } from '../quantity';
import { plantOf, turnScrew } from '../simulation';
import { ask } from '../testing/ask';
import { BenchJob } from '../testing/bench';
import { defaultValve } from '../valve';
import { roundsOf, StepFacts, strokeVerdicts, turnedSince } from '.';

const SPAN = 'setup.span';
const [LOW, HIGH] = ['travel at 5 % of the signal', 'travel at 95 % of the signal'] as const;
const bench = (step = SPAN) =>
  new BenchJob(defaultValve('control-globe-double-seat'), { place: 'bare' }).workTo(step);
function read(job: BenchJob, low: number, high: number, step = SPAN): BenchJob {
  for (const [what, value] of [
    [LOW, low],
    [HIGH, high],
  ] as const)
    job.send({ kind: 'take-measurement', body: { step, what, value: `${value} %`, readBy: 'hand' } });
  return job;
}
const turn = (job: BenchJob, screw: Screw, by: number) =>
  job.send({ kind: 'turn-screw', body: { step: SPAN, screw, by: `${by} turn` } });
const facts = (job: BenchJob) => new StepFacts(job.state, SPAN, false);
const status = (job: BenchJob, step = SPAN) => job.step(step)?.status;

describe('span and zero (handbook part 6.4)', () => {
  it('is set once both stand within half a percent', () => {
    expect(status(read(bench(), 5.3, 95.6))).toBe('ready');
    expect(status(read(bench(), 5.3, 95.4))).toBe('done');
  });
  it('a screw turned, what was read before it no longer counts', () => {
    const job = turn(read(bench(), 5.3, 96), 'span screw', 0.25);
    job.send({
      kind: 'take-measurement',
      body: { step: SPAN, what: HIGH, value: '95.1 %', readBy: 'hand' },
    });
    expect(status(job)).toBe('ready');
    job.send({ kind: 'take-measurement', body: { step: SPAN, what: LOW, value: '5.2 %', readBy: 'hand' } });
    expect(status(job)).toBe('done');
  });
  it('turns are added up between two readings, each screw by itself', () => {
    const job = read(bench(), 8, 90);
    turn(turn(turn(job, 'span screw', -0.25), 'span screw', -0.5), 'zero screw', 0.1);
    expect(turnedSince([LOW, HIGH], facts(job))).toEqual(['span screw', 'zero screw']);
    read(job, 8.4, 94);
    const rounds = roundsOf([LOW, HIGH], facts(job));
    expect(rounds.map(({ turned }) => turned)).toEqual([{}, { 'span screw': -0.75, 'zero screw': 0.1 }]);
    expect(turnedSince([LOW, HIGH], facts(job))).toEqual([]);
  });
  it('only the screws of the step are turned in it', () => {
    const job = bench();
    const by = '0.25 turn';
    expect(job.try({ kind: 'turn-screw', body: { step: SPAN, screw: 'relay nozzle', by } })?.code).toBe(
      'step.wants',
    );
    expect(
      job.try({ kind: 'turn-screw', body: { step: SPAN, screw: 'zero screw', by: '0 turn' } })?.code,
    ).toBe('input.out-of-range');
  });
  it('its advice, followed, brings any positioner to both figures, whatever its turns do (property)', () => {
    for (let seed = 0; seed < 12; seed++) {
      const valve = { ...defaultValve('control-globe-double-seat'), tag: `FV-${seed}` };
      const plant = plantOf(valve, undefined);
      const at = (signal: number) => {
        plant.signal = signal;
        plant.run(12);
        return Math.round(plant.travel * 1000) / 10;
      };
      const readings = [{ zero: 0, span: 0, low: at(0.05), high: at(0.95) }];
      for (let round = 0; round < 12; round++) {
        const { result, in: of } = ask('positioner.screws', {
          lowWanted: '5 %',
          highWanted: '95 %',
          readings,
        });
        if (result['screw'] === 'none') break;
        const turns = Math.round(of('turn', 'turn') * 20) / 20 || 0.05 * Math.sign(of('turn', 'turn'));
        const which = result['screw'] === 'span screw' ? 'span' : 'zero';
        turnScrew(plant, which, turns);
        readings.push({ zero: 0, span: 0, [which]: turns, low: at(0.05), high: at(0.95) });
      }
      const last = readings.at(-1);
      expect(Math.abs((last?.low ?? 0) - 5), valve.tag).toBeLessThanOrEqual(0.51);
      expect(Math.abs((last?.high ?? 0) - 95), valve.tag).toBeLessThanOrEqual(0.51);
    }
  });
});

describe('the stroke test (handbook part 6.5)', () => {
  const points = (errors: readonly (readonly [number, number])[]) =>
    errors.map(([up, down], i) => ({
      signal: `${25 * i} %`,
      up: `${25 * i + up} %`,
      down: `${25 * i + down} %`,
    }));
  const SOUND = points([
    [0, 0.2],
    [0.1, 0.6],
    [-0.3, 0.4],
    [0.2, 0.5],
    [0.1, 0.1],
  ]);
  const keep = (job: BenchJob, read: ReturnType<typeof points>) =>
    job.send({ kind: 'keep-stroke', body: { step: 'setup.stroke-test', points: read, readBy: 'hand' } });
  it('in its limits finishes the step: 1.5 % error, 1 % hysteresis, 0.5 % zero and span (common practice)', () => {
    expect(status(keep(bench('setup.stroke-test'), SOUND), 'setup.stroke-test')).toBe('done');
  });
  it.each([
    [
      'largest error',
      [
        [0, 0],
        [0, 0],
        [1.6, 1.6],
        [0, 0],
        [0, 0],
      ],
    ],
    [
      'hysteresis and dead band',
      [
        [0, 0],
        [-0.6, 0.6],
        [0, 0],
        [0, 0],
        [0, 0],
      ],
    ],
    [
      'zero',
      [
        [0.6, 0.6],
        [0.6, 0.6],
        [0.6, 0.6],
        [0.6, 0.6],
        [0.6, 0.6],
      ],
    ],
    [
      'span',
      [
        [0, 0],
        [0.2, 0.2],
        [0.4, 0.4],
        [0.5, 0.5],
        [0.6, 0.6],
      ],
    ],
  ] as const)('out of its limit of %s does not', (label, errors) => {
    const job = keep(bench('setup.stroke-test'), points(errors));
    expect(status(job, 'setup.stroke-test')).toBe('ready');
    const kept = job.state.records['stroke-tested'].at(-1)?.body.points ?? [];
    expect(
      strokeVerdicts(kept, 'positioner')
        ?.filter(({ fits }) => !fits)
        .map((each) => each.label),
    ).toEqual([label]);
  });
  it('its largest error keeps its sign', () => {
    const job = keep(
      bench('setup.stroke-test'),
      points([
        [0, 0],
        [0, 0.4],
        [-1.2, 0],
        [0, 0],
        [0, 0],
      ]),
    );
    const kept = job.state.records['stroke-tested'].at(-1)?.body.points ?? [];
    const [error] = strokeVerdicts(kept, 'positioner') ?? [];
    expect(error && valueIn(error.found, '%')).toBeCloseTo(-1.2, 9);
  });
  it('that is no stroke is refused, and nothing of it kept', () => {
    const job = bench('setup.stroke-test');
    const half = SOUND.slice(0, 3);
    const body = { step: 'setup.stroke-test', points: half, readBy: 'hand' };
    expect(job.try({ kind: 'keep-stroke', body })?.code).toBe('input.conflict');
    expect(job.state.records['stroke-tested']).toHaveLength(0);
  });
  it('where a stop holds its ends it is judged clear of them, at 5 and 95 % (handbook 6.5)', () => {
    const at = (signal: number, travel: number) => {
      const there = `${travel} %`;
      return { signal: `${signal} %`, up: there, down: there };
    };
    // Span short by 4 %: the stops at both ends of its travel show 0 and 100 all the same.
    const hidden = [at(0, 0), at(25, 26), at(50, 50), at(75, 74), at(100, 100)];
    const clear = [at(0, 0), at(5, 6.8), ...hidden.slice(1, 4), at(95, 93.2), at(100, 100)];
    const failed = (points: ReturnType<typeof at>[]) =>
      strokeVerdicts(
        keep(bench('setup.stroke-test'), points).state.records['stroke-tested'].at(-1)?.body.points ?? [],
        'positioner',
      )?.flatMap(({ label, fits }) => (fits ? [] : [label]));
    expect(failed(hidden)).toEqual([]);
    expect(failed(clear)).toEqual(['largest error', 'zero', 'span']);
  });
  it('out of a recording keeps its file and its curve; one without a travel for each signal is refused', () => {
    const job = bench('setup.stroke-test');
    const recording = { file: 'fv-9.csv', signal: [0, 50, 100, 50, 0], travel: [0.1, 50, 100, 50.4, 0.2] };
    const send = (curve: object) => ({
      kind: 'keep-stroke' as const,
      body: {
        step: 'setup.stroke-test',
        points: SOUND,
        recording: { ...recording, ...curve },
        readBy: 'hand',
      },
    });
    expect(job.try(send({ travel: [0, 50] }))?.code).toBe('input.conflict');
    job.send(send({}));
    expect(job.state.records['stroke-tested'].at(-1)?.body.recording).toEqual(recording);
  });
});
