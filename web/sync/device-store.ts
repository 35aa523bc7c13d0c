import Dexie, { type EntityTable, type Table } from 'dexie';
import type { Sealed } from './seal';

/** One job as it is kept: its tag apart, for lists. */
export interface JobRecord {
  id: string;
  tag: Sealed;
  body: Sealed;
  /** When it was kept last. */
  at: number;
}

export interface PendingRecord {
  commandId: string;
  job: string;
  person: string;
  /** Whose it is, as the sign-in page names them anyway. */
  name: string;
  /** The order they were done in. */
  order: number;
  body: Sealed;
}

export interface PhotoRecord {
  id: string;
  type: string;
  picture: Sealed;
}

/** Something small that a person has on this device: a text half typed, the last list they saw. */
export interface SmallRecord {
  person: string;
  name: string;
  at: number;
  value: Sealed;
}

/** The key of who is signed in here: it goes when they do. */
export interface KeyRecord {
  person: string;
  key: CryptoKey;
}

/** The store of this device, in IndexedDB: it outlives the tab, the browser and the battery. */
export class DeviceStore extends Dexie {
  declare jobs: EntityTable<JobRecord, 'id'>;
  declare pending: EntityTable<PendingRecord, 'commandId'>;
  declare photos: EntityTable<PhotoRecord, 'id'>;
  declare small: Table<SmallRecord, [string, string]>;
  declare keys: EntityTable<KeyRecord, 'person'>;
  constructor(name: string) {
    super(name);
    this.version(1).stores({ jobs: 'id', pending: 'commandId, [job+person]' });
    this.version(2).stores({ photos: 'id' });
    // Jobs that stood here for anybody to read are fetched again; what waits is sealed when its person is here.
    this.version(3)
      .stores({ small: '[person+name]', keys: 'person' })
      .upgrade((was) => was.table('jobs').clear());
  }
}
