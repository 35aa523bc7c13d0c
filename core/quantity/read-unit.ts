import { DIMENSIONS, UNITS, type Dimension } from './units';

const squeezed = (text: string) => text.replace(/\s+/g, '').replace(/⋅|∙|•/g, '·');

/** Every unit that this spelling can mean, over all dimensions; case matters only where two units differ by it. */
export function unitsSpelt(text: string): { dimension: Dimension; unit: string }[] {
  const exact = squeezed(text);
  if (exact === '') return [];
  const found = DIMENSIONS.flatMap((dimension) =>
    Object.entries<{ readonly also?: readonly string[] }>(UNITS[dimension])
      .filter(([name, { also }]) => spelt(exact, name, also))
      .map(([unit]) => ({ dimension, unit })),
  );
  const sameCase = found.filter(({ unit }) => squeezed(unit) === exact);
  return sameCase.length > 0 && exact.length <= 2 ? onlySameCasePerDimension(found, sameCase) : found;
}

function onlySameCasePerDimension(
  found: { dimension: Dimension; unit: string }[],
  sameCase: { dimension: Dimension; unit: string }[],
) {
  const settled = new Set(sameCase.map(({ dimension }) => dimension));
  return [...sameCase, ...found.filter(({ dimension }) => !settled.has(dimension))];
}

function spelt(exact: string, name: string, also: readonly string[] | undefined): boolean {
  const lower = exact.toLowerCase();
  return squeezed(name).toLowerCase() === lower || (also ?? []).includes(lower);
}

/** Units of this dimension whose spelling is within two letters of what was typed, nearest first. */
export function unitsNear(text: string, dimension: Dimension): string[] {
  const lower = squeezed(text).toLowerCase();
  return Object.entries<{ readonly also?: readonly string[] }>(UNITS[dimension])
    .map(([unit, { also }]) => ({
      unit,
      distance: Math.min(
        ...[squeezed(unit).toLowerCase(), ...(also ?? [])].map((name) => editDistance(lower, name)),
      ),
    }))
    .filter(({ distance }) => distance <= 2)
    .sort((a, b) => a.distance - b.distance)
    .slice(0, 3)
    .map(({ unit }) => unit);
}

/** Levenshtein distance. */
function editDistance(a: string, b: string): number {
  let previous = Array.from({ length: b.length + 1 }, (_, j) => j);
  for (let i = 1; i <= a.length; i++) {
    const current = [i];
    for (let j = 1; j <= b.length; j++) {
      const swap = (previous[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1);
      current.push(Math.min(swap, (previous[j] ?? 0) + 1, (current[j - 1] ?? 0) + 1));
    }
    previous = current;
  }
  return previous[b.length] ?? 0;
}
