import type { Want } from '@dusk-wren/contract/week';
import { sayDay } from '@dusk-wren/core/quantity';
import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { JobRow, PersonRow } from './models';
import { noted } from './noted-change';
import type { Moment } from './setup-changes';
import { PinRow, WantRow } from './week-models';

interface Pin {
  readonly job: string;
  readonly id: string;
  readonly start?: Date;
  readonly person?: string;
}

/** Puts an operation somewhere, in place of where it was put before. */
export const pinOperation = (moment: Moment, { job, id, start, person }: Pin): Promise<void> =>
  noted(moment, 'week', async (transaction) => {
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
  noted(moment, 'week', async (transaction) => {
    await PinRow.destroy({ where: { jobId: job, operation: id }, transaction });
    return `${await tagOf(job, transaction)}, ${id}: goes by the plan again`;
  });

/** How much a job matters, and whether its date moves. */
export const setWant = (moment: Moment, job: string, { hard, weight, notBefore }: Want): Promise<void> =>
  noted(moment, 'week', async (transaction) => {
    const tag = await tagOf(job, transaction);
    await WantRow.upsert({ jobId: job, hard, weight, notBefore }, { transaction });
    const begins = notBefore === null ? '' : `, not begun before ${sayDay(notBefore)}`;
    return `${tag}: ${hard ? 'its date does not move' : 'its date may move'}, counts ${weight === 1 ? 'once' : `${weight} times`}${begins}`;
  });

async function tagOf(job: string, transaction: Transaction): Promise<string> {
  const row = await JobRow.findByPk(job, { transaction });
  if (row?.state !== 'open') throw new Refusal({ code: 'not-found', what: 'open job' });
  return row.tag;
}
