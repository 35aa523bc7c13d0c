import type { ReadingMessage } from '@dusk-wren/contract';
import { measuredLast, onStep } from '@dusk-wren/core/job';
import { quantity, seconds, si, valueIn } from '@dusk-wren/core/quantity';
import {
  chance,
  reliefRun,
  seedFrom,
  waterLegRun,
  type DumpValve,
  type RigHand,
} from '@dusk-wren/core/simulation';
import type { Pops } from '@dusk-wren/core/task';
import { pause } from './pace';
import type { Work } from './source';

const SAMPLE_SECONDS = 0.05;
/** Nobody waits for a simulation: ten seconds of a pump in two. */
const FASTER = 5;
/** A turn of a compression screw, share of the set pressure; and what rings at their notches add to the nozzle. */
const [PER_TURN, HUDDLING] = [0.05, 0.2];
/** A valve that nobody wrote down is off by up to this, and held by dirt by up to that. */
const [OFF, DIRT] = [0.05, 0.09];

/** How a relief valve really is: as written down, else by its name; its screw as it has been turned in this job. */
function reliefOf({ condition, state, step }: Work) {
  const dice = chance(seedFrom(JSON.stringify(condition)));
  const own = condition.relief ?? { screwOff: OFF * (2 * dice.uniform() - 1), dirt: DIRT * dice.uniform() };
  const turns = onStep(state, 'screw-turned', step.id).reduce(
    (sum, { body }) => sum + valueIn(body.by, 'turn'),
    0,
  );
  const wasOpened = state.records.measured.some(({ body }) => body.step.stage === 'test');
  return {
    condition: { ...own, turns, perTurn: PER_TURN, huddling: HUDDLING },
    opened: wasOpened || step.stage === 'test',
  };
}

/** The lever of a dump valve that nobody weighed again is off by up to this; shaft and seals rub so much. */
const [LEVER_OFF, RUBS] = [0.15, 0.1];

/** A dump valve as it really is, its weight where it was put last. */
function dumpOf({ condition, state }: Work, { weight: on }: Pops): DumpValve | undefined {
  const position = on && measuredLast(state, on.place, 'length');
  if (!on || !position) return undefined;
  const { weight, leverMoment } = on.lever;
  const dice = chance(seedFrom(`lever ${JSON.stringify(condition)}`));
  const own = si(leverMoment) * (1 + LEVER_OFF * (2 * dice.uniform() - 1));
  const held = si(weight) * si(position) + own;
  return {
    ...on.lever,
    position,
    leverMoment: quantity('torque', own, 'N·m'),
    friction: quantity('torque', RUBS * held, 'N·m'),
  };
}

/** A relief valve on the rig, or a dump valve under a water leg: pressure comes up until it pops, and is read until it has shut again. */
export async function* simulatedPops(
  work: Work,
  live: Pops,
  stop: AbortSignal,
  hand: () => RigHand,
): AsyncGenerator<ReadingMessage, void> {
  const dice = chance(seedFrom(`${work.step.id} ${work.state.version}`));
  const dump = dumpOf(work, live);
  const run = dump
    ? waterLegRun(dump, si(live.aim), dice, SAMPLE_SECONDS)
    : reliefRun({ set: live.aim, ...reliefOf(work) }, dice, SAMPLE_SECONDS, hand);
  for (const { seconds: at, pressure } of run) {
    if (!(await pause((SAMPLE_SECONDS * 1000) / (FASTER * work.rate), stop))) return;
    yield { kind: 'pressure', psig: valueIn(pressure, 'psig'), seconds: valueIn(seconds(at), 's') };
  }
}
