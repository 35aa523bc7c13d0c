/**
 * Hands something to the handler of its own kind, out of a record of handlers by kind. The record has paired the two,
 * which the compiler cannot follow: the one cast that this takes is here.
 */
export const handle = <T, R extends readonly unknown[], A>(
  handler: (of: never, ...rest: R) => A,
  of: T,
  ...rest: R
): A => handler(of as never, ...rest);

/** A list that a schema wants one member of at least. */
export function atLeastOne<T>([first, ...rest]: readonly T[]): [T, ...T[]] {
  if (first === undefined) throw new Error('the list is empty');
  return [first, ...rest];
}
