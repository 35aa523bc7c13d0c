import { storedIn, SHUT_BY_WORDS } from '../isolation';
import { counts, lineOf, placeOf, scopeOf, valveOf, type EntryOf, type JobState } from '../job';
import { plan, type PlannedStep } from '../plan';
import { isolationOf, type IsolationPart } from '../procedure';
import { meets } from '../task';
import { format, type UnitSystem } from '../quantity';

export interface SheetPoint {
  readonly id: string;
  readonly title: string;
  readonly locked: boolean;
  readonly lock?: string;
  readonly tag?: string;
  readonly by?: string;
  readonly at?: string;
  /** Who took it off, and when. */
  readonly off?: { readonly by: string; readonly at: string };
}

export interface SheetEnergy {
  readonly where: string;
  readonly how: string;
  readonly state: 'open' | 'proved' | 'not at zero' | 'held';
  readonly reading?: string;
  readonly by?: string;
  readonly at?: string;
  readonly simulated: boolean;
}

export interface SheetSigning {
  readonly title: string;
  readonly sides: readonly { readonly words: string; readonly by?: string; readonly at?: string }[];
}

/** The isolation on paper: how the valve stands, every point with its lock, every energy with its reading, who signed. */
export interface IsolationSheet {
  readonly stands: readonly string[];
  readonly stored: readonly string[];
  readonly points: readonly SheetPoint[];
  readonly energies: readonly SheetEnergy[];
  readonly signings: readonly SheetSigning[];
  /** An energy that was read and is not gone: the sheet stops here. */
  readonly stopped: boolean;
}

/** Undefined for a valve that came in bare, or before the job is open. */
export function isolationSheet(state: JobState, units: UnitSystem): IsolationSheet | undefined {
  const [valve, line, planned] = [valveOf(state), lineOf(state), plan(state)];
  if (!valve || !line || placeOf(state) === 'bare' || !planned.ok || !planned.value) return undefined;
  const { steps } = planned.value;
  const part = (wanted: IsolationPart) =>
    steps.find(({ isolation }) => isolation !== undefined && isSamePart(isolation, wanted));
  const isolation = isolationOf({ state, valve, place: placeOf(state), scope: scopeOf(state) }, line);
  const points = isolation.points.map(({ id, title, locked }): SheetPoint => {
    const entry = part({ is: 'point', point: id })?.finished;
    const gone = part({ is: 'restored', point: id })?.finished;
    const hung = entry?.kind === 'lock-hung' ? entry.body : undefined;
    return {
      id,
      title,
      locked,
      ...(hung ? { lock: hung.lock, tag: hung.tag } : {}),
      ...(entry ? { by: entry.by.name, at: entry.at } : {}),
      ...(gone ? { off: { by: gone.by.name, at: gone.at } } : {}),
    };
  });
  const energies = isolation.energies.map(({ kind, where, proof }): SheetEnergy => {
    if (proof.kind === 'held') return { where, how: proof.how, state: 'held', simulated: false };
    const step = part({ is: 'proof', energy: kind });
    return proof.kind === 'tried'
      ? { where, how: proof.how, simulated: false, ...triedBy(step) }
      : { where, how: `read at ${proof.at}`, ...readingOf(state, step, units) };
  });
  return {
    stands: [
      `Upstream: ${SHUT_BY_WORDS[line.upstream.shutBy]}${line.upstream.vent ? ', vented' : ''}`,
      `Downstream: ${SHUT_BY_WORDS[line.downstream.shutBy]}${line.downstream.vent ? ', vented' : ''}`,
      ...(line.bypass ? ['Process on the bypass'] : []),
      ...(line.air ? [`Air to the actuator; signal ${line.signal}`] : []),
      ...(line.power ? ['Electrical power'] : []),
    ],
    stored: storedIn(valve, line).map(({ what, energy }) => `${format(energy, units)} ${what}`),
    points,
    energies,
    signings: steps.flatMap(signingOf),
    stopped: energies.some((energy) => energy.state === 'not at zero'),
  };
}

const isSamePart = (a: IsolationPart, b: IsolationPart): boolean =>
  a.is === 'proof' ? b.is === a.is && b.energy === a.energy : b.is === a.is && b.point === a.point;

function triedBy(step: PlannedStep | undefined): Pick<SheetEnergy, 'state' | 'by' | 'at'> {
  const entry = step?.finished;
  return entry ? { state: 'proved', by: entry.by.name, at: entry.at } : { state: 'open' };
}

function readingOf(
  state: JobState,
  step: PlannedStep | undefined,
  units: UnitSystem,
): Pick<SheetEnergy, 'state' | 'reading' | 'by' | 'at' | 'simulated'> {
  const ask = step?.task.kind === 'measure' ? step.task.asks[0] : undefined;
  const read: EntryOf<'measured'> | undefined = state.records.measured.findLast(
    ({ body }) => body.step.id === step?.id && counts(body.readBy),
  );
  if (!ask || !read) return { state: 'open', simulated: false };
  return {
    state: meets(ask, read.body.value) ? 'proved' : 'not at zero',
    reading: format(read.body.value, units),
    by: read.by.name,
    at: read.at,
    simulated: read.body.readBy !== 'hand' && read.body.readBy.simulated,
  };
}

function signingOf(step: PlannedStep): SheetSigning[] {
  const { task } = step;
  if (task.kind !== 'sign-off') return [];
  const sides = (['done', 'checked'] as const).map((side) => {
    const entry = step.signing?.signed.find(({ body }) => body.side === side);
    return { words: task[side], ...(entry ? { by: entry.by.name, at: entry.at } : {}) };
  });
  return [{ title: step.title, sides }];
}
