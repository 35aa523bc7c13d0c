import {
  commandRequest,
  commandView,
  instrumentsView,
  jobListQuery,
  jobListView,
  jobView,
  openJobRequest,
  openJobView,
  staleView,
} from '../../api';
import { plannedJobView } from '../../planned';
import type { Operation } from '../operation';
import { commandSchema } from '@dusk-wren/core/command';

const group = 'Jobs';
const parameters = { id: 'The job' };

export const JOB_OPERATIONS: readonly Operation[] = [
  {
    ...{ id: 'listJobs', method: 'get', path: '/jobs', group, who: 'person', scope: 'jobs' },
    summary: 'Jobs, the soonest due first, page by page',
    query: jobListQuery,
    answer: { status: 200, json: jobListView },
  },
  {
    ...{ id: 'openJob', method: 'post', path: '/jobs', group, who: 'person' },
    summary: 'Opens a job; the same commandId opens it once',
    body: openJobRequest,
    answer: { status: 201, json: openJobView },
  },
  {
    ...{ id: 'getJob', method: 'get', path: '/jobs/{id}', group, who: 'person', scope: 'jobs' },
    summary: 'A job as its log',
    parameters,
    answer: { status: 200, json: jobView },
  },
  {
    ...{ id: 'command', method: 'post', path: '/jobs/{id}/commands', group, who: 'person' },
    summary: 'Enters one thing into a job; the same commandId enters it once',
    parameters,
    body: commandRequest.extend({ command: commandSchema }),
    answer: { status: 200, json: commandView },
    stale: staleView,
  },
  {
    ...{ id: 'followJob', method: 'get', path: '/jobs/{id}/live', group, who: 'person' },
    summary: 'Entries of a job as they come, as server-sent events',
    parameters,
    answer: { status: 200, file: 'text/event-stream' },
  },
  {
    ...{ id: 'plannedOfJob', method: 'get', path: '/week/jobs/{id}', group, who: 'person', scope: 'jobs' },
    summary: 'What the plan of the week says of a job',
    parameters,
    answer: { status: 200, json: plannedJobView },
  },
  {
    ...{ id: 'listInstruments', method: 'get', path: '/instruments', group, who: 'person' },
    summary: 'Instruments in use',
    answer: { status: 200, json: instrumentsView },
  },
];
