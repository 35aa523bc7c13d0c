import type { paperCodeView } from '@dusk-wren/contract';
import { jobId } from '@dusk-wren/core/job';
import { Router } from 'express';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { z } from 'zod';
import type { Config } from '../config';
import { exportJob } from '../documents/job-export';
import { jobFile } from '../documents/job-file';
import { PAPERS, type Printer } from '../documents/printer';
import { findJob } from '../database/jobs';
import { loadRawLog } from '../database/job-log';
import { findPaper } from '../database/papers';
import { codesOf, readCode, writtenCode } from '../documents/paper-code';
import { Refusal } from '../refusal';
import { read } from './read';

const systemQuery = z.strictObject({ units: z.enum(['US', 'SI']).default('US') });

/** What leaves the shop of a job: its papers as PDF, and the whole of it as a file. */
export function paperRoutes(printer: Printer, config: Config): Router {
  const router = Router();
  for (const paper of PAPERS) {
    router.get(`/jobs/:id/${paper}.pdf`, async (request, response) => {
      const id = read(jobId, request.params['id']);
      const { units } = read(systemQuery, request.query);
      const row = await findJob(id);
      const pdf = await printer.print({
        ...{ paper, jobId: id, units },
        version: row.version,
        site: config.PUBLIC_URL,
      });
      response
        .type('application/pdf')
        .set('content-disposition', `inline; filename="${fileName(row.tag)}-${paper}.pdf"`)
        .send(pdf);
    });
  }

  router.get('/jobs/:id/paper-code', async (request, response) => {
    const { id } = await findJob(read(jobId, request.params.id));
    const code = codesOf(id, await loadRawLog(id, 0)).at(-1)?.code;
    const answer: z.output<typeof paperCodeView> = { code: code ? writtenCode(code) : null };
    response.json(answer);
  });
  router.get('/papers/:code', async (request, response) => {
    const code = readCode(read(z.string().max(60), request.params.code));
    if (!code)
      throw new Refusal({ code: 'not-found', what: 'code: it has twenty figures and letters from A to F' });
    response.json(await findPaper(code));
  });

  router.get('/jobs/:id/export.json', async (request, response) => {
    const row = await findJob(read(jobId, request.params.id));
    response
      .set('content-disposition', `attachment; filename="${fileName(row.tag)}.json"`)
      .json(await exportJob(row, new Date().toISOString()));
  });

  router.get('/jobs/:id/export.zip', async (request, response) => {
    const row = await findJob(read(jobId, request.params.id));
    response
      .type('application/zip')
      .set('content-disposition', `attachment; filename="${fileName(row.tag)}.zip"`);
    await pipeline(Readable.from(jobFile(row, new Date().toISOString())), response);
  });
  return router;
}

const fileName = (tag: string) => tag.replace(/[^A-Za-z0-9.-]+/g, '-');
