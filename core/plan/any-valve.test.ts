import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findingSchema } from '../inspection';
import type { Fact } from '../job';
import { record } from '../command';
import { must } from '../problem';
import { anyFeatures } from '../testing/any-features';
import { BenchJob, TECHNICIAN, id } from '../testing/bench';
import { commandId, fold } from '../job';
import { defaultValve, partsOf, type Features, type Valve } from '../valve';
import { plan, type Plan, type PlannedStep } from '.';

const valveOf = (features: Features): Valve => ({ ...defaultValve(), features });

/** A finding that a look of this plan can make, chosen by number. */
function findingFor(step: PlannedStep, choice: number): Fact | undefined {
  if (step.task.kind !== 'look') return undefined;
  const { choices, part } = step.task;
  const picked = choices[choice % choices.length];
  if (!picked) return undefined;
  const depth = { dimension: 'length', value: [0.001, 0.006, 0.03][choice % 3], unit: 'in' };
  const finding = findingSchema.parse({ ...picked.finding, ...(picked.asksDepth ? { depth } : {}) });
  const { id: stepId, title, stage } = step;
  return { kind: 'finding-made', body: { step: { id: stepId, title, stage }, part, finding } };
}

const stamp = { commandId: commandId.parse(id(1)), by: TECHNICIAN, at: '2026-11-24T08:00:00.000Z' };

function check(current: Plan, valve: Valve): void {
  const steps = current.steps.filter(({ kept }) => !kept);
  const ids = steps.map(({ id: stepId }) => stepId);
  expect(new Set(ids).size, 'every step once').toBe(ids.length);
  const place = new Map(ids.map((stepId, i) => [stepId, i]));
  const roles = new Set(partsOf(valve).map(({ role }) => role));
  for (const step of steps) {
    for (const before of step.after) expect(place.get(before)).toBeLessThan(place.get(step.id) ?? -1);
    expect(
      step.parts.filter((part) => !roles.has(part)),
      `${step.id} touches only parts of this valve`,
    ).toEqual([]);
  }
  const off = new Map(steps.flatMap((step) => step.off.map((part) => [`${part}@${step.opening}`, step.id])));
  for (const step of steps)
    for (const part of step.on)
      expect(
        place.get(off.get(`${part}@${step.opening}`) ?? ''),
        `${part} goes on in ${step.id} after it came off`,
      ).toBeLessThan(place.get(step.id) ?? -1);
  if (current.condemned) return;
  const put = new Set(steps.filter(({ opening }) => opening === 1).flatMap((step) => step.on));
  const forgotten = partsOf(valve).filter(
    ({ role, policy, stays }) => policy === 'renew always' && !stays && !put.has(role),
  );
  expect(
    forgotten.map(({ role }) => role),
    'what is always new is put in',
  ).toEqual([]);
  for (const part of ['stem', 'shaft', 'spindle'] as const) {
    const listed = partsOf(valve).find(({ role }) => role === part);
    if (listed && !listed.stays) expect(put.has(part), `the ${part} comes out and goes back`).toBe(true);
  }
  const on = steps.flatMap((step) => step.on.map((part) => `${part}@${step.opening}`));
  expect(new Set(on)).toEqual(new Set(off.keys()));
}

describe('1 000 random valves with random findings (property)', () => {
  it('never a cycle, a lost done-step, a rebuild step without its strip twin, or a step on an absent part', () => {
    fc.assert(
      fc.property(
        anyFeatures,
        fc.array(fc.nat(50), { minLength: 0, maxLength: 8 }),
        fc.nat(60),
        (features, findings, doneSteps) => {
          const valve = valveOf(features);
          let { state } = new BenchJob(valve);
          const fresh = must(plan(state));
          if (!fresh) throw new Error('no plan');
          check(fresh, valve);
          const done: Fact[] = fresh.steps.slice(0, doneSteps).map(({ id: stepId, title, stage }) => ({
            kind: 'step-done',
            body: { step: { id: stepId, title, stage } },
          }));
          const looks = fresh.steps.filter(({ task }) => task.kind === 'look');
          const made = findings.flatMap((choice) => {
            const look = looks[choice % Math.max(1, looks.length)];
            const fact = look && findingFor(look, choice);
            return fact ? [fact] : [];
          });
          state = must(record(state, [...done, ...made], stamp)).state;
          const after = must(plan(state));
          if (!after) throw new Error('no plan');
          check(after, valve);
          const known = new Map(after.steps.map((step) => [step.id, step]));
          for (const fact of done) {
            if (fact.kind !== 'step-done') continue;
            const step = known.get(fact.body.step.id);
            expect(step, `${fact.body.step.id} is still on the plan, or kept`).toBeDefined();
            if (step?.task.kind === 'do') expect(step.status).toBe('done');
          }
        },
      ),
      { seed: 4, numRuns: 1000 },
    );
  }, 120_000);

  it('the same facts give the same plan, however they came', () => {
    fc.assert(
      fc.property(anyFeatures, (features) => {
        const job = new BenchJob(valveOf(features));
        const again = must(fold(job.log));
        const ids = (from: Plan | undefined) => from?.steps.map((step) => step.id);
        expect(ids(must(plan(again)))).toEqual(ids(must(plan(job.state))));
      }),
      { seed: 5, numRuns: 100 },
    );
  });
});
