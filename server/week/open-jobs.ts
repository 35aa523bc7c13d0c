import { jobSummaryView } from '@dusk-wren/contract';
import type { weekJobView } from '@dusk-wren/contract/week';
import { jobId, type JobState } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { jobOperation, operationsOf, type JobOperation } from '@dusk-wren/core/schedule';
import { valveSchema } from '@dusk-wren/core/valve';
import { z } from 'zod';
import { JobRow, ValveRow } from '../database/models';
import { stateOf } from '../database/state-of';
import { JobOperationsRow, WantRow } from '../database/week-models';

/** More than any shop has on its benches; those due last are left out. */
const MOST_JOBS = 1000;

const kept = z.array(jobOperation);

/** An open job with what is left of it. */
export interface OpenJob {
  readonly view: Omit<z.output<typeof weekJobView>, 'kinds' | 'begun'>;
  readonly operations: readonly JobOperation[];
}

/** Every open job, soonest due first. What is left of each is worked out once a version of its log, and kept. */
export async function openJobs(): Promise<OpenJob[]> {
  const rows = await JobRow.findAll({
    where: { state: 'open' },
    order: [
      ['dueKey', 'ASC'],
      ['id', 'ASC'],
    ],
    limit: MOST_JOBS,
  });
  const [valves, wants, known] = await Promise.all([
    ValveRow.findAll({ where: { id: rows.map(({ valveId }) => valveId) } }),
    WantRow.findAll(),
    JobOperationsRow.findAll({ where: { jobId: rows.map(({ id }) => id) } }),
  ]);
  const valveOf = new Map(valves.map((row) => [row.id, valveSchema.parse(JSON.parse(row.body))]));
  const wantOf = new Map(wants.map((row) => [row.jobId, row]));
  const knownOf = new Map(known.map((row) => [row.jobId, row]));
  const jobs: OpenJob[] = [];
  for (const row of rows) {
    const valve = valveOf.get(row.valveId);
    if (!valve) continue;
    const { stage, travel } = jobSummaryView.parse(JSON.parse(row.summary));
    const want = wantOf.get(row.id);
    jobs.push({
      view: {
        id: jobId.parse(row.id),
        tag: row.tag,
        ...{ customer: valve.customer, location: valve.location, construction: valve.construction },
        ...{ stage, travel, due: row.due },
        hard: want?.hard ?? false,
        weight: want?.weight ?? 1,
        notBefore: want?.notBefore ?? null,
      },
      operations: await operationsNow(row, knownOf.get(row.id)),
    });
  }
  return jobs;
}

async function operationsNow(row: JobRow, known: JobOperationsRow | undefined): Promise<JobOperation[]> {
  if (known?.version === row.version) {
    const read = kept.safeParse(JSON.parse(known.body));
    // What an older server kept in another form is worked out again.
    if (read.success) return read.data;
  }
  const operations = leftOf(await stateOf(jobId.parse(row.id), row.version));
  const body = JSON.stringify(operations);
  await JobOperationsRow.upsert({ jobId: row.id, version: row.version, body });
  return operations;
}

function leftOf(state: JobState): JobOperation[] {
  const planned = must(plan(state));
  return planned ? operationsOf(planned, state) : [];
}
