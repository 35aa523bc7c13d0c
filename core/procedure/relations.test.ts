import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { JobState } from '../job';
import { stepsOfAllOpenings } from '../plan/openings';
import { anyFeatures } from '../testing/any-features';
import { BenchJob } from '../testing/bench';
import { found, planOf, planVariants } from '../testing/plan-variants';
import { defaultValve } from '../valve';
import { isStepName, MILESTONES, spelt, type Milestone } from './relations';

const RANDOM = fc
  .sample(anyFeatures, { seed: 10, numRuns: 250 })
  .map((features, i): [string, JobState] => [
    `random valve ${i + 1}`,
    i % 2 === 0
      ? new BenchJob({ ...defaultValve(), features }).state
      : found({ ...defaultValve(), features }, i),
  ]);

/** What the fragments propose, before a unit from the shelf takes any of it away. */
const variants = [
  ...planVariants().map(({ name, state }): [string, JobState] => [name, state]),
  ...RANDOM,
].map(([name, state]) => {
  const plan = planOf(state);
  return { name, steps: stepsOfAllOpenings(state, plan.valve, plan.calls, plan.condemned).steps };
});
const all = variants.flatMap(({ steps }) => steps);

describe('relations over every fragment', () => {
  it('every milestone is given by a step and waited for by another', () => {
    const given = new Set<Milestone>(all.flatMap(({ draft }) => draft.provides));
    const waited = new Set<Milestone>(
      all.flatMap(({ draft }) =>
        draft.after.flatMap((relation) =>
          typeof relation === 'string' ? [relation] : 'lastTime' in relation ? [relation.lastTime] : [],
        ),
      ),
    );
    expect(MILESTONES.filter((milestone) => !given.has(milestone))).toEqual([]);
    expect(MILESTONES.filter((milestone) => !waited.has(milestone))).toEqual([]);
  });

  it('a step that is waited for is on the plan of whoever waits for it', () => {
    const lost = variants.flatMap(({ name, steps }) => {
      const ids = new Set(steps.map(({ id }) => id));
      const there = (id: string) => ids.has(id);
      return steps.flatMap(({ id, opening, draft }) =>
        draft.after
          .filter(isStepName)
          .filter((step) => !Array.from({ length: opening }, (_, i) => spelt(step, i + 1)).some(there))
          .map((step) => `${name}: ${id} waits for ${spelt(step, 1)}`),
      );
    });
    expect(lost).toEqual([]);
  });

  it('a step waited for only where it is there, is there on some valve', () => {
    const ids = new Set(all.map(({ id }) => id));
    const wanted = new Set(
      all.flatMap(({ draft }) =>
        draft.after.flatMap((relation) =>
          typeof relation !== 'string' && 'ifThere' in relation ? [relation.ifThere] : [],
        ),
      ),
    );
    // What is on order arrives, and what is looked at is looked at, on some valve: one of each kind is enough.
    const kinds = (id: string) => id.replace(/^(arrive|inspect|repair\.compare)[.-].*/, '$1');
    const there = new Set([...ids].map(kinds));
    expect([...wanted].map((step) => kinds(spelt(step, 1))).filter((kind) => !there.has(kind))).toEqual([]);
  });

  it('a name is made in one place, whoever waits for the step', () => {
    const room = new URL('.', import.meta.url);
    const files = readdirSync(room, { recursive: true, encoding: 'utf8' }).filter(
      (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
    );
    const made = files.flatMap((file) =>
      [...readFileSync(new URL(file, room), 'utf8').matchAll(/stepName\((['`][^'`]*['`])/g)].map(
        ([, base = '']) => ({ base, file }),
      ),
    );
    expect(made.length).toBeGreaterThan(30);
    const twice = made.filter(({ base, file }) =>
      made.some((each) => each.base === base && each.file !== file),
    );
    // Steps of two movers that are never on one valve.
    expect(twice.map(({ base }) => base).filter((base) => base !== "'strip.actuator-off'")).toEqual([]);
  });
});
