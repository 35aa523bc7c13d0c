import { fleetView, type Fleet, type fleetQuery } from '@dusk-wren/contract';
import { CAUSE_IDS, CAUSES } from '@dusk-wren/core/diagnosis';
import { monthsAfter } from '@dusk-wren/core/quantity';
import { CONSTRUCTION_IDS, PART_ROLES } from '@dusk-wren/core/valve';
import { QueryTypes, type Sequelize } from 'sequelize';
import { z } from 'zod';
import { ValveRow } from './models';
import { shopDay } from './shop-day';

type Query = z.output<typeof fleetQuery>;

/** What is asked of the lives: since a day, of one customer or of all. */
export interface Since {
  readonly since: string;
  readonly customer?: string;
}

export async function sinceOf(
  { months, customer }: Pick<Query, 'months' | 'customer'>,
  now: string,
): Promise<Since> {
  const since = monthsAfter(await shopDay(now), -months);
  return { since, ...(customer === undefined ? {} : { customer }) };
}

/** The rows of lives that are meant, as SQL says it. */
const MEANT = (customer: string | undefined) =>
  `signed >= :since${customer === undefined ? '' : ' AND customer = :customer'}`;
const count = z.coerce.number();
const MOST = 12;

/** Worst valves, causes, how they were found, what came back, and parts by life, from the summaries of signed jobs. */
export async function fleetOf(sequelize: Sequelize, query: Query, now: string): Promise<Fleet> {
  const asked = await sinceOf(query, now);
  const values = { ...asked, rate: query.rate, most: MOST };
  const where = MEANT(asked.customer);
  const select = async <S extends z.ZodType>(row: S, sql: string): Promise<z.output<S>[]> =>
    z.array(row).parse(await sequelize.query(sql, { replacements: values, type: QueryTypes.SELECT }));
  const [worst, told, parts] = await Promise.all([
    select(
      z.object({ valve_id: z.string(), jobs: count, minutes: count, cost: count, valves: count }),
      `SELECT valve_id, COUNT(*) AS jobs, SUM(minutes) AS minutes, SUM(minutes) / 60 * :rate + SUM(parts) AS cost,
        COUNT(*) OVER () AS valves
       FROM job_lives WHERE ${where} GROUP BY valve_id ORDER BY cost DESC, minutes DESC LIMIT :most`,
    ),
    select(
      z.object({ cause: z.string().nullable(), found: z.string().nullable(), jobs: count, back: count }),
      `SELECT cause, found, COUNT(*) AS jobs, SUM(came_back) AS back
       FROM job_lives WHERE ${where} GROUP BY cause, found`,
    ),
    partsLived(sequelize),
  ]);
  const ids = worst.map(({ valve_id }) => valve_id);
  const [rows, commonest] = await Promise.all([
    ValveRow.findAll({ where: { id: ids }, attributes: ['id', 'tag', 'customer'] }),
    commonestCauses(sequelize, ids, asked),
  ]);
  const byId = new Map(rows.map((row) => [row.id, row]));
  return fleetView.parse({
    jobs: told.reduce((sum, { jobs }) => sum + jobs, 0),
    valves: worst[0]?.valves ?? 0,
    worst: worst.flatMap(({ valve_id, jobs, minutes, cost }) => {
      const row = byId.get(valve_id);
      if (!row) return [];
      const cause = commonest.get(valve_id) ?? null;
      return [{ valve: valve_id, tag: row.tag, customer: row.customer, jobs, minutes, cost, cause }];
    }),
    causes: tally(told, ({ cause }) => cause).slice(0, MOST),
    found: tally(told, ({ found }) => found),
    cameBack: told.reduce((sum, { back }) => sum + back, 0),
    parts,
  });
}

/** How many jobs each word has, the most first; what has none is not counted. */
function tally<T extends { readonly jobs: number }>(
  rows: readonly T[],
  wordOf: (row: T) => string | null,
): { what: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const row of rows) {
    const what = wordOf(row);
    if (what !== null) counts.set(what, (counts.get(what) ?? 0) + row.jobs);
  }
  return [...counts].map(([what, jobs]) => ({ what, count: jobs })).toSorted((a, b) => b.count - a.count);
}

/** What placed faults on each of these valves most often. */
async function commonestCauses(
  sequelize: Sequelize,
  valves: readonly string[],
  { since }: Since,
): Promise<ReadonlyMap<string, string>> {
  if (valves.length === 0) return new Map();
  const rows = z.array(z.object({ valve_id: z.string(), cause: z.string() })).parse(
    await sequelize.query(
      `SELECT valve_id, cause, COUNT(*) AS count FROM job_lives
       WHERE valve_id IN (:valves) AND signed >= :since AND cause IS NOT NULL
       GROUP BY valve_id, cause ORDER BY count ASC`,
      { replacements: { valves, since }, type: QueryTypes.SELECT },
    ),
  );
  // The last of a valve is its commonest.
  return new Map(rows.map(({ valve_id, cause }) => [valve_id, causeWords(cause)]));
}

/** A cause in the words of the fault finder. */
export function causeWords(cause: string): string {
  const known = CAUSE_IDS.find((each) => each === cause);
  return known ? CAUSES[known].name : cause;
}

const MOST_PARTS = 40;
/** Parts that have failed, the most often first. */
async function partsLived(sequelize: Sequelize) {
  return z
    .array(
      z.object({
        construction: z.enum(CONSTRUCTION_IDS),
        part: z.enum(PART_ROLES),
        failed: count,
        others: count,
        unknown: count,
      }),
    )
    .parse(
      await sequelize.query(
        `SELECT construction, part, SUM(fate = 'failed') AS failed, SUM(fate <> 'failed') AS others,
          SUM(after_unknown) AS unknown
         FROM part_lives GROUP BY construction, part HAVING failed + unknown > 0
         ORDER BY failed DESC, unknown DESC LIMIT :most`,
        { replacements: { most: MOST_PARTS }, type: QueryTypes.SELECT },
      ),
    );
}
