import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import { withoutStatement } from '../database/failures';
import { HALF_RESTORED, isHalfRestored } from '../database/half-restored';
import { lastBackup } from '../database/backups';
import { tablesBehind } from '../database/migrate';
import type { ClockWatch } from '../keeping/clock';

export function healthRoutes(sequelize: Sequelize, clock: ClockWatch): Router {
  const router = Router();
  router.get('/healthz', (_request, response) => {
    response.json({ process: 'up' });
  });
  router.get('/readyz', async (request, response) => {
    try {
      await sequelize.authenticate({ logging: false });
      if (await isHalfRestored(sequelize)) {
        response.status(503).json({ database: 'reachable', restore: HALF_RESTORED });
        return;
      }
      const { pending, unknown } = await tablesBehind(sequelize);
      const isReady = pending.length + unknown.length === 0;
      response.status(isReady ? 200 : 503).json({
        database: 'reachable',
        pendingMigrations: pending,
        migrationsOfANewerServer: unknown,
        ...(isReady ? { lastBackup: (await lastBackup())?.endedAt ?? null } : {}),
        ...(clock.jump ? { clockJump: clock.jump } : {}),
      });
    } catch (error) {
      request.log.warn(withoutStatement(error), 'database not reachable');
      response.status(503).json({ database: 'not reachable' });
    }
  });
  return router;
}
