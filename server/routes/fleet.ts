import { agesQuery, fleetFileQuery, fleetJobsQuery, fleetQuery } from '@dusk-wren/contract';
import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import { fleetOf, sinceOf } from '../database/fleet';
import { failuresOf, fleetJobsOf } from '../database/fleet-jobs';
import { agesOf, kitUsesOf } from '../database/part-ages';
import { failuresCsv } from '../exchange/failures';
import { read } from './read';

/** What the lives of all valves say together, and the jobs behind it. */
export function fleetRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();
  const moment = () => now().toISOString();

  router.get('/fleet', async (request, response) => {
    response.json(await fleetOf(sequelize, read(fleetQuery, request.query), moment()));
  });
  router.get('/fleet/jobs', async (request, response) => {
    const query = read(fleetJobsQuery, request.query);
    response.json(await fleetJobsOf(query, await sinceOf(query, moment())));
  });
  router.get('/fleet/ages', async (request, response) => {
    response.json(await agesOf(read(agesQuery, request.query), moment()));
  });
  router.get('/fleet/kits', async (request, response) => {
    const since = await sinceOf(read(fleetFileQuery, request.query), moment());
    response.json({ kits: await kitUsesOf(since) });
  });
  router.get('/fleet/failures.json', async (request, response) => {
    const since = await sinceOf(read(fleetFileQuery, request.query), moment());
    response.attachment('failures.json').json({ failures: await failuresOf(since) });
  });
  router.get('/fleet/failures.csv', async (request, response) => {
    const since = await sinceOf(read(fleetFileQuery, request.query), moment());
    response
      .type('text/csv')
      .attachment('failures.csv')
      .send(failuresCsv(await failuresOf(since)));
  });
  return router;
}
