import type { JobState } from './state';
import { openingOf } from './state';
import type { Place } from './places';

/** Where the work is done: as the job was opened, or as it was last changed. */
export const placeOf = (state: JobState): Place =>
  state.records['place-changed'].at(-1)?.body.place ?? openingOf(state)?.body.place ?? 'bare';
