import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BenchJob, id } from '../testing/bench';
import { CONSTRUCTION_IDS, defaultValve, type PartRole } from '../valve';
import { handOver, trayPlaces } from '.';

const OUT_OF_ORDER = ['do', 'marks', 'measure', 'look'] as const;

/** Does ready steps in an order that dice choose, and says where each part lay while it lay there. */
function worked(job: BenchJob, dice: readonly number[]): Map<PartRole, Set<number>> {
  const lay = new Map<PartRole, Set<number>>();
  for (const die of dice) {
    const { tray } = handOver(job.plan(), job.state);
    for (const { part, place } of tray) lay.set(part, (lay.get(part) ?? new Set()).add(place));
    const ready = job
      .plan()
      .steps.filter(
        ({ status, task }) => status === 'ready' && OUT_OF_ORDER.some((kind) => kind === task.kind),
      );
    const step = ready[die % Math.max(1, ready.length)] ?? job.plan().inHand;
    if (!step || step.task.kind === 'wants') break;
    job.work(step);
  }
  return lay;
}

describe('places on the tray', () => {
  it('never move while parts lie there, in whatever order steps are done (property)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CONSTRUCTION_IDS),
        fc.array(fc.nat({ max: 6 }), { minLength: 30, maxLength: 30 }),
        (construction, dice) => {
          const job = new BenchJob(defaultValve(construction), { place: 'bare' }).workTo('strip.match-mark');
          for (const [part, places] of worked(job, dice)) expect([...places], part).toHaveLength(1);
        },
      ),
      { seed: 6, numRuns: 20 },
    );
  }, 60_000);
  it('are no two parts’', () => {
    const job = new BenchJob().workTo('inspect.clean');
    const places = handOver(job.plan(), job.state).tray.map(({ place }) => place);
    expect(new Set(places).size).toBe(places.length);
    expect(places.length).toBeGreaterThan(8);
  });
  it('are the same before a part is off, while it lies there, and after a unit from the shelf has changed the plan', () => {
    const job = new BenchJob(defaultValve('control-balanced-cage'), { place: 'bare' });
    const before = trayPlaces(job.state, job.plan().steps);
    job.workTo('strip.actuator-off');
    job.send({ kind: 'take-unit', body: { unit: id(9), kind: 'rebuilt actuator', serial: 'A 9' } });
    job.workTo('inspect.clean');
    const { tray } = handOver(job.plan(), job.state);
    expect(tray.length).toBeGreaterThan(5);
    for (const { part, place } of tray) expect(place, part).toBe(before.get(part));
  });
});
