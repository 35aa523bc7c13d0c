import { placeOf, type JobState, type Place } from '../job';
import { partsOf } from '../valve';
import type { Plan } from './plan';

/** Another place that the work asks for. */
export interface PlaceAdvice {
  readonly to: Place;
  readonly why: string;
}

/**
 * Out of its line after all: a part that stays in it is past what is done where it stands (handbook part 6.1). Undefined
 * where it stands as it should, or where somebody has said since that it stays.
 */
export function placeAdvice(state: JobState, { calls, valve }: Plan): PlaceAdvice | undefined {
  if (placeOf(state) !== 'in line') return undefined;
  const stays = new Set(partsOf(valve).flatMap((part) => (part.stays ? [part.role] : [])));
  const said = state.records['place-changed'].at(-1)?.seq ?? 0;
  const bad = [...calls.values()].find(
    ({ part, verdict, method, because }) =>
      stays.has(part) &&
      (verdict === 'condemn' || method === 'turn joint face') &&
      because.some((seq) => seq > said),
  );
  if (!bad) return undefined;
  const what = bad.verdict === 'condemn' ? 'condemned' : 'its joint face is past lapping';
  return { to: 'out and back', why: `${bad.part}: ${what}` };
}
