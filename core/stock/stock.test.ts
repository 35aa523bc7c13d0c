import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plan } from '../plan';
import { must } from '../problem';
import { say } from '../quantity';
import { BenchJob, id } from '../testing/bench';
import {
  CONSTRUCTION_IDS,
  defaultValve,
  featuresSchema,
  partsOf,
  unitsFor,
  valveKey,
  type ConstructionId,
  type PartRole,
  type RawFeatures,
  type Valve,
} from '../valve';
import {
  checkKit,
  fetchList,
  kitFor,
  lubricantFor,
  kitSheetSchema,
  orderLines,
  sealMedium,
  type Counted,
  type KitSheet,
} from '.';

/** One sheet for three kits, as the low-pressure valve has it (handbook part 2, construction 15). */
const sheet: KitSheet = kitSheetSchema.parse({
  number: 'T-15',
  title: 'Low-pressure valve, 2 in',
  construction: 'control-lowpressure-diaphragm',
  kits: [
    { code: 'S', fits: { 'moved.variant': 'single acting' } },
    { code: 'D', fits: { 'moved.variant': 'double acting' } },
    { code: 'A', fits: { 'moved.variant': 'adjustable double acting' } },
  ],
  lines: [
    {
      line: '1',
      name: 'Diaphragm, single and double',
      part: 'diaphragm',
      quantity: 1,
      kits: ['S', 'D'],
      elastomer: 'NBR',
    },
    {
      line: '2',
      name: 'Diaphragm, adjustable',
      part: 'diaphragm',
      quantity: 1,
      kits: ['A'],
      elastomer: 'NBR',
    },
    {
      line: '3',
      name: 'Soft seat, single and double',
      part: 'soft seat',
      quantity: 1,
      kits: ['S', 'D'],
      elastomer: 'NBR',
    },
    {
      line: '4',
      name: 'Soft seat, adjustable',
      part: 'soft seat',
      quantity: 1,
      kits: ['A'],
      elastomer: 'NBR',
    },
    {
      line: '5',
      name: 'Stem O-ring',
      part: 'stem O-ring',
      quantity: 1,
      kits: ['S', 'D', 'A'],
      elastomer: 'NBR',
    },
    { line: '6', name: 'Backup rings', part: 'backup rings', quantity: 2, kits: ['S', 'D', 'A'] },
    { line: '7', name: 'Housing gasket', part: 'housing gasket', quantity: 1, kits: ['S', 'D', 'A'] },
    { line: '8', name: 'Diaphragm nut', part: 'diaphragm nut', quantity: 1, kits: ['S', 'D', 'A'] },
  ],
});

const valve = (
  variant: 'single acting' | 'double acting' | 'adjustable double acting',
  medium = 'Field gas',
): Valve => {
  const usual = defaultValve('control-lowpressure-diaphragm');
  const moved: RawFeatures['moved'] = {
    kind: 'diaphragm-on-stem',
    variant,
    springPlate: variant !== 'double acting',
  };
  return {
    ...usual,
    medium: { name: medium, hazards: [] },
    features: featuresSchema.parse({ ...usual.features, moved }),
  };
};

const bag = (...counted: [string, number, string?][]): Counted[] =>
  counted.map(([line, count, cureDate]) => ({
    line,
    count,
    ...(cureDate === undefined ? {} : { cureDate }),
  }));

const check = (of: Valve, counted: Counted[], kit = kitFor(sheet, of) ?? '') =>
  checkKit({ sheet, kit, valve: of, plan: new BenchJob(of).plan(), counted, today: '2026-11-25' });

describe('which kit of the sheet', () => {
  it.each([
    ['single acting', 'S'],
    ['double acting', 'D'],
    ['adjustable double acting', 'A'],
  ] as const)('%s takes kit %s', (variant, code) => {
    expect(kitFor(sheet, valve(variant))).toBe(code);
  });
});

describe('the bag against its sheet (common practice; handbook part 2, construction 15)', () => {
  const full = bag(['1', 1, '2Q25'], ['3', 1, '2Q25'], ['5', 1, '2Q25'], ['6', 2], ['7', 1], ['8', 1]);
  const verdicts = (of: Valve, counted: Counted[]) =>
    Object.fromEntries(check(of, counted).rows.map(({ line, part, verdict }) => [line || part, verdict]));

  it('all there: belongs and present; the other kits’ lines are not looked for; the seat is in no kit', () => {
    expect(verdicts(valve('single acting'), full)).toEqual({
      1: 'belongs and present',
      2: 'not for this variant',
      3: 'belongs and present',
      4: 'not for this variant',
      5: 'belongs and present',
      6: 'belongs and present',
      7: 'belongs and present',
      8: 'belongs and present',
      'port seat': 'in no kit',
    });
    expect(check(valve('single acting'), full).complete).toBe(true);
  });
  it('one backup ring short is missing, not present', () => {
    const short = check(valve('single acting'), [...full.slice(0, 3), ...bag(['6', 1], ['7', 1])]);
    expect(short.rows.find(({ line }) => line === '6')).toMatchObject({
      verdict: 'belongs and missing',
      words: '1 short',
    });
    expect(short.complete).toBe(false);
  });
  it('the adjustable one has neither the soft seat nor the diaphragm of the other: found in its bag, they are not fitted', () => {
    const rows = verdicts(valve('adjustable double acting'), full);
    expect(rows).toMatchObject({
      1: 'not for this valve',
      2: 'belongs and missing',
      3: 'not for this valve',
      4: 'belongs and missing',
    });
  });
  it('a full-port valve has no seat to order: it is the body', () => {
    const of = valve('single acting');
    const whole = {
      ...of,
      features: featuresSchema.parse({ ...of.features, seat: { kind: 'ported', port: 'full' } }),
    };
    expect(check(whole, full).rows.some(({ verdict }) => verdict === 'in no kit')).toBe(false);
  });
  it('a part its call renews and no kit has is ordered now', () => {
    const job = new BenchJob(valve('single acting')).workTo('inspect.stem').send({
      kind: 'make-finding',
      body: { step: 'inspect.stem', finding: { kind: 'stem mark', zone: 'packing zone' } },
    });
    const { rows } = checkKit({
      sheet,
      kit: 'S',
      valve: valve('single acting'),
      plan: job.plan(),
      counted: full,
      today: '2026-11-25',
    });
    expect(rows.find(({ part }) => part === 'stem')).toMatchObject({
      verdict: 'in no kit',
      words: expect.stringMatching(/order it now/) as string,
    });
  });
});

describe('elastomers in the bag (ISO 2230 shelf life; common practice for media)', () => {
  const sealOf = (of: Valve, cureDate?: string) =>
    check(of, cureDate === undefined ? bag(['5', 1]) : bag(['5', 1, cureDate])).rows.find(
      ({ line }) => line === '5',
    )?.seal;
  it('within its life and fit for the gas', () => {
    expect(sealOf(valve('single acting'), '2Q25')?.verdict).toBe('fit');
  });
  it('past its shelf life: stop, and the kit is not complete', () => {
    expect(sealOf(valve('single acting'), '1Q05')?.verdict).toBe('stop');
    expect(
      check(
        valve('single acting'),
        bag(['1', 1, '2Q25'], ['3', 1, '2Q25'], ['5', 1, '1Q05'], ['6', 2], ['7', 1]),
      ).complete,
    ).toBe(false);
  });
  it('wrong for the medium: stop', () => {
    expect(sealOf(valve('single acting', 'Steam'), '2Q25')?.verdict).toBe('stop');
  });
  it('no date, one that cannot be read, or a medium nobody knows: ask', () => {
    expect(sealOf(valve('single acting'))?.verdict).toBe('ask');
    expect(sealOf(valve('single acting'), 'last spring')?.reasons.join(' ')).toMatch(/cannot be read/);
    expect(sealOf(valve('single acting', 'Unicorn milk'), '2Q25')?.verdict).toBe('ask');
  });
  it.each([
    ['Sour gas', 'hydrogen sulphide'],
    ['Produced water', 'brine'],
    ['Heating water', 'hot water'],
    ['Thin juice', 'hot water'],
    ['Instrument air', 'air'],
    ['Field gas', 'natural gas'],
    ['unheard of', undefined],
  ])('“%s” is %s', (name, medium) => {
    expect(sealMedium(name)).toBe(medium);
  });
});

describe('the lubricant of the step that fits a seal', () => {
  const of = (id: ConstructionId, part: PartRole) =>
    lubricantFor(part, new BenchJob(defaultValve(id)).plan().steps);
  it.each<[ConstructionId, PartRole, string]>([
    ['check-recirculation', 'guide rings', 'soap solution'],
    ['control-lowpressure-diaphragm', 'stem O-ring', 'silicone grease'],
    ['control-hygienic-seat', 'lip seal', 'silicone grease'],
    ['control-ball-in-venturi', 'piston O-ring', 'silicone grease'],
    ['relief-shear-pin', 'sub O-ring', 'mineral grease'],
    ['solenoid-pilot', 'armature O-ring', 'none'],
  ])('%s, %s: %s', (id, part, lubricant) => {
    expect(of(id, part)).toBe(lubricant);
  });
  it('mineral grease at the step stops an EPDM ring in its bag (handbook part 2, construction 7)', () => {
    const relief = defaultValve('relief-shear-pin');
    const one = kitSheetSchema.parse({
      number: 'T-19',
      title: 'Relief',
      construction: 'relief-shear-pin',
      kits: [{ code: 'K', fits: {} }],
      lines: [
        { line: '1', name: 'Sub O-ring', part: 'sub O-ring', quantity: 1, kits: ['K'], elastomer: 'EPDM' },
      ],
    });
    const { rows } = checkKit({
      sheet: one,
      kit: 'K',
      valve: relief,
      plan: new BenchJob(relief).plan(),
      counted: bag(['1', 1, '2Q25']),
      today: '2026-11-25',
    });
    expect(rows[0]?.seal?.verdict).toBe('stop');
  });
});

describe('what to fetch before the job starts', () => {
  const list = fetchList(new BenchJob(defaultValve('dump-weight-lever')).plan());
  it('crow-foot and torque wrench among the wrenches, threadlocker and grease among the consumables', () => {
    expect(list.wrenches.map(({ what }) => what)).toEqual(
      expect.arrayContaining(['crow-foot', 'torque wrench']),
    );
    expect(list.consumables.map(({ what }) => what).join()).toMatch(/threadlocker/);
    expect(list.parts.map(({ what }) => what)).toContain('bonnet gasket');
  });
  it('a 3/4 in stud takes a socket of 1 1/4 in (heavy hex, handbook part 5), a 3/8 in screw one of 9/16 in (ASME B18.2.1, from memory)', () => {
    const globe = fetchList(new BenchJob().plan());
    expect(globe.wrenches[0]?.what).toMatch(/^socket 1 1\/4 in /);
    const small = fetchList(new BenchJob(defaultValve('control-lowpressure-diaphragm')).plan());
    expect(small.wrenches[0]?.what).toMatch(/^socket 9\/16 in /);
    for (const { wrenches } of [globe, small])
      expect(wrenches.filter(({ what }) => /^socket/.test(say(what, 'US')))).toHaveLength(1);
    expect(globe.gauges.some(({ what }) => /to .* psig/.test(say(what, 'US')))).toBe(true);
    expect(globe.gauges.some(({ what }) => /to .* bar g/.test(say(what, 'SI')))).toBe(true);
  });
  it('line flanges that are undone bring their socket and spanner: 3/4 in studs at NPS 3 class 600 (ASME B16.5)', () => {
    const globe = { ...defaultValve('globe-bolted'), ends: 'flanged' as const };
    const wrenches = (place: 'out and back' | 'bare') =>
      fetchList(new BenchJob(globe, { place }).plan()).wrenches.map(({ what }) => say(what, 'US'));
    expect(wrenches('out and back').join()).toMatch(
      /socket and spanner 1 1\/4 in across flats, for the line flanges/,
    );
    expect(wrenches('bare').join()).not.toMatch(/line flanges/);
  });
  it('what stays on is on no list of parts', () => {
    const eccentric = fetchList(new BenchJob(defaultValve('plug-eccentric')).plan());
    expect(eccentric.parts.map(({ what }) => what)).not.toContain('boot');
    expect(eccentric.parts.map(({ what }) => what)).toContain('braided packing');
  });
  it('a new part stands among the parts, not again among the consumables', () => {
    const ring = fetchList(new BenchJob(defaultValve('control-lowpressure-diaphragm')).plan());
    expect(ring.parts.map(({ what }) => what)).toContain('stem O-ring');
    expect(ring.consumables.map(({ what }) => what)).not.toContain('stem O-ring');
  });
  it('shrinks as the work is done', () => {
    const job = new BenchJob();
    const before = fetchList(job.plan()).consumables.length;
    expect(fetchList(job.workTo('rebuild.pack').plan()).consumables.length).toBeLessThan(before);
  });
});

describe('orders', () => {
  const bent = (due: string) => {
    const job = new BenchJob(undefined, { due }).workTo('inspect.stem');
    job.send({
      kind: 'make-finding',
      body: { step: 'inspect.stem', finding: { kind: 'stem mark', zone: 'packing zone' } },
    });
    return job;
  };
  it('a renewed stem is to be ordered by a day that leaves its lead time and the work after it', () => {
    const job = bent('2026-12-14');
    const [line] = orderLines(job.plan(), job.state, '2026-11-25');
    // Monday 14 December, less 4 working days of lead and 1 of work: Monday 7 December.
    expect(line).toMatchObject({ part: 'stem', state: 'to order', orderBy: '2026-12-07', late: false });
  });
  it('past that day it is late; ordered it is not; arrived it unblocks its steps', () => {
    const job = bent('2026-11-27');
    const line = () => orderLines(job.plan(), job.state, '2026-11-25')[0];
    expect(line()?.late).toBe(true);
    job.send({ kind: 'order-part', body: { step: 'order.stem', expected: '2026-11-30' } });
    expect(line()).toMatchObject({ state: 'on order', late: false, expected: '2026-11-30' });
    expect(job.step('rebuild.stem-in')?.after).toContain('arrive.stem');
    job.send({ kind: 'receive-part', body: { step: 'arrive.stem' } });
    expect(line()?.state).toBe('arrived');
  });
  it('a seat that is fitted in the body is ordered early enough for the work after its fitting', () => {
    const due = '2026-12-14';
    const job = new BenchJob(defaultValve('gate-wedge'), { due, place: 'bare' }).workTo('inspect.left-seat');
    job.send({
      kind: 'make-finding',
      body: { step: 'inspect.left-seat', finding: { kind: 'cracked' } },
    });
    const line = orderLines(job.plan(), job.state, '2026-11-25').find(({ part }) => part === 'left seat');
    const fitting = job.plan().steps.find(({ after }) => after.includes('arrive.left-seat'));
    expect(fitting?.id).toBe('fit.left-seat');
    // Lead time alone would be exactly so many working days before the day it is due.
    const leadAlone = orderLines(
      { ...job.plan(), steps: job.plan().steps.filter(({ task }) => task.kind === 'order') },
      job.state,
      '2026-11-25',
    ).find(({ part }) => part === 'left seat');
    expect((line?.orderBy ?? '') < (leadAlone?.orderBy ?? '')).toBe(true);
  });
});

describe('a unit from the shelf', () => {
  const cage = defaultValve('control-balanced-cage');
  const take = (job: BenchJob) =>
    job.send({ kind: 'take-unit', body: { unit: id(9), kind: 'rebuilt actuator', serial: 'A 9' } });
  it('swaps the plan: the old actuator is not opened, the shelf unit is checked and fitted, the old one sent on', () => {
    const job = new BenchJob(cage);
    const before = job.plan().steps.map((step) => step.id);
    expect(before).toContain('strip.actuator-cover');
    const after = take(job).plan().steps;
    const ids = after.map((step) => step.id);
    expect(ids).not.toContain('strip.actuator-cover');
    expect(ids).not.toContain('inspect.actuator-diaphragm');
    expect(ids).toEqual(
      expect.arrayContaining([
        'strip.actuator-off',
        'repair.shelf-rebuilt-actuator',
        'rebuild.actuator-on',
        'release.old-rebuilt-actuator',
      ]),
    );
    expect(job.plan().remainingMinutes).toBeLessThan(new BenchJob(cage).plan().remainingMinutes);
  });
  it('a serial as long as the register takes stops no step', () => {
    const job = new BenchJob(cage);
    const serial = 'S'.repeat(60);
    job.send({ kind: 'take-unit', body: { unit: id(9), kind: 'rebuilt actuator', serial } });
    job.workTo('release.sign');
    const fitted = job.state.records['step-done'].find(
      ({ body }) => body.step.id === 'repair.shelf-rebuilt-actuator',
    );
    expect(fitted?.body.step.title).toContain(serial);
    expect(fitted?.body.step.title.length).toBeLessThanOrEqual(120);
  });
  it('is taken once, and only where it fits', () => {
    const job = take(new BenchJob(cage));
    expect(
      job.try({ kind: 'take-unit', body: { unit: id(10), kind: 'rebuilt actuator', serial: 'A 10' } }),
    ).toMatchObject({ code: 'unit.already-taken' });
    expect(
      new BenchJob(defaultValve('check-swing')).try({
        kind: 'take-unit',
        body: { unit: id(9), kind: 'packed bonnet', serial: 'B' },
      }),
    ).toMatchObject({ code: 'unit.does-not-fit' });
  });
  it('what was done on the old one before stays done', () => {
    const job = new BenchJob(cage).workTo('strip.actuator-diaphragm');
    expect(take(job).step('strip.actuator-cover')).toMatchObject({ status: 'done', kept: true });
  });
  it('the old one is a job of its own: only its inside is on the plan, and it can be worked to its end', () => {
    const job = new BenchJob(cage, { place: 'bare', only: 'rebuilt actuator' });
    const ids = job.plan().steps.map((step) => step.id);
    expect(ids).toEqual(
      expect.arrayContaining(['strip.actuator-cover', 'rebuild.actuator-cover', 'release.sign']),
    );
    expect(ids).not.toContain('strip.lift');
    expect(ids).not.toContain('test.shell');
    expect(must(plan(job.workTo('nothing').state))?.inHand).toBeUndefined();
  });
});

describe('any bag (property)', () => {
  it('every line of the sheet is judged once, and a line counted short is never called present', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('single acting', 'double acting', 'adjustable double acting'),
        fc.array(fc.nat(3), { minLength: 7, maxLength: 7 }),
        (variant, counts) => {
          const of = valve(variant);
          const { rows } = check(
            of,
            counts.map((count, i) => ({ line: String(i + 1), count })),
          );
          const lines = rows.filter(({ line }) => line !== '');
          expect(lines.map(({ line }) => line)).toEqual(sheet.lines.map(({ line }) => line));
          for (const row of lines) {
            const line = sheet.lines.find((each) => each.line === row.line);
            if (row.verdict === 'belongs and present')
              expect(row.counted).toBeGreaterThanOrEqual(line?.quantity ?? 99);
            if (row.verdict === 'not for this variant') expect(row.counted).toBe(0);
            if (row.verdict === 'not for this valve') expect(row.counted).toBeGreaterThan(0);
          }
        },
      ),
      { seed: 8, numRuns: 200 },
    );
  });
});

describe.each(CONSTRUCTION_IDS)('the fetch list of %s', (construction) => {
  const current = new BenchJob(defaultValve(construction)).plan();
  const list = fetchList(current);
  it('names each thing once, with a step that wants it', () => {
    const { parts, ...others } = list;
    const fetched = Object.values(others).flat();
    const inAnyOrder = [...parts, ...fetched].map(({ what }) =>
      say(what, 'US').replaceAll(',', '').split(' ').sort().join(' '),
    );
    expect(inAnyOrder).toEqual([...new Set(inAnyOrder)]);
    for (const { what, count, steps } of fetched) {
      expect(count, say(what, 'US')).toBe(1);
      expect(steps.length, say(what, 'US')).toBeGreaterThan(0);
    }
  });
  it('brings every part that is always new and comes off, and no tool that no step names', () => {
    const always = partsOf(current.valve).filter(({ policy, stays }) => policy === 'renew always' && !stays);
    for (const { name } of always) expect(list.parts.map(({ what }) => what)).toContain(name);
    const named = new Set<string>(current.steps.flatMap(({ tools }) => tools));
    for (const { what } of list.tools) expect(named.has(say(what, 'SI'))).toBe(true);
  });
});

describe('which valves take a unit from the shelf', () => {
  it.each([
    ['globe-yoke-clamp', ['packed bonnet']],
    ['check-recirculation', ['complete insert']],
    ['control-balanced-cage', ['packed bonnet', 'rebuilt actuator']],
    ['control-ball-in-venturi', ['packed bonnet', 'rebuilt actuator']],
    ['check-swing', []],
    ['solenoid-pilot', []],
  ] as const)('%s: %j', (id, kinds) => {
    expect(unitsFor(defaultValve(id))).toEqual(kinds);
  });
  it('a key is construction, size and class: another size is another key', () => {
    const of = defaultValve('control-balanced-cage');
    expect(valveKey(of)).toBe('control-balanced-cage NPS 3 300');
    expect(valveKey({ ...of, nps: 4 })).not.toBe(valveKey(of));
  });
});
