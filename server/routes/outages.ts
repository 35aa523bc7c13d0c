import { openOutageRequest, outagePreviewRequest, outageRequest } from '@dusk-wren/contract/outages';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import { shopDay, shopZone } from '../database/shop-day';
import { outagePartsCsv } from '../exchange/outage-files';
import { openOutage } from '../outage/open-outage';
import { addOutage, listOutages, outageView, removeOutage } from '../outage/outages';
import { readList } from '../outage/read-list';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

/** Valves of one shutdown: a list brought in, what it takes, and its jobs opened. */
export function outageRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });
  const listed = async () => listOutages(await shopDay(now().toISOString()));
  const idOf = (request: Request) => read(z.uuid(), request.params['id']);
  const viewFor = async (request: Request, id: string) =>
    outageView(id, personOf(request), now(), await shopZone());

  router.get('/outages', async (_request, response) => {
    response.json({ outages: await listed() });
  });

  router.post('/outages/preview', onlyLead, async (request, response) => {
    const { rows, valves } = await readList(read(outagePreviewRequest, request.body).csv);
    response.json({ good: valves.length, rows });
  });

  router.post('/outages', onlyLead, async (request, response) => {
    const id = await addOutage(moment(request), read(outageRequest, request.body));
    response.json(await viewFor(request, id));
  });

  router.get('/outages/:id', async (request, response) => {
    response.json(await viewFor(request, idOf(request)));
  });

  router.get('/outages/:id/parts.csv', async (request, response) => {
    const view = await viewFor(request, idOf(request));
    response.type('text/csv; charset=utf-8').attachment('outage-parts.csv').send(outagePartsCsv(view));
  });

  router.post('/outages/:id/open', onlyLead, async (request, response) => {
    const asked = read(openOutageRequest, request.body);
    response.json(await openOutage(moment(request), idOf(request), asked));
  });

  router.post('/outages/:id/remove', onlyLead, async (request, response) => {
    await removeOutage(moment(request), idOf(request));
    response.json({ outages: await listed() });
  });
  return router;
}
