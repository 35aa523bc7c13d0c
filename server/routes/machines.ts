import {
  eventsQuery,
  hookChangeRequest,
  newHookRequest,
  newTokenRequest,
  orderNumber,
  refuseOrderRequest,
  workOrderRequest,
  type HappeningView,
} from '@dusk-wren/contract';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import { happeningsAfter, numberHappenings } from '../database/happenings';
import { endToken, listTokens, makeToken } from '../database/machine-tokens';
import { addHook, listHooks, newSecretFor, turnHook } from '../database/hooks';
import { handIn, orderOf, refuseOrder, waitingOrders, withdraw } from '../database/work-orders';
import type { Config } from '../config';
import { machineOf } from '../machines/bearer';
import { hostsIn, isCallable } from '../machines/hosts';
import { Refusal } from '../refusal';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

/** Other programs: their tokens, their orders, and what they are told. */
export function machineRoutes(sequelize: Sequelize, config: Config, now: () => Date): Router {
  const router = Router();
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });
  const numberIn = (request: Request) => read(orderNumber, request.params['number']);

  router.use('/setup/machines', onlyLead);
  router.get('/setup/machines/tokens', async (_request, response) => {
    response.json({ tokens: await listTokens(now()) });
  });
  router.post('/setup/machines/tokens', async (request, response) => {
    response.status(201).json(await makeToken(moment(request), read(newTokenRequest, request.body)));
  });
  router.post('/setup/machines/tokens/:id/end', async (request, response) => {
    await endToken(moment(request), read(z.uuid(), request.params.id));
    response.status(204).end();
  });

  const hosts = hostsIn(config.HOOK_HOSTS);
  router.get('/setup/machines/hooks', async (_request, response) => {
    response.json({ ...(await listHooks()), hosts });
  });
  router.post('/setup/machines/hooks', async (request, response) => {
    const asked = read(newHookRequest, request.body);
    if (!isCallable(asked.address, hosts))
      throw new Refusal({ code: 'hook.host', host: new URL(asked.address).host });
    response.status(201).json(await addHook(moment(request), asked));
  });
  router.post('/setup/machines/hooks/:id/change', async (request, response) => {
    const { on } = read(hookChangeRequest, request.body);
    await turnHook(moment(request), read(z.uuid(), request.params.id), on);
    response.status(204).end();
  });
  router.post('/setup/machines/hooks/:id/secret', async (request, response) => {
    response.json(await newSecretFor(moment(request), read(z.uuid(), request.params.id)));
  });

  router.put('/work-orders/:number', async (request, response) => {
    const asked = read(workOrderRequest, request.body);
    response.json(await handIn(sequelize, machineOf(request), numberIn(request), asked, now()));
  });
  router.get('/work-orders/:number', async (request, response) => {
    response.json(await orderOf(machineOf(request), numberIn(request)));
  });
  router.delete('/work-orders/:number', async (request, response) => {
    response.json(await withdraw(sequelize, machineOf(request), numberIn(request)));
  });
  router.get('/work-orders', async (request, response) => {
    personOf(request);
    response.json({ orders: await waitingOrders() });
  });
  router.post('/work-orders/:number/refuse', async (request, response) => {
    personOf(request);
    const { why } = read(refuseOrderRequest, request.body);
    response.json(await refuseOrder(sequelize, numberIn(request), why, now()));
  });

  router.get('/events', async (request, response) => {
    machineOf(request);
    const { after, limit } = read(eventsQuery, request.query);
    await numberHappenings(sequelize, now());
    const events: HappeningView[] = await happeningsAfter(after, limit);
    response.json({ events, last: events.at(-1)?.seq ?? after });
  });
  return router;
}
