import type { Problem } from '@dusk-wren/core/problem';
import { z } from 'zod';
import type { InstrumentTrouble } from './instrument-trouble';

/** Refusals that only a server gives. */
export type HostProblem =
  | { code: 'request.invalid'; issues: { path: string; message: string }[] }
  | { code: 'request.too-large'; limit: string }
  | { code: 'request.not-json' }
  | { code: 'request.too-many'; retryAfterSeconds: number }
  | { code: 'photo.unreadable'; why: string }
  | { code: 'not-found'; what: string }
  | { code: 'sign-in.needed' }
  | { code: 'sign-in.wrong' }
  | { code: 'csrf.missing' }
  | { code: 'origin.other'; origin: string }
  | { code: 'job.stale'; version: number }
  | { code: 'command.other-answer' }
  | { code: 'person.other'; signedIn: string }
  | { code: 'witness.own'; person: string }
  | { code: 'pin.needed' }
  | { code: 'pin.wrong' }
  | { code: 'pin.too-short'; role: string; least: number }
  | { code: 'pin.to-choose'; least: number }
  | { code: 'pin.code-over' }
  | { code: 'person.last-lead'; name: string }
  | { code: 'name.taken'; name: string }
  | { code: 'badge.taken'; name: string }
  | { code: 'badge.unknown' }
  | { code: 'second.needed' }
  | { code: 'second.wrong' }
  | { code: 'second.own-screen'; name: string }
  | { code: 'second.to-set-up'; secret: string; address: string }
  | { code: 'rules.changed'; customer: string; version: number }
  | { code: 'sheet.changed'; model: string; revision: string }
  | { code: 'backup.failed'; why: string }
  | { code: 'first-lead.wrong-code' }
  | { code: 'first-lead.somebody-is-here' }
  | { code: 'import.exists'; tag: string }
  | { code: 'import.person'; name: string; here: string }
  | { code: 'import.valve'; tag: string }
  | { code: 'import.moment'; seq: number; at: string }
  | { code: 'store.changed'; by: string; at: string }
  | { code: 'setup.changed'; by: string; what: string }
  | { code: 'valve.job-open'; tag: string }
  | { code: 'valve.scrapped'; tag: string }
  | { code: 'token.wrong' }
  | { code: 'token.scope'; wants: string }
  | { code: 'order.settled'; number: string; state: string }
  | { code: 'hook.host'; host: string }
  | { code: 'week.impossible'; why: string }
  | { code: 'week.changed' }
  | { code: 'week.no-better' }
  | { code: 'instrument.trouble'; trouble: InstrumentTrouble }
  | { code: 'server.failed'; requestId: string }
  | { code: 'database.away' }
  | { code: 'database.unwritable'; why: 'full' | 'read only' }
  | { code: 'connection.lost' }
  | { code: 'answer.unreadable'; status: number };

export type AnyProblem = Problem | HostProblem;
export type AnyProblemCode = AnyProblem['code'];

/** The body of every answer that is not a success. `text` is the problem in words. */
export const problemBody = z.object({
  problem: z.looseObject({ code: z.string() }),
  text: z.string(),
});
