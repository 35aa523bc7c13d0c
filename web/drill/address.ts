import { ticketSchema, type Ticket } from '@dusk-wren/core/drill';
import type { LocationQuery, RouteLocationRaw } from 'vue-router';

/** Where an exercise is done: its ticket stands in the address, so that a reload is the same exercise. */
export const addressOf = ({ drill, level, seed, construction }: Ticket): RouteLocationRaw => ({
  path: `/drill/${drill}`,
  query: { on: construction, level: String(level), seed: String(seed) },
});

/** One that a teacher sent is found by its task: what was put into it stands in no address. */
export const addressOfTask = (id: string): RouteLocationRaw => ({ path: `/drill/sent/${id}` });

/** The ticket in an address; nothing where it is none. */
export const ticketIn = (drill: string, query: LocationQuery): Ticket | undefined =>
  ticketSchema.safeParse({
    drill,
    construction: query['on'],
    level: Number(query['level']),
    seed: Number(query['seed']),
  }).data;

/** A seed that nobody has had. */
export const freshSeed = (): number => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
