import { createHash } from 'node:crypto';
import { Op } from 'sequelize';
import { DeviceRow } from './models';

const FORGOTTEN_AFTER = 400 * 24 * 60 * 60 * 1000;

const hashOf = (device: string): string => createHash('sha256').update(device).digest('hex');

/** Whether this person has signed in on this device before. */
export async function isKnownDevice(device: string | undefined, personId: string): Promise<boolean> {
  if (device === undefined) return false;
  return (await DeviceRow.count({ where: { device: hashOf(device), personId } })) > 0;
}

export async function rememberDevice(device: string, personId: string, now: Date): Promise<void> {
  await DeviceRow.upsert({ device: hashOf(device), personId, seenAt: now });
}

/** Another PIN, or nobody here any more: devices have to be made known again. */
export async function forgetDevicesOf(personId: string): Promise<void> {
  await DeviceRow.destroy({ where: { personId } });
}

export async function pruneDevices(now: Date): Promise<void> {
  await DeviceRow.destroy({ where: { seenAt: { [Op.lt]: new Date(now.getTime() - FORGOTTEN_AFTER) } } });
}
