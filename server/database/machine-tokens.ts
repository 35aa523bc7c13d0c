import { MACHINE_SCOPES, type MachineScope, type MachineToken } from '@dusk-wren/contract';
import { createHash, randomBytes, randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { z } from 'zod';
import { Refusal } from '../refusal';
import { MachineTokenRow } from './machine-models';
import { noted } from './noted-change';
import type { Moment } from './setup-changes';

const scopesSchema = z.array(z.enum(MACHINE_SCOPES));
const hashOf = (secret: string): string => createHash('sha256').update(`machine ${secret}`).digest('hex');
const DAY = 24 * 60 * 60 * 1000;
/** When it was last used is kept to this. */
const USED_TO_THE = 60_000;

/** A machine that has shown its token. */
export interface Machine {
  readonly id: string;
  readonly name: string;
  readonly scopes: readonly MachineScope[];
}

function viewOf(row: MachineTokenRow, now: Date): MachineToken {
  return {
    ...{ id: row.id, name: row.name, scopes: scopesSchema.parse(JSON.parse(row.scopes)), by: row.madeBy },
    until: row.until.toISOString(),
    usedAt: row.usedAt?.toISOString() ?? null,
    standing: row.endedAt ? 'ended' : row.until <= now ? 'over' : 'good',
  };
}

/** The tokens there are, those that are good first. */
export async function listTokens(now: Date): Promise<MachineToken[]> {
  const rows = await MachineTokenRow.findAll({ order: [['until', 'DESC']] });
  return rows
    .map((row) => viewOf(row, now))
    .sort((a, b) => Number(b.standing === 'good') - Number(a.standing === 'good'));
}

interface Asked {
  readonly name: string;
  readonly scopes: readonly MachineScope[];
  readonly days: number;
}

/** A new one; what it is made of is told this once and not kept. */
export async function makeToken(
  moment: Moment,
  { name, scopes, days }: Asked,
): Promise<{ token: MachineToken; secret: string }> {
  const secret = `dw_${randomBytes(32).toString('base64url')}`;
  const id = randomUUID();
  await noted(moment, 'machines', async (transaction) => {
    const until = new Date(moment.now.getTime() + days * DAY);
    const row = { id, name, hash: hashOf(secret), scopes: JSON.stringify([...new Set(scopes)]), until };
    await MachineTokenRow.create({ ...row, madeBy: moment.by.name }, { transaction });
    return `a token for ${name}: ${scopes.join(', ')}; ${days} days`;
  });
  return { token: viewOf(await found(id), moment.now), secret };
}

/** It opens nothing from now on. */
export async function endToken(moment: Moment, id: string): Promise<void> {
  const { name } = await found(id);
  await noted(moment, 'machines', async (transaction) => {
    await MachineTokenRow.update({ endedAt: moment.now }, { where: { id, endedAt: null }, transaction });
    return `the token of ${name} ended`;
  });
}

async function found(id: string): Promise<MachineTokenRow> {
  const row = await MachineTokenRow.findByPk(id);
  if (!row) throw new Refusal({ code: 'not-found', what: 'token' });
  return row;
}

/** Whose a token is, while it is good. */
export async function machineWith(secret: string, now: Date): Promise<Machine | undefined> {
  const row = await MachineTokenRow.findOne({
    where: { hash: hashOf(secret), endedAt: null, until: { [Op.gt]: now } },
  });
  if (!row) return undefined;
  if (!row.usedAt || now.getTime() - row.usedAt.getTime() > USED_TO_THE) await row.update({ usedAt: now });
  return { id: row.id, name: row.name, scopes: scopesSchema.parse(JSON.parse(row.scopes)) };
}
