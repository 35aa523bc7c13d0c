import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import { withoutStatement } from '../database/failures';
import { tablesBehind } from '../database/migrate';

export function healthRoutes(sequelize: Sequelize): Router {
  const router = Router();
  router.get('/healthz', (_request, response) => {
    response.json({ process: 'up' });
  });
  router.get('/readyz', async (request, response) => {
    try {
      await sequelize.authenticate({ logging: false });
      const { pending, unknown } = await tablesBehind(sequelize);
      response
        .status(pending.length + unknown.length === 0 ? 200 : 503)
        .json({ database: 'reachable', pendingMigrations: pending, migrationsOfANewerServer: unknown });
    } catch (error) {
      request.log.warn(withoutStatement(error), 'database not reachable');
      response.status(503).json({ database: 'not reachable' });
    }
  });
  return router;
}
