import { customersView, likeQuery, likeView, valveListQuery, valveListView } from '../../api';
import {
  dueFileQuery,
  dueList,
  dueQuery,
  jobsOpened,
  openDueRequest,
  registerQuery,
  registerView,
  valveMoveRequest,
  valvePage,
} from '../../valves';
import type { Operation } from '../operation';

const group = 'Valves and what is due';
const parameters = { id: 'The valve' };

export const VALVE_OPERATIONS: readonly Operation[] = [
  {
    ...{ id: 'register', method: 'get', path: '/register', group, who: 'person', scope: 'register' },
    ...{ summary: 'The register, by words, customer, kind, standing or due day', query: registerQuery },
    answer: { status: 200, json: registerView },
  },
  {
    ...{ id: 'valve', method: 'get', path: '/register/{id}', group, who: 'person', scope: 'register' },
    ...{ summary: 'A valve with all that the shop knows of it', parameters },
    answer: { status: 200, json: valvePage },
  },
  {
    ...{ id: 'moveValve', method: 'post', path: '/register/{id}/move', group, who: 'person' },
    ...{ summary: 'Puts a valve elsewhere, or otherwise', parameters, body: valveMoveRequest },
    answer: { status: 200, json: valvePage },
  },
  {
    ...{ id: 'valveSheets', method: 'get', path: '/valves', group, who: 'person', scope: 'register' },
    ...{ summary: 'Valves as their sheets', query: valveListQuery },
    answer: { status: 200, json: valveListView },
  },
  {
    ...{ id: 'valvesLike', method: 'get', path: '/valves/like', group, who: 'person' },
    ...{ summary: 'Valves on file that one could be taken for', query: likeQuery },
    answer: { status: 200, json: likeView },
  },
  {
    ...{ id: 'customers', method: 'get', path: '/customers', group, who: 'person', scope: 'register' },
    summary: 'Whom the shop works for',
    answer: { status: 200, json: customersView },
  },
  {
    ...{ id: 'due', method: 'get', path: '/due', group, who: 'person', scope: 'due' },
    ...{ summary: 'Valves due by a day, with why', query: dueQuery },
    answer: { status: 200, json: dueList },
  },
  {
    ...{ id: 'dueCsv', method: 'get', path: '/due.csv', group, who: 'person', scope: 'due' },
    ...{ summary: 'The same as CSV', query: dueFileQuery },
    answer: { status: 200, file: 'text/csv' },
  },
  {
    ...{ id: 'dueCalendar', method: 'get', path: '/due.ics', group, who: 'person', scope: 'due' },
    ...{ summary: 'The same for a calendar', query: dueFileQuery },
    answer: { status: 200, file: 'text/calendar' },
  },
  {
    ...{ id: 'openDue', method: 'post', path: '/due/open', group, who: 'person' },
    ...{ summary: 'Opens jobs on valves that are due', body: openDueRequest },
    answer: { status: 200, json: jobsOpened },
  },
];
