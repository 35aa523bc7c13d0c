import { wayRoundOn, waysOf, wayWanted, type JobState, type RoundOf } from '../job';
import type { TaskKind } from './task-kind';

/** Something that goes back one way round only. */
export interface RoundAsk {
  readonly what: RoundOf;
  /** Id of the step that saw how it came: what restores it is held against that. */
  readonly was?: string;
  /** It goes back the other way round, on purpose. */
  readonly turned?: true;
  /** It goes back as the trade has settled it. */
  readonly settled?: true;
}

/** Which way round parts stand: chosen between two drawn pictures. */
export interface WayRoundTask {
  readonly kind: 'way-round';
  readonly rounds: readonly RoundAsk[];
}

/** The way it must stand here, or undefined where it is only taken as it came. */
export const wantedRound = (state: JobState, { what, was, turned, settled }: RoundAsk): string | undefined =>
  was === undefined && !settled
    ? undefined
    : wayWanted(what, was === undefined ? undefined : wayRoundOn(state, was, what), turned === true);

export const wayRoundTask: TaskKind<WayRoundTask> = {
  finishedBy: ({ rounds }, facts) => {
    const { state, id } = facts;
    const stand = rounds.every((ask) => {
      const now = wayRoundOn(state, id, ask.what);
      return now !== undefined && now === (wantedRound(state, ask) ?? now);
    });
    return stand ? facts.on('way-round-seen').at(-1) : undefined;
  },
  plainly: ({ rounds }, { state, step }) =>
    rounds.map((ask) => ({
      kind: 'see-way-round',
      body: { step, what: ask.what, way: wantedRound(state, ask) ?? waysOf(ask.what)[0] },
    })),
};
