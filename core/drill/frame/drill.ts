import { z } from 'zod';
import { issuesFromZod, ok, refuse, type Result } from '../../problem';
import type { Phrase } from '../../quantity';
import { chance, seedFrom, type Chance } from '../../simulation';
import type { Valve } from '../../valve';
import { hintsAt, type DrillId, type Level } from './ids';
import { marksOf, type MarkLine, type Marks } from './marks';
import { valveOfDrill, type Ticket } from './ticket';

/** What a move came to: said to whoever made it. */
export interface Said {
  readonly right: boolean;
  readonly words: Phrase;
}

/** What an exercise is made from. */
export interface Asked<Planted> {
  readonly valve: Valve;
  readonly level: Level;
  readonly dice: Chance;
  readonly planted: Planted | undefined;
}

/** One of the ten kinds of exercise: made from chance, marked by computation. */
export interface DrillKind<Exercise, Move, Planted> {
  readonly id: DrillId;
  readonly title: string;
  readonly teaches: string;
  /** About how long one takes, minutes. */
  readonly minutes: number;
  /** Whether it makes sense on a valve. */
  readonly of: (valve: Valve) => boolean;
  readonly move: z.ZodType<Move>;
  /** What a teacher may plant in it; nothing where chance alone makes it. */
  readonly planted?: z.ZodType<Planted>;
  readonly make: (asked: Asked<Planted>) => Exercise;
  /** What the last of these moves came to; nothing where it says itself. */
  readonly said: (exercise: Exercise, moves: readonly Move[]) => Said | undefined;
  /** Whether nothing more can be done. */
  readonly ended: (exercise: Exercise, moves: readonly Move[]) => boolean;
  readonly mark: (exercise: Exercise, moves: readonly Move[]) => readonly MarkLine[];
  /** The moves of somebody who knows. */
  readonly best: (exercise: Exercise) => readonly Move[];
  /** What somebody who knows would say to whoever stands there. */
  readonly hint: (exercise: Exercise, moves: readonly Move[]) => Phrase;
}

/** An exercise on somebody's screen, whatever its kind. */
export interface Sitting {
  readonly hints: number;
  readonly best: readonly unknown[];
  /** What the last move came to, what somebody who knows would say now, and whether it is over. */
  readonly said: (moves: readonly unknown[]) => Said | undefined;
  readonly hint: (moves: readonly unknown[]) => Phrase;
  readonly ended: (moves: readonly unknown[]) => boolean;
  readonly mark: (moves: readonly unknown[], hints: number) => Result<Marks>;
}

/** A kind as it is kept among the others. */
export interface Drill extends Pick<
  DrillKind<unknown, unknown, unknown>,
  'id' | 'title' | 'teaches' | 'minutes' | 'of'
> {
  readonly sit: (ticket: Ticket) => Result<Sitting>;
}

const unreadable = (error: z.ZodError) =>
  refuse({ code: 'input.invalid' as const, issues: issuesFromZod(error) });

/** The most moves that are marked: who needs more has lost the thread. */
export const MOST_MOVES = 2000;

/** The exercise of a ticket. Errors: something planted that this kind cannot read. */
export function exerciseOf<Exercise, Move, Planted>(
  kind: DrillKind<Exercise, Move, Planted>,
  ticket: Ticket,
): Result<Exercise> {
  const { drill, seed, level, construction, planted } = ticket;
  const valve = valveOfDrill(ticket);
  if (!kind.of(valve)) return refuse({ code: 'drill.no-sense', drill: kind.title, construction });
  const dice = chance(seedFrom(`${drill} ${construction} ${level} ${seed}`));
  if (planted === undefined) return ok(kind.make({ valve, level, dice, planted: undefined }));
  if (!kind.planted) return refuse({ code: 'drill.not-planted', drill: kind.title });
  const read = kind.planted.safeParse(planted);
  if (!read.success) return unreadable(read.error);
  return ok(kind.make({ valve, level, dice, planted: read.data }));
}

/** The kind among the others: its own types stay behind its door, moves are read as they come in. */
export function drillOf<Exercise, Move, Planted>(kind: DrillKind<Exercise, Move, Planted>): Drill {
  const moves = z.array(kind.move).max(MOST_MOVES);
  const { id, title, teaches, minutes, of } = kind;
  // What was kept by an older version and cannot be read is a game begun anew.
  const read = (given: readonly unknown[]): Move[] => moves.safeParse(given).data ?? [];
  return {
    ...{ id, title, teaches, minutes, of },
    sit: (ticket) => {
      const made = exerciseOf(kind, ticket);
      if (!made.ok) return made;
      const exercise = made.value;
      return ok({
        hints: hintsAt(ticket.level),
        best: kind.best(exercise),
        said: (given) => kind.said(exercise, read(given)),
        hint: (given) => kind.hint(exercise, read(given)),
        ended: (given) => kind.ended(exercise, read(given)),
        mark: (given, hints) => {
          const all = moves.safeParse(given);
          return all.success ? ok(marksOf(kind.mark(exercise, all.data), hints)) : unreadable(all.error);
        },
      });
    },
  };
}
