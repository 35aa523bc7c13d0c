import { siteOf } from '../calls';
import { counts, onStep, openingOf, placeOf, type EntryOf, type JobState, type Stage } from '../job';
import { FRAGMENTS, inService, spelt, type Context, type Fragment, type Opening } from '../procedure';
import { outcomeOf } from '../task';
import { asksOf, partsOf, type Valve } from '../valve';
import { proposed, type Proposed } from './order';

/** What falls away on a valve that is beyond repair. */
const NOT_ON_CONDEMNED: readonly Stage[] = ['repair', 'rebuild', 'set up', 'test'];

interface Openings {
  readonly steps: readonly Proposed[];
  /** How many times the valve has been opened, the present time included. */
  readonly openings: number;
}

/** The steps of the first opening, and of one more for each counted seat test over its allowance. */
export function stepsOfAllOpenings(
  state: JobState,
  valve: Valve,
  calls: Context['calls'],
  condemned: boolean,
): Openings {
  const fragments = FRAGMENTS.filter(
    ({ when, of }) => (when?.(valve.features) ?? true) && of !== (condemned ? 'sound' : 'condemned'),
  );
  const steps: Proposed[] = [];
  for (let opening: Opening = { number: 1 }; ;) {
    const { number } = opening;
    const context = contextFor(state, valve, calls, opening);
    const composed = (which: readonly Fragment['openings'][]) =>
      fragments
        .filter(({ openings }) => which.includes(openings))
        .flatMap((fragment) => fragment.compose(context))
        .filter(
          ({ stage, once }) => !(once && number > 1) && !(condemned && NOT_ON_CONDEMNED.includes(stage)),
        )
        .map((draft) => inService(valve, draft));
    const own = composed(number === 1 ? ['first', 'every'] : ['later', 'every']).map((draft) =>
      proposed(draft, number),
    );
    steps.push(...own);
    const failed = failedSeatTest(state, own);
    if (!failed) {
      steps.push(
        ...composed(['last']).map((draft) => proposed(draft, number)),
        ...composed(['afterwards']).map((draft) => proposed(draft, number, 1)),
      );
      return { steps, openings: number };
    }
    opening = { number: number + 1, failed };
  }
}

function failedSeatTest(state: JobState, steps: readonly Proposed[]): EntryOf<'pressure-tested'> | undefined {
  for (const { id, draft } of steps) {
    const { task } = draft;
    if (task.kind !== 'pressure-test' || task.test !== 'seat') continue;
    const test = onStep(state, 'pressure-tested', id).findLast(({ body }) => counts(body.readBy));
    if (test && outcomeOf(test.body, task) === 'leaks') return test;
  }
  return undefined;
}

function contextFor(state: JobState, valve: Valve, calls: Context['calls'], opening: Opening): Context {
  const opened = openingOf(state);
  const size = valve.nps ?? 2;
  const roles = new Set(partsOf(valve).map(({ role }) => role));
  return {
    valve,
    features: valve.features,
    has: (part) => roles.has(part),
    site: siteOf(state),
    state,
    place: placeOf(state),
    calls,
    asks: asksOf(opened?.body.valve ?? valve),
    opening,
    idOf: (name) => spelt(name, opening.number),
    minutes: (small) => Math.round(small * sizeFactor(size)),
  };
}

/** Larger valves take longer: about twice the time from small hand-size to NPS 12 (common practice). */
const sizeFactor = (nps: number): number => Math.min(2.4, Math.max(0.9, 0.8 + nps * 0.1));
