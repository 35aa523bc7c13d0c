import type { Learned, WeekView } from '@dusk-wren/contract/week';
import { factorOf, LEAST_LEARNED, type OperationKind } from '@dusk-wren/core/schedule';
import type { ConstructionId } from '@dusk-wren/core/valve';

/** What is told of no kind of valve is told of all that there are. */
const pooled = (learned: Learned, kind: OperationKind): number[] =>
  Object.values(learned).flatMap((kinds) => kinds[kind] ?? []);

/** Done over planned of such work on such a valve, where enough is known of it. */
const knownOf = (learned: Learned, construction: ConstructionId, kind: OperationKind): number[] => {
  const own = learned[construction]?.[kind] ?? [];
  return own.length >= LEAST_LEARNED ? own : [];
};

/**
 * How such work comes out over what it is planned at, by its factor: as on such valves, else as on all together, for a
 * promise wants some spread even where a kind of valve is new here.
 */
export function spreadOf(learned: Learned, construction: ConstructionId, kind: OperationKind): number[] {
  const own = knownOf(learned, construction, kind);
  if (own.length > 0) return own.map((ratio) => ratio / factorOf(own));
  return pooled(learned, kind);
}

/** `counted 1.2 times as planned, as the last 8 of them came out`; nothing where too little is known. */
export function sayLearned({ learned }: Pick<WeekView, 'learned'>, of: ConstructionId, kind: string): string {
  const kinds: Readonly<Record<string, readonly number[]>> = learned[of] ?? {};
  const ratios = kinds[kind] ?? [];
  return ratios.length < LEAST_LEARNED
    ? ''
    : `counted ${factorOf(ratios).toFixed(2)} times as planned, as the last ${ratios.length} on such valves came out`;
}
