import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import { pendingMigrations } from '../store/migrate';

export function healthRoutes(sequelize: Sequelize): Router {
  const router = Router();
  router.get('/healthz', (_request, response) => {
    response.json({ process: 'up' });
  });
  router.get('/readyz', async (request, response) => {
    try {
      await sequelize.authenticate({ logging: false });
      const pending = await pendingMigrations(sequelize);
      response
        .status(pending.length === 0 ? 200 : 503)
        .json({ database: 'reachable', pendingMigrations: pending });
    } catch (error) {
      request.log.warn({ err: error }, 'database not reachable');
      response.status(503).json({ database: 'not reachable' });
    }
  });
  return router;
}
