import type { JobExport } from '@dusk-wren/contract';
import { photoId } from '@dusk-wren/core/job';
import type { Transaction } from 'sequelize';
import { findPhoto, keepPhotoAsItIs } from '../database/photos';
import type { JobRow } from '../database/models';
import { eachInZip, zipOf, type ZipEntry } from '../exchange/zip';
import { asKept } from '../photos/clean-picture';
import { Refusal } from '../refusal';
import { exportJob } from './job-export';

const JOB = 'job.json';
const PHOTO = /^photos\/([0-9a-f-]{36})\.jpg$/;
const MOST_OF_A_LOG = 25 * 1024 * 1024;
const MOST_OF_A_PHOTO = 12 * 1024 * 1024;

/** The photographs that a job pins. */
export const photosIn = ({ entries }: JobExport): string[] =>
  entries.flatMap((entry) => {
    const body = entry.kind === 'photo-added' && 'body' in entry ? entry['body'] : undefined;
    const photo = typeof body === 'object' && body !== null && 'photo' in body ? body.photo : undefined;
    const read = photoId.safeParse(photo);
    return read.success ? [read.data] : [];
  });

/** A job whole: its log, and every photograph that it pins, one after the other. */
export async function* jobFile(row: JobRow, now: string): AsyncGenerator<Uint8Array> {
  const exported = await exportJob(row, now);
  async function* entries(): AsyncGenerator<ZipEntry> {
    yield { name: JOB, bytes: Buffer.from(JSON.stringify(exported)) };
    for (const id of new Set(photosIn(exported))) {
      const photo = await findPhoto(exported.job.id, id).catch(notThere);
      if (photo) yield { name: `photos/${id}.jpg`, bytes: photo.body };
    }
  }
  yield* zipOf(entries());
}

/** A log may come without its photographs: what is not there is not sent along. */
function notThere(error: unknown): undefined {
  if (error instanceof Refusal) return undefined;
  throw error;
}

/** The job out of such a file on disk, still to be judged. */
export async function readJobFile(path: string): Promise<unknown> {
  let found: unknown;
  await eachInZip(
    path,
    (name) => (name === JOB ? MOST_OF_A_LOG : undefined),
    ({ bytes }) => {
      found = parsed(bytes);
    },
  );
  if (found === undefined)
    throw new Refusal({ code: 'request.invalid', issues: [{ path: 'file', message: `no ${JOB} is in it` }] });
  return found;
}

function parsed(bytes: Uint8Array): unknown {
  try {
    return JSON.parse(Buffer.from(bytes).toString('utf8'));
  } catch {
    throw new Refusal({ code: 'request.not-json' });
  }
}

/** Takes the photographs that the job pins out of its file, as they are there. Answers with how many were not in it. */
export async function takePhotos(
  path: string,
  exported: JobExport,
  transaction: Transaction,
): Promise<{ taken: number; missing: number }> {
  const wanted = new Set(photosIn(exported));
  const pinned = wanted.size;
  await eachInZip(
    path,
    (name) => (wanted.has(PHOTO.exec(name)?.[1] ?? '') ? MOST_OF_A_PHOTO : undefined),
    async ({ name, bytes }) => {
      const id = PHOTO.exec(name)?.[1] ?? '';
      if (!wanted.delete(id)) return;
      await keepPhotoAsItIs(exported.job.id, id, await asKept(Buffer.from(bytes)), transaction);
    },
  );
  return { taken: pinned - wanted.size, missing: wanted.size };
}
