import type { Role } from '../job';
import type { TaskKind } from './task-kind';

/** Simply to be done. */
export interface DoTask {
  readonly kind: 'do';
  /** What must be written down with it: one thing, or several, each by its name. */
  readonly writes?: string | readonly string[];
  /** Only they do it; anybody unless told. */
  readonly mayBy?: readonly Role[];
}

export const doTask: TaskKind<DoTask> = {
  finishedBy: (_, facts) => facts.byHand(),
  plainly: ({ writes, mayBy }, { step, written }) => [
    {
      kind: 'do-step',
      ...(mayBy?.[0] ? { by: mayBy[0] } : {}),
      body: {
        step,
        ...(writes === undefined
          ? {}
          : {
              note: typeof writes === 'string' ? written() : noteOf(writes.map((what) => [what, written()])),
            }),
      },
    },
  ],
  wantsByHand: ({ writes }, _, note) => {
    if (writes === undefined || typeof writes === 'string') return note ? undefined : writes;
    const lacking = writes.filter((what) => note?.includes(`${what}: `) !== true);
    return lacking.length > 0 ? lacking.join(', ') : undefined;
  },
};

/** Several things that were written down, each by its name. */
export const noteOf = (written: readonly (readonly [what: string, text: string])[]): string =>
  written.map(([what, text]) => `${what}: ${text}`).join('; ');
