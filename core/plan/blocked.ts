import { z } from 'zod';
import { partRoleSchema, wordReason } from '../inspection';
import { onStep, type JobState } from '../job';
import { anyQuantity, phrase, phraseSchema, type Phrase } from '../quantity';
import type { Plan } from './plan';

/** What stops a job: a part to decide, a question, a hold, a part on order, or a valve that is not at zero. */
export const blockedSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ask'), part: partRoleSchema, reason: phraseSchema }),
  z.object({ kind: z.literal('question'), step: z.string() }),
  z.object({ kind: z.literal('hold'), step: z.string() }),
  z.object({ kind: z.literal('part'), part: z.string(), expected: z.string().exactOptional() }),
  z.object({ kind: z.literal('pressure'), shown: anyQuantity }),
]);
export type Blocked = z.output<typeof blockedSchema>;

/** What stops it, in words. */
export function wordBlocked(blocked: Blocked): Phrase {
  switch (blocked.kind) {
    case 'ask':
      return phrase`Ask: ${blocked.part}, ${blocked.reason}`;
    case 'question':
    case 'hold':
      return blocked.step;
    case 'part':
      return `Waits: ${blocked.part}`;
    case 'pressure':
      return phrase`Not at zero: ${blocked.shown}`;
  }
}

/** What stops a job at the step in hand; undefined where it can go on. */
export function blockedBy(current: Plan, state: JobState): Blocked | undefined {
  const step = current.inHand;
  if (!step) return undefined;
  const { task, title } = step;
  switch (task.kind) {
    case 'hold': {
      const asked = [...current.calls.values()].find(({ verdict }) => verdict === 'ask');
      return asked
        ? { kind: 'ask', part: asked.part, reason: wordReason(asked.reason) }
        : { kind: 'hold', step: title };
    }
    case 'ask':
      return { kind: 'question', step: title };
    case 'measure': {
      if (!task.asks.some(({ mustBe }) => mustBe === 'zero')) return undefined;
      const shown = onStep(state, 'measured', step.id).at(-1)?.body.value;
      return shown && { kind: 'pressure', shown };
    }
    case 'arrive': {
      const wait = step.waits.find(({ kind }) => kind === 'part');
      const expected = wait?.kind === 'part' ? wait.expected : undefined;
      return { kind: 'part', part: task.part, ...(expected === undefined ? {} : { expected }) };
    }
    default:
      return undefined;
  }
}
