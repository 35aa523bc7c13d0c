import { wrap } from 'comlink';
import { callForNothing } from './client';
import type { Shrink } from '../workers/shrink.worker';

/** Sends a photograph for a job, made smaller in a worker first; answers its id. */
export async function sendPhoto(job: string, file: Blob): Promise<string> {
  const worker = new Worker(new URL('../workers/shrink.worker.ts', import.meta.url), { type: 'module' });
  try {
    const picture = await wrap<Shrink>(worker)(file);
    const id = crypto.randomUUID();
    await callForNothing(`/jobs/${job}/photos/${id}`, { method: 'PUT', body: picture });
    return id;
  } finally {
    worker.terminate();
  }
}
