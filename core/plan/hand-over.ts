import type { StandingCall } from '../calls';
import { energiesOf } from '../isolation';
import { hangingLocks, lineOf, type JobState, type LOTS } from '../job';
import type { PartRole } from '../valve';
import { taskKind } from '../task';
import type { Plan, PlannedStep } from './plan';
import { trayPlaces } from './tray';

type Lot = (typeof LOTS)[number];

export interface OnTray {
  readonly place: number;
  readonly part: PartRole;
  /** What becomes of it: as somebody said, else as its call has it. */
  readonly lot: Lot | 'not said';
}

/** What the next pair of hands must know before it touches anything. */
export interface HandOver {
  readonly inHand: string;
  /** Parts that are off and not back: in the order they came off, with their place on the tray. */
  readonly tray: readonly OnTray[];
  /** Joints that were slackened or opened and are not closed. */
  readonly loose: readonly string[];
  /** Energy that is still in it. */
  readonly loaded: readonly string[];
  readonly locks: readonly string[];
  readonly waits: readonly string[];
}

/** Whoever asks for it decides what is held; what is new goes to scrap, what goes back is kept. */
function lotByCall(call: StandingCall | undefined): Lot | 'not said' {
  switch (call?.verdict) {
    case 'renew':
      return 'discard';
    case 'ask':
      return 'hold';
    case 'rework':
      return 'keep';
    case 'fit':
      return call.because.length > 0 ? 'keep' : 'not said';
    default:
      return 'not said';
  }
}

/** Computed from the facts, so that it can be read at any moment and is never out of date. */
export function handOver(plan: Plan, state: JobState): HandOver {
  const done = plan.steps.filter(({ status }) => status === 'done');
  const back = new Set(done.flatMap(({ on }) => on));
  const off = done.flatMap((step) => step.off);
  const places = trayPlaces(state, plan.steps);
  const lots = new Map(state.records['part-laid'].map(({ body }) => [body.part, body.lot]));
  const line = lineOf(state);
  const loaded = (line ? energiesOf(plan.valve, line) : []).flatMap(({ proof }) =>
    proof.kind === 'held' && !proof.by.some((part) => off.includes(part)) ? [proof.how] : [],
  );
  const open = (list: 'loose' | 'waits', wanted: (step: PlannedStep) => boolean) =>
    plan.steps.flatMap((step) => {
      const said = step.status === 'done' ? undefined : taskKind(step.task).handsOver?.(step.title);
      return said?.list === list && wanted(step) ? [said.line] : [];
    });
  return {
    inHand: plan.inHand?.title ?? 'Nothing ready',
    tray: [...new Set(off)]
      .flatMap((part): OnTray[] =>
        back.has(part)
          ? []
          : [
              {
                place: places.get(part) ?? places.size + 1,
                part,
                lot: lots.get(part) ?? lotByCall(plan.calls.get(part)),
              },
            ],
      )
      .sort((a, b) => a.place - b.place),
    loose: open('loose', ({ on }) => on.some((part) => off.includes(part))),
    loaded,
    locks: hangingLocks(state).map(
      ({ body, by }) => `lock ${body.lock}, tag ${body.tag}, ${by.name}: ${body.step.title}`,
    ),
    waits: open('waits', ({ status }) => status === 'ready'),
  };
}
