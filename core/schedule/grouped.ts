/** What belongs together, by what it has in common; in the order in which it came. */
export function grouped<T, K>(all: readonly T[], by: (each: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const each of all) {
    const name = by(each);
    const known = groups.get(name);
    if (known) known.push(each);
    else groups.set(name, [each]);
  }
  return groups;
}
