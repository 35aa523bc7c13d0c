import { dueFileQuery, dueQuery, openDueRequest, registerQuery, valveMoveRequest } from '@dusk-wren/contract';
import { valveId } from '@dusk-wren/core/job';
import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import { everyDue, listDue, openDue } from '../database/due-list';
import { moveValve } from '../database/valve-moves';
import { listRegister, pageOfValve } from '../database/valve-register';
import { dueCalendar, dueCsv } from '../exchange/due-files';
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
  router.get('/due', async (request, response) => {
    response.json(await listDue(read(dueQuery, request.query)));
  });
  router.get('/due.ics', async (request, response) => {
    const lines = await everyDue(read(dueFileQuery, request.query));
    response.type('text/calendar').attachment('valves-due.ics').send(dueCalendar(lines, now()));
  });
  router.get('/due.csv', async (request, response) => {
    const lines = await everyDue(read(dueFileQuery, request.query));
    response.type('text/csv').attachment('valves-due.csv').send(dueCsv(lines));
  });
  router.post('/due/open', async (request, response) => {
    const asked = read(openDueRequest, request.body);
    response.json(await openDue(sequelize, asked, personOf(request), now().toISOString()));
  });
  return router;
}
