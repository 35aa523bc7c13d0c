import { describeEntry, type JobState } from '../job';
import type { PlannedStep } from '../plan';
import { format, type Torque, type UnitSystem } from '../quantity';
import { describeSource } from '../standards';
import { boltProgress, type TaskOf } from '../task';

export interface TorqueTable {
  readonly title: string;
  readonly target: Torque;
  readonly source: string;
  /** One row a bolt, one column a pass; the torque that counted. */
  readonly rows: readonly { readonly bolt: number; readonly passes: readonly (Torque | undefined)[] }[];
  readonly percents: readonly number[];
  /** Clicks that did not count, in words. */
  readonly putRight: readonly string[];
}

/** What every bolt was tightened to, pass by pass. */
export function torqueTable(
  state: JobState,
  step: PlannedStep,
  task: TaskOf<'bolt-up'>,
  system: UnitSystem,
): TorqueTable {
  const { clicks } = boltProgress(state, step.id, task);
  const counted = clicks.filter(({ verdict }) => verdict === 'counts').map(({ entry }) => entry.body);
  return {
    title: step.title,
    target: task.torque,
    source: describeSource(task.shown.source),
    percents: task.passes.map(({ percent }) => percent),
    rows: Array.from({ length: task.bolts }, (_, i) => ({
      bolt: i + 1,
      passes: task.passes.map(
        (_, pass) => counted.find((click) => click.bolt === i + 1 && click.pass === pass)?.torque,
      ),
    })),
    putRight: clicks
      .filter(({ verdict }) => verdict !== 'counts')
      .map(
        ({ entry, verdict }) =>
          `${describeEntry(entry, system)} (${format(entry.body.torque, system)}): ${verdict}, done again`,
      ),
  };
}
