import { valveOf } from '../job';
import { matchSpares, mismatches } from '../valve';
import type { TaskKind } from './task-kind';

/** Spares and papers laid against the plate. */
export interface SparesTask {
  readonly kind: 'spares';
}

export const sparesTask: TaskKind<SparesTask> = {
  finishedBy: (_, facts) => {
    const laid = facts.on('spares-matched').at(-1);
    const valve = valveOf(facts.state);
    return laid && valve && mismatches(matchSpares(valve, laid.body.laid)).length === 0 ? laid : undefined;
  },
  plainly: (_, { step, laid }) => [{ kind: 'match-spares', body: { step, laid: laid() } }],
};
