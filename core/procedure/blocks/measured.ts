import type { Phrase } from '../../quantity';
import type { MeasureAsk } from '../../task';
import { feature, type Context, type Draft } from '../draft';
import type { StepName } from '../relations';
import { inspect, sequence } from '../sequence';
import type { ToolName } from '../tools';
import type { PartRole } from '../../valve';

interface Measurement {
  readonly id: StepName | string;
  readonly title: string;
  readonly why: Phrase;
  readonly tools: readonly ToolName[];
  readonly parts: readonly PartRole[];
  readonly asks: readonly MeasureAsk[];
}

/** What a valve with these parts is measured for at its first inspection. */
export const measured = (c: Context, { asks, ...step }: Measurement): Draft[] =>
  sequence(c, inspect(feature(`has ${step.parts.join(' and ')}`)), [
    { ...step, task: { kind: 'measure', asks }, minutes: 8 },
  ]);
