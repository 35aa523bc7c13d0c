import type { Command } from '@dusk-wren/core/command';
import type { JobId } from '@dusk-wren/core/job';
import type { Transaction } from 'sequelize';
import type { CleanPicture } from '../photos/clean-picture';
import { Refusal } from '../refusal';
import { PhotoRow } from './models';

/** Photographs of one job at most: a shop's disk is not endless. */
const MOST_OF_A_JOB = 300;

/** Keeps a picture for a job under the id that its sender chose; the same id twice is kept once. */
export async function keepPhoto(jobId: JobId, id: string, picture: CleanPicture): Promise<void> {
  const known = await PhotoRow.findByPk(id, { attributes: ['jobId'] });
  if (known && known.jobId !== jobId) throw new Refusal({ code: 'command.other-answer' });
  if (known) return;
  if ((await PhotoRow.count({ where: { jobId } })) >= MOST_OF_A_JOB)
    throw new Refusal({ code: 'photo.unreadable', why: `a job has ${MOST_OF_A_JOB} photographs at most` });
  await PhotoRow.create({ id, jobId, ...picture });
}

export async function findPhoto(jobId: JobId, id: string): Promise<PhotoRow> {
  const row = await PhotoRow.findOne({ where: { id, jobId } });
  if (!row) throw new Refusal({ code: 'not-found', what: 'photograph' });
  return row;
}

export function photosOf(jobId: JobId): Promise<PhotoRow[]> {
  return PhotoRow.findAll({ where: { jobId } });
}

/** A photograph is pinned only to the job that it was sent for. */
export async function photoIsOfJob(command: Command, jobId: JobId, transaction: Transaction): Promise<void> {
  if (command.kind !== 'add-photo') return;
  const row = await PhotoRow.findByPk(command.body.photo, { attributes: ['jobId'], transaction });
  if (row?.jobId !== jobId) throw new Refusal({ code: 'not-found', what: 'photograph on this job' });
}
