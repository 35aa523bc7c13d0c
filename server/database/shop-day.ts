import { dayIn } from '@dusk-wren/core/quantity';
import type { Transaction } from 'sequelize';
import { SettingRow } from './setup-models';

/** The zone of the machine that the server runs on: a shop goes by it until a lead says otherwise. */
export const ZONE_HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;

/** By whose clocks the shop goes. */
export async function shopZone(transaction: Transaction | null = null): Promise<string> {
  const kept = await SettingRow.findByPk('zone', { transaction });
  return kept?.value ?? ZONE_HERE;
}

/** The day that an ISO moment falls on in the shop: what is due, or over, is so by its calendar. */
export async function shopDay(moment: string, transaction: Transaction | null = null): Promise<string> {
  return dayIn(moment, await shopZone(transaction));
}
