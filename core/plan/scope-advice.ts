import { CAUSES, type CauseId } from '../diagnosis';
import { scopeOf, type JobState, type Scope } from '../job';
import { scopeProcedure, scopesOf, worksOn } from '../procedure';
import { partsOf, rolesByRoom, ROOMS, type Features, type PartRole, type Room, type Valve } from '../valve';
import type { Plan } from './plan';

/** Another scope that fits better what was found: smaller by the fault that was placed, larger by a part found bad. */
export interface ScopeAdvice {
  readonly to: Scope;
  readonly why: string;
}

/** The smallest job that cures each cause (common practice; handbook part 6). */
const CURED_BY: Readonly<Record<CauseId, Scope>> = {
  'supply low': 'check',
  'signal lost': 'check',
  'flapper dirty': 'positioner',
  'relay faulty': 'positioner',
  'gain too high': 'set-up',
  'positioner out of set': 'set-up',
  'trip solenoid shut': 'check',
  'tubing leaks': 'check',
  'diaphragm torn': 'actuator',
  'bench set wrong': 'set-up',
  'piston ring leaks': 'actuator',
  'cylinder seals leak': 'actuator',
  'lock engaged': 'check',
  'coupled short': 'actuator',
  'closed stop out': 'set-up',
  'pin sheared': 'trim',
  'packing too tight': 'repack',
  'bottom guide blocked': 'trim',
  'guides galled': 'trim',
  'bushing worn': 'trim',
  'insert stiff': 'trim',
  'sealant used up': 'check',
  'soft seat cut': 'trim',
  'balance seal leaks': 'trim',
  'seat gasket leaks': 'trim',
  debris: 'trim',
  'seat worn': 'trim',
  'oversize or process': 'check',
  'packing dry': 'check',
  'gland slack': 'check',
  'packing used up': 'repack',
  'stem scored': 'trim',
  'weight moved': 'check',
  'pot blocked': 'actuator',
  'hole blocked': 'actuator',
  'equalising orifice blocked': 'overhaul',
  'pilot orifice dirty': 'overhaul',
  'pilot diaphragm torn': 'overhaul',
  'armature stuck': 'overhaul',
  'runs near set': 'check',
  misaligned: 'overhaul',
  'something else': 'overhaul',
};

/** The smallest scope that cures a cause on this valve: an overhaul where it is not a job by itself. */
export function smallestFor(cause: CauseId, features: Features): Scope {
  const scope = CURED_BY[cause];
  return scopesOf(features).includes(scope) ? scope : 'overhaul';
}

/** Whether a job of this scope puts the cause right as it goes: it works on all that the smallest one for it works on. */
export function cures(scope: Scope, cause: CauseId, features: Features): boolean {
  if (scope === 'overhaul') return true;
  const wanted = worksOn(smallestFor(cause, features), features);
  const worked = worksOn(scope, features);
  return wanted.size > 0 && [...wanted].every((part) => worked.has(part));
}

/** From the least that is opened to the most. */
const WIDER: readonly Scope[] = ['repack', 'positioner', 'actuator', 'trim', 'overhaul'];

/** The smallest scope that works on all that was found bad, and on all that the job is about already. */
function widerFor(scope: Scope, features: Features, bad: readonly PartRole[]): Scope {
  const known = scopesOf(features);
  const all = new Set([...worksOn(scope, features), ...bad]);
  return (
    WIDER.find((wider) => {
      const worked = worksOn(wider, features);
      return known.includes(wider) && [...all].every((part) => worked.has(part));
    }) ?? 'overhaul'
  );
}

/** Advice on the scope, while nobody has said otherwise since; undefined where it stands as it should. */
export function scopeAdvice(state: JobState, current: Plan): ScopeAdvice | undefined {
  const scope = scopeOf(state);
  const { features } = current.valve;
  const worked = worksOn(scope, features);
  const bad = [...current.calls.values()].filter(
    ({ part, verdict, because }) => verdict !== 'fit' && because.length > 0 && !worked.has(part),
  );
  if (bad.length > 0)
    return {
      to: widerFor(
        scope,
        features,
        bad.map(({ part }) => part),
      ),
      why: `found: ${bad.map(({ part, verdict }) => `${part}, ${verdict}`).join('; ')}`,
    };
  const placed = state.records['fault-placed'].at(-1);
  const said = state.records['scope-changed'].at(-1);
  if (!placed || (said && said.seq > placed.seq)) return undefined;
  const to = smallestFor(placed.body.cause, features);
  return to === scope
    ? undefined
    : { to, why: `fault placed: ${CAUSES[placed.body.cause].name.toLowerCase()}` };
}

const ROOM_WORDS: Readonly<Record<Room, string>> = {
  positioner: 'positioner and relay',
  mover: 'actuator',
  gland: 'gland',
  joint: 'joint',
  stem: 'stem',
  packing: 'packing',
  closure: 'trim and seat',
  body: 'body',
};

/** What a scope leaves unlooked at, by the names of its rooms; whatever of a room has nothing to look at is not counted. */
export function leftUnlooked(scope: Scope, valve: Valve): string[] {
  const rooms = rolesByRoom(valve.features);
  const looked = worksOn(scope, valve.features);
  const judged = new Set(partsOf(valve).flatMap(({ role, policy }) => (policy === 'keep' ? [] : [role])));
  const seen = scopeProcedure(scope)?.sees ?? [];
  return ROOMS.filter(
    (room) => !seen.includes(room) && rooms[room].some((part) => judged.has(part) && !looked.has(part)),
  ).map((room) => ROOM_WORDS[room]);
}
