import { wrap } from 'comlink';
import type { Shrink } from '../workers/shrink.worker';
import { callForNothing } from './client';

/** A photograph made small enough to send, in a worker; a file that is no picture is refused here already. */
export async function shrinkPhoto(file: Blob): Promise<Blob> {
  const worker = new Worker(new URL('../workers/shrink.worker.ts', import.meta.url), { type: 'module' });
  try {
    return await wrap<Shrink>(worker)(file);
  } finally {
    worker.terminate();
  }
}

/** Sends a photograph for a job under an id of our own: sent twice, it is kept once. */
export async function uploadPhoto(job: string, id: string, picture: Blob, person?: string): Promise<void> {
  await callForNothing(`/jobs/${job}/photos/${id}`, {
    method: 'PUT',
    body: picture,
    ...(person === undefined ? {} : { person }),
  });
}
