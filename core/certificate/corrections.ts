import { describeEntry, type Entry } from '../job';
import type { UnitSystem } from '../quantity';

/** Entries that were struck, with why and by whom. */
export const corrections = (log: readonly Entry[], system: UnitSystem): string[] =>
  log.flatMap((entry) =>
    entry.kind === 'entry-struck' ? [`${entry.by.name}: ${describeEntry(entry, system)}`] : [],
  );
