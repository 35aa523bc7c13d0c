import { z } from 'zod';
import { jobBroughtIn, jobExport, paperCodeView, paperView } from '../../api';
import { recordingsView } from '../../recordings';
import type { Operation } from '../operation';

const group = 'Papers and files of a job';
const parameters = { id: 'The job' };
const units = z.strictObject({ units: z.enum(['US', 'SI']).default('US') });

const paper = (name: string, id: string, summary: string): Operation => ({
  ...{ id, method: 'get', path: `/jobs/{id}/${name}.pdf`, group, who: 'person', scope: 'certificates' },
  ...{ summary, parameters, query: units },
  answer: { status: 200, file: 'application/pdf' },
});

export const PAPER_OPERATIONS: readonly Operation[] = [
  paper('certificate', 'certificate', 'The certificate of a job'),
  paper('job-sheet', 'jobSheet', 'The job sheet'),
  paper('isolation', 'isolationSheet', 'The isolation sheet'),
  {
    ...{ id: 'paperCode', method: 'get', path: '/jobs/{id}/paper-code', group, who: 'person' },
    ...{ scope: 'certificates', summary: 'The code on the signed paper of a job', parameters },
    answer: { status: 200, json: paperCodeView },
  },
  {
    ...{ id: 'paperByCode', method: 'get', path: '/papers/{code}', group, who: 'person' },
    ...{ scope: 'certificates', summary: 'What the record of a paper says now, by the code printed on it' },
    parameters: { code: 'As it is printed' },
    answer: { status: 200, json: paperView },
  },
  {
    ...{
      id: 'exportJob',
      method: 'get',
      path: '/jobs/{id}/export.json',
      group,
      who: 'person',
      scope: 'jobs',
    },
    ...{ summary: 'A whole job for another system; another shop reads it in', parameters },
    answer: { status: 200, json: jobExport },
  },
  {
    ...{
      id: 'exportJobFile',
      method: 'get',
      path: '/jobs/{id}/export.zip',
      group,
      who: 'person',
      scope: 'jobs',
    },
    ...{ summary: 'The same with its photographs', parameters },
    answer: { status: 200, file: 'application/zip' },
  },
  {
    ...{ id: 'importJob', method: 'post', path: '/jobs/import', group, who: 'lead' },
    ...{ summary: 'Brings a job in out of such a file', body: jobExport },
    answer: { status: 201, json: jobBroughtIn },
  },
  {
    ...{ id: 'jobPhoto', method: 'get', path: '/jobs/{id}/photos/{photo}', group, who: 'person' },
    ...{ summary: 'A photograph of a job', parameters: { ...parameters, photo: 'The photograph' } },
    answer: { status: 200, file: 'image/jpeg' },
  },
  {
    ...{ id: 'jobPhotos', method: 'get', path: '/jobs/{id}/photos.zip', group, who: 'person', scope: 'jobs' },
    ...{ summary: 'All photographs of a job', parameters },
    answer: { status: 200, file: 'application/zip' },
  },
  {
    ...{
      id: 'recordings',
      method: 'get',
      path: '/jobs/{id}/recordings',
      group,
      who: 'person',
      scope: 'jobs',
    },
    ...{ summary: 'Recordings that rigs left for a job', parameters },
    answer: { status: 200, json: recordingsView },
  },
  {
    ...{ id: 'recording', method: 'get', path: '/jobs/{id}/recordings/{recording}', group, who: 'person' },
    ...{ scope: 'jobs', summary: 'One of them, as the rig wrote it' },
    parameters: { ...parameters, recording: 'The recording' },
    answer: { status: 200, file: 'text/csv' },
  },
];
