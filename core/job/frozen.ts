/** The same value, that nobody changes any more: itself, its lists and what is in them. */
export function frozen<T>(value: T): T {
  if (typeof value !== 'object' || value === null || Object.isFrozen(value)) return value;
  Object.freeze(value);
  for (const inner of Object.values(value)) frozen(inner);
  return value;
}
