import { jobExport } from '@dusk-wren/contract';
import express, { Router } from 'express';
import { createHash } from 'node:crypto';
import type { IncomingMessage } from 'node:http';
import type { Sequelize } from 'sequelize';
import { importJob } from '../documents/job-import';
import { photosIn, readJobFile, takePhotos } from '../documents/job-file';
import type { Printer } from '../documents/printer';
import { spooled } from '../exchange/spooled';
import { onlyLead, personOf } from '../sign-in/person';
import { notTooDeep, refuseTooDeep } from './depth';
import { read } from './read';

/** A job's log of many thousand entries, as it is exported. */
const MOST = '25mb';
/** With three hundred photographs, as many as a job may have. */
const MOST_OF_A_FILE = 1e9;

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
    response.status(201).json({ id, photos: { taken: 0, missing: photosIn(exported).length } });
  });

  /** The same with its photographs. */
  router.put('/jobs/import', onlyLead, async (request, response) => {
    const answer = await spooled(request, MOST_OF_A_FILE, async ({ path, sha256 }) => {
      const raw = await readJobFile(path);
      refuseTooDeep(raw);
      const exported = read(jobExport, raw);
      let photos = { taken: 0, missing: 0 };
      const id = await importJob(sequelize, printer, {
        ...{ exported, file: sha256, person: personOf(request), now: now() },
        along: async (transaction) => {
          photos = await takePhotos(path, exported, transaction);
        },
      });
      return { id, photos };
    });
    response.status(201).json(answer);
  });
  return router;
}
