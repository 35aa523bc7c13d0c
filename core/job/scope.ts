import type { JobState } from './state';
import { openingOf } from './state';
import type { Scope } from './scopes';

/** What the job is for: as it was opened, or as it was last cut or widened. */
export const scopeOf = (state: JobState): Scope =>
  state.records['scope-changed'].at(-1)?.body.scope ?? openingOf(state)?.body.scope ?? 'overhaul';
