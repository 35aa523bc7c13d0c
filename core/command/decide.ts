import { z } from 'zod';
import { handle, issuesFromZod, ok, refuse, type Result } from '../problem';
import {
  apply,
  entrySchema,
  formatOf,
  openingOf,
  SCOPE_WORDS,
  type BodyOf,
  type CommandId,
  type Entry,
  type Fact,
  type JobState,
  type PersonStamp,
} from '../job';
import { plan } from '../plan';
import { reachedOutOfLine, scopesOf } from '../procedure';
import type { MakersSheet } from '../valve';
import type { Edge } from './edge';
import { COMMANDS, commandSchema, isCommandKind, type Command } from './registry';

/** Reads a command as it was sent. */
export function readCommand(raw: unknown): Result<Command> {
  const outline = z.looseObject({ kind: z.string() }).safeParse(raw);
  if (!outline.success)
    return refuse({ code: 'command.invalid', kind: '', issues: issuesFromZod(outline.error) });
  const { kind } = outline.data;
  if (!isCommandKind(kind)) return refuse({ code: 'command.unknown', kind });
  const read = commandSchema.safeParse(raw);
  return read.success
    ? ok(read.data)
    : refuse({ code: 'command.invalid', kind, issues: issuesFromZod(read.error) });
}

/** The facts that a command causes now, or why not. The browser asks for an instant answer, the server has the last word. */
export function decide(state: JobState, command: Command, edge: Edge): Result<Fact[]> {
  if (!openingOf(state)) return refuse({ code: 'job.not-open' });
  if (state.records['certificate-signed'].length > 0) return refuse({ code: 'job.released' });
  const planned = plan(state);
  if (!planned.ok) return planned;
  if (!planned.value) return refuse({ code: 'job.not-open' });
  return handle(COMMANDS[command.kind].decide, command.body, { ...edge, state, plan: planned.value });
}

export interface Stamp {
  readonly commandId: CommandId;
  readonly by: PersonStamp;
  readonly at: string;
  /** When it came, where `at` is what its device said. */
  readonly receivedAt?: string;
}

/**
 * Facts as entries of the log, numbered on from the state, and the state with them folded in. Bodies go through their
 * own schemas once more, so that what is stored can always be read back.
 */
export function record(
  state: JobState,
  facts: readonly Fact[],
  stamp: Stamp,
): Result<{ entries: Entry[]; state: JobState }> {
  const entries: Entry[] = [];
  let next = state;
  for (const fact of facts) {
    const entry = entrySchema.parse({
      ...stamp,
      seq: next.version + 1,
      kind: fact.kind,
      format: formatOf(fact.kind),
      body: fact.body,
    });
    const applied = apply(next, entry);
    if (!applied.ok) return applied;
    next = applied.value;
    entries.push(entry);
  }
  return ok({ entries, state: next });
}

/**
 * The first facts of a job, the maker's sheet of its model among them where one is on file: anybody signed in may receive
 * a valve, and it is with them until assigned on. Refused where the valve is not in for such a job, or not in such a place.
 */
export function openJob(
  body: BodyOf<'job-opened'>,
  person: PersonStamp,
  sheet?: MakersSheet,
): Result<Fact[]> {
  const {
    place,
    scope = 'overhaul',
    valve: { features },
  } = body;
  const no = (field: keyof typeof body, why: string): Result<never> =>
    refuse({ code: 'input.conflict', fields: [field], why });
  if (!scopesOf(features).includes(scope))
    return no('scope', `Nothing of this valve is done by itself as: ${SCOPE_WORDS[scope]}.`);
  const why = place === 'in line' && reachedOutOfLine(features, scope);
  if (why) return no('place', `For this job it leaves its line: ${why}.`);
  return ok([
    { kind: 'job-opened', body },
    { kind: 'person-assigned', body: { person } },
    ...(sheet ? [{ kind: 'makers-sheet-filed' as const, body: { sheet } }] : []),
  ]);
}
