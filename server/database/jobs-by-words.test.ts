import { typedWords, valveSchema, valveWords, type Valve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openShop, Screen, type Shop } from '../testing/shop';
import { jobsWithWords } from './jobs-by-words';
import { JobRow, ValveRow } from './models';
import { beside, SOONEST_FIRST } from './soonest-first';
import { keepWords } from './valve-words';

const PLACES = ['Boiler house', 'Evaporator', 'Juice heater'];
const VALVES = 45;
const BOUNDS = { few: 6, front: 10 };
let shop: Shop;
const called = new Map<string, Valve>();

/** Every third valve is of one place; every fifth is a spare, none of which was ever worked on but the last. */
beforeAll(async () => {
  shop = await openShop();
  const ada = await Screen.open(shop, 'ada');
  const job = (await JobRow.findByPk(await ada.openJob(shop), { rejectOnEmpty: true })).get();
  const valve = (await ValveRow.findByPk(job.valveId, { rejectOnEmpty: true })).get();
  const like = valveSchema.parse(JSON.parse(valve.body));
  await shop.sequelize.transaction(async (transaction) => {
    for (let i = 0; i < VALVES; i++) {
      const [id, spare] = [randomUUID(), i % 5 === 0];
      const is: Valve = {
        ...like,
        tag: `${spare ? 'SP' : 'HV'}-${2000 + i}`,
        location: PLACES[i % 3] ?? '',
      };
      await ValveRow.create({ ...valve, id, tag: is.tag, body: JSON.stringify(is) }, { transaction });
      await keepWords(id, is, 'in-line', transaction);
      called.set(id, is);
      if (spare && i < VALVES - 5) continue;
      for (const day of [10 + (i % 7), 28 - (i % 11)])
        await JobRow.create(
          {
            ...job,
            state: 'released',
            openValveId: null,
            id: randomUUID(),
            valveId: id,
            dueKey: `2026-05-${day}`,
          },
          { transaction },
        );
    }
  });
});
afterAll(() => shop.close());

/** As whoever reads down the whole list finds them. */
async function readThrough(text: string): Promise<string[]> {
  const typed = typedWords(text);
  const found = [...called].filter(([, valve]) => {
    const { shared, own } = valveWords(valve);
    return typed.every((word) => [...shared, ...own].some((has) => has.startsWith(word)));
  });
  const those = new Set(found.map(([id]) => id));
  const all = await JobRow.findAll({ order: SOONEST_FIRST });
  return all.filter(({ valveId }) => those.has(valveId)).map(({ id }) => id);
}

describe('jobs found by the words of their valve', () => {
  it.each([
    ['few valves, looked up', 'HV-2001', 2],
    ['few valves by two words', 'hv2 heat 2002', 2],
    ['many, of which the nearest jobs fill a page', 'boil', 24],
    ['many by two words', 'hv house', 24],
    ['many, of which hardly any was worked on', 'SP', 2],
    ['many of two words, of which hardly any was worked on', 'sp 20', 2],
    ['none', 'no such valve', 0],
  ])('%s: a page and the next are what the whole list has', async (_, text, many) => {
    const all = await readThrough(text);
    const pages: string[][] = [];
    let last: JobRow | undefined;
    do {
      const where = last ? beside('after', last) : {};
      const page = await jobsWithWords(shop.sequelize, text, where, 5, BOUNDS);
      pages.push(page.map(({ id }) => id));
      last = page.at(-1);
    } while (pages.at(-1)?.length === 5);
    expect(pages.flat()).toEqual(all);
    expect(all).toHaveLength(many);
  });
});
