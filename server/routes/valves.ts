import { registerQuery, valveMoveRequest } from '@dusk-wren/contract';
import { valveId } from '@dusk-wren/core/job';
import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import { moveValve } from '../database/valve-moves';
import { listRegister, pageOfValve } from '../database/valve-register';
import { personOf } from '../sign-in/person';
import { read } from './read';

/** The register: every valve that the shop ever touched, and what became of it. */
export function valveRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();

  router.get('/register', async (request, response) => {
    response.json(await listRegister(sequelize, read(registerQuery, request.query)));
  });

  router.get('/register/:id', async (request, response) => {
    response.json(await pageOfValve(read(valveId, request.params.id)));
  });

  router.post('/register/:id/move', async (request, response) => {
    const id = read(valveId, request.params.id);
    const asked = read(valveMoveRequest, request.body);
    await moveValve({ sequelize, by: personOf(request), now: now() }, id, asked);
    response.json(await pageOfValve(id));
  });
  return router;
}
