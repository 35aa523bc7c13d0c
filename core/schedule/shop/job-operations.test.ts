import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { plan } from '../../plan';
import { bendReadings } from '../../testing/bend';
import { BenchJob, DIAL } from '../../testing/bench';
import { closureOf, CONSTRUCTION_IDS, defaultValve, partsOf, relieves } from '../../valve';
import { findingIn, jobInWeek } from './job-in-week';
import { operationsOf, PLACE_KINDS, WORK_SKILLS, type JobOperation } from './job-operations';
import { instanceOf, planWeek, readWeek } from '..';

function operations(job: BenchJob) {
  const current = must(plan(job.state));
  if (!current) throw new Error('no plan');
  return { plan: current, all: operationsOf(current, job.state) };
}

describe.each(CONSTRUCTION_IDS)('the operations of %s', (id) => {
  const job = new BenchJob(defaultValve(id));
  const { plan: planned, all } = operations(job);
  it('are all its steps, each once, and all its minutes', () => {
    expect(all.flatMap(({ steps }) => steps)).toEqual(planned.steps.map((step) => step.id));
    const worked = all.filter(({ skill }) => skill !== undefined);
    expect(worked.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(planned.remainingMinutes);
    expect(new Set(all.map((each) => each.id)).size).toBe(all.length);
  });
  it('are a week that can be planned, each behind what its steps follow', () => {
    const week = must(
      readWeek({
        places: PLACE_KINDS.map((place) => ({ id: place })),
        people: WORK_SKILLS.map((skill) => ({ id: skill, skills: [skill] })),
        jobs: [
          {
            id,
            operations: all.map(({ id: own, minutes, place, skill, after }) => ({
              id: own,
              minutes,
              place,
              skill,
              after,
            })),
          },
        ],
      }),
    );
    expect(must(instanceOf(week)).tasks).toHaveLength(all.length);
    const at = new Map(all.flatMap((each) => each.steps.map((step) => [step, each] as const)));
    for (const step of planned.steps)
      for (const before of step.after) {
        const [own, earlier] = [at.get(step.id), at.get(before)];
        if (own && earlier && own !== earlier) expect(own.after).toContain(earlier.id);
      }
  });
  it('are tested on the rig that its kind wants, and seen by an inspector where it holds', () => {
    const rig = relieves(closureOf(defaultValve(id).features)) ? 'pop rig' : 'test rig';
    const tested = all.filter(({ kind }) => kind === 'test' || kind === 'pop' || kind === 'field');
    expect(tested.every(({ place }) => place === undefined || place === rig)).toBe(true);
    const holds = planned.steps.filter(({ task }) => task.kind === 'hold').length;
    expect(all.filter(({ skill }) => skill === 'inspector').flatMap(({ steps }) => steps)).toHaveLength(
      holds,
    );
  });
});

describe('as a job goes on', () => {
  it('what is done stays under its name, and what is begun stays with who began it', () => {
    const job = new BenchJob().workTo('inspect.runout');
    const { all } = operations(job);
    expect(all.find(({ kind }) => kind === 'strip')).toMatchObject({ done: true, minutes: 0 });
    expect(all.find(({ kind }) => kind === 'inspect')?.begunBy).toBeDefined();
    expect(all.filter(({ done }) => done).every(({ begunBy }) => begunBy === undefined)).toBe(true);
  });
  it('a part that is renewed is waited for: as long as it usually takes, until it is ordered for a day', () => {
    const job = new BenchJob().workTo('inspect.runout');
    job.send({
      kind: 'take-runout',
      body: { step: 'inspect.runout', readings: bendReadings(3.1), readBy: DIAL },
    });
    const waiting = () => operations(job).all.find(({ id }) => id === 'part: stem');
    const behind = () => operations(job).all.filter(({ after }) => after.includes('part: stem'));
    const usual = partsOf(defaultValve()).find(({ role }) => role === 'stem')?.leadDays ?? 0;
    expect(usual).toBeGreaterThan(0);
    expect(waiting()).toMatchObject({ kind: 'part', leadDays: usual });
    expect(behind()).toHaveLength(1);
    // Ten working days from a Monday are two weeks: its Monday’s midnight is 14 days on.
    const wait: JobOperation = {
      ...{ id: 'part: stem', kind: 'part', minutes: 0, after: [], done: false, steps: [], leadDays: 10 },
    };
    const [planned] = jobInWeek(
      { id: 'HV', hard: false, weight: 1, factor: () => 1, operations: [wait] },
      findingIn({ places: new Set(), skills: new Set(), people: new Set() }),
      [{ day: '2026-12-07', midnight: -480 }],
    ).operations;
    expect(planned?.minutes).toBe(14 * 1440 - 480);
    job.send({ kind: 'order-part', body: { step: 'order.stem', expected: '2026-11-30' } });
    expect(waiting()).toMatchObject({ until: '2026-11-30' });
    expect(waiting()?.leadDays).toBeUndefined();
  });
  it('what threadlocker holds is not handled for half an hour, nor tested for a day', () => {
    const { all } = operations(new BenchJob(defaultValve('regulator-self-acting')));
    const cure = all.find(({ kind }) => kind === 'threadlocker');
    const locked = all.find(({ id }) => cure?.after.includes(id));
    const week = must(
      readWeek({
        places: PLACE_KINDS.map((place) => ({ id: place })),
        people: WORK_SKILLS.map((skill) => ({ id: skill, skills: [skill] })),
        jobs: [
          jobInWeek(
            { id: 'PR', hard: false, weight: 1, factor: () => 1, operations: all },
            findingIn({
              places: new Set(PLACE_KINDS),
              skills: new Set(WORK_SKILLS),
              people: new Set(WORK_SKILLS),
            }),
            [{ day: '2026-12-07', midnight: -480 }],
          ),
        ],
      }),
    );
    const { operations: made } = must(planWeek(week));
    const over = made.find(({ id }) => id === locked?.id)?.end ?? Infinity;
    const behind = all.filter(({ id, after }) => id !== cure?.id && after.includes(locked?.id ?? ''));
    const starts = (ids: readonly string[]) =>
      made.filter(({ id }) => ids.includes(String(id))).map(({ start }) => start);
    expect(behind.length).toBeGreaterThan(0);
    expect(Math.min(...starts(behind.map(({ id }) => id)))).toBeGreaterThanOrEqual(over + 30);
    const loaded = all.filter(({ after }) => after.includes(cure?.id ?? ''));
    expect(loaded.length).toBeGreaterThan(0);
    expect(Math.min(...starts(loaded.map(({ id }) => id)))).toBeGreaterThanOrEqual(over + 1440);
  });
});
