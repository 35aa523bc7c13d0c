import { createHash } from 'node:crypto';

/** An entry as its row has it, letter by letter. */
export interface StoredEntry {
  readonly jobId: string;
  readonly seq: number;
  readonly kind: string;
  readonly format: number;
  readonly commandId: string;
  readonly at: string;
  readonly toldByDevice: boolean;
  readonly receivedAt: Date;
  readonly person: string;
  readonly body: string;
}

/**
 * The hash of an entry: SHA-256 (FIPS 180-4) over the hash of the one before it and what its row says, a line each. The
 * first entry of a job follows from the job's id. Whatever is altered, left out or moved in a row, the hashes from there
 * on no longer follow from each other. Migration 009 says the same in SQL.
 */
export function hashAfter(before: string, row: StoredEntry): string {
  const received = row.toldByDevice ? row.receivedAt.toISOString() : '';
  const lines = [
    before,
    row.seq,
    row.kind,
    row.format,
    row.commandId,
    row.at,
    received,
    row.person,
    row.body,
  ];
  return createHash('sha256').update(lines.join('\n')).digest('hex');
}
