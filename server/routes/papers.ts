import { jobId } from '@dusk-wren/core/job';
import { Router } from 'express';
import { z } from 'zod';
import type { Config } from '../config';
import { exportJob } from '../documents/job-export';
import { PAPERS, type Printer } from '../documents/printer';
import { findJob } from '../database/jobs';
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
      const address = `${config.PUBLIC_URL}/jobs/${id}`;
      const pdf = await printer.print({ paper, jobId: id, version: row.version, units, address });
      response
        .type('application/pdf')
        .set('content-disposition', `inline; filename="${fileName(row.tag)}-${paper}.pdf"`)
        .send(pdf);
    });
  }

  router.get('/jobs/:id/export.json', async (request, response) => {
    const row = await findJob(read(jobId, request.params.id));
    response
      .set('content-disposition', `attachment; filename="${fileName(row.tag)}.json"`)
      .json(await exportJob(row, new Date().toISOString()));
  });
  return router;
}

const fileName = (tag: string) => tag.replace(/[^A-Za-z0-9.-]+/g, '-');
