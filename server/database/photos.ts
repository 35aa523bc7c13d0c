import type { JobId, PhotoId } from '@dusk-wren/core/job';
import { UniqueConstraintError, type Transaction } from 'sequelize';
import type { CleanPicture } from '../photos/clean-picture';
import { Refusal } from '../refusal';
import { PhotoRow, type JobRow } from './models';

/** Photographs of one job at most: a shop's disk is not endless. */
const MOST_OF_A_JOB = 300;

/** Whether this photograph is kept already; refused where the id is another job's, the job is closed, or it has enough. */
export async function isPhotoKept(job: JobRow, id: string): Promise<boolean> {
  const known = await PhotoRow.findByPk(id, { attributes: ['jobId'] });
  if (known && known.jobId !== job.id) throw new Refusal({ code: 'command.other-answer' });
  if (known) return true;
  if (job.state !== 'open') throw new Refusal({ code: 'job.released' });
  if ((await PhotoRow.count({ where: { jobId: job.id } })) >= MOST_OF_A_JOB)
    throw new Refusal({ code: 'photo.unreadable', why: `a job has ${MOST_OF_A_JOB} photographs at most` });
  return false;
}

/** Keeps a picture for a job under the id that its sender chose; the same id twice, at once even, is kept once. */
export async function keepPhoto(job: JobRow, id: string, picture: CleanPicture): Promise<void> {
  try {
    await PhotoRow.create({ id, jobId: job.id, ...picture });
  } catch (error) {
    if (!(error instanceof UniqueConstraintError)) throw error;
    if (!(await isPhotoKept(job, id))) throw error;
  }
}

/** Keeps a photograph of a job that comes in whole. */
export async function keepPhotoAsItIs(
  jobId: JobId,
  id: string,
  picture: CleanPicture,
  transaction: Transaction,
): Promise<void> {
  if (await PhotoRow.findByPk(id, { attributes: ['jobId'], transaction }))
    throw new Refusal({ code: 'command.other-answer' });
  await PhotoRow.create({ id, jobId, ...picture }, { transaction });
}

export async function findPhoto(jobId: JobId, id: string): Promise<PhotoRow> {
  const row = await PhotoRow.findOne({ where: { id, jobId } });
  if (!row) throw new Refusal({ code: 'not-found', what: 'photograph' });
  return row;
}

export function photosOf(jobId: JobId): Promise<PhotoRow[]> {
  return PhotoRow.findAll({ where: { jobId } });
}

/** Whether a photograph was sent for this job. */
export async function isPhotoOf(jobId: JobId, photo: PhotoId, transaction: Transaction): Promise<boolean> {
  const row = await PhotoRow.findByPk(photo, { attributes: ['jobId'], transaction });
  return row?.jobId === jobId;
}
