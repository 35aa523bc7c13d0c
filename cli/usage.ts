import type { AnyProblem } from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';

/** Something the person at the command line can put right: its message is shown, exit code 2. */
export class UsageError extends Error {}

export function refused(problem: AnyProblem): UsageError {
  return new UsageError(wordProblem(problem));
}
