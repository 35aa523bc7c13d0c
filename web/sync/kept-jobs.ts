import { instrumentView, type InstrumentView } from '@dusk-wren/contract';
import {
  commandId,
  personStamp,
  readLog,
  type CommandId,
  type Entry,
  type PersonStamp,
} from '@dusk-wren/core/job';
import Dexie, { type EntityTable } from 'dexie';
import { z } from 'zod';
import type { Waiting } from './ports';

/** One job as this device last knew it. */
export interface KeptJob {
  readonly log: readonly Entry[];
  readonly instruments: readonly InstrumentView[];
}

/** How much of somebody's work waits on this device. */
export interface WaitingOf {
  readonly person: string;
  readonly name: string;
  readonly count: number;
}

interface JobRecord {
  id: string;
  tag: string;
  log: unknown;
  instruments: unknown;
  /** When it was kept last. */
  at?: number;
}

interface PendingRecord {
  commandId: string;
  job: string;
  person: string;
  /** The person as a stamp; older records have the id alone. */
  by?: unknown;
  confirmation?: string;
  at: string;
  /** The order they were done in. */
  order: number;
  command: unknown;
}

const KEPT_FOR = 30 * 24 * 60 * 60 * 1000;

const keptLog = z.array(z.unknown());
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
  async load(job: string): Promise<KeptJob | undefined> {
    const record = await this.store.jobs.get(job);
    // As stored logs are read: an older format is brought up to date, not given up.
    const raw = keptLog.safeParse(record?.log);
    const instruments = keptInstruments.safeParse(record?.instruments);
    if (!raw.success || !instruments.success) return undefined;
    const log = readLog(raw.data);
    return log.ok ? { log: log.value, instruments: instruments.data } : undefined;
  }

  /** What this person did on the job and the server has not decided on, in order: kept apart from the job itself. */
  async waitingOn(job: string, person: PersonStamp): Promise<Waiting[]> {
    const rows = await this.store.pending.where({ job, person: person.id }).sortBy('order');
    return rows.flatMap(({ commandId: id, command, at, by, confirmation }) => {
      const read = commandId.safeParse(id);
      if (!read.success) return [];
      const stamp = personStamp.safeParse(by);
      const whose = stamp.success ? stamp.data : person;
      const confirmed = confirmation === undefined ? {} : { confirmation };
      return [{ commandId: read.data, command, person: whose, at, ...confirmed }];
    });
  }

  /** Whose work waits on this device, on one job or on any. */
  async waitingByPerson(job?: string): Promise<WaitingOf[]> {
    const rows = await this.store.pending.toArray();
    const found = new Map<string, WaitingOf>();
    for (const { person, by, job: of } of rows) {
      if (job !== undefined && of !== job) continue;
      const stamp = personStamp.safeParse(by);
      const name = stamp.success ? stamp.data.name : 'somebody';
      found.set(person, { person, name, count: (found.get(person)?.count ?? 0) + 1 });
    }
    return [...found.values()];
  }

  async keepLog(
    job: string,
    tag: string,
    log: readonly Entry[],
    instruments: readonly InstrumentView[],
  ): Promise<void> {
    await this.store.jobs.put({
      id: job,
      tag,
      log: plain(log),
      instruments: plain(instruments),
      at: Date.now(),
    });
  }

  /** Jobs are for who is here: whoever leaves takes them off this device. What waits to be sent stays, for its person. */
  async forgetJobs(): Promise<void> {
    await this.store.jobs.clear();
  }

  /** Jobs that nobody opened here for long. */
  async forgetOldJobs(): Promise<void> {
    const since = Date.now() - KEPT_FOR;
    await this.store.jobs.filter(({ at }) => at === undefined || at < since).delete();
  }

  async addPending(job: string, pending: Waiting): Promise<void> {
    await this.store.pending.put({
      commandId: pending.commandId,
      job,
      person: pending.person.id,
      by: plain(pending.person),
      ...(pending.confirmation === undefined ? {} : { confirmation: pending.confirmation }),
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
