import { phrase, say, type Phrase } from '../quantity';
import { FLANGE_CLASSES, flangeStuds, flangeThread, parseThread, type Thread } from '../standards';
import type { Plan } from '../plan';
import { toolOf, type ToolName } from '../procedure';
import { boltedJoint, partsOf, type Features, type PartRole } from '../valve';

export interface Fetch {
  readonly what: Phrase;
  /** A new part of the valve: the store knows where it lies. */
  readonly part?: PartRole;
  /** How many of it lie at the bench: one of a tool, however many steps take it up. */
  readonly count: number;
  readonly steps: readonly string[];
  /** What it shows is written down. */
  readonly inCalibration?: true;
}

/** Everything to have at the bench before the job starts. */
export interface FetchList {
  readonly parts: readonly Fetch[];
  readonly consumables: readonly Fetch[];
  readonly wrenches: readonly Fetch[];
  readonly gauges: readonly Fetch[];
  readonly tools: readonly Fetch[];
}

/** Summed over the steps still to do; optional ones too, for they are wanted when they are. */
export function fetchList(current: Plan): FetchList {
  const steps = current.steps.filter(({ status }) => status !== 'done');
  const named = (wanted: (name: ToolName) => boolean): Fetch[] =>
    summed(
      steps.flatMap((step) =>
        step.tools.filter(wanted).map((what) => ({
          what,
          step: step.title,
          ...(toolOf(what).calibrated ? { inCalibration: true as const } : {}),
        })),
      ),
    );
  const parts = newParts(current, steps);
  const among = new Set(parts.map(({ what }) => inAnyOrder(say(what, 'SI'))));
  // What is new as a part is not fetched a second time from the shelf of consumables.
  const consumables = summed(
    steps.flatMap((step) => step.consumables.map((what) => ({ what, step: step.title }))),
  ).filter(({ what }) => !among.has(inAnyOrder(say(what, 'SI'))));
  const gauges = summed(
    steps.flatMap((step) =>
      step.task.kind === 'measure'
        ? step.task.asks
            .filter(({ instrument }) => instrument === 'gauge')
            .map(() => ({ what: 'test gauge, in calibration', step: step.title }))
        : step.task.kind === 'pressure-test'
          ? [
              {
                what: phrase`test gauge to ${step.task.pressure}, reading in the middle of its range`,
                step: step.title,
              },
            ]
          : [],
    ),
  );
  const joint = jointWrench(current.valve.features);
  const turns = (name: ToolName) => toolOf(name).turns === true;
  return {
    parts,
    consumables,
    wrenches: [
      ...joint,
      ...flangeWrench(current),
      // The socket of the joint is the socket, where its size is known.
      ...named((name) => turns(name) && !(name === 'socket' && joint.length > 0)),
    ],
    gauges,
    tools: named((name) => !turns(name)),
  };
}

/** “bonnet gasket, spiral-wound” and “spiral-wound bonnet gasket” are one thing. */
const inAnyOrder = (name: string): string => name.replaceAll(',', '').split(' ').sort().join(' ');

const newParts = ({ valve, calls }: Plan, steps: Plan['steps']): Fetch[] =>
  partsOf(valve)
    .filter(
      ({ role, policy, stays }) =>
        !stays && (policy === 'renew always' || calls.get(role)?.verdict === 'renew'),
    )
    .map(({ role, name, quantity }) => ({
      what: name,
      part: role,
      count: quantity,
      steps: steps.filter(({ on }) => on.includes(role)).map(({ title }) => title),
    }));

type Wanted = Omit<Fetch, 'count' | 'steps'> & { readonly step: string };

function summed(wanted: readonly Wanted[]): Fetch[] {
  const byName = new Map<string, Fetch>();
  for (const { step, ...each } of wanted) {
    const name = say(each.what, 'SI');
    const steps = [...(byName.get(name)?.steps ?? []), step];
    byName.set(name, { ...each, count: 1, steps });
  }
  return [...byName.values()];
}

/** Joints held by cap screws or hexagon bolts, whose heads are smaller than a heavy-hex nut. */
const SCREWS: readonly PartRole[] = ['bonnet bolts', 'housing bolts', 'cap bolts', 'body bolts'];

/** Across flats of hexagon heads where 1½ D does not say it, in (ASME B18.2.1, from memory) and mm (ISO 4014, from memory). */
const SMALL_HEADS_IN: Readonly<Record<number, string>> = { 0.25: '7/16', 0.3125: '1/2', 0.4375: '5/8' };
const HEADS_MM: Readonly<Record<number, number>> = {
  6: 10,
  8: 13,
  10: 16,
  12: 18,
  16: 24,
  20: 30,
  24: 36,
  30: 46,
  36: 55,
};

const heavyHex = (thread: Thread): string =>
  thread.series === 'metric'
    ? `${Math.round(thread.diameterMm * 1.5 + 3.2)} mm`
    : `${inSixteenths(thread.diameterIn * 1.5 + 0.125)} in`;

const hexagonHead = (thread: Thread): string =>
  thread.series === 'metric'
    ? `${HEADS_MM[thread.diameterMm] ?? Math.round(thread.diameterMm * 1.5)} mm`
    : `${SMALL_HEADS_IN[thread.diameterIn] ?? inSixteenths(thread.diameterIn * 1.5)} in`;

function threadOf(text: string | undefined): Thread | undefined {
  const parsed = text === undefined ? undefined : parseThread(text);
  return parsed?.ok ? parsed.value : undefined;
}

/** The socket for the joint: for heavy-hex nuts across flats 1½ D + 1/8 in (ASME B18.2.2, from memory), or for screw heads. */
function jointWrench(features: Features): Fetch[] {
  const thread = threadOf(boltedJoint(features)?.thread);
  if (!thread) return [];
  const screws = partsOf({ features }).some(({ role }) => SCREWS.includes(role));
  const what = screws
    ? `socket ${hexagonHead(thread)} across flats, for the joint’s screws`
    : `socket ${heavyHex(thread)} across flats, for the joint’s nuts`;
  return [{ what, count: 1, steps: ['the joint'] }];
}

/** The socket and the spanner for line flanges that are undone on the job. */
function flangeWrench({ valve: { nps, pressureClass }, steps }: Plan): Fetch[] {
  const tightened = steps.filter(({ stage, task }) => task.kind === 'bolt-up' && stage === 'release');
  const flangeClass = FLANGE_CLASSES.find((each) => each === pressureClass);
  const [, diameter] = (nps !== undefined && flangeClass ? flangeStuds(nps, flangeClass) : undefined) ?? [];
  const thread = diameter === undefined ? undefined : threadOf(flangeThread(diameter));
  return thread && tightened.length > 0
    ? [
        {
          what: `socket and spanner ${heavyHex(thread)} across flats, for the line flanges`,
          count: 1,
          steps: tightened.map(({ title }) => title),
        },
      ]
    : [];
}

/** A length as sockets are marked: `11/16`, `1 1/4`. */
function inSixteenths(inches: number): string {
  const sixteenths = Math.round(inches * 16);
  const [whole, rest] = [Math.floor(sixteenths / 16), sixteenths % 16];
  const common = [8, 4, 2, 1].find((each) => rest % each === 0) ?? 1;
  const fraction = rest === 0 ? '' : `${rest / common}/${16 / common}`;
  return [whole === 0 ? '' : String(whole), fraction].filter(Boolean).join(' ');
}
