import { recordingsView } from '@dusk-wren/contract';
import { jobId } from '@dusk-wren/core/job';
import { Router } from 'express';
import type { Config } from '../config';
import { findRecording, latestRecordings, recordingsOf } from '../database/recordings';
import { onlyLead } from '../sign-in/person';
import { read } from './read';

/** What rigs left as files. */
export function recordingRoutes(config: Config): Router {
  const router = Router();
  router.get('/jobs/:id/recordings', async (request, response) => {
    const recordings = await recordingsOf(read(jobId, request.params.id));
    response.json(recordingsView.parse({ recordings, watched: config.DROP_FOLDER !== undefined }));
  });
  router.get('/jobs/:id/recordings/:recording', async (request, response) => {
    const { body } = await findRecording(read(jobId, request.params.id), request.params.recording);
    response
      .type('text/csv')
      .set({ 'content-disposition': 'attachment', 'x-content-type-options': 'nosniff' })
      .send(body);
  });
  router.get('/setup/recordings', onlyLead, async (_request, response) => {
    const recordings = await latestRecordings();
    response.json(recordingsView.parse({ recordings, watched: config.DROP_FOLDER !== undefined }));
  });
  return router;
}
