import { SETUP_FILES, setupFilePreviewRequest, setupFileRequest } from '@dusk-wren/contract';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import { lastChange } from '../database/setup-changes';
import { setupFiles } from '../exchange/setup';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

/** What is set up, as files: out, looked at row by row, and in. */
export function setupFileRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();
  router.use('/setup/files', onlyLead);
  const files = setupFiles(sequelize, now);
  const kindOf = (request: Request) => read(z.enum(SETUP_FILES), request.params['kind']);

  router.get('/setup/files/:kind.csv', async (request, response) => {
    const kind = kindOf(request);
    response
      .type('text/csv; charset=utf-8')
      .attachment(`dusk-wren-${kind}.csv`)
      .send(await files[kind].write());
  });

  router.post('/setup/files/:kind/preview', async (request, response) => {
    const [kind, { csv }] = [kindOf(request), read(setupFilePreviewRequest, request.body)];
    const after = await lastChange();
    response.json({ ...(await files[kind].look(csv)), after });
  });

  router.post('/setup/files/:kind', async (request, response) => {
    const [kind, asked] = [kindOf(request), read(setupFileRequest, request.body)];
    const moment = { sequelize, by: personOf(request), now: now() };
    response.json(await files[kind].take(moment, asked));
  });
  return router;
}
