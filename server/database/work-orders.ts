import {
  ORDER_STATES,
  workOrderRequest,
  type WaitingOrder,
  type WorkOrderAsked,
  type WorkOrderView,
} from '@dusk-wren/contract';
import { jobId as jobIdSchema, valveId, type JobId } from '@dusk-wren/core/job';
import { plateKey } from '@dusk-wren/core/valve';
import { Op, type Sequelize, type Transaction } from 'sequelize';
import { z } from 'zod';
import { Refusal } from '../refusal';
import { happened } from './happenings';
import { WorkOrderRow } from './machine-models';
import type { Machine } from './machine-tokens';
import { ValveRow } from './models';
import { transacted } from './transacted';

/** More than wait on any shop’s floor. */
const MOST_LISTED = 200;

const viewOf = (row: WorkOrderRow): WorkOrderView => ({
  ...{ number: row.number, from: row.handedInBy, at: row.at.toISOString(), why: row.why ?? null },
  asked: workOrderRequest.parse(JSON.parse(row.asked)),
  state: z.enum(ORDER_STATES).parse(row.state),
  job: typeof row.jobId === 'string' ? jobIdSchema.parse(row.jobId) : null,
});

const settled = ({ number, state }: WorkOrderRow) => new Refusal({ code: 'order.settled', number, state });

/** Hands an order in under its number, or changes one that waits; one that says the same again is the same one. */
export function handIn(
  sequelize: Sequelize,
  machine: Machine,
  number: string,
  asked: WorkOrderAsked,
  now: Date,
): Promise<WorkOrderView> {
  return transacted(sequelize, async (transaction) => {
    const known = await WorkOrderRow.findByPk(number, { transaction, lock: transaction.LOCK.UPDATE });
    const text = JSON.stringify(asked);
    if (!known) {
      const row = { number, tokenId: machine.id, handedInBy: machine.name, asked: text, at: now };
      return viewOf(await WorkOrderRow.create({ ...row, state: 'waiting' }, { transaction }));
    }
    if (known.tokenId !== machine.id) throw new Refusal({ code: 'command.other-answer' });
    if (known.asked === text && known.state !== 'withdrawn') return viewOf(known);
    if (known.state !== 'waiting' && known.state !== 'withdrawn') throw settled(known);
    return viewOf(await known.update({ asked: text, state: 'waiting' }, { transaction }));
  });
}

/** An order of this machine. */
export async function orderOf(machine: Machine, number: string): Promise<WorkOrderView> {
  return viewOf(await found(number, machine));
}

/** Nobody waits for it any more. */
export function withdraw(sequelize: Sequelize, machine: Machine, number: string): Promise<WorkOrderView> {
  return transacted(sequelize, async (transaction) => {
    const row = await found(number, machine, transaction);
    if (row.state === 'withdrawn') return viewOf(row);
    if (row.state !== 'waiting') throw settled(row);
    return viewOf(await row.update({ state: 'withdrawn' }, { transaction }));
  });
}

/** Refused by somebody of the shop, with why. */
export function refuseOrder(
  sequelize: Sequelize,
  number: string,
  why: string,
  now: Date,
): Promise<WorkOrderView> {
  return transacted(sequelize, async (transaction) => {
    const row = await found(number, undefined, transaction);
    if (row.state === 'refused') return viewOf(row);
    if (row.state !== 'waiting') throw settled(row);
    const { asked } = viewOf(row);
    await happened(
      { kind: 'order refused', at: now, jobId: null, tag: asked.tag, order: number },
      transaction,
    );
    return viewOf(await row.update({ state: 'refused', why }, { transaction }));
  });
}

/** Its job is opened: in the transaction that opens it. */
export async function takeOrder(
  number: string,
  jobId: JobId,
  now: Date,
  transaction: Transaction,
): Promise<void> {
  const row = await found(number, undefined, transaction);
  if (row.state !== 'waiting') throw settled(row);
  const { asked } = viewOf(row);
  await row.update({ state: 'taken', jobId }, { transaction });
  await happened({ kind: 'order taken', at: now, jobId, tag: asked.tag, order: number }, transaction);
}

async function found(number: string, machine?: Machine, transaction?: Transaction): Promise<WorkOrderRow> {
  const row = await WorkOrderRow.findByPk(
    number,
    transaction ? { transaction, lock: transaction.LOCK.UPDATE } : {},
  );
  if (!row || (machine && row.tokenId !== machine.id))
    throw new Refusal({ code: 'not-found', what: 'order' });
  return row;
}

/** Orders that wait, those due first, each with the valves that it may mean. */
export async function waitingOrders(): Promise<WaitingOrder[]> {
  const rows = await WorkOrderRow.findAll({
    where: { state: 'waiting' },
    order: [['at', 'ASC']],
    limit: MOST_LISTED,
  });
  const orders = rows.map(viewOf);
  const keys = [...new Set(orders.map(({ asked }) => plateKey(asked.tag)))];
  const valves = await ValveRow.findAll({
    where: { tagKey: keys, standing: { [Op.ne]: 'scrapped' } },
    attributes: ['id', 'tag', 'tagKey', 'customer', 'body'],
  });
  const LAST = '9999';
  return orders
    .map((order) => ({
      ...order,
      valves: valves
        .filter(({ tagKey, customer }) => {
          const its = order.asked.customer;
          return tagKey === plateKey(order.asked.tag) && (its === undefined || its === customer);
        })
        .map(({ id, tag, customer, body }) => ({
          ...{ id: valveId.parse(id), tag, customer },
          location: z.object({ location: z.string() }).parse(JSON.parse(body)).location,
        })),
    }))
    .sort((a, b) => (a.asked.due ?? LAST).localeCompare(b.asked.due ?? LAST));
}
