import { PLACES, type Place, type Scope } from '../job';
import { closureOf, rolesByRoom, type Features } from '../valve';
import { worksOn } from './scopes';

/** Why a job of this scope takes the valve out of its line, as the end of a sentence; undefined where it may stay. */
export function reachedOutOfLine(features: Features, scope: Scope): string | undefined {
  const why = closureOf(features).reachedOutOfLine;
  if (why === undefined) return undefined;
  const worked = worksOn(scope, features);
  return rolesByRoom(features).closure.some((part) => worked.has(part)) ? why : undefined;
}

/** Where a job of this scope can be done. */
export const placesOf = (features: Features, scope: Scope): Place[] =>
  PLACES.filter((place) => place !== 'in line' || reachedOutOfLine(features, scope) === undefined);
