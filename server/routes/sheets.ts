import { sheetEffectsRequest, sheetRequest, sheetWithdrawn } from '@dusk-wren/contract';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { effectsOfSheet, fileSheet, listSheets, withdrawSheet } from '../database/setup-sheets';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

/** The makers' sheets that the shop goes by. */
export function sheetRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();
  router.use('/setup/sheets', onlyLead);
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });

  router.get('/setup/sheets', async (_request, response) => {
    response.json({ models: await listSheets() });
  });

  router.post('/setup/sheets', async (request, response) => {
    await fileSheet(moment(request), read(sheetRequest, request.body));
    response.status(201).json({ models: await listSheets() });
  });

  router.post('/setup/sheets/withdraw', async (request, response) => {
    await withdrawSheet(moment(request), read(sheetWithdrawn, request.body).id);
    response.json({ models: await listSheets() });
  });

  router.post('/setup/sheets/effects', async (request, response) => {
    response.json(await effectsOfSheet(read(sheetEffectsRequest, request.body).sheet));
  });
  return router;
}
