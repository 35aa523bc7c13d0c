import { describe, expect, it } from 'vitest';
import { faultsOf, planWeek, readWeek, type WeekPlan } from '.';
import { must } from '../problem';

interface Asked {
  readonly places?: readonly object[];
  readonly people?: readonly object[];
  readonly jobs: readonly object[];
  readonly pinned?: readonly object[];
}

function planned(asked: Asked): WeekPlan {
  const week = must(readWeek({ places: [], people: [], ...asked }));
  const plan = must(planWeek(week));
  expect(faultsOf(week, plan.operations)).toEqual([]);
  return plan;
}
function refused(asked: Asked) {
  const read = readWeek({ places: [], people: [], ...asked });
  const made = read.ok ? planWeek(read.value) : read;
  return made.ok ? undefined : made.problem;
}
const times = ({ operations }: WeekPlan) => operations.map(({ id, start, end }) => [id, start, end]);

describe('hours', () => {
  const people = [
    {
      id: 'a',
      skills: ['x'],
      open: [
        [0, 100],
        [200, 300],
      ],
    },
  ];
  it('work pauses over closed hours and goes on by the same hands', () => {
    const plan = planned({ people, jobs: [{ id: 1, operations: [{ id: 'o', minutes: 150, skill: 'x' }] }] });
    expect(plan.operations).toEqual([{ job: 1, id: 'o', person: 'a', start: 0, end: 250 }]);
  });
  it('work runs only where place and person are both open', () => {
    const places = [
      {
        id: 'p',
        open: [
          [50, 80],
          [90, 220],
        ],
      },
    ];
    const plan = planned({
      places,
      people,
      jobs: [{ id: 1, operations: [{ id: 'o', minutes: 55, place: 'p', skill: 'x' }] }],
    });
    expect(times(plan)).toEqual([['o', 50, 215]]);
  });
  it('a place stays taken while work on it pauses', () => {
    const plan = planned({
      places: [{ id: 'p' }],
      people,
      jobs: [
        { id: 1, due: 250, operations: [{ id: 'o', minutes: 150, place: 'p', skill: 'x' }] },
        { id: 2, due: 1000, operations: [{ id: 'q', minutes: 10, place: 'p' }] },
      ],
    });
    expect(times(plan)).toEqual([
      ['o', 0, 250],
      ['q', 250, 260],
    ]);
  });
  it('a wait runs by the clock on the wall, and holds nobody', () => {
    const plan = planned({
      people,
      jobs: [
        {
          id: 1,
          due: 260,
          operations: [
            { id: 'glue', minutes: 60, skill: 'x', wait: 120 },
            { id: 'on', minutes: 40, skill: 'x' },
          ],
        },
        { id: 2, operations: [{ id: 'other', minutes: 40, skill: 'x' }] },
      ],
    });
    expect(times(plan)).toEqual([
      ['glue', 0, 60],
      ['other', 60, 100],
      ['on', 200, 240],
    ]);
  });
  it('of two days that a date allows, the one without a pause is taken', () => {
    const plan = planned({
      people,
      jobs: [
        { id: 1, due: 1000, operations: [{ id: 'long', minutes: 90, skill: 'x' }] },
        { id: 2, due: 1000, operations: [{ id: 'short', minutes: 90, skill: 'x' }] },
      ],
    });
    expect(plan.operations.every(({ start, end }) => end - start === 90)).toBe(true);
  });
});

describe('what follows what', () => {
  const job = (operations: object[], more: object = {}) => ({ id: 'j', operations, ...more });
  it('each follows the one before it in the list; an empty list follows nothing', () => {
    expect(
      times(
        planned({
          jobs: [
            job([
              { id: 'a', minutes: 5 },
              { id: 'b', minutes: 7 },
            ]),
          ],
        }),
      ),
    ).toEqual([
      ['a', 0, 5],
      ['b', 5, 12],
    ]);
    expect(
      planned({
        jobs: [
          job([
            { id: 'a', minutes: 5 },
            { id: 'b', minutes: 7, after: [] },
          ]),
        ],
      }).end,
    ).toBe(7);
    expect(
      times(
        planned({
          jobs: [
            job([
              { id: 'c', minutes: 1, after: ['b'] },
              { id: 'b', minutes: 7, after: [] },
            ]),
          ],
        }),
      ),
    ).toEqual([
      ['b', 0, 7],
      ['c', 7, 8],
    ]);
  });
  it('what is done is not planned; a wait after it runs from its end, or from now', () => {
    const glued = (done: boolean | number) =>
      times(
        planned({
          jobs: [
            job([
              { id: 'a', minutes: 5, wait: 30, done },
              { id: 'b', minutes: 7 },
            ]),
          ],
        }),
      );
    expect(glued(true)).toEqual([['b', 30, 37]]);
    expect(glued(-20)).toEqual([['b', 10, 17]]);
  });
  it('nothing before its job may begin, and nothing before now', () => {
    expect(times(planned({ jobs: [job([{ id: 'a', minutes: 5 }], { release: 40 })] }))).toEqual([
      ['a', 40, 45],
    ]);
    expect(times(planned({ jobs: [job([{ id: 'a', minutes: 5 }], { release: -40 })] }))).toEqual([
      ['a', 0, 5],
    ]);
  });
  it('a circle, a stranger and two of a name are said', () => {
    expect(
      refused({
        jobs: [
          job([
            { id: 'a', minutes: 1, after: ['b'] },
            { id: 'b', minutes: 1 },
          ]),
        ],
      })?.why,
    ).toContain('follow itself');
    expect(refused({ jobs: [job([{ id: 'a', minutes: 1, after: ['z'] }])] })).toMatchObject({
      kind: 'bad file',
    });
    expect(refused({ jobs: [job([]), job([])] })?.why).toContain('two of the job j');
    expect(refused({ jobs: [job([{ id: 'a', minutes: 1, place: 'moon' }])] })?.why).toContain('moon');
    expect(refused({ jobs: [job([{ id: 'a', minutes: 1.5 }])] })?.why).toContain(
      'jobs.0.operations.0.minutes',
    );
  });
});

describe('who can', () => {
  const people = [{ id: 'a', skills: ['x'], open: [[0, 100]] }];
  it('nobody with the skill, or no open time long enough, is no plan', () => {
    const one = (more: object) =>
      refused({ people, jobs: [{ id: 1, operations: [{ id: 'o', minutes: 50, ...more }] }] });
    expect(one({ skill: 'y' })).toMatchObject({ kind: 'impossible', why: '1, o: nobody is able to do y.' });
    expect(one({ skill: 'x', minutes: 101 })?.why).toContain('101 min of open time');
    expect(one({ person: 'a', skill: 'y' })?.kind).toBe('impossible');
    expect(one({ skill: 'x' })).toBeUndefined();
  });
  it('time that runs out for all together is no plan', () => {
    const both = [60, 60].map((minutes, i) => ({ id: i, operations: [{ id: 'o', minutes, skill: 'x' }] }));
    expect(refused({ people, jobs: both })).toMatchObject({ kind: 'impossible' });
  });
  it('of two who are as soon, the one who can do less goes', () => {
    const two = [
      { id: 'all', skills: ['x', 'y'] },
      { id: 'one', skills: ['x'] },
    ];
    const plan = planned({
      people: two,
      jobs: [{ id: 1, operations: [{ id: 'o', minutes: 5, skill: 'x' }] }],
    });
    expect(plan.operations[0]?.person).toBe('one');
  });
});

describe('pins', () => {
  const places = [{ id: 'p' }];
  const people = [
    { id: 'a', skills: ['x'] },
    { id: 'b', skills: ['x'], open: [[100, 200]] },
  ];
  const jobs = [
    {
      id: 1,
      operations: [
        { id: 'o', minutes: 30, place: 'p', skill: 'x' },
        { id: 'then', minutes: 10 },
      ],
    },
    { id: 2, operations: [{ id: 'o', minutes: 30, place: 'p', skill: 'x' }] },
  ];
  it('are kept to the minute and to the person', () => {
    const plan = planned({ places, people, jobs, pinned: [{ job: 1, id: 'o', start: 120, person: 'b' }] });
    expect(plan.operations).toContainEqual({
      job: 1,
      id: 'o',
      place: 'p',
      person: 'b',
      start: 120,
      end: 150,
    });
  });
  it('what a pin waits for goes before all else', () => {
    const plan = planned({
      places,
      people,
      jobs: [
        ...jobs.toReversed(),
        { id: 3, due: 0, hard: true, operations: [{ id: 'o', minutes: 30, place: 'p' }] },
      ],
      pinned: [{ job: 1, id: 'then', start: 30 }],
    });
    expect(plan.operations).toContainEqual(expect.objectContaining({ job: 1, id: 'o', start: 0 }));
  });
  it.each([
    ['a minute at which the person is not there', { job: 1, id: 'o', start: 20, person: 'b' }],
    ['a person who is not able to', { job: 1, id: 'then', start: 10 }],
    ['another place', { job: 1, id: 'then', place: 'p', start: 3 }],
    ['before now', { job: 1, id: 'o', start: -5 }],
  ])('that cannot be kept are said: %s', (_, pin) => {
    expect(refused({ places, people, jobs, pinned: [pin] })).toMatchObject({ kind: 'impossible' });
  });
  it('two at one place at once are impossible', () => {
    const pinned = [1, 2].map((job) => ({ job, id: 'o', start: 100 }));
    expect(refused({ places, people, jobs, pinned })?.kind).toBe('impossible');
    expect(refused({ places: [{ id: 'p', count: 2 }], people, jobs, pinned })).toBeUndefined();
  });
  it('that are at odds with each other are impossible, and two that say different things of it are one', () => {
    const twice = (one: object, other: object) =>
      refused({ places, people, jobs, pinned: [one, other].map((pin) => ({ job: 1, id: 'o', ...pin })) });
    expect(twice({ start: 120 }, { start: 121 })?.why).toContain('two ways at once');
    expect(twice({ start: 120 }, { person: 'b' })).toBeUndefined();
  });
  it('of what is not there is a bad file', () => {
    expect(refused({ places, people, jobs, pinned: [{ job: 9, id: 'o' }] })?.kind).toBe('bad file');
  });
});

describe('what is wanted, in strict order (handbook part 7, section 2)', () => {
  const places = [{ id: 'p' }];
  const job = (id: string, minutes: number, due: number, more: object = {}) => ({
    id,
    due,
    operations: [{ id: 'o', minutes, place: 'p' }],
    ...more,
  });
  it('a date that nothing moves comes before any weight', () => {
    const plan = planned({
      places,
      jobs: [job('soft', 50, 50, { weight: 100 }), job('hard', 60, 60, { hard: true })],
    });
    expect(plan.lateness).toEqual({ hard: 0, soft: 60 });
    expect(plan).toMatchObject({ objective: 6000, end: 110 });
  });
  it('weight times late, of all', () => {
    const plan = planned({ places, jobs: [job('a', 50, 50), job('b', 50, 50, { weight: 3 })] });
    expect(plan.lateness).toEqual({ a: 50, b: 0 });
  });
  it('an impossible outage is still planned, and its bound is what no plan can better', () => {
    const plan = planned({
      places,
      jobs: [job('a', 50, 50, { hard: true }), job('b', 50, 50, { hard: true })],
    });
    expect(plan).toMatchObject({ objective: 50, bound: 50, gap: 0 });
  });
  it('where nobody is late the end is shown; with nothing to do all is 0', () => {
    expect(planned({ places, jobs: [job('a', 50, 500)] })).toMatchObject({
      objective: 50,
      bound: 50,
      gap: 0,
      end: 50,
    });
    expect(planned({ jobs: [] })).toMatchObject({
      operations: [],
      objective: 0,
      bound: 0,
      gap: 0,
      end: 0,
      feasible: true,
    });
  });
});
