import { latestRunout } from '../calls';
import type { JobState } from '../job';
import { thou, type Angle, type Length } from '../quantity';
import type { Plan } from '../plan';
import type { PartRole } from '../valve';

/** A turn of the stem under the dial: what was read, from the 12 o'clock mark on, and the bow through it. */
export interface RunoutTurn {
  readonly part: PartRole;
  readonly readings: readonly Length[];
  readonly limit: Length;
  readonly bow: Length;
  readonly bowAngle?: Angle;
}

/** The turn that the call on the stem rests on. */
export function runoutTurn(state: JobState, { steps }: Plan): RunoutTurn | undefined {
  const last = latestRunout(state);
  const task = steps.find((step) => step.task.kind === 'runout')?.task;
  if (!last || task?.kind !== 'runout') return undefined;
  const { bow, bowAngle } = last.runout;
  return {
    part: task.part,
    readings: last.entry.body.readings,
    limit: task.limit,
    bow: bow ?? thou(0),
    ...(bowAngle === undefined ? {} : { bowAngle }),
  };
}
