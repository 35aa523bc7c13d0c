import type { Entry, JobId } from '@dusk-wren/core/job';
import { JobRow } from '../database/models';

/** Hears what a job has grown to, with the entries where they are at hand. */
type Listener = (version: number, entries?: readonly Entry[]) => void;

const POLL_MILLISECONDS = 150;

/**
 * Tells listeners when a job has grown. One small query by primary key answers for every open job of this process, so
 * that what another server process committed is seen too; what this one commits is told at once.
 */
export class LiveFeed {
  private readonly listeners = new Map<JobId, Set<Listener>>();
  private timer: NodeJS.Timeout | undefined;

  constructor(private readonly onFailure: (error: unknown) => void) {}

  /** Listens until the returned function is called. */
  listen(jobId: JobId, listener: Listener): () => void {
    const here = this.listeners.get(jobId) ?? new Set();
    here.add(listener);
    this.listeners.set(jobId, here);
    this.timer ??= setTimeout(() => void this.poll(), POLL_MILLISECONDS);
    return () => {
      here.delete(listener);
      if (here.size === 0) this.listeners.delete(jobId);
      if (this.listeners.size === 0) this.stop();
    };
  }

  /** This process has just committed these. */
  grown(jobId: JobId, entries: readonly Entry[]): void {
    const version = entries.at(-1)?.seq;
    if (version === undefined) return;
    for (const listener of this.listeners.get(jobId) ?? []) listener(version, entries);
  }

  stop(): void {
    clearTimeout(this.timer);
    this.timer = undefined;
  }

  /** Looks once, and again only after that has been answered: a slow database is not asked more, the slower it is. */
  private async poll(): Promise<void> {
    try {
      const rows = await JobRow.findAll({
        where: { id: [...this.listeners.keys()] },
        attributes: ['id', 'version'],
        raw: true,
      });
      const versions = new Map(rows.map(({ id, version }) => [id, version]));
      for (const [jobId, here] of this.listeners) {
        const version = versions.get(jobId);
        if (version !== undefined) for (const listener of here) listener(version);
      }
    } catch (error) {
      this.onFailure(error);
    }
    if (this.timer) this.timer = setTimeout(() => void this.poll(), POLL_MILLISECONDS);
  }
}
