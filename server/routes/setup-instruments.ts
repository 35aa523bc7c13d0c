import {
  calibrationRequest,
  changeInstrumentRequest,
  compareRequest,
  instrumentReadingsQuery,
  newInstrumentRequest,
  trialQuery,
} from '@dusk-wren/contract';
import { instrumentId } from '@dusk-wren/core/job';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import {
  addInstrument,
  calibrateInstrument,
  changeInstrument,
  listSetupInstruments,
  readSinceGood,
} from '../database/setup-instruments';
import { instrumentsDue } from '../exchange/instruments-due';
import { drivers, sourceFor } from '../instruments/registry';
import { readSettings, settingsOf, wrongOfDriver } from '../instruments/settings';
import { eventStream } from '../live/event-stream';
import type { OpenStreams } from '../live/open-streams';
import { Refusal } from '../refusal';
import { onlyLead, personOf } from '../sign-in/person';
import { read } from './read';

/** The register of instruments, what reads them, and trying that. */
export function setupInstrumentRoutes(sequelize: Sequelize, streams: OpenStreams, now: () => Date): Router {
  const router = Router();
  router.use(['/setup/instruments', '/setup/drivers'], onlyLead);
  const moment = (request: Request) => ({ sequelize, by: personOf(request), now: now() });

  router.get('/setup/instruments', async (_request, response) => {
    response.json({ instruments: await listSetupInstruments(now()), drivers: drivers() });
  });

  router.get('/setup/instruments/due.ics', async (_request, response) => {
    const calendar = instrumentsDue(await listSetupInstruments(now()), now());
    response.type('text/calendar').attachment('instruments-due.ics').send(calendar);
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

  router.get('/setup/drivers/:driver/trial', async (request, response) => {
    const source = sourceFor(read(z.string().max(40), request.params.driver));
    if (!source) throw new Refusal({ code: 'not-found', what: 'driver' });
    const asked = readSettings(source.driver, read(trialQuery, request.query));
    const issues = wrongOfDriver(source.driver, source.kind, asked);
    if (issues.length > 0) throw new Refusal({ code: 'request.invalid', issues });
    const stream = eventStream(request, response, streams);
    const settings = settingsOf(source, asked);
    for await (const message of source.trial({ settings }, stream.stop)) stream.send(message);
    stream.end();
  });

  router.post('/setup/drivers/:driver/compare', async (request, response) => {
    const source = sourceFor(read(z.string().max(40), request.params.driver));
    if (!source?.compare) throw new Refusal({ code: 'not-found', what: 'driver' });
    const { settings, channel, shows, unit } = read(compareRequest, request.body);
    const issues = wrongOfDriver(source.driver, source.kind, settings);
    if (issues.length > 0) throw new Refusal({ code: 'request.invalid', issues });
    const found = await source.compare(settingsOf(source, settings), channel, { value: shows, unit });
    if ('is' in found) throw new Refusal({ code: 'instrument.trouble', trouble: found });
    response.json(found);
  });

  router.get('/setup/instruments/:id/readings', async (request, response) => {
    const id = read(instrumentId, request.params.id);
    const { units } = read(instrumentReadingsQuery, request.query);
    response.json(await readSinceGood(id, units));
  });
  return router;
}
