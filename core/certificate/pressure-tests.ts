import { counts, type JobState } from '../job';
import type { Plan } from '../plan';
import { formatLeak, quantity, type GaugePressure, type Ratio, type Time } from '../quantity';
import { describeSource } from '../standards';
import { passed } from '../task';

export interface TestLine {
  readonly title: string;
  readonly pressure: GaugePressure;
  readonly hold: Time;
  readonly leak: string;
  readonly allowed: string;
  /** Of what is allowed; nothing where none is. */
  readonly share?: Ratio;
  readonly passed: boolean;
  readonly source: string;
  readonly simulated: boolean;
  /** The recording that it was read out of. */
  readonly file?: string;
}

/** Every pressure test that was run, those that failed too. */
export function testLines(state: JobState, current: Plan): TestLine[] {
  return state.records['pressure-tested'].flatMap((entry) => {
    const step = current.steps.find(({ id }) => id === entry.body.step.id);
    if (step?.task.kind !== 'pressure-test') return [];
    const { body } = entry;
    return [
      {
        title: body.step.title,
        pressure: body.pressure,
        hold: body.hold,
        leak: formatLeak(body.leak),
        allowed: formatLeak(step.task.allowed),
        ...(step.task.allowed.perMinute > 0 && step.task.allowed.of === body.leak.of
          ? { share: quantity('ratio', (100 * body.leak.perMinute) / step.task.allowed.perMinute, '%') }
          : {}),
        passed: counts(body.readBy) && passed(entry, step.task),
        source: describeSource(step.task.shown.source),
        simulated: body.readBy !== 'hand' && body.readBy.simulated,
        ...(body.file === undefined ? {} : { file: body.file }),
      },
    ];
  });
}
