import { createHash } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { PersonRow } from './models';

/** As it is kept: whoever reads the database, or a back-up of it, cannot make the badge again. */
export const badgeHash = (code: string): string =>
  createHash('sha256').update(`badge ${code.trim().toUpperCase()}`).digest('hex');

/** Whose badge it is, of those who work here. */
export async function whoseBadge(code: string): Promise<string | undefined> {
  const row = await PersonRow.findOne({ where: { badge: badgeHash(code), leftAt: null } });
  return row?.id;
}

/** A badge is of one person alone. */
export async function refuseTakenBadge(code: string, but: string, transaction: Transaction): Promise<void> {
  const row = await PersonRow.findOne({ where: { badge: badgeHash(code) }, transaction });
  if (row && row.id !== but) throw new Refusal({ code: 'badge.taken', name: row.name });
}
