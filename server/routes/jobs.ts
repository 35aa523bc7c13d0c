import { commandRequest, jobListQuery, jobExport, openJobRequest, type JobView } from '@dusk-wren/contract';
import { fold, jobId, type Entry, type JobState } from '@dusk-wren/core/job';
import { must } from '@dusk-wren/core/problem';
import type { UnitSystem } from '@dusk-wren/core/quantity';
import { Router } from 'express';
import type { Sequelize } from 'sequelize';
import { importJob, exportJob } from '../documents/job-export';
import { certificatePdf } from '../documents/certificate-pdf';
import { isolationPdf } from '../documents/isolation-pdf';
import { jobSheetPdf } from '../documents/job-sheet-pdf';
import type { Config } from '../config';
import { eventStream } from '../live/event-stream';
import type { LiveFeed } from '../live/feed';
import { personOf, requireCsrf } from '../sign-in/session';
import { commit } from '../store/commit';
import { loadLog } from '../store/job-log';
import { findJob, listJobs, openJobOn } from '../store/jobs';
import { read } from './read';
import { z } from 'zod';

const liveQuery = z.strictObject({ after: z.coerce.number().int().min(0).default(0) });
const systemQuery = z.strictObject({ units: z.enum(['US', 'SI']).default('US') });

/** A job as a paper is printed from it. */
interface Asked {
  readonly log: readonly Entry[];
  readonly state: JobState;
  readonly units: UnitSystem;
  readonly address: string;
}

export function jobRoutes(sequelize: Sequelize, feed: LiveFeed, config: Config, now: () => string): Router {
  const router = Router();

  router.get('/jobs', async (request, response) => {
    response.json(await listJobs(read(jobListQuery, request.query), now()));
  });

  router.post('/jobs', requireCsrf, async (request, response) => {
    const opening = read(openJobRequest, request.body);
    response.status(201).json({ id: await openJobOn(sequelize, opening, personOf(request), now()) });
  });

  router.post('/jobs/import', requireCsrf, async (request, response) => {
    const exported = read(jobExport, request.body);
    response.status(201).json({ id: await importJob(sequelize, exported, personOf(request), now()) });
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

  router.post('/jobs/:id/commands', requireCsrf, async (request, response) => {
    const id = read(jobId, request.params.id);
    const { baseVersion, commandId, command, doneAt } = read(commandRequest, request.body);
    const answer = await commit(sequelize, {
      jobId: id,
      baseVersion,
      commandId,
      command,
      person: personOf(request),
      now: now(),
      ...(doneAt === undefined ? {} : { doneAt }),
    });
    if (answer.kind === 'stale') {
      response.status(409).json({ version: answer.version, missed: answer.missed });
      return;
    }
    feed.grown(id, answer.version);
    response.json({ version: answer.version, entries: answer.entries });
  });

  router.get('/jobs/:id/live', async (request, response) => {
    const id = read(jobId, request.params.id);
    const { after } = read(liveQuery, request.query);
    await findJob(id);
    const resumed = Number(request.get('last-event-id'));
    const stream = eventStream(request, response);
    let sent = Number.isSafeInteger(resumed) && resumed > after ? resumed : after;
    let sending = Promise.resolve();
    const tell = (version: number) => {
      if (version <= sent) return;
      sending = sending
        .then(async () => {
          const entries = await loadLog(id, sent);
          const last = entries.at(-1)?.seq;
          if (last === undefined) return;
          sent = last;
          stream.send({ version: last, entries }, last);
        })
        .catch((error: unknown) => {
          request.log.error({ err: error }, 'live feed failed');
          stream.end();
        });
    };
    stream.stop.addEventListener('abort', feed.listen(id, tell));
    tell(Number.MAX_SAFE_INTEGER);
  });

  const papers: Readonly<Record<string, (asked: Asked) => Promise<Buffer>>> = {
    certificate: ({ log, units, address }) => certificatePdf({ log, units, address }),
    isolation: ({ state, units, address }) => isolationPdf(state, units, address),
    'job-sheet': ({ state, units, address }) => jobSheetPdf(state, units, address),
  };
  for (const [name, print] of Object.entries(papers)) {
    router.get(`/jobs/:id/${name}.pdf`, async (request, response) => {
      const id = read(jobId, request.params.id);
      const { units } = read(systemQuery, request.query);
      const row = await findJob(id);
      const log = await loadLog(id, 0);
      const address = `${config.PUBLIC_URL}/jobs/${id}`;
      const pdf = await print({ log, state: must(fold(log)), units, address });
      response
        .type('application/pdf')
        .set('content-disposition', `inline; filename="${fileName(row.tag)}-${name}.pdf"`)
        .send(pdf);
    });
  }

  router.get('/jobs/:id/export.json', async (request, response) => {
    const row = await findJob(read(jobId, request.params.id));
    response
      .set('content-disposition', `attachment; filename="${fileName(row.tag)}.json"`)
      .json(await exportJob(row, now()));
  });
  return router;
}

const fileName = (tag: string) => tag.replace(/[^A-Za-z0-9.-]+/g, '-');
