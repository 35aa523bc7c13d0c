import { jobExport } from '@dusk-wren/contract';
import express, { Router } from 'express';
import { createHash } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import type { Sequelize } from 'sequelize';
import { importJob } from '../documents/job-import';
import type { Printer } from '../documents/printer';
import { onlyLead, personOf } from '../sign-in/person';
import { notTooDeep } from './depth';
import { read } from './read';

/** A job's log of many thousand entries, as it is exported. */
const MOST = '25mb';

/** SHA-256 of each request's body as it came. */
const hashes = new WeakMap<IncomingMessage, string>();

/** A whole job out of a file. A lead alone, and looked at before the file is read. */
export function importRoutes(sequelize: Sequelize, printer: Printer, now: () => string): Router {
  const router = Router();
  const json = express.json({
    limit: MOST,
    strict: true,
    verify: (request, _response, body) => {
      hashes.set(request, createHash('sha256').update(body).digest('hex'));
    },
  });
  router.post('/jobs/import', onlyLead, json, notTooDeep, async (request, response) => {
    const exported = read(jobExport, request.body);
    const file = hashes.get(request) ?? '';
    const id = await importJob(sequelize, printer, { exported, file, person: personOf(request), now: now() });
    response.status(201).json({ id });
  });
  return router;
}
