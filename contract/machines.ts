import { jobId, SCOPES, valveId } from '@dusk-wren/core/job';
import { z } from 'zod';
import { MACHINE_SCOPES } from './machine-scopes';

/** Other programs: the tokens that they come with, the work orders that they hand in, and what they are told of. */

const words = (most: number) => z.string().trim().min(1).max(most);

export const machineToken = z.object({
  id: z.uuid(),
  name: z.string(),
  scopes: z.array(z.enum(MACHINE_SCOPES)),
  until: z.iso.datetime(),
  by: z.string(),
  usedAt: z.iso.datetime().nullable(),
  standing: z.enum(['good', 'over', 'ended']),
});
export type MachineToken = z.output<typeof machineToken>;
export const machineTokensView = z.object({ tokens: z.array(machineToken) });
/** So many requests of one token in a minute, on each server: ten a second, long enough for any list that is read on. */
export const TOKEN_ASKS_A_MINUTE = 600;
/** A year at most: a token that nobody remembers ends by itself. */
export const MOST_TOKEN_DAYS = 366;
export const newTokenRequest = z.strictObject({
  name: words(60),
  scopes: z.array(z.enum(MACHINE_SCOPES)).min(1).max(MACHINE_SCOPES.length),
  days: z.int().min(1).max(MOST_TOKEN_DAYS),
});
/** The token itself is told this once. */
export const newTokenView = z.object({ token: machineToken, secret: z.string() });

/** A number as the sender’s own system has it: it is the order’s name here too. */
export const orderNumber = z
  .string()
  .trim()
  .regex(/^[\p{L}\p{N}][\p{L}\p{N} ._/-]{0,39}$/u, 'letters, figures and . _ / - , 40 at most');

/** Work that another program asks for. */
export const workOrderRequest = z.strictObject({
  tag: words(40),
  customer: words(80).exactOptional(),
  serial: words(60).exactOptional(),
  /** Where the valve sits. */
  location: words(120).exactOptional(),
  /** What is to be done, or what is wrong with it, in words. */
  reported: words(400),
  scope: z.enum(SCOPES).default('overhaul'),
  due: z.iso.date().exactOptional(),
});
export type WorkOrderAsked = z.output<typeof workOrderRequest>;

export const ORDER_STATES = ['waiting', 'taken', 'refused', 'withdrawn'] as const;
export const workOrderView = z.object({
  number: z.string(),
  from: z.string(),
  at: z.iso.datetime(),
  asked: workOrderRequest,
  state: z.enum(ORDER_STATES),
  /** The job that was opened for it. */
  job: jobId.nullable(),
  /** Why it was refused. */
  why: z.string().nullable(),
});
export type WorkOrderView = z.output<typeof workOrderView>;

/** Those that wait, each with the valves on file that it may mean. */
export const waitingOrdersView = z.object({
  orders: z.array(
    workOrderView.extend({
      valves: z.array(z.object({ id: valveId, tag: z.string(), customer: z.string(), location: z.string() })),
    }),
  ),
});
export type WaitingOrder = z.output<typeof waitingOrdersView>['orders'][number];
export const refuseOrderRequest = z.strictObject({ why: words(200) });

/** What happens that other programs are told of. */
export const HAPPENINGS = [
  'order taken',
  'order refused',
  'job opened',
  'certificate signed',
  'certificate struck',
  'job condemned',
] as const;
export type Happening = (typeof HAPPENINGS)[number];
export const happeningView = z.object({
  /** Rises by one; nothing is ever put in between. */
  seq: z.int(),
  /** The same however often it is told. */
  id: z.uuid(),
  kind: z.enum(HAPPENINGS),
  at: z.iso.datetime(),
  job: jobId.nullable(),
  tag: z.string(),
  order: z.string().nullable(),
});
export type HappeningView = z.output<typeof happeningView>;
export const eventsQuery = z.strictObject({
  /** The last that was read. */
  after: z.coerce.number().int().min(0).default(0),
  limit: z.coerce.number().int().min(1).max(500).default(100),
});
export const eventsView = z.object({ events: z.array(happeningView), last: z.int() });

/** An address that is told of what happens. */
export const hookView = z.object({
  id: z.uuid(),
  address: z.string(),
  kinds: z.array(z.enum(HAPPENINGS)),
  by: z.string(),
  standing: z.enum(['on', 'off']),
  waiting: z.int(),
  lastTold: z.iso.datetime().nullable(),
});
export type HookView = z.output<typeof hookView>;
/** Something that was told to an address, or is to be. */
export const callView = z.object({
  seq: z.int(),
  address: z.string(),
  kind: z.enum(HAPPENINGS),
  tag: z.string(),
  at: z.iso.datetime(),
  state: z.enum(['waiting', 'told', 'given up']),
  tries: z.int(),
  nextAt: z.iso.datetime().nullable(),
  /** What came of the last try. */
  said: z.string().nullable(),
});
export type CallView = z.output<typeof callView>;
export const hooksView = z.object({
  hooks: z.array(hookView),
  calls: z.array(callView),
  /** Hosts that may be called, as whoever runs the server has said. */
  hosts: z.array(z.string()),
});
export const newHookRequest = z.strictObject({
  address: z.url({ protocol: /^https?$/ }).max(300),
  kinds: z.array(z.enum(HAPPENINGS)).min(1).max(HAPPENINGS.length),
});
/** What signs the calls is told this once. */
export const newHookView = z.object({ hook: hookView, secret: z.string() });
export const hookChangeRequest = z.strictObject({ on: z.boolean() });
