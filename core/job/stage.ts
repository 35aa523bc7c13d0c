import { z } from 'zod';

/** The order of the work. */
export const STAGES = [
  'receive',
  'diagnose',
  'isolate',
  'strip',
  'inspect',
  'repair',
  'rebuild',
  'set up',
  'test',
  'release',
] as const;
export type Stage = (typeof STAGES)[number];

/** Letters of a step's title that the log keeps. */
export const LONGEST_TITLE = 120;

/** The step a fact belongs to, with its title as it stood: facts outlive the plan that asked for them. */
export const stepRef = z.strictObject({
  id: z.string().min(1).max(80),
  title: z.string().min(1).max(LONGEST_TITLE),
  stage: z.enum(STAGES),
});
export type StepRef = z.output<typeof stepRef>;
