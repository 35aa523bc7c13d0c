import type { ReadingMessage } from '@dusk-wren/contract';
import { valueIn } from '@dusk-wren/core/quantity';
import { chance, regulatorRun, seedFrom } from '@dusk-wren/core/simulation';
import type { Regulated } from '@dusk-wren/core/task';
import { pause } from './pace';
import type { Work } from './source';

const SAMPLE_SECONDS = 0.5;
/** Six minutes in twelve seconds: nobody waits for a simulation. */
const FASTER = 30;
/** A regulator that nobody wrote down is off by up to so much, and shuts so much over its set; a turn does so much. */
const [OFF, LOCKS_UP, PER_TURN] = [0.15, 0.04, 0.12];

/** A regulator on the rig: air at its inlet, its outlet flowing a little, or shut. */
export async function* simulatedRegulator(
  work: Work,
  live: Regulated,
  stop: AbortSignal,
): AsyncGenerator<ReadingMessage, void> {
  const own = chance(seedFrom(`regulator ${JSON.stringify(work.condition)}`));
  const screwOff = OFF * (2 * own.uniform() - 1);
  const turns = work.state.records['screw-turned']
    .filter(({ body }) => body.screw === 'adjusting screw')
    .reduce((sum, { body }) => sum + valueIn(body.by, 'turn'), 0);
  const seconds = Math.max(...live.reads.map(({ after }) => valueIn(after, 's'))) + 2;
  const condition = { screwOff, turns, perTurn: PER_TURN, lockUp: LOCKS_UP, creep: 0 };
  const dice = chance(seedFrom(`${work.step.id} ${work.state.version}`));
  const run = regulatorRun(
    { wanted: live.wanted, condition, outlet: live.outlet, seconds },
    dice,
    SAMPLE_SECONDS,
  );
  for (const { seconds: at, pressure } of run) {
    if (!(await pause((SAMPLE_SECONDS * 1000) / (FASTER * work.rate), stop))) return;
    yield { kind: 'pressure', psig: valueIn(pressure, 'psig'), seconds: at };
  }
}
