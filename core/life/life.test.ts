import { describe, expect, it } from 'vitest';
import { USUAL_RULES } from '../inspection';
import { carriedSchema, jobId, NOTHING_CARRIED, type Course, type Found, type JobId } from '../job';
import { quantity, valueIn, type Quantity } from '../quantity';
import { BenchJob, id, LEAD } from '../testing/bench';
import { defaultValve } from '../valve';
import {
  carriedFrom,
  dueAfter,
  failureCode,
  intervalOf,
  livedOf,
  livedSchema,
  meetsOf,
  wornOf,
  type Lived,
} from '.';

const JOBS = [1, 2, 3, 4, 5, 6, 7, 8].map((n) => jobId.parse(id(n)));
const job = (n: number): JobId => JOBS[n] ?? JOBS[0] ?? jobId.parse(id(9));
const inch = (value: number): Quantity => quantity('length', value, 'in');

/** With its certificate, which is in hand. */
function signed(bench: BenchJob): BenchJob {
  const step = bench.plan().inHand;
  return step ? bench.work(step) : bench;
}

const day = (days: number) => new Date(Date.UTC(2018, 0, 1 + days)).toISOString().slice(0, 10);
const daysTo = (at: string) => Math.round((Date.parse(at) - Date.parse(day(0))) / 86_400_000);

describe('what is used up', () => {
  const course = (points: Course['points'], limit = 0.03): Course => ({
    what: 'stock of the seat',
    kind: 'used up',
    direction: 'falling',
    limit: inch(limit),
    points,
  });
  const read = [0.06, 0.0565, 0.0525, 0.0485, 0.0455];

  it('meets its limit when the handbook says (part 7.1), early by the steep end of the band', () => {
    const points = read.map((value, i) => ({ job: job(i), at: day(400 * i), found: inch(value) }));
    const meets = meetsOf(course(points));
    expect(meets.kind).toBe('date');
    if (meets.kind !== 'date') return;
    expect([meets.at, meets.early].map(daysTo)).toEqual([3236, 3050]);
    expect(meets.late).toEqual({ day: day(3371) });
  });
  it('metal that was machined off is no wear: the rate stays, the date comes nearer by what is gone', () => {
    // The same wear, with 0.004 in cut off at the third job.
    const points = read.map((value, i) => ({
      job: job(i),
      at: day(400 * i),
      found: inch(value - (i > 2 ? 0.004 : 0)),
      left: inch(value - (i >= 2 ? 0.004 : 0)),
    }));
    expect(wornOf(course(points)).machined).toBeCloseTo(-0.004, 12);
    const [cut, whole] = [meetsOf(course(points)), meetsOf(course(points, 0.026))];
    expect(cut.kind).toBe('date');
    const uncut = meetsOf(
      course(
        read.map((value, i) => ({ job: job(i), at: day(400 * i), found: inch(value) })),
        0.034,
      ),
    );
    expect(cut).toEqual(uncut);
    expect(whole).not.toEqual(cut);
  });
  it('of two jobs no date is said', () => {
    const points = read
      .slice(0, 2)
      .map((value, i) => ({ job: job(i), at: day(400 * i), found: inch(value) }));
    expect(meetsOf(course(points))).toEqual({ kind: 'too few' });
  });
  it('past its limit it says that', () => {
    const points = read.map((value, i) => ({ job: job(i), at: day(400 * i), found: inch(value - 0.02) }));
    expect(meetsOf(course(points))).toEqual({ kind: 'over limit' });
  });
});

describe('what is put back at every job', () => {
  const course = (found: readonly number[], left: number): Course => ({
    what: 'leak when shut',
    kind: 'put back',
    direction: 'rising',
    limit: quantity('flow', 10, 'mL/min'),
    points: [0, ...found].map((value, i) => ({
      job: job(i),
      at: day(365 * i),
      ...(i > 0 ? { found: quantity('flow', value, 'mL/min') } : {}),
      left: quantity('flow', left, 'mL/min'),
    })),
  });
  it('is due by the median rate between how one job left it and the next found it (handbook part 7.1)', () => {
    // 3, 4 and 5 mL/min in a year each: the median is 4; 10 are met in 2.5 years, at 3 a year in 3.3.
    const meets = meetsOf(course([3, 4, 5], 0));
    expect(meets.kind).toBe('date');
    if (meets.kind !== 'date') return;
    expect([meets.at, meets.early].map((at) => daysTo(at) - 3 * 365)).toEqual([913, 913]);
    expect(meets.late).toEqual({ day: day(3 * 365 + 1217) });
  });
  it('that does not get worse is not in sight; of two jobs there is one rate, which is too few', () => {
    expect(meetsOf(course([0, 0, 0], 0))).toEqual({ kind: 'not in sight' });
    expect(meetsOf(course([3], 0))).toEqual({ kind: 'too few' });
    expect(meetsOf(course([0.1, 0.1, 0.1], 0))).toEqual({ kind: 'beyond' });
  });
});

describe('the interval that follows from how it was found (handbook part 7.1; API RP 576)', () => {
  const relief = defaultValve('relief-spring');
  const after = (found: Found, months: number | undefined, history: readonly Found[] = [], rules = {}) => {
    const before = {
      ...NOTHING_CARRIED,
      found: history.map((each, i) => ({ job: job(i), at: day(i), found: each })),
      ...(months === undefined ? {} : { months }),
    };
    const { at, kind } = intervalOf(before, { signed: '2026-01-31', asFound: { found, why: '' } }, relief, {
      ...USUAL_RULES,
      ...rules,
    });
    return [at, kind];
  };
  it('is the site’s own the first time, a rung shorter where it was found bad', () => {
    expect(after('good', undefined)).toEqual(['2029-01-31', 'site']);
    expect(after('low', undefined)).toEqual(['2028-01-31', 'ladder']);
  });
  it('good is a rung longer, stuck the shortest rung', () => {
    expect(after('good', 24, ['good'])).toEqual(['2029-01-31', 'ladder']);
    expect(after('stuck', 36, ['good', 'good'])).toEqual(['2027-01-31', 'ladder']);
    expect(after('outside', 36, ['good'])).toEqual(['2028-01-31', 'ladder']);
  });
  it('after a shortening two good ones lengthen it again', () => {
    expect(after('good', 24, ['good', 'leaking'])).toEqual(['2028-01-31', 'ladder']);
    expect(after('good', 24, ['leaking', 'good'])).toEqual(['2029-01-31', 'ladder']);
  });
  it('is never longer than the law, nor the site, lets it be', () => {
    expect(after('good', 36, ['good'], { reliefMonths: 48 })).toEqual(['2030-01-31', 'law']);
    // Where no site has said what its law is, nothing is said to be by law.
    expect(after('good', 60, ['good'], { ladderMonths: [60, 150] })).toEqual(['2036-01-31', 'site']);
    expect(after('good', 36, ['good'], { reliefMonths: 48, longestMonths: 40 })).toEqual([
      '2029-05-31',
      'site',
    ]);
  });
  it('a month without the day ends earlier', () => {
    expect(after('good', 24, ['good'], { ladderMonths: [24, 25] })).toEqual(['2028-02-29', 'ladder']);
  });
});

/** One of each way to close, to move and to relieve. */
const WHOLE = [
  'globe-bolted',
  'gate-wedge',
  'control-balanced-cage',
  'control-butterfly',
  'relief-spring',
  'solenoid-pilot',
] as const;
describe.each(WHOLE)('a whole job on %s', (construction) => {
  const worked = new BenchJob(defaultValve(construction)).workTo('release.sign');
  signed(worked);
  const lived = livedOf(worked.state);

  it('says what it left, and reads the same when it was stored', () => {
    expect(lived).toBeDefined();
    expect(livedSchema.parse(JSON.parse(JSON.stringify(lived)))).toEqual(lived);
    expect(lived?.minutes).toBeGreaterThan(0);
  });
  it('the next one begins with that: its figures, its measures, how it was found', () => {
    if (!lived) return;
    const carried = carriedFrom([{ job: job(0), lived }]);
    const next = new BenchJob(defaultValve(construction), { carried });
    expect(carried.figures.map(({ what }) => what)).toEqual(lived.figures.map(({ what }) => what));
    const due = dueAfter(next.state, job(1), '2027-11-24');
    expect(due[0]?.at.localeCompare('2027-11-24')).toBe(1);
  });
});

describe('what a relief valve’s job says of its life', () => {
  const stuck = () => {
    const bench = new BenchJob(defaultValve('relief-spring'), {});
    bench.workTo('strip.as-found-pop');
    const step = 'strip.as-found-pop';
    const read = (what: string, value: string) =>
      bench.send({ kind: 'take-measurement', body: { step, what, value, readBy: 'hand' } });
    read('set pressure, as found', '400 psig');
    read('reseat, as found', '240 psig');
    read('first leak, as found', '390 psig');
    bench.workTo('release.sign');
    return bench;
  };
  it('not open at 150 % of its set is stuck: the shortest rung', () => {
    const bench = stuck();
    const due = dueAfter(bench.state, job(0), '2026-11-24');
    expect(due.find(({ kind }) => kind === 'ladder')).toMatchObject({ at: '2027-11-24' });
    const lived = livedOf(signed(bench).state);
    expect(lived?.asFound).toEqual({ found: 'stuck', why: 'not open at 150 % of its set pressure' });
    const off = lived?.measures.find(({ what }) => what.startsWith('set pressure'));
    // One that did not open says nothing of how its setting drifts.
    expect(off?.found).toBeUndefined();
    expect(off?.limit && valueIn(off.limit, '%')).toBeCloseTo(3, 6);
  });
});

describe('what a seat loses', () => {
  const worn = (depth: string) => {
    const bench = new BenchJob(defaultValve('globe-bolted')).workTo('inspect.seat');
    bench.send({
      kind: 'make-finding',
      body: { step: 'inspect.seat', finding: { kind: 'seat damage', form: 'wire drawn', depth } },
    });
    return livedOf(signed(bench.workTo('release.sign')).state)?.measures.find(
      ({ what }) => what === 'stock of the seat',
    );
  };
  it('is found less by its deepest mark, and left less by what grinding took off with it', () => {
    const measure = worn('0.0015 in');
    const [found, left] = [measure?.found, measure?.left].map((each) => each && valueIn(each, 'in'));
    const { seat } = defaultValve('globe-bolted').features;
    const stock = 'stock' in seat && seat.stock ? valueIn(seat.stock, 'in') : NaN;
    expect(found).toBeCloseTo(stock - 0.0015, 9);
    expect(left).toBeCloseTo(stock - 0.0015, 9);
    expect(measure?.part).toBe('seat');
  });
});

describe('what is left for now', () => {
  const bench = new BenchJob();
  const left = { what: 'a clamp on the bypass', recall: '2027-02-01' };
  bench.send({ kind: 'leave-for-now', body: left });
  bench.workTo('release.sign');

  it('recalls the valve by its day', () => {
    expect(dueAfter(bench.state, job(0), '2026-11-24')[0]).toEqual({
      at: '2027-02-01',
      kind: 'recall',
      words: 'left for now: a clamp on the bypass',
    });
  });
  it('is a step of the next job; done, it is gone', () => {
    signed(bench);
    const lived = livedOf(bench.state) as Lived;
    const carried = carriedFrom([{ job: job(0), lived }]);
    expect(carried.temporary).toEqual([{ ...left, job: job(0), at: '2026-11-24' }]);
    const next = new BenchJob(defaultValve(), { carried });
    const step = next.plan().steps.find(({ title }) => title.includes('a clamp on the bypass'));
    expect(step?.stage).toBe('repair');
    signed(next.workTo('release.sign'));
    const after = livedOf(next.state) as Lived;
    expect(after.putRight).toEqual([left.what]);
    expect(
      carriedFrom([
        { job: job(0), lived },
        { job: job(1), lived: after },
      ]).temporary,
    ).toEqual([]);
  });
  it('is never to be put right today', () => {
    const refused = new BenchJob().try(
      { kind: 'leave-for-now', body: { ...left, recall: '2026-11-24' } },
      LEAD,
    );
    expect(refused?.code).toBe('input.out-of-range');
  });
});

describe('what a valve carries', () => {
  const bare: Lived = {
    ...{ opened: '2020-01-01', signed: '2020-01-02', nextDue: '2023-01-02', scope: 'overhaul', reported: '' },
    ...{
      openedBy: 'ada',
      condemned: false,
      by: [],
      minutes: 60,
      figures: [],
      words: [],
      measures: [],
      renewed: [],
    },
    ...{ reworked: [], temporary: [], putRight: [] },
  };
  const wear = (value: number): Lived['measures'][number] => ({
    ...{
      what: 'stem in the packing: wear',
      part: 'stem',
      kind: 'used up',
      direction: 'rising',
      renewed: false,
    },
    ...{ limit: inch(0.005), found: inch(value), left: inch(value) },
  });
  const after = (...lives: readonly Partial<Lived>[]) =>
    carriedFrom(lives.map((each, i) => ({ job: job(i), lived: { ...bare, ...each } })));

  it('a new part begins anew, whether anybody measured the old one on that job or not', () => {
    const worn = after({ measures: [wear(0.001)] }, { measures: [wear(0.002)] });
    expect(worn.courses[0]?.points).toHaveLength(2);
    const renewed = after(
      { measures: [wear(0.001)] },
      { measures: [wear(0.002)] },
      { renewed: [{ part: 'stem', why: 'found bad' }] },
    );
    expect(renewed.courses).toEqual([]);
    const other = after({ measures: [wear(0.001)] }, { renewed: [{ part: 'disc', why: 'found bad' }] });
    expect(other.courses[0]?.points).toHaveLength(1);
  });
  it('fits into the opening of the next job, however much forty jobs have said', () => {
    const figures = (k: number) =>
      Array.from({ length: 150 }, (_, i) => ({ what: `figure ${k} ${i}`, value: inch(i) }));
    const words = (k: number) =>
      Array.from({ length: 90 }, (_, i) => ({ what: `way ${k} ${i}`, words: 'up' }));
    const carried = after(
      ...Array.from({ length: 40 }, (_, k) => ({ figures: figures(k), words: words(k) })),
    );
    expect(carriedSchema.safeParse(carried).success).toBe(true);
    // What was said last is what is kept.
    expect(carried.figures.at(-1)?.what).toBe('figure 39 149');
  });
});

describe('a failure in the code of ISO 14224 (from memory)', () => {
  it.each([
    [{ symptom: 'gland leaks', cause: 'packing used up' }, 'ELP', '2.4 wear'],
    [{ symptom: 'passes when shut', cause: 'seat worn' }, 'LCP', '2.4 wear'],
    [{ symptom: 'no motion', cause: 'supply low' }, 'FTO', '4.3 no power'],
    [{ found: 'stuck' }, 'FTO', '6.4 unknown'],
  ] as const)('%o is %s', (told, mode, mechanism) =>
    expect(failureCode({ ...told, cameBack: false })).toMatchObject({ mode, mechanism }),
  );
  it('none of a valve that was found good; a maintenance error of one that came back', () => {
    expect(failureCode({ found: 'good', cameBack: false })).toBeUndefined();
    expect(failureCode({ found: 'leaking', cameBack: true })?.cause).toMatch(/^3\.3/);
  });
});
