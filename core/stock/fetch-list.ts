import { phrase, say, type Phrase } from '../quantity';
import { parseThread } from '../standards';
import type { Plan } from '../plan';
import { toolOf, type ToolName } from '../procedure';
import { boltedJoint, partsOf, type Features } from '../valve';

export interface Fetch {
  readonly what: Phrase;
  /** How many steps want it, or how many pieces it takes. */
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
  const consumables = summed(
    steps.flatMap((step) => step.consumables.map((what) => ({ what, step: step.title }))),
  );
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
  const turns = (name: ToolName) => toolOf(name).turns === true;
  return {
    parts: partsOf(current.valve)
      .filter(({ role, policy }) => policy === 'renew always' || current.calls.get(role)?.verdict === 'renew')
      .map(({ role, name, quantity }) => ({
        what: name,
        count: quantity,
        steps: steps.filter(({ on }) => on.includes(role)).map(({ title }) => title),
      })),
    consumables,
    wrenches: [...studWrench(current.valve.features), ...named(turns)],
    gauges,
    tools: named((name) => !turns(name)),
  };
}

type Wanted = Omit<Fetch, 'count' | 'steps'> & { readonly step: string };

function summed(wanted: readonly Wanted[]): Fetch[] {
  const byName = new Map<string, Fetch>();
  for (const { step, ...each } of wanted) {
    const name = say(each.what, 'SI');
    const steps = [...(byName.get(name)?.steps ?? []), step];
    byName.set(name, { ...each, count: steps.length, steps });
  }
  return [...byName.values()];
}

/** The socket for the joint's nuts: heavy hex, across flats 1½ D + 1/8 in (ASME B18.2.2, from memory). */
function studWrench(features: Features): Fetch[] {
  const thread = boltedJoint(features)?.thread;
  const parsed = thread === undefined ? undefined : parseThread(thread);
  if (!parsed?.ok) return [];
  const across =
    parsed.value.series === 'metric'
      ? `${Math.round(parsed.value.diameterMm * 1.5 + 3.2)} mm`
      : `${inSixteenths(parsed.value.diameterIn * 1.5 + 0.125)} in`;
  return [{ what: `socket ${across} across flats, for the joint’s nuts`, count: 1, steps: ['the joint'] }];
}

/** A length as sockets are marked: `11/16`, `1 1/4`. */
function inSixteenths(inches: number): string {
  const sixteenths = Math.round(inches * 16);
  const [whole, rest] = [Math.floor(sixteenths / 16), sixteenths % 16];
  const common = [8, 4, 2, 1].find((each) => rest % each === 0) ?? 1;
  const fraction = rest === 0 ? '' : `${rest / common}/${16 / common}`;
  return [whole === 0 ? '' : String(whole), fraction].filter(Boolean).join(' ');
}
