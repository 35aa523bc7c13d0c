import { setupBackup, type SetupBackup } from '@dusk-wren/contract';
import { BackupRow } from './setup-models';

const SHOWN = 10;

/** Back-ups that were taken or not, the last one first. */
export async function listBackups(): Promise<SetupBackup[]> {
  const rows = await BackupRow.findAll({ order: [['id', 'DESC']], limit: SHOWN });
  return rows.map(viewOf);
}

/** The last that was taken whole. */
export async function lastBackup(): Promise<SetupBackup | undefined> {
  const row = await BackupRow.findOne({ where: { failed: null }, order: [['id', 'DESC']] });
  return row ? viewOf(row) : undefined;
}

const viewOf = ({ beganAt, endedAt, file, bytes, sha256, failed }: BackupRow): SetupBackup =>
  setupBackup.parse({
    beganAt: beganAt.toISOString(),
    endedAt: endedAt.toISOString(),
    file,
    bytes: bytes === null ? null : Number(bytes),
    sha256,
    failed,
  });
