import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Fact } from '../job';
import { record } from '../command';
import { must } from '../problem';
import { anyFeatures } from '../testing/any-features';
import { BenchJob, TECHNICIAN, id } from '../testing/bench';
import { findingFor } from '../testing/plan-variants';
import { commandId, fold } from '../job';
import { defaultValve, partsOf, type Features, type Valve } from '../valve';
import { plan, type Plan } from '.';

const valveOf = (features: Features): Valve => ({ ...defaultValve(), features });

const stamp = { commandId: commandId.parse(id(1)), by: TECHNICIAN, at: '2026-11-24T08:00:00.000Z' };

/** All that is wrong with a plan, in words: asked of thousands, so that one expectation holds for all of one. */
function wrongWith(current: Plan, valve: Valve): string[] {
  const wrong: string[] = [];
  const steps = current.steps.filter(({ kept }) => !kept);
  const place = new Map(steps.map(({ id: stepId }, i) => [stepId, i]));
  const isBefore = (first: string, then: string) => (place.get(first) ?? Infinity) < (place.get(then) ?? -1);
  if (place.size !== steps.length) wrong.push('a step stands twice');
  const parts = partsOf(valve);
  const roles = new Set(parts.map(({ role }) => role));
  for (const { id: stepId, after, parts: touched } of steps) {
    for (const before of after)
      if (!isBefore(before, stepId)) wrong.push(`${stepId} stands before ${before}`);
    for (const part of touched)
      if (!roles.has(part)) wrong.push(`${stepId} touches a ${part}, which is not there`);
  }
  const off = new Map(steps.flatMap((step) => step.off.map((part) => [`${part}@${step.opening}`, step.id])));
  const on = new Set(steps.flatMap((step) => step.on.map((part) => `${part}@${step.opening}`)));
  for (const step of steps)
    for (const part of step.on)
      if (!isBefore(off.get(`${part}@${step.opening}`) ?? '', step.id))
        wrong.push(`the ${part} goes on in ${step.id} and never came off`);
  if (current.condemned) return wrong;
  for (const part of off.keys()) if (!on.has(part)) wrong.push(`${part} comes off and never goes back`);
  const put = new Set(steps.filter(({ opening }) => opening === 1).flatMap((step) => step.on));
  for (const { role, policy, stays } of parts) {
    if (stays || put.has(role)) continue;
    if (policy === 'renew always') wrong.push(`the ${role} is always new and is not put in`);
    if (role === 'stem' || role === 'shaft' || role === 'spindle') wrong.push(`the ${role} never comes out`);
  }
  return wrong;
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
          expect(wrongWith(fresh, valve)).toEqual([]);
          const done: Fact[] = fresh.steps.slice(0, doneSteps).map(({ id: stepId, title, stage }) => ({
            kind: 'step-done',
            body: { step: { id: stepId, title, stage } },
          }));
          const looks = fresh.steps.filter(({ task }) => task.kind === 'look');
          const made = findings.flatMap((choice) => {
            const look = looks[choice % Math.max(1, looks.length)];
            return look ? findingFor(look, choice) : [];
          });
          state = must(record(state, [...done, ...made], stamp)).state;
          const after = must(plan(state));
          if (!after) throw new Error('no plan');
          expect(wrongWith(after, valve)).toEqual([]);
          const known = new Map(after.steps.map((step) => [step.id, step]));
          const lost = fresh.steps.slice(0, doneSteps).filter(({ id: stepId }) => {
            const step = known.get(stepId);
            return !step || (step.task.kind === 'do' && step.status !== 'done');
          });
          expect(
            lost.map(({ id: stepId }) => stepId),
            'done, and neither on the plan nor kept',
          ).toEqual([]);
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
