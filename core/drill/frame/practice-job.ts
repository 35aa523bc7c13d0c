import { openJob, record } from '../../command';
import { commandId, EMPTY_JOB, personId, type PersonStamp } from '../../job';
import { plan, type Plan } from '../../plan';
import { must } from '../../problem';
import { USUAL_RULES } from '../../inspection';
import type { ConstructionId, Valve } from '../../valve';

const NOBODY: PersonStamp = {
  id: personId.parse('00000000-0000-4000-8000-000000000000'),
  name: 'drill',
  role: 'technician',
};
const STAMP = {
  commandId: commandId.parse('00000000-0000-4000-8000-000000000000'),
  by: NOBODY,
  at: '2000-01-01T00:00:00.000Z',
};

const made = new Map<ConstructionId, Plan>();

/** The plan of a valve on the bench as nobody has touched it: it is in no log and is never sent anywhere. */
export function planToPractise(valve: Valve): Plan {
  const known = made.get(valve.construction);
  if (known) return known;
  const facts = must(openJob({ valve, site: USUAL_RULES, reported: '', place: 'bare' }, NOBODY));
  const { state } = must(record(EMPTY_JOB, facts, STAMP));
  const planned = must(plan(state));
  if (!planned) throw new Error('a job that is opened has a plan');
  made.set(valve.construction, planned);
  return planned;
}
