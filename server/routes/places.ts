import { workPlaceChange, workPlaceRequest } from '@dusk-wren/contract';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import { addPlace, changePlace, listPlaces } from '../database/setup-places';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

/** Where the shop's work is done. */
export function placeRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();
  router.use('/setup/places', onlyLead);
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });

  router.get('/setup/places', async (_request, response) => {
    response.json({ places: await listPlaces() });
  });

  router.post('/setup/places', async (request, response) => {
    const asked = read(workPlaceRequest, request.body);
    response.status(201).json({ place: await addPlace(moment(request), asked) });
  });

  router.post('/setup/places/:id/change', async (request, response) => {
    const id = read(z.uuid(), request.params.id);
    const asked = read(workPlaceChange, request.body);
    response.json({ place: await changePlace(moment(request), id, asked) });
  });
  return router;
}
