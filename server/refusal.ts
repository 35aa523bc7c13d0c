import type { AnyProblem } from '@dusk-wren/contract';

/** A typed problem on its way to the one error handler; nothing was stored. */
export class Refusal extends Error {
  constructor(readonly problem: AnyProblem) {
    super(problem.code);
  }
}
