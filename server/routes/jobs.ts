import { commandRequest, jobListQuery, openJobRequest, type JobView } from '@dusk-wren/contract';
import { isCommandKind, isSigned, mayCountersign } from '@dusk-wren/core/command';
import { jobId, type Entry, type PersonStamp } from '@dusk-wren/core/job';
import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import { z } from 'zod';
import type { Config } from '../config';
import { eventStream } from '../live/event-stream';
import type { LiveFeed } from '../live/feed';
import type { OpenStreams } from '../live/open-streams';
import { withoutStatement } from '../database/failures';
import { Refusal } from '../refusal';
import { isConfirmed } from '../sign-in/confirmation';
import { personOf } from '../sign-in/person';
import { commit } from '../database/commit';
import { loadLog } from '../database/job-log';
import { findPerson } from '../database/people';
import { findJob, listJobs, openJobOn } from '../database/jobs';
import { read } from './read';

const liveQuery = z.strictObject({ after: z.coerce.number().int().min(0).default(0) });

interface Host {
  readonly sequelize: Sequelize;
  readonly feed: LiveFeed;
  readonly streams: OpenStreams;
  readonly config: Config;
  readonly now: () => Date;
}

/** Jobs: listed, opened, read, written to by commands, and followed live. */
export function jobRoutes({ sequelize, feed, streams, config, now }: Host): Router {
  const router = Router();

  router.get('/jobs', async (request, response) => {
    const { waits, ...query } = read(jobListQuery, request.query);
    const waitsFor = waits === undefined ? {} : { waitsFor: personOf(request) };
    response.json(await listJobs(sequelize, { ...query, ...waitsFor }, now().toISOString()));
  });

  router.post('/jobs', async (request, response) => {
    const opening = read(openJobRequest, request.body);
    const id = await openJobOn(sequelize, opening, personOf(request), now().toISOString());
    response.status(201).json({ id });
  });

  router.get('/jobs/:id', async (request, response) => {
    const row = await findJob(read(jobId, request.params.id));
    const entries = await loadLog(row.id, 0);
    const view: Omit<JobView, 'valveId' | 'id'> & { id: string; valveId: string } = {
      id: row.id,
      valveId: row.valveId,
      version: entries.at(-1)?.seq ?? 0,
      entries,
    };
    response.json(view);
  });

  /** Whose a command is: of who is signed in, or of who signs it here with a PIN of their own. */
  async function whoseCommand(
    here: PersonStamp,
    { command, commandId, confirmation, signedBy }: z.output<typeof commandRequest>,
  ): Promise<PersonStamp> {
    const kind = isCommandKind(command.kind) ? command.kind : undefined;
    if (!(kind && isSigned(kind)) && signedBy === undefined) return here;
    const signer = kind && mayCountersign(kind) ? await findPerson(signedBy ?? here.id) : undefined;
    if (!signer || !isConfirmed(config, signer.id, commandId, confirmation, now()))
      throw new Refusal({ code: 'pin.needed' });
    return signer;
  }

  router.post('/jobs/:id/commands', async (request, response) => {
    const id = read(jobId, request.params.id);
    const sent = read(commandRequest, request.body);
    const { baseVersion, commandId, command, doneAt } = sent;
    const person = await whoseCommand(personOf(request), sent);
    const answer = await commit(sequelize, {
      jobId: id,
      baseVersion,
      commandId,
      command,
      person,
      now: now().toISOString(),
      ...(doneAt === undefined ? {} : { doneAt }),
    });
    if (answer.kind === 'stale') {
      response.status(409).json({ version: answer.version, missed: answer.missed });
      return;
    }
    feed.grown(id, answer.entries);
    response.json({ version: answer.version, entries: answer.entries });
  });

  router.get('/jobs/:id/live', async (request, response) => {
    const id = read(jobId, request.params.id);
    const { after } = read(liveQuery, request.query);
    await findJob(id);
    const resumed = Number(request.get('last-event-id'));
    const stream = eventStream(request, response, streams);
    let sent = Number.isSafeInteger(resumed) && resumed > after ? resumed : after;
    let sending = Promise.resolve();
    const tell = (version: number, grownBy: readonly Entry[] = []) => {
      if (version <= sent) return;
      sending = sending
        .then(async () => {
          if (version <= sent) return;
          const entries = grownBy[0]?.seq === sent + 1 ? grownBy : await loadLog(id, sent);
          const last = entries.at(-1)?.seq;
          if (last === undefined) return;
          sent = last;
          stream.send({ version: last, entries }, last);
        })
        .catch((error: unknown) => {
          request.log.warn(withoutStatement(error), 'live feed failed');
          stream.end();
        });
    };
    stream.stop.addEventListener('abort', feed.listen(id, tell));
    tell(Number.MAX_SAFE_INTEGER);
  });
  return router;
}
