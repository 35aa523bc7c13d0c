import { valveOf, type JobId, type JobState } from '@dusk-wren/core/job';
import { plan } from '@dusk-wren/core/plan';
import {
  LEARNED_FROM,
  OPERATION_KINDS,
  operationsOf,
  ratiosOf,
  type OperationKind,
  type Ratio,
} from '@dusk-wren/core/schedule';
import type { ConstructionId } from '@dusk-wren/core/valve';
import type { Transaction } from 'sequelize';
import { z } from 'zod';
import type { Change } from './change';
import { WorkTimesRow } from './week-models';

const ratios = z.array(z.object({ kind: z.enum(OPERATION_KINDS), ratio: z.number().positive() }));

/** A job that is signed teaches how long each kind of work takes on such a valve. */
export async function followTimes({ jobId, after, entries, transaction }: Change): Promise<void> {
  if (entries.some(({ kind }) => kind === 'certificate-signed')) await timesKept(jobId, after, transaction);
}

/** Keeps what a signed job says of it; an open one says nothing yet. */
export async function timesKept(job: JobId, state: JobState, transaction: Transaction | null): Promise<void> {
  const signed = state.records['certificate-signed'].at(-1);
  const construction = valveOf(state)?.construction;
  if (!signed || !construction) return;
  const body = JSON.stringify(timesIn(state));
  await WorkTimesRow.upsert({ jobId: job, construction, signed: new Date(signed.at), body }, { transaction });
}

function timesIn(state: JobState): readonly Ratio[] {
  const planned = plan(state);
  return planned.ok && planned.value ? ratiosOf(planned.value, operationsOf(planned.value, state)) : [];
}

/** Not every job has all kinds of work: so many are read for each to have its twenty. */
const MOST_JOBS = 3 * LEARNED_FROM;

/** Done over planned of each kind of work on valves of a construction, as it came out lately, the newest last. */
export async function timesLately(
  construction: ConstructionId,
): Promise<Partial<Record<OperationKind, number[]>>> {
  const rows = await WorkTimesRow.findAll({
    where: { construction },
    order: [
      ['signed', 'DESC'],
      ['jobId', 'DESC'],
    ],
    limit: MOST_JOBS,
  });
  const lately: Partial<Record<OperationKind, number[]>> = {};
  for (const { body } of rows)
    for (const { kind, ratio } of ratios.parse(JSON.parse(body))) {
      const own = (lately[kind] ??= []);
      if (own.length < LEARNED_FROM) own.unshift(ratio);
    }
  return lately;
}
