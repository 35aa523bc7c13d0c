import type { AttemptDone } from '@dusk-wren/contract/drills';
import { DRILLS } from '@dusk-wren/core/drill';
import { toCsv } from './csv';

const HEADING = [
  'person',
  'done at',
  'subject',
  'drill',
  'construction',
  'level',
  'score %',
  'hints',
  'seconds',
] as const;

export interface DoneBy {
  readonly name: string;
  readonly done: readonly AttemptDone[];
}

/** Exercises as a table, a row each. */
export const drillsCsv = (people: readonly DoneBy[]): string =>
  toCsv(
    HEADING,
    people.flatMap(({ name, done }) =>
      done.map(({ at, drill, construction, level, score, hints, seconds }) => [
        ...[name, at, DRILLS[drill].title, drill, construction, level],
        ...[Math.round(score * 100), hints, Math.round(seconds)],
      ]),
    ),
  );
