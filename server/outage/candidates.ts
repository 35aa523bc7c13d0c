import { foundSchema, type PersonStamp } from '@dusk-wren/core/job';
import { daysBetween } from '@dusk-wren/core/quantity';
import type { Plan } from '@dusk-wren/core/plan';
import { byRisk, type Candidate, type JobOperation } from '@dusk-wren/core/schedule';
import { valveSchema, type Valve } from '@dusk-wren/core/valve';
import { Op } from 'sequelize';
import { JobLifeRow } from '../database/life-models';
import { JobRow, ValveRow } from '../database/models';
import { placeNext } from '../database/next-place';
import { carriedOf } from '../database/valve-lives';
import { nextDue, sizeOf } from '../database/valve-register';
import { jobToCome } from '../week/job-to-come';

/** A valve of an outage with what the register knows of it and what its next job would be. */
export interface OutageCandidate extends Candidate {
  readonly row: ValveRow;
  readonly valve: Valve;
  /** Those like it that lie ready. */
  readonly spares: readonly ValveRow[];
  /** The job that is open on it. */
  readonly open?: string;
  readonly plan: Plan;
  readonly operations: readonly JobOperation[];
}

/** Valves by their risk, the worst first; one that is scrapped by now is none. */
export async function candidatesOf(
  valves: readonly string[],
  opens: string,
  by: PersonStamp,
  now: Date,
): Promise<OutageCandidate[]> {
  const rows = await ValveRow.findAll({ where: { id: [...valves], standing: { [Op.ne]: 'scrapped' } } });
  const ids = rows.map(({ id }) => id);
  const [found, jobs, spares] = await Promise.all([
    lastFound(ids),
    JobRow.findAll({ where: { openValveId: ids }, attributes: ['id', 'openValveId'] }),
    sparesLike(rows),
  ]);
  const openOn = new Map(jobs.map(({ id, openValveId }) => [openValveId, id]));
  const ranked = byRisk(
    rows.map((row) => {
      const due = nextDue(row);
      const last = found.get(row.id);
      return {
        ...{ id: row.id, row, spare: spares.has(likenessOf(row)) },
        ...(last === undefined ? {} : { found: last }),
        ...(due === null ? {} : { dueInDays: daysBetween(opens, due.at) }),
      };
    }),
  );
  const candidates: OutageCandidate[] = [];
  for (const each of ranked) {
    const open = openOn.get(each.id);
    const valve = valveSchema.parse(JSON.parse(each.row.body));
    const carried = await carriedOf(each.id);
    const opening = { valve, place: await placeNext(each.row), ...(carried ? { carried } : {}) };
    candidates.push({
      ...each,
      valve,
      spares: spares.get(likenessOf(each.row)) ?? [],
      ...(open === undefined ? {} : { open }),
      ...(await jobToCome(opening, by, now)),
    });
  }
  return candidates;
}

/** How the last job of each found it. */
async function lastFound(valves: readonly string[]) {
  const rows = await JobLifeRow.findAll({
    where: { valveId: [...valves] },
    order: [['signed', 'ASC']],
    attributes: ['valveId', 'found'],
  });
  return new Map(
    rows.map(({ valveId, found }) => [valveId, foundSchema.nullable().parse(found) ?? undefined]),
  );
}

const likenessOf = (row: ValveRow): string => [row.customer, row.construction, sizeOf(row)].join('\n');

/** Spares that lie ready, no job open on them, by what they can stand in for. */
async function sparesLike(rows: readonly ValveRow[]): Promise<Map<string, ValveRow[]>> {
  const customers = [...new Set(rows.map(({ customer }) => customer))];
  const spares = await ValveRow.findAll({
    where: { customer: customers, standing: 'spare', id: { [Op.notIn]: rows.map(({ id }) => id) } },
    order: [['tag', 'ASC']],
  });
  const busy = new Set(
    (
      await JobRow.findAll({
        where: { openValveId: spares.map(({ id }) => id) },
        attributes: ['openValveId'],
      })
    ).map(({ openValveId }) => openValveId),
  );
  const like = new Map<string, ValveRow[]>();
  for (const spare of spares)
    if (!busy.has(spare.id)) like.set(likenessOf(spare), [...(like.get(likenessOf(spare)) ?? []), spare]);
  return like;
}
