import { fleetJob, type FailureLine, type FleetJob, type fleetJobsQuery } from '@dusk-wren/contract';
import { jobId } from '@dusk-wren/core/job';
import { failureCode, livedSchema } from '@dusk-wren/core/life';
import { CONSTRUCTION_IDS, CONSTRUCTIONS } from '@dusk-wren/core/valve';
import { Op, type WhereOptions } from 'sequelize';
import type { z } from 'zod';
import { causeWords, type Since } from './fleet';
import { JobLifeRow, PartLifeRow } from './life-models';
import { ValveRow } from './models';
import { decodeCursor, pageOf } from './paging';

type Query = z.output<typeof fleetJobsQuery>;

const meant = ({ since, customer }: Since): WhereOptions<JobLifeRow> => ({
  signed: { [Op.gte]: since },
  ...(customer === undefined ? {} : { customer }),
});

/** The jobs behind a chart, the newest first. */
export async function fleetJobsOf(
  query: Query,
  since: Since,
): Promise<{ jobs: FleetJob[]; next: string | null }> {
  const after = query.cursor === undefined ? undefined : decodeCursor(query.cursor);
  const rows = await JobLifeRow.findAll({
    where: {
      [Op.and]: [
        meant(since),
        query.valve === undefined ? {} : { valveId: query.valve },
        query.cause === undefined ? {} : { cause: query.cause },
        query.found === undefined ? {} : { found: query.found },
        query.cameBack === undefined ? {} : { cameBack: true },
        await whereFailed(query),
        after
          ? {
              [Op.or]: [
                { signed: { [Op.lt]: after.key } },
                { signed: after.key, jobId: { [Op.gt]: after.id } },
              ],
            }
          : {},
      ],
    },
    order: [
      ['signed', 'DESC'],
      ['jobId', 'ASC'],
    ],
    limit: query.limit + 1,
  });
  const { page, next } = pageOf(rows, query.limit, ({ signed, jobId: id }) => [signed, id]);
  const tags = await tagsOf(page);
  const jobs = page.map((row) => {
    const lived = livedSchema.parse(JSON.parse(row.body));
    return fleetJob.parse({
      ...{ job: row.jobId, valve: row.valveId, tag: tags.get(row.valveId)?.tag ?? '' },
      ...{ customer: row.customer, signed: row.signed, minutes: row.minutes, found: row.found },
      why: lived.asFound?.why ?? '',
      cause: row.cause === null ? null : causeWords(row.cause),
      reported: lived.reported,
    });
  });
  return { jobs, next };
}

const MOST_FAILED = 500;

/** Jobs that found a part failed. */
async function whereFailed({ construction, part }: Query): Promise<WhereOptions<JobLifeRow>> {
  if (part === undefined) return {};
  const rows = await PartLifeRow.findAll({
    where: { part, fate: 'failed', ...(construction === undefined ? {} : { construction }) },
    attributes: ['valveId', 'endedOn'],
    order: [['endedOn', 'DESC']],
    limit: MOST_FAILED,
  });
  return {
    [Op.or]: rows.flatMap(({ valveId, endedOn }) => (endedOn === null ? [] : [{ valveId, signed: endedOn }])),
  };
}

async function tagsOf(rows: readonly JobLifeRow[]): Promise<ReadonlyMap<string, ValveRow>> {
  const valves = await ValveRow.findAll({
    where: { id: [...new Set(rows.map(({ valveId }) => valveId))] },
    attributes: ['id', 'tag', 'serial'],
  });
  return new Map(valves.map((row) => [row.id, row]));
}

const MOST_IN_A_FILE = 5000;

/** Failures of the time asked, in the code of ISO 14224, the newest first. */
export async function failuresOf(since: Since): Promise<FailureLine[]> {
  const rows = await JobLifeRow.findAll({
    where: meant(since),
    order: [
      ['signed', 'DESC'],
      ['jobId', 'ASC'],
    ],
    limit: MOST_IN_A_FILE,
  });
  const valves = await tagsOf(rows);
  return rows.flatMap((row): FailureLine[] => {
    const { asFound, placed, minutes } = livedSchema.parse(JSON.parse(row.body));
    const code = failureCode({
      cameBack: row.cameBack,
      ...(asFound ? { found: asFound.found } : {}),
      ...placed,
    });
    if (!code) return [];
    const known = CONSTRUCTION_IDS.find((id) => id === row.construction);
    return [
      {
        ...{ tag: valves.get(row.valveId)?.tag ?? '', serial: valves.get(row.valveId)?.serial ?? null },
        ...{ customer: row.customer, construction: known ? CONSTRUCTIONS[known].name : row.construction },
        ...{ signed: row.signed, job: jobId.parse(row.jobId), ...code },
        found: asFound?.why ?? '',
        hours: Math.round(minutes / 6) / 10,
      },
    ];
  });
}
