import { confirmationRequest, confirmationView, peopleView, sessionView, signInRequest } from '../../api';
import type { Operation } from '../operation';

const group = 'Signing in';

export const SESSION_OPERATIONS: readonly Operation[] = [
  {
    ...{ id: 'getSession', method: 'get', path: '/session', group, who: 'anybody' },
    summary: 'Who is signed in, and the token that writes carry',
    answer: { status: 200, json: sessionView },
  },
  {
    ...{ id: 'listPeople', method: 'get', path: '/people', group, who: 'anybody' },
    summary: 'Who can sign in here',
    answer: { status: 200, json: peopleView },
  },
  {
    ...{ id: 'signIn', method: 'post', path: '/session', group, who: 'anybody' },
    summary: 'Signs somebody in by their PIN',
    body: signInRequest,
    answer: { status: 200, json: sessionView },
  },
  {
    ...{ id: 'signOut', method: 'delete', path: '/session', group, who: 'person' },
    summary: 'Signs out',
    answer: { status: 204 },
  },
  {
    ...{ id: 'confirm', method: 'post', path: '/confirmations', group, who: 'person' },
    summary: 'The PIN, asked again for one signature; the answer goes with that command',
    body: confirmationRequest,
    answer: { status: 200, json: confirmationView },
  },
];
