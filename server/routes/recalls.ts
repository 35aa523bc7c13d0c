import { closeRecallRequest } from '@dusk-wren/contract';
import { instrumentId, jobId } from '@dusk-wren/core/job';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import { closeRecall, listRecalls, recallTraced, trace } from '../database/recalls';
import type { Printer } from '../documents/printer';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

const recallId = z.coerce.number().int().positive();

/** What an instrument that was found off has touched, and the jobs that are called back for it. */
export function recallRoutes(sequelize: Sequelize, printer: Printer, now: () => Date): Router {
  const router = Router();
  router.use(['/setup/recalls', '/setup/instruments/:id/trace', '/setup/instruments/:id/recalls'], onlyLead);
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });

  router.get('/setup/instruments/:id/trace', async (request, response) => {
    const { calibrationId: _calibration, ...found } = await trace(
      printer,
      read(instrumentId, request.params.id),
    );
    response.json(found);
  });

  router.post('/setup/instruments/:id/recalls', async (request, response) => {
    const id = read(instrumentId, request.params.id);
    response.status(201).json(await recallTraced(moment(request), printer, id));
  });

  router.get('/setup/recalls', async (_request, response) => {
    response.json({ recalls: await listRecalls() });
  });

  router.post('/setup/recalls/:id/close', async (request, response) => {
    const { why } = read(closeRecallRequest, request.body);
    await closeRecall(moment(request), read(recallId, request.params.id), why);
    response.json({ recalls: await listRecalls() });
  });

  router.get('/jobs/:id/recalls', async (request, response) => {
    response.json({ recalls: await listRecalls({ jobId: read(jobId, request.params.id) }) });
  });
  return router;
}
