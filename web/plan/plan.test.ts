import type { WeekJobView, WeekView } from '@dusk-wren/contract/week';
import { jobId, personId } from '@dusk-wren/core/job';
import { faultsOf, weekFile } from '@dusk-wren/core/schedule';
import { FT06, weekOf } from '@dusk-wren/core/testing/job-shops';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { at, axisOf, minuteAt } from './axis';
import { sayChain } from './chain';
import { loadsOf } from './load';
import { railsOf } from './rails';
import { sayAt, sayChanges, sayDifference, sayQuality } from './words';

const DAY = 1440;
/** Two days from seven to half past three with a break at noon; now is seven. */
const OPEN = [0, 1].flatMap((day): [number, number][] => [
  [day * DAY, day * DAY + 300],
  [day * DAY + 330, day * DAY + 510],
]);

describe('time as it is drawn', () => {
  const axis = axisOf(OPEN, 0, 2 * DAY);
  it('has a night drawn together to a seam, and a break to scale', () => {
    expect(axis.segments.map(({ from, to }) => [from, to])).toEqual([
      [0, 510],
      [DAY, DAY + 510],
    ]);
    expect(at(axis, 0)).toBe(0);
    expect(at(axis, DAY + 510)).toBeCloseTo(1, 9);
    expect(at(axis, 600)).toBeCloseTo(at(axis, 510), 9);
    expect(at(axis, 330) - at(axis, 300)).toBeCloseTo(at(axis, 30), 9);
  });
  it('is the same way back, and never goes backwards', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1019 }), (worked) => {
        const minute = worked < 510 ? worked : worked - 510 + DAY;
        expect(minuteAt(axis, at(axis, minute))).toBeCloseTo(minute, 6);
        expect(at(axis, minute + 1)).toBeGreaterThanOrEqual(at(axis, minute));
      }),
    );
  });
  it('is drawn whole where nothing is open', () => {
    expect(at(axisOf([], 0, DAY), DAY / 2)).toBe(0.5);
  });
});

const [one, two, ada, ivo] = [
  jobId.parse('00000000-0000-4000-8000-000000000001'),
  jobId.parse('00000000-0000-4000-8000-000000000002'),
  personId.parse('00000000-0000-4000-8000-00000000000a'),
  personId.parse('00000000-0000-4000-8000-00000000000b'),
];
const job = (id: typeof one, tag: string, kinds: WeekJobView['kinds']) => ({
  ...{
    id,
    tag,
    kinds,
    customer: 'Quay',
    location: 'pump 1',
    construction: 'globe-bolted' as const,
    stage: 'strip' as const,
    travel: 2,
  },
  ...{ due: '2026-12-07', hard: false, weight: 1, notBefore: null, begun: ['strip'] },
});
const VIEW: WeekView = {
  from: '2026-12-07T07:00:00.000Z',
  zone: 'UTC',
  days: [
    { day: '2026-12-07', midnight: -420 },
    { day: '2026-12-08', midnight: 1020 },
  ],
  week: weekFile.parse({
    places: [{ id: 'bench', count: 2, open: OPEN }],
    people: [
      { id: ada, skills: ['bench', 'lathe'], open: OPEN },
      { id: ivo, skills: ['inspector'], open: OPEN },
    ],
    jobs: [
      {
        id: one,
        due: 1020,
        operations: [
          { id: 'strip', minutes: 120, place: 'bench', skill: 'bench' },
          { id: 'hold', minutes: 10, skill: 'inspector' },
        ],
      },
      {
        id: two,
        due: 100,
        operations: [
          { id: 'part', minutes: 60, after: [] },
          { id: 'strip', minutes: 60, place: 'bench', skill: 'bench' },
        ],
      },
    ],
  }),
  people: [
    { id: ada, name: 'Ada' },
    { id: ivo, name: 'Ivo' },
  ],
  jobs: [
    job(one, 'V-1', { strip: 'strip', hold: 'hold' }),
    job(two, 'V-2', { part: 'part', strip: 'strip' }),
  ],
  learned: {},
  plan: [
    { job: one, id: 'strip', place: 'bench', person: ada, start: 0, end: 120 },
    { job: one, id: 'hold', person: ivo, start: 120, end: 130 },
    { job: two, id: 'part', start: 0, end: 60 },
    { job: two, id: 'strip', place: 'bench', person: ada, start: 120, end: 180 },
  ],
  morning: [],
  pins: [{ job: one, id: 'strip', by: 'Lea' }],
  ...{ objective: 80, bound: 60, gap: 0.25 },
  said: [],
};

describe('rails', () => {
  it('are of a plan without fault', () => expect(faultsOf(VIEW.week, VIEW.plan)).toEqual([]));
  it('of people carry what each does, and what nobody holds lies last', () => {
    const rails = railsOf(VIEW, 'people');
    expect(
      rails.map(({ name, pieces }) => [name, pieces.map(({ job: { tag }, kind }) => `${tag} ${kind}`)]),
    ).toEqual([
      ['Ada', ['V-1 strip', 'V-2 strip']],
      ['Ivo', ['V-1 hold']],
      ['Waits', ['V-2 part']],
    ]);
    expect(rails[0]?.pieces.map(({ isPinned, isBegun, isLate }) => [isPinned, isBegun, isLate])).toEqual([
      [true, true, false],
      [false, true, true],
    ]);
  });
  it('of places have a lane for each that there is, and no two pieces on each other', () => {
    const rails = railsOf(VIEW, 'places', [
      ...VIEW.plan.slice(0, 3),
      { job: two, id: 'strip', place: 'bench', person: ada, start: 60, end: 180 },
    ]);
    expect(rails.map(({ name, lanes }) => [name, lanes])).toEqual([
      ['bench', 2],
      ['holds', 1],
      ['Waits', 1],
    ]);
    expect(rails[0]?.pieces.map(({ lane }) => lane)).toEqual([0, 1]);
  });
});

describe('in words', () => {
  it('a moment is by the shop’s clocks, with its date where it is far', () => {
    expect(sayAt(VIEW, 90)).toBe('Mon 08:30');
    expect(sayAt(VIEW, 8 * DAY)).toBe('Tue 15 Dec 07:00');
    expect(sayAt({ ...VIEW, zone: 'America/Denver' }, 0)).toBe('Mon 00:00');
  });
  it('how good it is says what is proved', () => {
    expect(sayQuality(VIEW)).toBe('Within 25 % of the best possible, as far as is proved.');
    expect(sayQuality({ ...VIEW, gap: 1 })).toBe('Not proved yet: a better one may be there.');
    expect(sayQuality({ ...VIEW, gap: 0 })).toBe('No plan can be better.');
    expect(sayQuality({ ...VIEW, gap: 0, objective: 0 })).toBe('Everybody is on time.');
    expect(sayQuality({ ...VIEW, plan: [] })).toBe('There is no plan.');
  });
  it('another plan says who becomes late by it and who less', () => {
    const first = VIEW.plan.map((each) =>
      each.job === two && each.id === 'strip'
        ? { ...each, start: 60, end: 120 }
        : each.id === 'strip'
          ? { ...each, start: 960, end: 1080 }
          : each,
    );
    expect(sayDifference(VIEW, VIEW.plan, first)).toEqual([
      'V-1 becomes later than its date by 1 h',
      'V-2 is late by 1 h less',
      '2 pieces of the next day, of 2 jobs, move',
    ]);
    expect(sayDifference(VIEW, VIEW.plan, VIEW.plan)).toEqual(['Nobody becomes late by it']);
  });
  it('what changed since the morning says the day and what was added', () => {
    const morning = [
      { job: one, id: 'strip', place: 'bench', person: ada, start: 0, end: 120 },
      { job: two, id: 'strip', place: 'bench', person: ada, start: 1440, end: 1500 },
    ];
    expect(sayChanges({ ...VIEW, morning })).toEqual([
      'V-2 now Mon 7 Dec and not Tue 8 Dec: wait for a part',
    ]);
    expect(sayChanges({ ...VIEW, morning: morning.slice(0, 1) })).toEqual(['V-2 is new: ready Mon 7 Dec']);
    expect(sayChanges({ ...VIEW, morning: VIEW.plan })).toEqual([]);
  });
});

describe('why a job is late', () => {
  it('is a line for each stretch of a job, with what it waited for', () => {
    const chain = [
      { job: two, id: 'strip', waited: 'person', closed: 30 },
      { job: one, id: 'hold', waited: 'follows', closed: 0 },
      { job: one, id: 'strip', waited: 'nothing', closed: 0 },
    ] as const;
    expect(sayChain(VIEW, chain)).toEqual({
      lines: [
        'V-2 strip, Mon 09:00: Ada was on V-1, 30 min closed between',
        'V-1 strip to hold, Mon 07:00: as soon as it can',
      ],
      before: 0,
    });
  });
  it('is read as far as anybody reads', () => {
    const chain = Array.from({ length: 8 }, (_, i) => ({
      ...{ job: i % 2 ? one : two, id: 'strip', waited: 'place' as const, closed: 0 },
    }));
    expect(sayChain(VIEW, chain)).toMatchObject({ before: 3 });
    expect(sayChain(VIEW, chain).lines[0]).toBe('V-2 strip, Mon 09:00: the bench was taken by V-1');
  });
});

it('the sample that ships is a published instance whose best end is known', () => {
  // Fisher and Thompson 1963, six jobs on six machines: 55.
  const text = readFileSync(new URL('../public/samples/week.json', import.meta.url), 'utf8');
  expect(weekFile.parse(JSON.parse(text))).toEqual({ ...weekOf(FT06), seconds: 30 });
});

it('how full a place is counts open hours alone, of each that there is', () => {
  const { rows, weeks } = loadsOf(VIEW);
  expect(weeks).toHaveLength(3);
  expect(rows).toEqual([{ place: 'bench', shares: [180 / (2 * 960), undefined, undefined] }]);
});
