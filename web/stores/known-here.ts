import { faultCountsView, type InstrumentView } from '@dusk-wren/contract';
import { kitsView, unitsView } from '@dusk-wren/contract/stock';
import { NOT_KNOWN_HERE, type Edge } from '@dusk-wren/core/command';
import type { useQueryCache } from '@pinia/colada';

/** An instrument as an entry stamps it: how it is worked is no part of a reading. */
function stampOf(instrument: InstrumentView | undefined) {
  if (!instrument) return undefined;
  const { byItself: _worked, lines: _typed, ...stamp } = instrument;
  return stamp;
}

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
    instrument: (id) => stampOf(instruments().find((each) => each.id === id)),
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
