import { scopeOf, standingEntries, stepIdOf, type JobState } from '../job';
import { scopeProcedure, worksOn, type Opening } from '../procedure';
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
  const { features } = valve;
  const reach = reachOf(
    {
      worked: worksOn(scope, features),
      inPlace: procedure.inPlace?.(features) === true ? procedure.works(features) : undefined,
      sees: procedure.sees ?? [],
      sets: procedure.sets ?? [],
    },
    valve,
    steps,
    begunOn(state),
  );
  const cut: Cut = { reach, proves: procedure.proves === true, quotes: scope === 'quote' };
  return contracted(steps, (step) => isWanted(step, cut)).map((step) => onlyOn(step, reach));
}

/**
 * An opening that is for one room alone is cut to what that room asks: what is in its way comes off and goes back, and what
 * is not proved yet is proved.
 */
export function withinOpenings(
  state: JobState,
  valve: Valve,
  steps: readonly Placed[],
  openings: readonly Opening[],
): Placed[] {
  return openings.reduce<Placed[]>(
    (left, { number, again }) => (again?.only ? withinRoom(state, valve, left, number, again.only) : left),
    [...steps],
  );
}

function withinRoom(
  state: JobState,
  valve: Valve,
  steps: readonly Placed[],
  opening: number,
  room: Room,
): Placed[] {
  const own = steps.filter((step) => step.opening === opening);
  const asked = {
    worked: new Set(rolesByRoom(valve.features)[room]),
    inPlace: undefined,
    sees: [room],
    sets: [],
  };
  const reach = reachOf(asked, valve, own, begunOn(state));
  if (reach.strip.size === 0) return [...steps];
  const cut: Cut = { reach, proves: true, quotes: false };
  const isOwn = (step: Placed) => step.opening === opening;
  // What lets the pressure out is no room's; the call on every part was seen before, and stands.
  const wanted = (step: Placed) => {
    if (!isOwn(step)) return true;
    const { stage, task, off, parts } = step.draft;
    if (stage === 'repair' && task.kind === 'hold') return false;
    return (stage === 'strip' && off.length === 0 && parts.length === 0) || isWanted(step, cut);
  };
  return contracted(steps, wanted).map((step) => (isOwn(step) ? onlyOn(step, reach) : step));
}

/** What a cut keeps: what is reached, whether everything is proved, and whether it ends with a quote. */
interface Cut {
  readonly reach: Reach;
  readonly proves: boolean;
  readonly quotes: boolean;
}

/** What a cut is for. */
interface Asked {
  /** The parts that it works on. */
  readonly worked: ReadonlySet<PartRole>;
  /** The rooms that it works in where they stand; nothing else comes off for them. */
  readonly inPlace: readonly Room[] | undefined;
  /** The rooms that are looked at, and those that are set, though nothing of them came off. */
  readonly sees: readonly Room[];
  readonly sets: readonly Room[];
}

/** Steps with facts on them: what came off for a wider job goes back, whatever the job is for now. */
const begunOn = (state: JobState): ReadonlySet<string> =>
  new Set(standingEntries(state).flatMap((entry) => stepIdOf(entry) ?? []));

function reachOf(
  { worked, inPlace, sees, sets }: Asked,
  valve: Valve,
  steps: readonly Placed[],
  begun: ReadonlySet<string>,
): Reach {
  const { features } = valve;
  const isHere = inPlace !== undefined;
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
    ...(inPlace ?? []),
    ...ROOMS.filter((room) => rooms[room].some((part) => (isHere ? taken : off).has(part))),
    ...sets,
  ]);
  const boundary = BOUNDARY.some((room) => touched.has(room));
  const stays = partsOf(valve).filter((part) => part.stays);
  // What stays in the body is reached once the way to it is open; a shaft or stem where its packing is out.
  const seen = [
    ...(touched.has('closure') || touched.has('joint') ? stays.map(({ role }) => role) : []),
    ...sees.flatMap((room) => rooms[room]),
  ];
  return { strip, off, reached: new Set([...off, ...seen]), rooms: touched, boundary, here: isHere };
}

/** What a valve must be apart for. */
const APART: readonly Task['kind'][] = ['runout', 'bluing', 'lapping'];

function isWanted(step: Placed, cut: Cut): boolean {
  const { reach } = cut;
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
      if (cut.quotes && draft.stage === 'repair') return false;
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
      return cut.proves || isProof(step, reach);
  }
}

/** The steps that took what this one compares. */
function takenBy(task: Task): string[] {
  const asks = task.kind === 'measure' ? task.asks : task.kind === 'way-round' ? task.rounds : [];
  return asks.flatMap(({ was }) => was ?? []);
}

function isProof({ room, draft }: Placed, reach: Reach): boolean {
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
