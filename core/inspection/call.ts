import { z } from 'zod';
import type { Source } from '../standards';
import type { PartRole } from '../valve';
import type { Reason } from './reason';

/** fit: use again · rework: a named method · renew: a new part · ask: somebody decides · condemn: the valve is done. */
export const VERDICTS = ['fit', 'rework', 'renew', 'ask', 'condemn'] as const;
export type Verdict = (typeof VERDICTS)[number];
export const verdictSchema = z.enum(VERDICTS);

export const METHODS = [
  'grind in',
  'reface and lap',
  'lathe and lap',
  'lap joint face',
  'turn joint face',
  'dress thread',
  'free and clean',
  'straighten',
  'clean up',
  'even grind',
  'clear and clean',
  'turn end for end',
  'turn over',
  'lap on a block',
  'lap the seat out of the body',
  'grind the seat in line',
  'lap against a lap',
  'lap in place',
] as const;
export type Method = (typeof METHODS)[number];
export const methodSchema = z.enum(METHODS);

/** The judgement on one part: always with its reason and whose rule it is. */
export interface Call {
  readonly part: PartRole;
  readonly verdict: Verdict;
  readonly method?: Method;
  readonly reason: Reason;
  readonly source: Source;
}
