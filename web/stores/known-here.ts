import { faultCountsView, type InstrumentView } from '@dusk-wren/contract';
import { kitsView, unitsView } from '@dusk-wren/contract/stock';
import { NOT_KNOWN_HERE, type Edge } from '@dusk-wren/core/command';
import type { useQueryCache } from '@pinia/colada';

type Cache = ReturnType<typeof useQueryCache>;

/**
 * What this screen knows beside a job's log: the shop's instruments, and what of its store and its counts was fetched to be
 * shown here. What was not is left to the server.
 */
export function knownHere(
  cache: Cache,
  instruments: () => readonly InstrumentView[],
): Omit<Edge, 'person' | 'now'> {
  return {
    instrument: (id) => instruments().find((each) => each.id === id),
    faultCounts: (symptom) => {
      const counts = faultCountsView.safeParse(cache.getQueryData(['fault-counts'])).data?.counts ?? [];
      return Object.fromEntries(
        counts.filter((each) => each.symptom === symptom).map(({ cause, count }) => [cause, count]),
      );
    },
    colleague: () => NOT_KNOWN_HERE,
    kits: () => kitsView.safeParse(cache.getQueryData(['kits'])).data?.kits ?? NOT_KNOWN_HERE,
    isPhotoOfJob: () => NOT_KNOWN_HERE,
    unit: (id) => {
      const units = unitsView.safeParse(cache.getQueryData(['units'])).data?.units;
      if (!units) return NOT_KNOWN_HERE;
      const found = units.find((each) => each.id === id);
      return found && { ...found, onShelf: found.state === 'on the shelf' };
    },
  };
}
