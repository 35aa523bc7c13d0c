import type { DriverSetting, DriverSettings, ReadingMessage } from '@dusk-wren/contract';
import type { CheckId } from '@dusk-wren/core/diagnosis';
import type { InstrumentKind, JobState } from '@dusk-wren/core/job';
import type { Plan, PlannedStep } from '@dusk-wren/core/plan';
import type { Condition } from '@dusk-wren/core/simulation';

import type { Controls } from './controls';

/** What a source is told about the work it reads for. Real instruments need none of it. */
export interface Work {
  /** The job as the reading began, and as it is now: who turns a screw meanwhile turns it on what is read. */
  readonly state: JobState;
  readonly stateNow: () => JobState;
  readonly plan: Plan;
  readonly step: PlannedStep;
  /** The pass that a torque wrench was set for by whoever holds it. */
  readonly pass: number;
  /** The check of the fault finder that is read. */
  readonly check: CheckId | undefined;
  /** What is really the matter with the valve; simulated sources read it. */
  readonly condition: Condition;
  /** How much faster than the clock simulated sources run. */
  readonly rate: number;
  /** How the driver is set, by name: every one of its settings is there. */
  readonly settings: DriverSettings;
}

/** What a source is told when it is tried: there is no work, and nothing on it; simulated ones keep to the clock. */
export type Trial = Pick<Work, 'settings'>;

/**
 * A source of readings: a simulated instrument or a driver for a real one. To add one, write a file with this shape
 * and list it in `registry.ts`.
 */
export interface Source {
  readonly driver: string;
  readonly kind: InstrumentKind;
  readonly simulated: boolean;
  /** What a lead sets on it, on the instrument's page. */
  readonly settings: readonly DriverSetting[];
  /** What it reads with nothing on it, to see that it reads. */
  readonly trial: (trial: Trial, stop: AbortSignal) => AsyncGenerator<ReadingMessage, void>;
  /** Readings until the caller stops listening; what is set meanwhile is taken from `controls` between them. */
  readonly read: (work: Work, stop: AbortSignal, controls: Controls) => AsyncGenerator<ReadingMessage, void>;
}
