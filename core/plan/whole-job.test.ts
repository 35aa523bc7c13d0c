import { beforeAll, describe, expect, it } from 'vitest';
import { hangingLocks } from '../job';
import { placesOf } from '../procedure';
import { BenchJob } from '../testing/bench';
import { CONSTRUCTION_IDS, defaultValve, type PartRole } from '../valve';
import { handOver, summarise, type HandOver, type Plan, type PlannedStep } from '.';

/** What stood on the bench before a step was done. */
interface Moment {
  readonly step: PlannedStep;
  readonly summary: HandOver;
  readonly locks: number;
}

/** A whole job, worked in the plainest way, with what a hand-over would have said at each step. */
function watched(job: BenchJob): {
  moments: Moment[];
  last: Plan;
  end: HandOver;
  locksLeft: number;
  state: string | undefined;
} {
  const moments: Moment[] = [];
  for (;;) {
    const plan = job.plan();
    if (!plan.inHand)
      return {
        moments,
        last: plan,
        end: handOver(plan, job.state),
        locksLeft: hangingLocks(job.state).length,
        state: summarise(job.state)?.state,
      };
    moments.push({
      step: plan.inHand,
      summary: handOver(plan, job.state),
      locks: hangingLocks(job.state).length,
    });
    job.work(plan.inHand);
  }
}

describe.each(CONSTRUCTION_IDS)('%s, handed over at any moment', (construction) => {
  let seen: ReturnType<typeof watched>;
  beforeAll(() => {
    // Each place in turn: every construction in each of them would be three times the work and say no more.
    const valve = { ...defaultValve(construction), ends: 'screwed' as const };
    const places = placesOf(valve.features, 'overhaul');
    const place = places[CONSTRUCTION_IDS.indexOf(construction) % places.length];
    seen = watched(new BenchJob(valve, place ? { place } : {}));
  });

  it('the tray holds what is off and not back, each in a place of its own, in the order it came off', () => {
    let out: PartRole[] = [];
    for (const { step, summary } of seen.moments) {
      expect(summary.tray.map(({ part }) => part).sort(), step.id).toEqual([...out].sort());
      const places = summary.tray.map(({ place }) => place);
      expect(places, step.id).toEqual([...new Set(places)].sort((a, b) => a - b));
      out = [...out, ...step.off].filter((part) => !step.on.includes(part));
    }
    expect(seen.end.tray).toEqual([]);
  });

  it('a part keeps its place on the tray for as long as it lies there', () => {
    const places = new Map<PartRole, number>();
    for (const { summary } of seen.moments)
      for (const { part, place } of summary.tray) {
        expect(places.get(part) ?? place, part).toBe(place);
        places.set(part, place);
      }
  });

  it('locks hang from the isolation until it is taken off, and none is left when it is signed', () => {
    const stripping = seen.moments.filter(({ step }) => step.stage === 'strip' || step.stage === 'inspect');
    const isolated = seen.moments.some(({ locks }) => locks > 0);
    if (isolated) for (const { step, locks } of stripping) expect(locks, step.id).toBeGreaterThan(0);
    for (const { locks, summary, step } of seen.moments) expect(summary.locks, step.id).toHaveLength(locks);
    expect(seen.locksLeft).toBe(0);
  });

  it('an opened joint is said to be loose until its last pass is done', () => {
    for (const { step, summary } of seen.moments) {
      if (step.task.kind !== 'bolt-up') continue;
      const wasOff = seen.moments.some((each) => each.step.off.some((part) => step.on.includes(part)));
      if (wasOff) expect(summary.loose.join('; '), step.id).toContain(step.title);
    }
    expect(seen.end.loose).toEqual([]);
  });

  it('what was measured before the strip is measured again by the same names, units and examples', () => {
    const asked = (id: string) => {
      const task = seen.last.steps.find((step) => step.id === id)?.task;
      return task?.kind === 'measure' ? task.asks : [];
    };
    const [before, again] = [asked('strip.settings'), asked('setup.settings')];
    expect(again.map(({ what, dimension }) => ({ what, dimension }))).toEqual(
      before.map(({ what, dimension }) => ({ what, dimension })),
    );
    for (const ask of again) expect(ask.was).toBe('strip.settings');
  });

  it('ends with a signed certificate', () => {
    expect(seen.state).toBe('released');
    expect(seen.moments.at(-1)?.step.task.kind).toBe('sign');
  });

  it('every step was done once, after all that it waits for', () => {
    const order = new Map(seen.moments.map(({ step }, i) => [step.id, i]));
    expect(order.size).toBe(seen.moments.length);
    for (const { step } of seen.moments)
      for (const before of step.after)
        expect(order.get(before) ?? -1, `${before} before ${step.id}`).toBeLessThan(
          order.get(step.id) ?? Infinity,
        );
  });
});
