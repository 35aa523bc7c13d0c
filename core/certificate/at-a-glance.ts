import type { Plan } from '../plan';
import type { UnitSystem } from '../quantity';
import type { Entry, JobState } from '../job';
import { evidence } from './evidence';
import { pairs, renewedParts } from './found-and-left';
import type { TestLine } from './pressure-tests';
import { strokeSheets } from './stroke-sheets';

/** A figure of set-up or test: as it was found, where it was taken then, as it is left, and what it had to be. */
export interface GlanceFigure {
  readonly what: string;
  readonly found?: string;
  readonly left: string;
  readonly limit?: string;
  readonly meets: boolean;
}

/** What somebody wants to know of a job who has half a minute. */
export interface Glance {
  readonly figures: readonly GlanceFigure[];
  /** Figures that the first page has no room for. */
  readonly more: number;
  readonly tests: readonly Pick<TestLine, 'title' | 'pressure' | 'leak' | 'allowed' | 'passed'>[];
  readonly renewed: readonly string[];
  readonly reworked: readonly string[];
}

const MOST_FIGURES = 14;

/** The first page of a certificate. */
export function atAGlance(state: JobState, log: readonly Entry[], current: Plan, system: UnitSystem): Glance {
  const seen = evidence(state, log, current, system);
  const before = new Map(pairs(state, current, system).map(({ what, found }) => [what, found]));
  for (const { asFound, verdicts } of strokeSheets(state, current, system))
    if (asFound) for (const { label, found } of verdicts) before.set(`stroke test, ${label}`, found);
  const contacts = seen.rings.flatMap(({ contact, found, left }): GlanceFigure[] =>
    left
      ? [
          {
            what: `contact, ${contact}`,
            ...(found ? { found: found.words } : {}),
            left: left.words,
            limit: 'all round',
            meets: left.passes,
          },
        ]
      : [],
  );
  const judged = seen.figures.map(({ what, value, limit, meets }): GlanceFigure => {
    const found = before.get(what);
    return { what, left: value, meets, ...(found ? { found } : {}), ...(limit ? { limit } : {}) };
  });
  const figures = [...contacts, ...judged];
  // The last run of each test says how it is left.
  const tests = new Map(seen.tests.map((test) => [test.title, test]));
  return {
    figures: figures.slice(0, MOST_FIGURES),
    more: Math.max(0, figures.length - MOST_FIGURES),
    tests: [...tests.values()],
    renewed: renewedParts(current),
    reworked: [...current.calls.values()].flatMap(({ verdict, part, method }) =>
      verdict === 'rework' ? [method === undefined ? part : `${part}: ${method}`] : [],
    ),
  };
}
