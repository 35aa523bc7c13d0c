import fc from 'fast-check';
import { weekFile, type Week } from '../schedule';

const SKILLS = ['lathe', 'relief', 'field'] as const;
const DAY = 1440;

/** Shifts from 8 to 16 hours of each day, some days left out. */
const shifts = fc
  .array(
    fc.record({
      works: fc.boolean(),
      from: fc.integer({ min: 300, max: 540 }),
      minutes: fc.integer({ min: 200, max: 540 }),
    }),
    {
      minLength: 20,
      maxLength: 20,
    },
  )
  .map((days) =>
    days.flatMap(({ works, from, minutes }, day): [number, number][] =>
      works || day % 3 === 0 ? [[day * DAY + from, day * DAY + from + minutes]] : [],
    ),
  );

const operation = (places: readonly string[], skills: readonly string[]) =>
  fc.record(
    {
      minutes: fc.integer({ min: 0, max: 300 }),
      place: fc.constantFrom(...places),
      skill: fc.constantFrom(...skills),
      wait: fc.constantFrom(0, 0, 30, 240),
      first: fc.boolean(),
    },
    { requiredKeys: ['minutes', 'wait', 'first'] },
  );

/** Any small shop with shifts: everything that it asks for can be done by somebody some day. */
export const anyWeek: fc.Arbitrary<Week> = fc
  .record({
    counts: fc.array(fc.integer({ min: 1, max: 2 }), { minLength: 1, maxLength: 3 }),
    placeShifts: fc.array(fc.option(shifts), { minLength: 3, maxLength: 3 }),
    skills: fc.array(fc.subarray([...SKILLS], { minLength: 1 }), { minLength: 1, maxLength: 3 }),
    personShifts: fc.array(fc.option(shifts), { minLength: 3, maxLength: 3 }),
  })
  .chain(({ counts, placeShifts, skills, personShifts }) => {
    const places = counts.map((count, i) => ({
      id: `P${i}`,
      count,
      ...(placeShifts[i] ? { open: placeShifts[i] } : {}),
    }));
    const people = skills.map((own, i) => ({
      id: `W${i}`,
      skills: own,
      ...(personShifts[i] ? { open: personShifts[i] } : {}),
    }));
    const one = operation(
      places.map(({ id }) => id),
      [...new Set(skills.flat())],
    );
    return fc
      .array(
        fc.record({
          release: fc.constantFrom(0, 0, 500),
          due: fc.option(fc.integer({ min: 200, max: 6000 })),
          hard: fc.boolean(),
          weight: fc.integer({ min: 1, max: 3 }),
          operations: fc.array(one, { minLength: 1, maxLength: 4 }),
        }),
        { minLength: 1, maxLength: 5 },
      )
      .map((jobs) =>
        weekFile.parse({
          places,
          people,
          jobs: jobs.map(({ due, operations, ...job }, j) => ({
            ...job,
            id: `J${j}`,
            ...(due === null ? {} : { due }),
            operations: operations.map(({ first, ...rest }, i) => ({
              ...rest,
              id: `${i}`,
              ...(first ? { after: [] } : {}),
            })),
          })),
        }),
      );
  });
