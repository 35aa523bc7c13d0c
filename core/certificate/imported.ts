import type { JobState } from '../job';

/** On every page and paper of a job that came out of a file: who brought it in, when, from which file, what was doubtful. */
export function importOf(state: JobState): string | undefined {
  const entry = state.records['job-imported'].at(-1);
  if (!entry) return undefined;
  const { file, refusedInAll } = entry.body;
  const doubtful =
    refusedInAll === 0
      ? 'No entry would have been refused here.'
      : `${refusedInAll} ${refusedInAll === 1 ? 'entry' : 'entries'} would have been refused here.`;
  return `Imported, not checked here: brought in by ${entry.by.name}, ${entry.by.role}, ${entry.at.slice(0, 16).replace('T', ' ')} UTC, from file ${file.slice(0, 16)}. ${doubtful}`;
}
