import { SYMPTOMS, type SymptomId } from '../diagnosis';
import type { Found, JobState } from '../job';
import type { Plan } from '../plan';
import { AS_FOUND, LEAK_WHEN_SHUT } from '../procedure';
import { si, valueIn } from '../quantity';
import { CODE_OF_STAMP, SET_TOLERANCES, toleranceAt } from '../standards';
import { STUCK, type Measure } from './measures';
import { asItCame, readIn } from './taken';

/** How a valve was found, and by what. */
export interface AsFound {
  readonly found: Found;
  readonly why: string;
}

/**
 * How a valve was found: the worst of stuck, the fault that was placed, off its set pressure, leaking, outside a limit, a
 * part past use, and dirty; good where it was tried or looked into and none of that is so. Undefined where nobody did. Source: API RP 576 for relief valves; the same elsewhere
 * (common practice).
 */
export function asFoundOf(state: JobState, current: Plan, measures: readonly Measure[]): AsFound | undefined {
  return (
    stuck(state, current) ??
    placed(state) ??
    offItsSet(state, current) ??
    leaking(state, measures) ??
    outside(measures) ??
    beyond(current) ??
    dirty(state) ??
    (wasTried(state) ? { found: 'good', why: 'nothing against it as it was found' } : undefined)
  );
}

const findings = (state: JobState) =>
  state.records['finding-made'].filter(({ body }) => asItCame(body.step.stage));

const popOf = (state: JobState) => readIn(state, asItCame)(AS_FOUND.pop, 'gauge pressure');

function stuck(state: JobState, { valve }: Plan): AsFound | undefined {
  const [pop, set] = [popOf(state), valve.plate?.setPressure];
  return pop && set && si(pop) >= STUCK * si(set)
    ? { found: 'stuck', why: 'not open at 150 % of its set pressure' }
    : undefined;
}

/** What a fault that was placed says of how the valve was found. */
const OF_SYMPTOM: Readonly<Record<SymptomId, Exclude<Found, 'good'>>> = {
  'half travel': 'outside',
  'short of shut': 'outside',
  'passes when shut': 'leaking',
  sluggish: 'outside',
  'no motion': 'stuck',
  hunting: 'outside',
  'gland leaks': 'leaking',
  creeps: 'outside',
  'dump stays open': 'outside',
  'solenoid stuck': 'stuck',
  weeps: 'leaking',
};

function placed(state: JobState): AsFound | undefined {
  const symptom = state.records['fault-placed'].at(-1)?.body.symptom;
  return symptom && { found: OF_SYMPTOM[symptom], why: SYMPTOMS[symptom].name.toLowerCase() };
}

/** A part that is renewed for what was found on it was beyond its limit. */
function beyond({ calls }: Plan): AsFound | undefined {
  const call = [...calls.values()].find(
    ({ verdict, because, reason }) =>
      (verdict === 'renew' || verdict === 'condemn') &&
      because.length > 0 &&
      reason.code !== 'renewed as a set',
  );
  return call && { found: 'outside', why: `${call.part}: past use` };
}

function offItsSet(state: JobState, { valve }: Plan): AsFound | undefined {
  const pop = popOf(state);
  const { setPressure, stamp } = valve.plate ?? {};
  if (!pop || !setPressure || !stamp) return undefined;
  const [found, set] = [valueIn(pop, 'psig'), valueIn(setPressure, 'psig')];
  const { psi, words } = toleranceAt(SET_TOLERANCES[CODE_OF_STAMP[stamp]], set);
  if (Math.abs(found - set) <= psi * (1 + 1e-9)) return undefined;
  return { found: found > set ? 'high' : 'low', why: `first pop more than ${words} off its set pressure` };
}

/** Simmering below nine tenths of its set pressure, or leaking more than its seat test allows. */
const SIMMER = 0.9;

function leaking(state: JobState, measures: readonly Measure[]): AsFound | undefined {
  const simmer = readIn(state, asItCame)(AS_FOUND.simmer, 'gauge pressure');
  const pop = popOf(state);
  if (simmer && pop && si(simmer) < SIMMER * si(pop))
    return { found: 'leaking', why: 'leaked below nine tenths of where it popped' };
  const over = overLimit(measures).find(({ what }) => what === LEAK_WHEN_SHUT);
  return over && { found: 'leaking', why: `${over.what}: over its limit` };
}

const overLimit = (measures: readonly Measure[]): Measure[] =>
  measures.filter(
    ({ kind, found, limit }) => kind === 'put back' && found && si(found) > si(limit) * (1 + 1e-9),
  );

/** What is put back at every job, and was found further off than it may be. */
function outside(measures: readonly Measure[]): AsFound | undefined {
  const [over] = overLimit(measures);
  return over && { found: 'outside', why: `${over.what}: outside its limit` };
}

const dirty = (state: JobState): AsFound | undefined => {
  const entry = findings(state).find(({ body }) => DIRTY.includes(body.finding.kind));
  return entry && { found: 'dirty', why: `${entry.body.part}: ${entry.body.finding.kind}` };
};
const DIRTY: readonly string[] = ['blocked', 'corroded', 'stuck'];

/** Read as it came, or at least looked into. */
const wasTried = (state: JobState): boolean =>
  findings(state).length > 0 || state.records.measured.some(({ body }) => body.step.stage === 'diagnose');
