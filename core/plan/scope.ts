import { scopeOf, standingEntries, stepIdOf, type JobState, type Scope } from '../job';
import { scopeProcedure, worksOn } from '../procedure';
import type { Task } from '../task';
import { partsOf, rolesByRoom, ROOMS, type PartRole, type Room, type Valve } from '../valve';
import type { Placed } from './order';

/** What comes off, what is reached where it stands, and the rooms that were touched by it. */
interface Reach {
  /** Ids of the strip steps that are wanted. */
  readonly strip: ReadonlySet<string>;
  readonly off: ReadonlySet<PartRole>;
  readonly reached: ReadonlySet<PartRole>;
  readonly rooms: ReadonlySet<Room>;
  /** The pressure boundary was opened: it is proved tight again. */
  readonly boundary: boolean;
  /** The rest of the valve stays together round it. */
  readonly here: boolean;
}

/** Rooms whose opening lets the process out. */
const BOUNDARY: readonly Room[] = ['gland', 'joint', 'stem', 'packing', 'closure'];

/**
 * The steps that the scope wants: what comes off to reach what it works on, the looks at what came off, its way back, and
 * the proof of what was opened. Whoever waited for a step that is left out waits for what that step waited for.
 */
export function withinScope(state: JobState, valve: Valve, steps: readonly Placed[]): Placed[] {
  const scope = scopeOf(state);
  const procedure = scopeProcedure(scope);
  if (!procedure) return [...steps];
  const reach = reachOf(scope, valve, steps, begunOn(state));
  const wanted = (step: Placed) => isWanted(step, reach, scope);
  return contracted(steps, wanted).map((step) => onlyOn(step, reach));
}

/** Steps with facts on them: what came off for a wider job goes back, whatever the job is for now. */
const begunOn = (state: JobState): ReadonlySet<string> =>
  new Set(standingEntries(state).flatMap((entry) => stepIdOf(entry) ?? []));

function reachOf(scope: Scope, valve: Valve, steps: readonly Placed[], begun: ReadonlySet<string>): Reach {
  const { features } = valve;
  const procedure = scopeProcedure(scope);
  const worked = worksOn(scope, features);
  const isHere = procedure?.inPlace?.(features) === true;
  const byId = new Map(steps.map((step) => [step.id, step]));
  const strip = new Set<string>();
  const want = (step: Placed): void => {
    if (step.draft.stage !== 'strip' || strip.has(step.id)) return;
    strip.add(step.id);
    if (isHere) return;
    for (const id of step.after) {
      const before = byId.get(id);
      if (before) want(before);
    }
  };
  const isBegun = ({ id, draft }: Placed) => draft.off.length > 0 && begun.has(id);
  for (const step of steps) if (isBegun(step) || step.draft.off.some((part) => worked.has(part))) want(step);
  const taken = new Set(steps.filter(isBegun).flatMap(({ draft }) => draft.off));
  const off = new Set(steps.flatMap(({ id, draft }) => (strip.has(id) ? draft.off : [])));
  const rooms = rolesByRoom(features);
  const touched = new Set<Room>([
    ...(isHere ? (procedure?.works(features) ?? []) : []),
    ...ROOMS.filter((room) => rooms[room].some((part) => (isHere ? taken : off).has(part))),
    ...(procedure?.sets ?? []),
  ]);
  const boundary = BOUNDARY.some((room) => touched.has(room));
  const stays = partsOf(valve).filter((part) => part.stays);
  // What stays in the body is reached once the way to it is open; a shaft or stem where its packing is out.
  const seen = [
    ...(touched.has('closure') || touched.has('joint') ? stays.map(({ role }) => role) : []),
    ...(procedure?.sees ?? []).flatMap((room) => rooms[room]),
  ];
  return { strip, off, reached: new Set([...off, ...seen]), rooms: touched, boundary, here: isHere };
}

/** What a valve must be apart for. */
const APART: readonly Task['kind'][] = ['runout', 'bluing', 'lapping'];

function isWanted(step: Placed, reach: Reach, scope: Scope): boolean {
  const { id, room, draft } = step;
  const { parts, task, off } = draft;
  const isOpen = reach.off.size > 0;
  const ofRoom = room !== undefined && reach.rooms.has(room);
  switch (draft.stage) {
    case 'receive':
    case 'diagnose':
    case 'isolate':
    case 'release':
      return true;
    case 'strip':
      // What is taken before it is lost belongs to the room that is set.
      return reach.strip.has(id) || (off.length === 0 && parts.length === 0 && ofRoom);
    case 'inspect':
    case 'repair':
      if (scope === 'quote' && draft.stage === 'repair') return false;
      if (parts.length === 0) return isOpen;
      if (reach.here && (draft.stage === 'repair' || APART.includes(task.kind)))
        return parts.every((part) => reach.off.has(part));
      return parts.every((part) => reach.reached.has(part));
    case 'rebuild':
      if (takenBy(task).some((strip) => reach.strip.has(strip))) return true;
      if (draft.on.length > 0)
        return reach.here
          ? draft.on.every((part) => reach.off.has(part))
          : draft.on.some((part) => reach.off.has(part));
      return parts.length === 0 || draft.ofTheJob ? isOpen : parts.some((part) => reach.off.has(part));
    case 'set up':
      // Marks are met where they were set.
      if (task.kind === 'marks') return reach.strip.has(task.was ?? '');
      return ofRoom || (room === undefined && parts.some((part) => reach.off.has(part)));
    case 'test':
      return isProof(scope, step, reach);
  }
}

/** The steps that took what this one compares. */
function takenBy(task: Task): string[] {
  const asks = task.kind === 'measure' ? task.asks : task.kind === 'way-round' ? task.rounds : [];
  return asks.flatMap(({ was }) => was ?? []);
}

function isProof(scope: Scope, { room, draft }: Placed, reach: Reach): boolean {
  if (scopeProcedure(scope)?.proves) return true;
  if (draft.ofTheJob) return true;
  const { task, parts } = draft;
  if (task.kind === 'pressure-test')
    return task.test === 'seat' ? reach.rooms.has('closure') : reach.boundary;
  if (room !== undefined && reach.rooms.has(room)) return true;
  return parts.length === 0
    ? room === undefined && reach.rooms.has('closure')
    : parts.some((part) => reach.reached.has(part));
}

/** Without the steps that are not wanted; their place in the order is kept by those around them. */
function contracted(steps: readonly Placed[], wanted: (step: Placed) => boolean): Placed[] {
  const kept = new Set(steps.filter(wanted).map(({ id }) => id));
  const byId = new Map(steps.map((step) => [step.id, step]));
  const known = new Map<string, readonly string[]>();
  const through = (id: string): readonly string[] => {
    if (kept.has(id)) return [id];
    const found = known.get(id);
    if (found) return found;
    known.set(id, []);
    const before = [...new Set((byId.get(id)?.after ?? []).flatMap(through))];
    known.set(id, before);
    return before;
  };
  return steps
    .filter(({ id }) => kept.has(id))
    .map((step) => ({ ...step, after: [...new Set(step.after.flatMap(through))] }));
}

/** Only what came off goes back on. */
function onlyOn(step: Placed, { off }: Reach): Placed {
  const { draft } = step;
  if (draft.on.length === 0 || draft.on.every((part) => off.has(part))) return step;
  return { ...step, draft: { ...draft, on: draft.on.filter((part) => off.has(part)) } };
}
