import type { Problem } from './problem';

/** An answer or a refusal; refusals are values, throwing is kept for programmer error. */
export type Result<T, P = Problem> =
  | { readonly ok: true; readonly value: T; readonly problem?: never }
  | { readonly ok: false; readonly problem: P; readonly value?: never };

export function ok<T>(value: T): Result<T, never> {
  return { ok: true, value };
}

export function refuse<P>(problem: P): Result<never, P> {
  return { ok: false, problem };
}

/** The value of a result known to hold one; a refusal here is a programmer's mistake and throws. */
export function must<T, P>(result: Result<T, P>): T {
  if (result.ok) return result.value;
  throw new Error(`expected an answer, was refused: ${JSON.stringify(result.problem)}`);
}
