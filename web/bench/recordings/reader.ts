import type { InstrumentView } from '@dusk-wren/contract';
import type { InstrumentId } from '@dusk-wren/core/job';

/** What a task makes of a recording: read out of its file, or in words why not. */
export type Reader<T> = (file: string, bytes: Uint8Array) => T | string;

/** The name of a file as it is kept. */
export const asKept = (file: string): string => file.slice(0, 120);

/** By what a figure is read: out of a recording by the rig that is picked, or by hand where that is simulated, for such a one has recorded nothing. */
export const readerOf = (
  rig: InstrumentView | undefined,
  file: string | undefined,
): InstrumentId | 'hand' | undefined => (file !== undefined && rig?.simulated !== false ? 'hand' : rig?.id);
