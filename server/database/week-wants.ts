import { sayDay } from '@dusk-wren/core/quantity';
import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { JobRow, PersonRow } from './models';
import { noteChange, type Moment } from './setup-changes';
import { oneAtATime } from './setup-names';
import { PinRow, WantRow } from './week-models';

interface Pin {
  readonly job: string;
  readonly id: string;
  readonly start?: Date;
  readonly person?: string;
}

/** Puts an operation somewhere, in place of where it was put before. */
export const pinOperation = (moment: Moment, { job, id, start, person }: Pin): Promise<void> =>
  noted(moment, async (transaction) => {
    const tag = await tagOf(job, transaction);
    const to = person === undefined ? undefined : await PersonRow.findByPk(person, { transaction });
    await PinRow.upsert(
      {
        ...{ jobId: job, operation: id, start: start ?? null, personId: person ?? null },
        ...{ pinnedBy: moment.by.name, at: moment.now },
      },
      { transaction },
    );
    const day = start === undefined ? [] : [`on ${sayDay(start.toISOString())}`];
    return `${tag}, ${id}: put ${[...day, ...(to ? [`to ${to.name}`] : [])].join(', ')}`;
  });

export const unpinOperation = (moment: Moment, job: string, id: string): Promise<void> =>
  noted(moment, async (transaction) => {
    await PinRow.destroy({ where: { jobId: job, operation: id }, transaction });
    return `${await tagOf(job, transaction)}, ${id}: goes by the plan again`;
  });

/** How much a job matters, and whether its date moves. */
export const setWant = (
  moment: Moment,
  job: string,
  { hard, weight }: { readonly hard: boolean; readonly weight: number },
): Promise<void> =>
  noted(moment, async (transaction) => {
    const tag = await tagOf(job, transaction);
    await WantRow.upsert({ jobId: job, hard, weight }, { transaction });
    return `${tag}: ${hard ? 'its date does not move' : 'its date may move'}, counts ${weight === 1 ? 'once' : `${weight} times`}`;
  });

async function noted(
  { sequelize, by, now }: Moment,
  work: (transaction: Transaction) => Promise<string>,
): Promise<void> {
  await oneAtATime(sequelize, async (transaction) => {
    const what = (await work(transaction)).slice(0, 200);
    await noteChange({ by, at: now, subject: 'week', what }, transaction);
  });
}

async function tagOf(job: string, transaction: Transaction): Promise<string> {
  const row = await JobRow.findByPk(job, { transaction });
  if (row?.state !== 'open') throw new Refusal({ code: 'not-found', what: 'open job' });
  return row.tag;
}
