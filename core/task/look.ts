import type { Finding } from '../inspection';
import type { PartRole } from '../valve';
import type { TaskKind } from './task-kind';

/** What a person can say about a part at a glance, offered as choices. */
export interface LookChoice {
  readonly label: string;
  readonly finding: Finding;
  /** The depth is asked for before the finding is made. */
  readonly asksDepth?: true;
}

export interface LookTask {
  readonly kind: 'look';
  readonly part: PartRole;
  readonly choices: readonly LookChoice[];
}

export const lookTask: TaskKind<LookTask> = {
  finishedBy: (_, facts) => facts.on('finding-made').at(-1),
  plainly: ({ part, choices }, { step, finding }) => [
    { kind: 'make-finding', body: { step, finding: finding(part, choices) } },
  ],
};
