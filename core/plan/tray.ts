import { EMPTY_JOB, type JobState } from '../job';
import { must } from '../problem';
import type { PartRole } from '../valve';
import { plan, type PlannedStep } from './plan';

/** The order parts come off when the valve is opened first, as these steps take them. */
export const stripOrder = (steps: readonly Pick<PlannedStep, 'off' | 'opening'>[]): PartRole[] =>
  steps.filter(({ opening }) => opening === 1).flatMap(({ off }) => off);

type Received = Pick<JobState['records'], 'job-opened' | 'valve-identified'>;

/** By the entry that opened the job: what was learnt of the valve by then, and the places that follow. */
const known = new WeakMap<object, { learnt: Received['valve-identified']; places: Map<PartRole, number> }>();

/**
 * Each part's place on the tray: the order in which the valve, as it was received, comes apart. It stays for the whole
 * job, in whatever order steps are done and whatever is found or taken from the shelf meanwhile, for parts lie there.
 * What comes off only because of a finding lies behind all others.
 */
export function trayPlaces(state: JobState, steps: readonly PlannedStep[]): ReadonlyMap<PartRole, number> {
  const places = new Map(placesAsReceived(state));
  for (const { off } of steps)
    for (const part of off) if (!places.has(part)) places.set(part, places.size + 1);
  return places;
}

function placesAsReceived({ records }: JobState): Map<PartRole, number> {
  const [opening] = records['job-opened'];
  if (!opening) return new Map();
  const learnt = records['valve-identified'];
  const before = known.get(opening);
  if (before?.learnt === learnt) return before.places;
  const asReceived: JobState = {
    ...EMPTY_JOB,
    version: opening.seq,
    records: { ...EMPTY_JOB.records, 'job-opened': [opening], 'valve-identified': learnt },
  };
  const order = stripOrder(must(plan(asReceived))?.steps ?? []);
  const places = new Map([...new Set(order)].map((part, i) => [part, i + 1]));
  known.set(opening, { learnt, places });
  return places;
}
