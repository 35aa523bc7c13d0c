import { instrumentView, type InstrumentView } from '@dusk-wren/contract';
import { commandId, entrySchema, type CommandId, type Entry } from '@dusk-wren/core/job';
import Dexie, { type EntityTable } from 'dexie';
import { z } from 'zod';
import type { Waiting } from './job-sync';

/** One job as this device last knew it, and what was done on it here and has not been answered yet. */
export interface KeptJob {
  readonly log: readonly Entry[];
  readonly instruments: readonly InstrumentView[];
  readonly pending: readonly Waiting[];
}

interface JobRecord {
  id: string;
  tag: string;
  log: unknown;
  instruments: unknown;
}

interface PendingRecord {
  commandId: string;
  job: string;
  person: string;
  at: string;
  /** The order they were done in. */
  order: number;
  command: unknown;
}

const keptLog = z.array(entrySchema);
const keptInstruments = z.array(instrumentView);

interface PhotoRecord {
  id: string;
  picture: ArrayBuffer;
  type: string;
}

/** The store of this device, in IndexedDB: it outlives the tab, the browser and the battery. */
class DeviceStore extends Dexie {
  declare jobs: EntityTable<JobRecord, 'id'>;
  declare pending: EntityTable<PendingRecord, 'commandId'>;
  declare photos: EntityTable<PhotoRecord, 'id'>;
  constructor(name: string) {
    super(name);
    this.version(1).stores({ jobs: 'id', pending: 'commandId, [job+person]' });
    this.version(2).stores({ photos: 'id' });
  }
}

/** Jobs kept on this device. What is waiting belongs to the person who did it, whoever signs in next. */
export class KeptJobs {
  private readonly store: DeviceStore;
  private count = 0;

  constructor(name = 'dusk-wren') {
    this.store = new DeviceStore(name);
  }

  /** The job as it was kept; undefined when it was never opened here, or what is kept cannot be read any more. */
  async load(job: string, person: string): Promise<KeptJob | undefined> {
    const record = await this.store.jobs.get(job);
    const log = keptLog.safeParse(record?.log);
    const instruments = keptInstruments.safeParse(record?.instruments);
    if (!record || !log.success || !instruments.success) return undefined;
    const rows = await this.store.pending.where({ job, person }).sortBy('order');
    return {
      log: log.data,
      instruments: instruments.data,
      pending: rows.flatMap(({ commandId: id, command, at }) => {
        const read = commandId.safeParse(id);
        return read.success ? [{ commandId: read.data, command, at }] : [];
      }),
    };
  }

  async keepLog(
    job: string,
    tag: string,
    log: readonly Entry[],
    instruments: readonly InstrumentView[],
  ): Promise<void> {
    await this.store.jobs.put({ id: job, tag, log: plain(log), instruments: plain(instruments) });
  }

  async addPending(job: string, person: string, pending: Waiting): Promise<void> {
    await this.store.pending.put({
      commandId: pending.commandId,
      job,
      person,
      at: pending.at,
      order: Date.now() * 1000 + (this.count++ % 1000),
      command: plain(pending.command),
    });
  }

  async removePending(id: CommandId): Promise<void> {
    await this.store.pending.delete(id);
  }

  /** A photograph that has not reached the server yet. Its bytes are kept: not every browser keeps a Blob. */
  async keepPhoto(id: string, picture: Blob): Promise<void> {
    await this.store.photos.put({ id, picture: await picture.arrayBuffer(), type: picture.type });
  }

  async photo(id: string): Promise<Blob | undefined> {
    const kept = await this.store.photos.get(id);
    return kept && new Blob([kept.picture], { type: kept.type });
  }

  async removePhoto(id: string): Promise<void> {
    await this.store.photos.delete(id);
  }

  /** Jobs that can be opened without a connection. */
  async list(): Promise<{ id: string; tag: string }[]> {
    return (await this.store.jobs.toArray()).map(({ id, tag }) => ({ id, tag }));
  }

  close(): void {
    this.store.close();
  }
}

/** A copy without the proxies and classes that IndexedDB cannot store. */
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
