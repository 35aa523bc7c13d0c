import { spareView } from '@dusk-wren/contract/stock';
import { daysAfter, monthsAfter } from '@dusk-wren/core/quantity';
import { toKeep } from '@dusk-wren/core/stock';
import { CONSTRUCTION_IDS, CONSTRUCTIONS, partsOf, type ConstructionId } from '@dusk-wren/core/valve';
import { col, fn, Op } from 'sequelize';
import { z } from 'zod';
import { DrawnPartRow } from './life-models';
import { StockRow, ValveRow } from './models';
import { shopDay } from './shop-day';

/** Demand is counted over three years. */
const [MONTHS, YEARS] = [36, 3];
const ORDER = ['order', 'overstocked', 'enough', 'not wanted'] as const;

/** How many of each part to keep by what jobs took and how long an order takes, what to order first. */
export async function listSpares(now: string): Promise<z.output<typeof spareView>[]> {
  const today = await shopDay(now);
  const since = monthsAfter(today, -MONTHS);
  const [rows, drawn] = await Promise.all([
    StockRow.findAll({ order: [['number', 'ASC']] }),
    DrawnPartRow.findAll({
      where: { onDay: { [Op.gte]: since } },
      attributes: ['number', [fn('COUNT', col('job_id')), 'jobs'], [fn('SUM', col('count')), 'pieces']],
      group: ['number'],
      raw: true,
    }),
  ]);
  const taken = new Map(
    z
      .array(z.object({ number: z.string(), jobs: z.coerce.number(), pieces: z.coerce.number() }))
      .parse(drawn)
      .map(({ number, ...of }) => [number, of]),
  );
  // A store has few different lead times.
  const leads = [...new Set(rows.map(({ leadDays }) => leadDays))];
  const due = new Map(
    await Promise.all(leads.map(async (days) => [days, await dueUntil(daysAfter(today, days))] as const)),
  );
  return rows
    .map((row) => {
      const { jobs, pieces } = taken.get(row.number) ?? { jobs: 0, pieces: 0 };
      const { number, name, part, fits, onHand, leadDays, reorderAt } = row;
      const planned = isAlwaysNew(row)
        ? { planned: due.get(leadDays)?.get(fits.split(' ')[0] ?? '') ?? 0 }
        : {};
      const each = jobs === 0 ? 1 : pieces / jobs;
      const kept = toKeep({ jobs, years: YEARS, pieces: each, leadDays, onHand, ...planned });
      return spareView.parse({
        number,
        name,
        part,
        fits,
        onHand,
        leadDays,
        reorderAt,
        jobs,
        ...planned,
        ...kept,
      });
    })
    .sort((a, b) => ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict) || b.jobs - a.jobs);
}

/** How many valves of each kind fall due until a day. */
async function dueUntil(day: string): Promise<ReadonlyMap<string, number>> {
  const rows = await ValveRow.findAll({
    where: { dueOn: { [Op.lte]: day }, standing: { [Op.ne]: 'scrapped' } },
    attributes: ['construction', [fn('COUNT', col('id')), 'count']],
    group: ['construction'],
    raw: true,
  });
  return new Map(
    z
      .array(z.object({ construction: z.string(), count: z.coerce.number() }))
      .parse(rows)
      .map(({ construction, count }) => [construction, count]),
  );
}

/** New at every job of its type. */
function isAlwaysNew({ part, fits }: StockRow): boolean {
  const [id] = fits.split(' ');
  const construction: ConstructionId | undefined = CONSTRUCTION_IDS.find((each) => each === id);
  return (
    construction !== undefined &&
    partsOf(CONSTRUCTIONS[construction]).some(
      ({ role, policy }) => role === part && policy === 'renew always',
    )
  );
}
