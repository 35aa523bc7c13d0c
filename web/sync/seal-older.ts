import type { DeviceStore } from './device-store';
import { seal, sealJson } from './seal';

/** What waits from before this device sealed what it keeps. */
interface OlderPending {
  readonly commandId: string;
  readonly job: string;
  readonly person: string;
  readonly order: number;
  readonly command: { readonly body?: { readonly photo?: string } };
  readonly by?: { readonly name?: string };
  readonly at: string;
  readonly confirmation?: string;
}

const isOlder = (row: object): row is OlderPending => 'command' in row;

/** Seals what a person has waiting from before, with the photographs that go with it; nothing of it is lost. */
export async function sealOlder(store: DeviceStore, person: string, key: CryptoKey): Promise<void> {
  const rows: object[] = await store.pending.filter((row) => row.person === person).toArray();
  for (const { commandId, job, order, command, by, at, confirmation } of rows.filter(isOlder)) {
    const kept = { command, by, at, ...(confirmation === undefined ? {} : { confirmation }) };
    const body = await sealJson(key, `pending/${commandId}`, kept);
    await store.pending.put({ commandId, job, person, name: by?.name ?? 'somebody', order, body });
    const { photo } = command.body ?? {};
    const lies = photo === undefined ? undefined : await store.photos.get(photo);
    const bytes: unknown = lies?.picture;
    if (lies && bytes instanceof ArrayBuffer)
      await store.photos.put({ ...lies, picture: await seal(key, `photos/${lies.id}`, bytes) });
  }
}
