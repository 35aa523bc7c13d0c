import type {
  Compared,
  DriverSetting,
  DriverSettings,
  InstrumentTrouble,
  ReadingMessage,
} from '@dusk-wren/contract';
import type { CheckId } from '@dusk-wren/core/diagnosis';
import type { InstrumentKind, JobState } from '@dusk-wren/core/job';
import type { Plan, PlannedStep } from '@dusk-wren/core/plan';
import type { LinePattern } from '@dusk-wren/core/quantity';
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
  /** What it reads of a channel beside what its own face shows; where it cannot be wrong about that, there is nothing to compare. */
  readonly compare?: (
    settings: DriverSettings,
    channel: string,
    shows: { readonly value: number; readonly unit: string },
  ) => Promise<Compared | InstrumentTrouble>;
  /** How its lines read, where it types or sends them to a screen and the server has nothing to listen to. */
  readonly lines?: (settings: DriverSettings) => LinePattern | undefined;
  /** Readings until the caller stops listening; what is set meanwhile is taken from `controls` between them. */
  readonly read: (work: Work, stop: AbortSignal, controls: Controls) => AsyncGenerator<ReadingMessage, void>;
}
