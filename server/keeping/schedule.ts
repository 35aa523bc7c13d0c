import type { Logger } from 'pino';
import type { Sequelize } from 'sequelize';
import type { Config } from '../config';
import { lastBackup } from '../database/backups';
import { withoutStatement } from '../database/failures';
import { backUp } from './backup';

const LOOKS_EVERY = 10 * 60 * 1000;

/** Whether the last whole back-up is older than it may be. A last one after now says nothing: the clock was wrong then. */
export async function isBackupDue(hours: number, now: Date): Promise<boolean> {
  const last = await lastBackup();
  const ago = now.getTime() - Date.parse(last?.beganAt ?? '');
  return !(ago >= 0 && ago < hours * 60 * 60 * 1000);
}

/** Backs up whenever it is due, one server of the shop at a time; answers with how to stop. */
export function keepBackedUp(sequelize: Sequelize, config: Config, logger: Logger): () => void {
  const { BACKUP_DIR: folder } = config;
  if (folder === undefined) return () => undefined;
  const look = async () => {
    if (!(await isBackupDue(config.BACKUP_HOURS, new Date()))) return;
    const kept = await backUp(sequelize, { ...config, folder }, () => new Date());
    if (kept) logger.info({ file: kept.file, bytes: kept.bytes }, 'backed up');
  };
  const lookNow = () =>
    void look().catch((error: unknown) => logger.error(withoutStatement(error), 'not backed up'));
  const timer = setInterval(lookNow, LOOKS_EVERY).unref();
  lookNow();
  return () => clearInterval(timer);
}
