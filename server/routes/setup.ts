import {
  calibrationRequest,
  changeInstrumentRequest,
  changePersonRequest,
  instrumentReadingsQuery,
  newInstrumentRequest,
  newPersonRequest,
  setupChangesQuery,
  type PersonWithCode,
} from '@dusk-wren/contract';
import { instrumentId, personId, personStamp } from '@dusk-wren/core/job';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { everyChange, listChanges } from '../database/setup-changes';
import {
  addInstrument,
  calibrateInstrument,
  changeInstrument,
  listSetupInstruments,
  readSinceGood,
} from '../database/setup-instruments';
import {
  changePerson,
  closeScreens,
  invitePerson,
  listSetupPeople,
  newCodeFor,
} from '../database/setup-people';
import { onlyLead, personOf } from '../sign-in/person';
import { drivers } from '../instruments/registry';
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

  router.post('/setup/people/:id/screens/close', async (request, response) => {
    const id = read(personId, request.params.id);
    await closeScreens(sequelize, id, now());
    response.status(204).end();
  });

  router.get('/setup/instruments', async (_request, response) => {
    response.json({ instruments: await listSetupInstruments(now()), drivers: drivers() });
  });

  router.post('/setup/instruments', async (request, response) => {
    const asked = read(newInstrumentRequest, request.body);
    response.status(201).json({ instrument: await addInstrument(moment(request), asked) });
  });

  router.post('/setup/instruments/:id/change', async (request, response) => {
    const id = read(instrumentId, request.params.id);
    const asked = read(changeInstrumentRequest, request.body);
    response.json({ instrument: await changeInstrument(moment(request), id, asked) });
  });

  router.post('/setup/instruments/:id/calibrations', async (request, response) => {
    const id = read(instrumentId, request.params.id);
    const asked = read(calibrationRequest, request.body);
    response.status(201).json({ instrument: await calibrateInstrument(moment(request), id, asked) });
  });

  router.get('/setup/instruments/:id/readings', async (request, response) => {
    const id = read(instrumentId, request.params.id);
    const { units } = read(instrumentReadingsQuery, request.query);
    response.json(await readSinceGood(id, units));
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
