/** What a task makes of a recording: read out of its file, or in words why not. */
export type Reader<T> = (file: string, bytes: Uint8Array) => T | string;

/** The name of a file as it is kept. */
export const asKept = (file: string): string => file.slice(0, 120);
