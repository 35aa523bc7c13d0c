import { instrumentView, type InstrumentView } from '@dusk-wren/contract';
import {
  commandId,
  personStamp,
  readLog,
  type CommandId,
  type Entry,
  type PersonStamp,
} from '@dusk-wren/core/job';
import { z } from 'zod';
import { DeviceStore, type SmallRecord } from './device-store';
import type { Waiting } from './ports';
import { sealOlder } from './seal-older';
import { keyFrom, seal, sealJson, unseal, unsealJson } from './seal';

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

const KEPT_FOR = 30 * 24 * 60 * 60 * 1000;

/** Small things of one person that are kept: the oldest go first. */
const MOST_SMALL = 300;

const keptJob = z.object({ log: z.array(z.unknown()), instruments: z.array(instrumentView) });
const keptWaiting = z.object({
  command: z.unknown(),
  by: personStamp,
  at: z.string(),
  confirmation: z.string().exactOptional(),
});

/** Who is here, and the key of what is theirs. */
interface Here {
  readonly person: string;
  readonly key: CryptoKey;
}

/** Nobody has signed in here, so that nothing can be sealed for them. */
export class NobodyHere extends Error {}

/**
 * What this device keeps: jobs, what waits to be sent, and small things. All of it is sealed for whoever is here, whose
 * sign-in unlocks it; what waits of others is counted, and not read.
 */
export class KeptJobs {
  private readonly store: DeviceStore;
  private count = 0;
  private here: Here | undefined;
  private smallHere = new Map<string, unknown>();
  /** Small things go one after the other: the last that was typed is the one that stays. */
  private lastSmall: Promise<unknown> = Promise.resolve();

  constructor(name = 'dusk-wren') {
    this.store = new DeviceStore(name);
  }

  /** Somebody has signed in: what is theirs here can be read, by them alone. `secret` is 32 bytes in base64. */
  async unlock(person: string, secret: string): Promise<void> {
    const key = await keyFrom(secret);
    await this.store.transaction('rw', this.store.keys, async () => {
      await this.store.keys.clear();
      await this.store.keys.put({ person, key });
    });
    await this.begin(person, key);
  }

  /** Who was here before the page was opened again, where the server cannot say so; whether they were. */
  async wake(person: string): Promise<boolean> {
    const kept = await this.store.keys.get(person);
    if (kept) await this.begin(person, kept.key);
    return kept !== undefined;
  }

  private async begin(person: string, key: CryptoKey): Promise<void> {
    await this.lastSmall;
    const rows = await this.store.small
      .where('[person+name]')
      .between([person, ''], [person, '\uffff'])
      .toArray();
    // What waits to be sent is no small thing: it stays however much is typed beside it.
    const kept = rows
      .sort((a, b) => b.at - a.at)
      .filter(({ name }, i) => i < MOST_SMALL || name.startsWith('waiting/'));
    const old = rows.filter((row) => !kept.includes(row));
    await this.store.small.bulkDelete(old.map(({ name }) => [person, name]));
    const read = kept.map(async ({ name, value }) => {
      return [name, await unsealJson(key, aboutSmall({ person, name }), value)] as const;
    });
    await sealOlder(this.store, person, key);
    this.smallHere = new Map((await Promise.all(read)).filter(([, value]) => value !== undefined));
    this.here = { person, key };
  }

  /** Whoever was here has left: their key is gone, and with it all that could be read. What waits stays, sealed. */
  async lock(): Promise<void> {
    this.shut();
    await this.store.keys.clear();
    await this.store.jobs.clear();
  }

  /** This page is nobody's any more; another window of this browser goes on. */
  shut(): void {
    this.here = undefined;
    this.smallHere = new Map();
  }

  private mine(): Here {
    if (!this.here) throw new NobodyHere('nobody is signed in on this device');
    return this.here;
  }

  /** Something small of who is here, as it was kept; to be parsed. */
  small(name: string): unknown {
    return this.smallHere.get(name);
  }

  /** Names of the small things that begin so. */
  smallNames(beginning: string): string[] {
    return [...this.smallHere.keys()].filter((name) => name.startsWith(beginning));
  }

  /** Keeps something small; nothing takes it away. */
  async keepSmall(name: string, value: unknown): Promise<void> {
    const here = this.mine();
    if (value === undefined) this.smallHere.delete(name);
    else this.smallHere.set(name, value);
    const written = this.lastSmall.then(() => this.writeSmall(here, name, value));
    this.lastSmall = written.catch(() => undefined);
    return written;
  }

  private async writeSmall({ person, key }: Here, name: string, value: unknown): Promise<void> {
    if (value === undefined) return this.store.small.delete([person, name]);
    const sealed = await sealJson(key, aboutSmall({ person, name }), value);
    await this.store.small.put({ person, name, at: Date.now(), value: sealed });
  }

  /** The job as it was kept; undefined when it was never opened here, or what is kept cannot be read any more. */
  async load(job: string): Promise<KeptJob | undefined> {
    const { key } = this.mine();
    const record = await this.store.jobs.get(job);
    // As stored logs are read: an older format is brought up to date, not given up.
    const raw = keptJob.safeParse(record && (await unsealJson(key, `jobs/${job}`, record.body)));
    if (!raw.success) return undefined;
    const log = readLog(raw.data.log);
    return log.ok ? { log: log.value, instruments: raw.data.instruments } : undefined;
  }

  /** What this person did on the job and the server has not decided on, in order: kept apart from the job itself. */
  async waitingOn(job: string, person: PersonStamp): Promise<Waiting[]> {
    const { key } = this.mine();
    const rows = await this.store.pending.where({ job, person: person.id }).sortBy('order');
    const read = rows.map(async ({ commandId: id, body }): Promise<Waiting[]> => {
      const kept = keptWaiting.safeParse(await unsealJson(key, `pending/${id}`, body));
      const name = commandId.safeParse(id);
      if (!kept.success || !name.success) return [];
      const { by, ...rest } = kept.data;
      return [{ commandId: name.data, person: by, ...rest }];
    });
    return (await Promise.all(read)).flat();
  }

  /** Whose work waits on this device, on one job or on any. */
  async waitingByPerson(job?: string): Promise<WaitingOf[]> {
    const rows = await this.store.pending.toArray();
    const found = new Map<string, WaitingOf>();
    for (const { person, name, job: of } of rows) {
      if (job !== undefined && of !== job) continue;
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
    const { key } = this.mine();
    await this.store.jobs.put({
      id: job,
      tag: await sealJson(key, `tags/${job}`, tag),
      body: await sealJson(key, `jobs/${job}`, { log, instruments }),
      at: Date.now(),
    });
  }

  /** Jobs that nobody opened here for long. */
  async forgetOldJobs(): Promise<void> {
    const since = Date.now() - KEPT_FOR;
    await this.store.jobs.filter(({ at }) => at < since).delete();
  }

  async addPending(
    job: string,
    { commandId: id, person, command, at, confirmation }: Waiting,
  ): Promise<void> {
    const { key } = this.mine();
    const kept = { command, by: person, at, ...(confirmation === undefined ? {} : { confirmation }) };
    await this.store.pending.put({
      commandId: id,
      job,
      person: person.id,
      name: person.name,
      order: Date.now() * 1000 + (this.count++ % 1000),
      body: await sealJson(key, `pending/${id}`, kept),
    });
  }

  async removePending(id: CommandId): Promise<void> {
    await this.store.pending.delete(id);
  }

  /** A photograph that has not reached the server yet. Its bytes are kept: not every browser keeps a Blob. */
  async keepPhoto(id: string, picture: Blob): Promise<void> {
    const { key } = this.mine();
    const sealed = await seal(key, `photos/${id}`, await picture.arrayBuffer());
    await this.store.photos.put({ id, picture: sealed, type: picture.type });
  }

  async photo(id: string): Promise<Blob | undefined> {
    const { key } = this.mine();
    const kept = await this.store.photos.get(id);
    const bytes = kept && (await unseal(key, `photos/${id}`, kept.picture));
    return bytes && new Blob([bytes], { type: kept.type });
  }

  async removePhoto(id: string): Promise<void> {
    await this.store.photos.delete(id);
  }

  /** Jobs that can be opened without a connection. */
  async list(): Promise<{ id: string; tag: string }[]> {
    const { key } = this.mine();
    const rows = (await this.store.jobs.toArray()).map(async ({ id, tag }) => ({
      id,
      tag: await unsealJson(key, `tags/${id}`, tag),
    }));
    return (await Promise.all(rows)).flatMap(({ id, tag }) => (typeof tag === 'string' ? [{ id, tag }] : []));
  }

  close(): void {
    this.store.close();
  }
}

const aboutSmall = ({ person, name }: Pick<SmallRecord, 'person' | 'name'>): string =>
  `small/${person}/${name}`;
