import type { RecordingRole } from '@dusk-wren/core/analysis';
import { readSignature } from '@dusk-wren/core/workings';
import { expose } from 'comlink';

let bytes: Uint8Array | undefined;

/** Reads stroke recordings beside the page, so that it never stands still. */
const signatureReader = {
  /** Takes a file in and reads it; the bytes stay here for another choice of columns. */
  open: (file: Uint8Array) => {
    bytes = file;
    return readSignature({ bytes: file });
  },
  /** Reads the same file with columns chosen by hand. */
  withColumns: (columns: Partial<Record<RecordingRole, string>>) =>
    bytes ? readSignature({ bytes, columns }) : undefined,
};

export type SignatureReader = typeof signatureReader;
expose(signatureReader);
