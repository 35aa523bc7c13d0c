import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { describeSource } from '../../standards';
import { ask } from '../../testing/ask';
import { answerLines, findWorking, onDay, searchWorkings, SUBJECTS, WORKINGS } from '..';

describe('finding a working by what a person would type', () => {
  it.each([
    ['crow foot', 'bolting.crowfoot'],
    ['crowfoot', 'bolting.crowfoot'],
    ['bubbles', 'leak.allowance'],
    ['how tight', 'bolting.torque'],
    ['bent stem', 'stem.runout'],
    ['ring length', 'packing.rings'],
    ['grit', 'lapping.plan'],
    ['hydro', 'test.pressures'],
    ['cdtp', 'relief.set'],
    ['h2s', 'medium.hazard'],
    ['shelf life', 'elastomer.compatibility'],
    ['rpm', 'lathe.speed'],
    ['how many bolts', 'flange.bolting'],
    ['stick slip', 'signature.analyse'],
    ['photo', 'bluing.read'],
    ['o-ring', 'oring.fit'],
    ['4-20', 'signal.travel'],
    ['cavitation', 'flow.liquid'],
    ['tnt', 'test.stored-energy'],
    ['mud pump', 'relief.shear-pin'],
    ['dump valve', 'lever.weight'],
    ['cheaper', 'repair.or-renew'],
    ['how often', 'interval.next'],
    ['m and y', 'gasket.load'],
    ['bench set', 'actuator.balance'],
  ])('“%s” finds %s among the first two', (typed, id) => {
    expect(
      searchWorkings(typed)
        .slice(0, 2)
        .map((each) => each.id),
    ).toContain(id);
  });
  it('an empty search is everything, nonsense is nothing', () => {
    expect(searchWorkings(' ')).toHaveLength(WORKINGS.length);
    expect(searchWorkings('xyzzy')).toEqual([]);
  });
  it('any text at all is answered (property)', () => {
    fc.assert(
      fc.property(fc.string(), (typed) => {
        expect(searchWorkings(typed).every(({ id }) => findWorking(id).ok)).toBe(true);
      }),
      { seed: 1 },
    );
  });
});

describe('every working', () => {
  it('has an id of its own and stands under one subject', () => {
    expect(new Set(WORKINGS.map(({ id }) => id)).size).toBe(WORKINGS.length);
    expect(SUBJECTS.flatMap(({ workings }) => workings)).toHaveLength(WORKINGS.length);
  });
  it('names its source and its standing', () => {
    for (const { source } of WORKINGS)
      expect(describeSource(source)).toMatch(/common practice|published standard|from memory/i);
  });
  it('refuses whatever it cannot read, field by field, and never throws (property)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...WORKINGS), fc.jsonValue(), (working, raw) => {
        const answer = working.run(raw);
        expect(answer.ok ? Object.keys(answer.value.result).length > 0 : answer.problem.code.length > 0).toBe(
          true,
        );
      }),
      { seed: 2, numRuns: 500 },
    );
  });
  it('refuses absurd, negative and non-finite quantities in every quantity field (property)', () => {
    const withQuantity = WORKINGS.flatMap((working) =>
      working.fields.flatMap((field) =>
        field.kind === 'quantity' && !field.dimensions.includes('temperature') ? [{ working, field }] : [],
      ),
    );
    fc.assert(
      fc.property(
        fc.constantFrom(...withQuantity),
        fc.constantFrom('1e30', '-1e30', 'NaN', '1e999'),
        ({ working, field }, number) => {
          const given = Object.fromEntries(
            working.fields.flatMap(({ name, example }) => (example === undefined ? [] : [[name, example]])),
          );
          const answer = working.run({ ...given, [field.name]: `${number} ${field.units[0] ?? ''}` });
          expect(answer.ok).toBe(false);
        },
      ),
      { seed: 3, numRuns: 300 },
    );
  });
  it('a typo is said with the field it is in', () => {
    expect(
      must(findWorking('lathe.speed')).run({ diameter: '2 im', surfaceSpeed: '40 ft/min' }).problem,
    ).toMatchObject({
      issues: [{ path: 'diameter', problem: { code: 'quantity.unit-unknown', unit: 'im' } }],
    });
  });
  it('steps say formula and result, so that a person can follow', () => {
    const { steps } = ask('bolting.torque', { thread: '1-8', nutFactor: 0.16, material: 'B7' });
    expect(steps.map(({ label }) => label)).toEqual([
      'Tensile stress area (ASME B1.1)',
      'Stress from yield (ASTM A193/A320, B7)',
      'Preload',
      'Torque',
    ]);
    for (const step of steps) expect(step.formula.length * step.result.length).toBeGreaterThan(0);
  });
});

it('answers in words for a letter or a log', () => {
  const working = must(findWorking('bolting.sequence'));
  const lines = answerLines(working, must(working.run({ bolts: 4, passes: 'thirds', torque: '60 N·m' })));
  expect(lines[0]).toEqual({
    label: 'Passes',
    value:
      'percent 30, torque 18 N·m, order 1 3 2 4; percent 70, torque 42 N·m, order 1 3 2 4; percent 100, torque 60 N·m, order 1 3 2 4',
  });
});

it('fills in the day of use where a working asks for one, and only there', () => {
  const elastomer = must(findWorking('elastomer.compatibility'));
  expect(onDay(elastomer, { elastomer: 'NBR' }, '2026-03-01')).toEqual({
    elastomer: 'NBR',
    on: '2026-03-01',
  });
  expect(onDay(elastomer, { on: '2020-01-01' }, '2026-03-01')).toEqual({ on: '2020-01-01' });
  expect(onDay(must(findWorking('lathe.speed')), { a: 1 }, '2026-03-01')).toEqual({ a: 1 });
  expect(onDay(elastomer, 'text', '2026-03-01')).toBe('text');
});
