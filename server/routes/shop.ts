import {
  controlRequest,
  likeQuery,
  readingQuery,
  screwEffectsQuery,
  valveListQuery,
} from '@dusk-wren/contract';
import { instrumentId, type JobId, type JobState } from '@dusk-wren/core/job';
import { plan, stepOf } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { Router } from 'express';
import type { Config } from '../config';
import { OpenControls } from '../instruments/controls';
import { sourceFor } from '../instruments/registry';
import { settingsOf } from '../instruments/settings';
import { eventStream } from '../live/event-stream';
import type { LiveFeed } from '../live/feed';
import type { OpenStreams } from '../live/open-streams';
import { Refusal } from '../refusal';
import { findInstrument, listInstruments } from '../database/instruments';
import { listFaultCounts } from '../database/fault-counts';
import { listScrewEffects } from '../database/screw-effects';
import { stateOf } from '../database/state-of';
import { findJob } from '../database/jobs';
import { conditionFor, listCustomers, listValves, valvesLike } from '../database/valves';
import { personOf } from '../sign-in/person';
import { read } from './read';

/** The shop's own things: valves on file, customers, instruments and what they read. */
export function shopRoutes(config: Config, feed: LiveFeed, streams: OpenStreams, now: () => string): Router {
  const router = Router();
  const open = new OpenControls();

  router.get('/valves', async (request, response) => {
    response.json(await listValves(read(valveListQuery, request.query)));
  });

  router.get('/customers', async (_request, response) => {
    response.json({ customers: await listCustomers() });
  });

  router.get('/valves/like', async (request, response) => {
    response.json({ like: await valvesLike(read(likeQuery, request.query)) });
  });

  router.get('/fault-counts', async (_request, response) => {
    response.json({ counts: await listFaultCounts() });
  });

  router.get('/screw-effects', async (request, response) => {
    const { model } = read(screwEffectsQuery, request.query);
    response.json({ effects: await listScrewEffects(model) });
  });

  router.get('/instruments', async (_request, response) => {
    response.json({ instruments: await listInstruments(now()) });
  });

  router.get('/instruments/:id/readings', async (request, response) => {
    const id = read(instrumentId, request.params.id);
    const query = read(readingQuery, request.query);
    const found = await findInstrument(id, now());
    const source = found && sourceFor(found.driver);
    if (!source) throw new Refusal({ code: 'instrument.unknown', id });
    const row = await findJob(query.job);
    const state = await stateOf(query.job, row.version);
    const current = must(plan(state));
    const step = current && stepOf(current, query.step);
    if (!current || !step) throw new Refusal({ code: 'step.unknown', step: query.step });
    const condition = await conditionFor(row.valveId);
    const { stateNow, unheard } = grownStates(feed, query.job, state);
    const work = {
      state,
      stateNow,
      plan: current,
      step,
      condition,
      rate: config.SIMULATION_RATE,
      pass: query.pass ?? 0,
      check: query.check,
      settings: settingsOf(source, found.settings),
    };
    const stream = eventStream(request, response, streams);
    const { controls, close } = open.begin(query.reading, personOf(request).id);
    try {
      for await (const message of source.read(work, stream.stop, controls)) stream.send(message);
    } finally {
      unheard();
      close();
    }
    stream.send({ kind: 'end' });
    stream.end();
  });

  router.post('/instruments/:id/controls', (request, response) => {
    read(instrumentId, request.params.id);
    const { reading, control } = read(controlRequest, request.body);
    open.send(reading, personOf(request).id, control);
    response.status(204).end();
  });
  return router;
}

/** A job as it is now, until `unheard`: what is read of it follows what is entered meanwhile, on whichever screen. */
function grownStates(
  feed: LiveFeed,
  job: JobId,
  begun: JobState,
): { readonly stateNow: () => JobState; readonly unheard: () => void } {
  let now = begun;
  const unheard = feed.listen(job, (version) => {
    stateOf(job, version).then(
      (grown) => (now = grown.version > now.version ? grown : now),
      // It is asked again as the job grows; until then it is read as it was.
      () => undefined,
    );
  });
  return { stateNow: () => now, unheard };
}
