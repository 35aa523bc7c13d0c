import type { SetupBackups } from '@dusk-wren/contract';
import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import type { Config } from '../config';
import { lastBackup, listBackups } from '../database/backups';
import { backUp } from '../keeping/backup';
import type { ClockWatch } from '../keeping/clock';
import { KeepingFault } from '../keeping/fault';
import { isBackupDue } from '../keeping/schedule';
import { Refusal } from '../refusal';
import { onlyLead } from '../sign-in/person';

/** How the shop is kept: its back-ups, and one more. */
export function keepingRoutes(
  sequelize: Sequelize,
  config: Config,
  clock: ClockWatch,
  now: () => Date,
): Router {
  const router = Router();
  const { BACKUP_DIR: folder } = config;
  const view = async (): Promise<SetupBackups> => ({
    folder: folder ?? null,
    everyHours: config.BACKUP_HOURS,
    keep: config.BACKUP_KEEP,
    isSealed: config.BACKUP_PASSPHRASE !== undefined,
    lastGood: (await lastBackup()) ?? null,
    isOverdue: await isBackupDue(2 * config.BACKUP_HOURS, now()),
    backups: await listBackups(),
    clockJump: clock.jump ?? null,
  });

  router.get('/setup/backups', onlyLead, async (_request, response) => {
    response.json(await view());
  });

  router.post('/setup/backups', onlyLead, async (_request, response) => {
    if (folder === undefined)
      throw new Refusal({ code: 'not-found', what: 'folder for back-ups on this server (BACKUP_DIR)' });
    const kept = await backUp(sequelize, { ...config, folder }, now).catch((error: unknown) => {
      if (error instanceof KeepingFault) throw new Refusal({ code: 'backup.failed', why: error.message });
      throw error;
    });
    if (!kept) throw new Refusal({ code: 'backup.failed', why: 'another one is being taken' });
    response.status(201).json(await view());
  });
  return router;
}
