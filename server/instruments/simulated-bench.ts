import type { InstrumentControl, ReadingMessage } from '@dusk-wren/contract';
import { valveOf, type JobState } from '@dusk-wren/core/job';
import { cures } from '@dusk-wren/core/plan';
import { si, psig, valueIn } from '@dusk-wren/core/quantity';
import {
  actuatorOf,
  chance,
  plantOf,
  readBench,
  seedFrom,
  straightOf,
  turnScrew,
  type Plant,
  type ScrewTurns,
} from '@dusk-wren/core/simulation';
import { positionerOf, type Valve } from '@dusk-wren/core/valve';
import type { Controls } from './controls';
import { pause } from './pace';
import type { Work } from './source';
import { sweptTo, type Sweep } from './sweep';

const SAMPLE_SECONDS = 0.1;
/** Nobody waits for a simulation: a stroke of eight seconds in two. */
const FASTER = 4;

const SIMULATED = {
  'zero screw': 'zero',
  'span screw': 'span',
  'relay nozzle': 'nozzle',
  'spring adjuster': 'adjuster',
  'gain screw': 'gain',
} as const;
type TurnedScrew = keyof typeof SIMULATED;
const TURNED = Object.keys(SIMULATED) as TurnedScrew[];

interface Turns {
  readonly by: ScrewTurns;
  readonly count: number;
}

/** How far the screws of this valve have been turned in its job so far, and how often any was. */
function turnsIn(state: JobState): Turns {
  const entries = state.records['screw-turned'];
  const by = Object.fromEntries(
    TURNED.map((screw) => [
      SIMULATED[screw],
      entries.reduce((sum, { body }) => sum + (body.screw === screw ? valueIn(body.by, 'turn') : 0), 0),
    ]),
  ) as Record<keyof ScrewTurns, number>;
  return { by, count: entries.length };
}

function set(plant: Plant, control: InstrumentControl): void {
  if (control.kind === 'signal') plant.signal = control.percent / 100;
  else if (control.kind === 'sweep') plant.signal = 0;
  else if (control.kind === 'supply') plant.supplySet = si(psig(control.psig));
}

/** Turns the screws from where they stood to where they stand. */
function follow(plant: Plant, before: Turns, now: Turns): Turns {
  for (const screw of Object.values(SIMULATED)) {
    const by = now.by[screw] - before.by[screw];
    if (by !== 0) turnScrew(plant, screw, by);
  }
  return now;
}

/** What is planted in it shows as it is found, and stays where the job does not work on what it is in. */
function stillAmiss({ condition: { fault }, plan, step }: Work) {
  const isPutRight =
    fault !== undefined && step.stage !== 'diagnose' && cures(plan.scope, fault, plan.valve.features);
  return isPutRight ? undefined : fault;
}

/** What air goes into: the actuator alone where it is swept, else the valve through its positioner. */
function plantFor(work: Work, valve: Valve, turns: ScrewTurns): Plant {
  const { task } = work.step;
  if (task.kind === 'measure' && task.live?.kind === 'swept') return actuatorOf(valve, task.live.most, turns);
  return positionerOf(valve.features)
    ? plantOf(valve, work.condition.positioner, turns, stillAmiss(work))
    : straightOf(valve, turns);
}

/** A control valve on the bench: gauges and travel, while signal, supply and screws are set. */
export async function* simulatedBench(
  work: Work,
  controls: Controls,
  stop: AbortSignal,
): AsyncGenerator<ReadingMessage, void> {
  const valve = valveOf(work.state);
  if (!valve) return;
  let turned = turnsIn(work.state);
  const plant = plantFor(work, valve, turned.by);
  const dice = chance(seedFrom(`${work.step.id} ${work.state.version}`));
  let taken = 0;
  let sweep: Sweep | undefined;
  for (let sample = 0; await pause((SAMPLE_SECONDS * 1000) / (FASTER * work.rate), stop); sample++) {
    const settings = controls.take();
    for (const control of settings) {
      set(plant, control);
      sweep =
        control.kind === 'sweep' ? { from: sample * SAMPLE_SECONDS, seconds: control.seconds } : undefined;
    }
    turned = follow(plant, turned, turnsIn(work.stateNow()));
    if (sweep) plant.signal = sweptTo(sweep, sample * SAMPLE_SECONDS);
    taken += settings.length;
    plant.run(SAMPLE_SECONDS);
    const { supply, signal, driven, other, travel } = readBench(plant, dice);
    yield {
      kind: 'bench',
      seconds: sample * SAMPLE_SECONDS,
      taken,
      turned: turned.count,
      supplyPsig: valueIn(supply, 'psig'),
      signalPercent: valueIn(signal, '%'),
      drivenPsig: valueIn(driven, 'psig'),
      ...(other ? { otherPsig: valueIn(other, 'psig') } : {}),
      travelPercent: valueIn(travel, '%'),
    };
  }
}
