import { callView, HAPPENINGS, type CallView, type Happening, type HookView } from '@dusk-wren/contract';
import { randomBytes, randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { z } from 'zod';
import { Refusal } from '../refusal';
import { kindsOf } from './happenings';
import { CallRow, HappeningRow, HookRow } from './machine-models';
import { noted } from './noted-change';
import type { Moment } from './setup-changes';

const LISTED = 100;

/** The addresses that are told, and the last that was told or is to be. */
export async function listHooks(): Promise<{ hooks: HookView[]; calls: CallView[] }> {
  const [rows, calls] = await Promise.all([
    HookRow.findAll({ order: [['address', 'ASC']] }),
    CallRow.findAll({ order: [['seq', 'DESC']], limit: LISTED }),
  ]);
  const seqs = [...new Set(calls.map(({ seq }) => seq))];
  const happenings = await HappeningRow.findAll({ where: { seq: seqs } });
  const hooks = await Promise.all(rows.map(viewOf));
  return {
    hooks,
    calls: calls.flatMap((call) => {
      const what = happenings.find(({ seq }) => Number(seq) === Number(call.seq));
      const hook = rows.find(({ id }) => id === call.hookId);
      return what && hook ? [callOf(call, what, hook)] : [];
    }),
  };
}

const callOf = (call: CallRow, what: HappeningRow, { address }: HookRow): CallView => ({
  ...{ seq: Number(call.seq), address, tag: what.tag, at: what.at.toISOString(), tries: call.tries },
  kind: z.enum(HAPPENINGS).parse(what.kind),
  state: callView.shape.state.parse(call.state),
  nextAt: call.state === 'waiting' ? call.nextAt.toISOString() : null,
  said: call.said ?? null,
});

async function viewOf(row: HookRow): Promise<HookView> {
  const [waiting, last] = await Promise.all([
    CallRow.count({ where: { hookId: row.id, state: 'waiting' } }),
    CallRow.findOne({ where: { hookId: row.id, toldAt: { [Op.ne]: null } }, order: [['toldAt', 'DESC']] }),
  ]);
  return {
    ...{ id: row.id, address: row.address, kinds: kindsOf(row.kinds), by: row.madeBy, waiting },
    standing: row.isOn ? 'on' : 'off',
    lastTold: last?.toldAt?.toISOString() ?? null,
  };
}

const madeSecret = (): string => randomBytes(24).toString('base64');

/** Where what happens is told from now on. */
export async function addHook(
  moment: Moment,
  { address, kinds }: { readonly address: string; readonly kinds: readonly Happening[] },
): Promise<{ hook: HookView; secret: string }> {
  const [id, secret] = [randomUUID(), madeSecret()];
  await noted(moment, 'machines', async (transaction) => {
    const row = { id, address, secret, kinds: JSON.stringify([...new Set(kinds)]), madeBy: moment.by.name };
    await HookRow.create({ ...row, isOn: true }, { transaction });
    return `${new URL(address).host} is told of: ${kinds.join(', ')}`;
  });
  return { hook: await viewOf(await found(id)), secret };
}

/** Told again from now on, or told nothing any more; what it was not told yet waits, or is given up. */
export async function turnHook(moment: Moment, id: string, isOn: boolean): Promise<void> {
  const row = await found(id);
  await noted(moment, 'machines', async (transaction) => {
    await HookRow.update({ isOn }, { where: { id }, transaction });
    if (!isOn)
      await CallRow.update(
        { state: 'given up', said: 'turned off by a lead' },
        { where: { hookId: id, state: 'waiting' }, transaction },
      );
    return `${new URL(row.address).host} is told ${isOn ? 'again' : 'nothing any more'}`;
  });
}

/** Another secret, where the one before may be known to somebody: what is told from now on is signed with it. */
export async function newSecretFor(moment: Moment, id: string): Promise<{ hook: HookView; secret: string }> {
  const [row, secret] = [await found(id), madeSecret()];
  await noted(moment, 'machines', async (transaction) => {
    await HookRow.update({ secret }, { where: { id }, transaction });
    return `another secret for ${new URL(row.address).host}`;
  });
  return { hook: await viewOf(row), secret };
}

async function found(id: string): Promise<HookRow> {
  const row = await HookRow.findByPk(id);
  if (!row) throw new Refusal({ code: 'not-found', what: 'address' });
  return row;
}
