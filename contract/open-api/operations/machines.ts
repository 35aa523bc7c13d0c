import {
  eventsQuery,
  eventsView,
  refuseOrderRequest,
  waitingOrdersView,
  workOrderRequest,
  workOrderView,
} from '../../machines';
import type { Operation } from '../operation';

const group = 'Machines';
const parameters = { number: 'The order’s number, as the sender’s own system has it' };
const path = '/work-orders/{number}';

export const MACHINE_OPERATIONS: readonly Operation[] = [
  {
    ...{ id: 'handInOrder', method: 'put', path, group, who: 'machine', scope: 'orders' },
    summary: 'Hands a work order in; the same number again changes it as long as it waits',
    ...{ parameters, body: workOrderRequest },
    answer: { status: 200, json: workOrderView },
  },
  {
    ...{ id: 'orderNow', method: 'get', path, group, who: 'machine', scope: 'orders' },
    ...{ summary: 'What became of an order', parameters },
    answer: { status: 200, json: workOrderView },
  },
  {
    ...{ id: 'withdrawOrder', method: 'delete', path, group, who: 'machine', scope: 'orders' },
    ...{ summary: 'Withdraws an order that waits', parameters },
    answer: { status: 200, json: workOrderView },
  },
  {
    ...{ id: 'waitingOrders', method: 'get', path: '/work-orders', group, who: 'person' },
    summary: 'Orders that wait for somebody to receive their valve',
    answer: { status: 200, json: waitingOrdersView },
  },
  {
    ...{ id: 'refuseOrder', method: 'post', path: `${path}/refuse`, group, who: 'person' },
    ...{ summary: 'Refuses an order, with why', parameters, body: refuseOrderRequest },
    answer: { status: 200, json: workOrderView },
  },
  {
    ...{ id: 'events', method: 'get', path: '/events', group, who: 'machine', scope: 'events' },
    summary: 'What happened since, in its order, each at least once',
    query: eventsQuery,
    answer: { status: 200, json: eventsView },
  },
];
