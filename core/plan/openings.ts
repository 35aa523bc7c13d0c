import { siteOf } from '../calls';
import { counts, onStep, openingOf, placeOf, scopeOf, type JobState, type Stage } from '../job';
import {
  finding,
  FRAGMENTS,
  inService,
  spelt,
  worksOn,
  type Context,
  type Fragment,
  type Opening,
  type Outcome,
  type Reopened,
} from '../procedure';
import { outcomeOf, reopenedBy } from '../task';
import { asksOf, partsOf, type Valve } from '../valve';
import { proposed, type Proposed } from './order';

/** What falls away by how it leaves. */
const LEFT_OUT: Readonly<Record<Outcome, readonly Stage[]>> = {
  sound: [],
  condemned: ['repair', 'rebuild', 'set up', 'test'],
  quoted: ['repair', 'rebuild', 'set up', 'test'],
};

interface Openings {
  readonly steps: readonly Proposed[];
  /** Each time that the valve has been opened, the present one last. */
  readonly openings: readonly Opening[];
}

/** The steps of the first opening, and of one more for each counted seat test over its allowance, and each leak that opens it. */
export function stepsOfAllOpenings(
  state: JobState,
  valve: Valve,
  calls: Context['calls'],
  condemned: boolean,
): Openings {
  const outcome: Outcome = condemned ? 'condemned' : scopeOf(state) === 'quote' ? 'quoted' : 'sound';
  const leftOut = LEFT_OUT[outcome];
  const fragments = FRAGMENTS.filter(
    ({ when, of }) => (when?.(valve.features) ?? true) && (of?.includes(outcome) ?? true),
  );
  const steps: Proposed[] = [];
  const openings: Opening[] = [];
  for (let opening: Opening = { number: 1 }; ;) {
    const { number } = opening;
    const context = contextFor(state, valve, calls, opening);
    const composed = (which: readonly Fragment['openings'][], named = number) =>
      fragments
        .filter(({ openings }) => which.includes(openings))
        .flatMap((fragment) =>
          fragment
            .compose(context)
            .filter(({ stage, once }) => !(once && number > 1) && !leftOut.includes(stage))
            .map((draft) => proposed(inService(valve, placeOf(state), draft), number, named, fragment.room)),
        );
    const own = composed(number === 1 ? ['first', 'every'] : ['later', 'every']);
    const again = openedAgain(state, own);
    // What was not tested before it was opened is tested once it is shut.
    const begun = ({ id, draft }: Proposed) =>
      draft.stage !== 'test' || again?.only === undefined || isBegun(state, id);
    steps.push(...own.filter(begun));
    openings.push(opening);
    if (!again) {
      steps.push(...composed(['last']), ...composed(['afterwards'], 1));
      return { steps, openings };
    }
    opening = { number: number + 1, again };
  }
}

const isBegun = (state: JobState, id: string): boolean =>
  onStep(state, 'pressure-tested', id).length > 0 || onStep(state, 'step-done', id).length > 0;

/** The test that opens it again: a seat over its allowance, or a leak that was traced to what must be opened for it. */
function openedAgain(state: JobState, steps: readonly Proposed[]): Reopened | undefined {
  for (const { id, draft } of steps) {
    const { task } = draft;
    if (task.kind !== 'pressure-test') continue;
    const traced = onStep(state, 'leak-traced', id);
    const only = reopenedBy(traced.map(({ body }) => body.to));
    const last = traced.at(-1);
    if (only && last)
      return { because: finding(`the ${task.test} test leaked at the ${last.body.to}`, last.seq), only };
    if (task.test !== 'seat') continue;
    const test = onStep(state, 'pressure-tested', id).findLast(({ body }) => counts(body.readBy));
    if (test && outcomeOf(test.body, task) === 'leaks')
      return { because: finding('the seat test was over its allowance', test.seq) };
  }
  return undefined;
}

function contextFor(state: JobState, valve: Valve, calls: Context['calls'], opening: Opening): Context {
  const opened = openingOf(state);
  const size = valve.nps ?? 2;
  const roles = new Set(partsOf(valve).map(({ role }) => role));
  const scope = scopeOf(state);
  const worked = worksOn(scope, valve.features);
  return {
    valve,
    features: valve.features,
    has: (part) => roles.has(part),
    works: (part) => worked.has(part),
    site: siteOf(state),
    state,
    place: placeOf(state),
    scope,
    calls,
    asks: asksOf(opened?.body.valve ?? valve),
    opening,
    idOf: (name) => spelt(name, opening.number),
    minutes: (small) => Math.round(small * sizeFactor(size)),
  };
}

/** Larger valves take longer: about twice the time from small hand-size to NPS 12 (common practice). */
const sizeFactor = (nps: number): number => Math.min(2.4, Math.max(0.9, 0.8 + nps * 0.1));
