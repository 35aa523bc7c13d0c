import { pinRequest, unpinRequest, wantRequest } from '@dusk-wren/contract/week';
import type { PlannedJobView } from '@dusk-wren/contract/planned';
import { jobId } from '@dusk-wren/core/job';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { pinOperation, setWant, unpinOperation } from '../database/week-wants';
import { onlyLead, personOf } from '../sign-in/person';
import { piecesOf, saidOf } from '../week/kept';
import type { WeekKeeper } from '../week/keeper';
import { read } from './read';

const NOT_PLANNED: PlannedJobView = { readyAt: null, lateMinutes: 0, next: null };

/** The plan of the shop's week: read by everybody, and what a lead wants of it. */
export function weekRoutes(sequelize: Sequelize, week: WeekKeeper, now: () => Date): Router {
  const router = Router();
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });

  router.get('/week', async (_request, response) => {
    response.json(await week.current());
  });

  router.get('/week/mine', async (request, response) => {
    response.json({ pieces: piecesOf(await week.current(), personOf(request).id) });
  });

  router.get('/week/jobs/:id', async (request, response) => {
    const id = read(jobId, request.params.id);
    await week.current();
    response.json((await saidOf(id)) ?? NOT_PLANNED);
  });

  router.post('/week/pins', onlyLead, async (request, response) => {
    const { job, id, start, person } = read(pinRequest, request.body);
    const pin = {
      ...{ job, id },
      ...(start === undefined ? {} : { start: new Date(start) }),
      ...(person === undefined ? {} : { person }),
    };
    await week.tryPin({ ...pin, by: personOf(request).name });
    await pinOperation(moment(request), pin);
    response.json(await week.current());
  });

  router.post('/week/pins/remove', onlyLead, async (request, response) => {
    const { job, id } = read(unpinRequest, request.body);
    await unpinOperation(moment(request), job, id);
    response.json(await week.current());
  });

  router.post('/week/jobs/:id/want', onlyLead, async (request, response) => {
    const id = read(jobId, request.params.id);
    await setWant(moment(request), id, read(wantRequest, request.body));
    response.json(await week.current());
  });
  return router;
}
