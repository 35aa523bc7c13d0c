import { randomFrom } from '../schedule/engine/random';
import { weekFile, type Week } from '../schedule';

const DAY = 1440;
const HOUR = 60;

/** Weekdays from eight to noon and from half past twelve to half past four; now is a Monday at eight. */
function weekdays(weeks: number, overtime = 0): [number, number][] {
  return Array.from({ length: weeks * 5 }, (_, day): [number, number][] => {
    const begin = (Math.floor(day / 5) * 7 + (day % 5)) * DAY;
    return [
      [begin, begin + 4 * HOUR],
      [begin + 4.5 * HOUR, begin + 8.5 * HOUR + overtime],
    ];
  }).flat();
}

/**
 * A shop with so many valves in it, eight operations each, as a shop's week goes (handbook part 7, section 2): washed,
 * stripped, looked at, turned or lapped, rebuilt, seen by an inspector, tested. The same for the same seed.
 */
export function shopWeek(jobs: number, seed = 1): Week {
  const random = randomFrom(seed);
  const between = (from: number, to: number) => 5 * Math.round((from + (to - from) * random()) / 5);
  const often = (chance: number) => random() < chance;
  const hours = weekdays(Math.ceil(jobs / 6) + 4);
  const person = (id: string, ...skills: string[]) => ({ id, skills: ['bench', ...skills], open: hours });
  return weekFile.parse({
    places: [
      { id: 'wash', count: 1 },
      { id: 'bench', count: 4 },
      { id: 'lathe', count: 1 },
      { id: 'lapping', count: 1 },
      { id: 'test rig', count: 1 },
      { id: 'pop rig', count: 1 },
    ],
    people: [
      person('Avis', 'lathe'),
      person('Brook', 'lathe', 'relief'),
      person('Corin', 'relief'),
      person('Dara'),
      person('Ellis'),
      person('Fenn'),
      { id: 'Gale', skills: ['inspector'], open: hours },
    ],
    jobs: Array.from({ length: jobs }, (_, index) => {
      const relief = often(0.3);
      const turned = often(0.4);
      return {
        id: `V${index + 1}`,
        due: DAY * between(4, 6 + jobs / 3.5),
        hard: often(0.15),
        weight: often(0.2) ? 3 : 1,
        operations: [
          { id: 'receive', minutes: between(10, 20), skill: 'bench' },
          { id: 'wash', minutes: between(15, 40), place: 'wash', skill: 'bench' },
          { id: 'strip', minutes: between(40, 120), place: 'bench', skill: 'bench' },
          { id: 'inspect', minutes: between(20, 60), place: 'bench', skill: 'bench' },
          turned
            ? { id: 'turn', minutes: between(60, 180), place: 'lathe', skill: 'lathe' }
            : { id: 'lap', minutes: between(30, 120), place: 'lapping', skill: 'bench' },
          {
            id: 'rebuild',
            minutes: between(60, 150),
            place: 'bench',
            skill: 'bench',
            wait: often(0.3) ? DAY : 0,
          },
          { id: 'hold', minutes: between(5, 15), skill: 'inspector' },
          {
            id: 'test',
            minutes: between(30, 90),
            place: relief ? 'pop rig' : 'test rig',
            skill: relief ? 'relief' : 'bench',
          },
        ],
      };
    }),
  });
}
