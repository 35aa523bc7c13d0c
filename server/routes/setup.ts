import {
  changePersonRequest,
  newPersonRequest,
  setupChangesQuery,
  type PersonWithCode,
} from '@dusk-wren/contract';
import { personId, personStamp } from '@dusk-wren/core/job';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { erasePerson } from '../database/erase-person';
import { everyChange, listChanges } from '../database/setup-changes';
import {
  changePerson,
  closeScreens,
  invitePerson,
  listSetupPeople,
  newCodeFor,
} from '../database/setup-people';
import { onlyLead, personOf } from '../sign-in/person';
import { toCsv } from '../exchange/csv';
import { read } from './read';

/** What a lead sets up: people, and what was changed by whom. */
export function setupRoutes(sequelize: Sequelize, now: () => Date): Router {
  const router = Router();
  router.use('/setup', onlyLead);
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });
  const withCode = ({ until, ...rest }: Awaited<ReturnType<typeof newCodeFor>>): PersonWithCode => ({
    ...rest,
    until: until.toISOString(),
  });

  router.get('/setup/people', async (_request, response) => {
    response.json({ people: await listSetupPeople(sequelize, now()) });
  });

  router.post('/setup/people', async (request, response) => {
    const asked = read(newPersonRequest, request.body);
    response.status(201).json(withCode(await invitePerson(moment(request), asked)));
  });

  router.post('/setup/people/:id/change', async (request, response) => {
    const id = read(personId, request.params.id);
    const asked = read(changePersonRequest, request.body);
    response.json({ person: await changePerson(moment(request), id, asked) });
  });

  router.post('/setup/people/:id/code', async (request, response) => {
    const id = read(personId, request.params.id);
    response.json(withCode(await newCodeFor(moment(request), id)));
  });

  router.post('/setup/people/:id/erase', async (request, response) => {
    await erasePerson(moment(request), read(personId, request.params.id));
    response.status(204).end();
  });

  router.post('/setup/people/:id/screens/close', async (request, response) => {
    const id = read(personId, request.params.id);
    await closeScreens(sequelize, id, now());
    response.status(204).end();
  });

  router.get('/setup/changes.csv', async (_request, response) => {
    const rows = (await everyChange()).map(({ at, person, subject, what, before, after }) => [
      at.toISOString(),
      personStamp.parse(JSON.parse(person)).name,
      subject,
      what,
      before ?? '',
      after ?? '',
    ]);
    response
      .type('text/csv; charset=utf-8')
      .attachment('changes.csv')
      .send(toCsv(['at', 'by', 'subject', 'what', 'before', 'after'], rows));
  });

  router.get('/setup/changes', async (request, response) => {
    response.json(await listChanges(read(setupChangesQuery, request.query)));
  });
  return router;
}
