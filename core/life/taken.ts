import type { Readings } from '../inspection';
import { counts, type JobState, type Stage } from '../job';
import { ofDimension } from '../quantity';

/** The stages in which a valve is taken as it came. */
const BEFORE: readonly Stage[] = ['receive', 'diagnose', 'isolate', 'strip', 'inspect'];

export const asItCame = (stage: Stage): boolean => BEFORE.includes(stage);

/** The last readings that count of the stages wanted. */
export const readIn =
  (state: JobState, wanted: (stage: Stage) => boolean): Readings =>
  (what, dimension) =>
    ofDimension(
      state.records.measured.findLast(
        ({ body }) => body.what === what && counts(body.readBy) && wanted(body.step.stage),
      )?.body.value,
      dimension,
    );
