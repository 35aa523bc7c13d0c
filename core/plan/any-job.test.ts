import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { record } from '../command';
import { commandId, hangingLocks, PLACES, type Place, type Scope } from '../job';
import { must } from '../problem';
import { placesOf, scopesOf } from '../procedure';
import { anyFeatures } from '../testing/any-features';
import { BenchJob, id, LEAD, TECHNICIAN } from '../testing/bench';
import { findingFor, planOf } from '../testing/plan-variants';
import { waitsFor } from '../testing/relations';
import { defaultValve, partsOf, type Features, type Valve } from '../valve';
import { handOver, summarise, type Plan, type PlannedStep } from '.';

const ENDS = ['flanged', 'screwed', 'welded'] as const;

/** A job that somebody could open: a random valve, for one of the things it can be in for, where that can be done. */
const anyJob = anyFeatures.chain((features) =>
  fc
    .record({
      scope: fc.constantFrom(...scopesOf(features)),
      ends: fc.constantFrom(...ENDS),
      found: fc.array(fc.nat(200), { maxLength: 8 }),
      place: fc.constantFrom(...PLACES),
    })
    .filter(({ place, scope }) => placesOf(features, scope).includes(place))
    .map((asked) => ({ ...asked, features })),
);
interface Asked {
  readonly features: Features;
  readonly scope: Scope;
  readonly place: Place;
  readonly ends: Valve['ends'];
  readonly found: readonly number[];
}

const opened = ({ features, scope, place, ends }: Asked): BenchJob =>
  new BenchJob(
    { ...defaultValve(), features, ...(ends === undefined ? {} : { ends }) },
    { place, ...(scope === 'overhaul' ? {} : { scope }) },
  );

const stamp = { commandId: commandId.parse(id(1)), by: TECHNICIAN, at: '2026-11-24T08:00:00.000Z' };

/** Its plan once these were found at some of its looks. */
function planned(asked: Asked): Plan {
  const { state } = opened(asked);
  const looks = planOf(state).steps.filter(({ task }) => task.kind === 'look');
  const facts = asked.found.flatMap((choice) => {
    const look = looks[choice % Math.max(1, looks.length)];
    return look ? findingFor(look, choice) : [];
  });
  return planOf(must(record(state, facts, stamp)).state);
}

/** Whatever somebody was not sure of, a lead decides. */
function decideAsks(job: BenchJob): void {
  for (const { part, verdict } of job.plan().calls.values())
    if (verdict === 'ask')
      job.send({ kind: 'overrule-call', body: { part, verdict: 'fit', reason: 'seen, it will do' } }, LEAD);
}

const readings = ({ task }: PlannedStep) => (task.kind === 'measure' ? task.asks : []);

/** Pressures that only air on the actuator gives. */
const BY_AIR = ['actuator', 'supply', 'cylinder, top gauge', 'cylinder, bottom gauge'];
/** Pressures that only the line gives, where the valve stayed in it. */
const BY_LINE = ['line pressure', 'outlet pressure, no flow', 'water pressure held', 'pressure held'];

const asksFor = (step: PlannedStep, pressures: readonly string[]): boolean =>
  readings(step).some(({ what, mustBe }) => pressures.includes(what) && mustBe !== 'zero');

/** Steps that ask for air, power or pressure that nothing gives them (handbook part 6.1). */
function withoutEnergy({ steps }: Plan, place: Place): string[] {
  const locks = steps.filter(({ isolation }) => isolation?.is === 'restored').map((step) => step.id);
  return steps.flatMap((step) => {
    const before = waitsFor({ steps }, step.id);
    const isAirOn = [...before].some((on) => {
      const off = on.replace('bench-air.on', 'bench-air.off');
      return on.startsWith('bench-air.on') && !before.has(off);
    });
    const isIsolated = steps.some(({ isolation }) => isolation?.is === 'point');
    if (asksFor(step, BY_AIR) && isIsolated && !isAirOn) return [`${step.id} has no air`];
    if (place === 'in line' && asksFor(step, BY_LINE))
      return locks.filter((lock) => !before.has(lock)).map((lock) => `${step.id} before ${lock}`);
    return [];
  });
}

/** What comes off and has no way back, or goes on and never came off. */
function withoutReturn({ steps, condemned }: Plan, scope: Scope): string[] {
  const ofFirst = steps.filter(({ opening, kept }) => opening <= 1 && !kept);
  const off = new Set(ofFirst.flatMap((step) => step.off));
  const on = new Set(ofFirst.flatMap((step) => step.on));
  return [
    ...(condemned || scope === 'quote' ? [] : [...off].filter((part) => !on.has(part))),
    ...[...on].filter((part) => !off.has(part)).map((part) => `${part} on`),
  ];
}

/** Compulsory steps about what this valve has not got, or that leave nothing to answer. */
function withoutAnswer({ steps, valve }: Plan): string[] {
  const roles = new Set(partsOf(valve).map(({ role }) => role));
  return steps.flatMap(({ id: step, parts, off, on, task }) => {
    const absent = [...parts, ...off, ...on].filter((part) => !roles.has(part));
    const asksNothing =
      (task.kind === 'look' && task.choices.length === 0) ||
      (task.kind === 'measure' && task.asks.length === 0) ||
      (task.kind === 'way-round' && task.rounds.length === 0) ||
      (task.kind === 'bolt-up' && task.bolts < 2) ||
      (task.kind === 'packing' && task.rings < 1);
    return [...absent.map((part) => `${step}: ${part}`), ...(asksNothing ? [`${step} asks nothing`] : [])];
  });
}

describe('any valve, anywhere, for anything, with anything found (property)', () => {
  it('no step without its energy, no part without its return, no question without an answer, no rig in a line', () => {
    fc.assert(
      fc.property(anyJob, (asked) => {
        const plan = planned(asked);
        expect(withoutEnergy(plan, asked.place), 'energy').toEqual([]);
        expect(withoutReturn(plan, asked.scope), 'return').toEqual([]);
        expect(withoutAnswer(plan), 'answer').toEqual([]);
        if (asked.place !== 'in line') return;
        // The seats of an oilfield valve alone are proved between its blocks (API 6A).
        const rigged = plan.steps.filter(({ task }) => task.kind === 'pressure-test').map((step) => step.id);
        expect(rigged.filter((step) => step !== 'test.seat')).toEqual([]);
        expect(plan.steps.filter(({ tools }) => tools.includes('test rig')).map((step) => step.id)).toEqual(
          [],
        );
      }),
      { seed: 12, numRuns: 400 },
    );
  }, 120_000);

  it('whoever follows it, finding what they find, comes to its end: nothing on the tray, no lock hanging', () => {
    fc.assert(
      fc.property(anyJob, (asked) => {
        const job = opened({ ...asked, ends: 'screwed' });
        const left = [...asked.found];
        for (let inHand = job.plan().inHand; inHand; inHand = job.plan().inHand) {
          const choice = inHand.task.kind === 'look' ? left.pop() : undefined;
          const [fact] = choice === undefined ? [] : findingFor(inHand, choice);
          if (fact?.kind === 'finding-made' && !job.step(inHand.id)?.optional)
            job.try({ kind: 'make-finding', body: { step: inHand.id, finding: fact.body.finding } });
          decideAsks(job);
          if (job.step(inHand.id)?.status !== 'done') job.work(inHand);
        }
        const plan = job.plan();
        expect(summarise(job.state)?.state).not.toBe('open');
        if (!plan.condemned && asked.scope !== 'quote') expect(handOver(plan, job.state).tray).toEqual([]);
        // What is left apart in an open line stays locked, and somebody has the locks.
        if (job.step('release.locked')?.status !== 'done') expect(hangingLocks(job.state)).toEqual([]);
      }),
      { seed: 13, numRuns: 10 },
    );
  }, 120_000);
});
