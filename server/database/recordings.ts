import type { JobId } from '@dusk-wren/core/job';
import { readNumberTable } from '@dusk-wren/core/analysis';
import type { RecordingView } from '@dusk-wren/contract';
import { createHash, randomUUID } from 'node:crypto';
import { UniqueConstraintError } from 'sequelize';
import { jobOfFile, type Candidate } from '../drops/job-of-file';
import { Refusal } from '../refusal';
import { JobRow } from './models';
import { RecordingRow } from './recording-models';

/** A recording as a rig left it. */
export interface Dropped {
  readonly file: string;
  readonly body: Buffer;
}
/** Longer names are cut: their end says what they are. */
const LONGEST_NAME = 120;
const LISTED = 50;
const WITHOUT_BODY = { exclude: ['body'] };

const openJobs = (): Promise<Candidate[]> =>
  JobRow.findAll({ where: { state: 'open' }, attributes: ['id', 'tag'], raw: true });

function placeOf(file: string, open: readonly Candidate[]): { jobId: string | null; why: string | null } {
  const found = jobOfFile(file, open);
  switch (found.is) {
    case 'job':
      return { jobId: found.id, why: null };
    case 'none':
      return { jobId: null, why: 'no open job has the tag that its name begins with' };
    case 'several':
      return { jobId: null, why: `several open jobs have the tag ${found.tag}` };
  }
}

/**
 * Keeps a recording with the job that its name says, once, however often and under whatever name it comes: a second name
 * counts where the first was of no job. What is no recording is kept by its name and why. Answers whether anything is new.
 */
export async function landRecording({ file: whole, body }: Dropped, at: Date): Promise<boolean> {
  const file = whole.slice(-LONGEST_NAME);
  const sum = createHash('sha256').update(body).digest('hex');
  const place = placeOf(file, await openJobs());
  const known = await RecordingRow.findOne({ where: { sum }, attributes: WITHOUT_BODY });
  if (known) {
    if (known.rows === 0 || known.jobId !== null || place.jobId === null) return false;
    await known.update({ file, ...place });
    return true;
  }
  const rows = readNumberTable(body)?.rows ?? 0;
  const unread = { jobId: null, why: 'it is no CSV with a heading and rows of numbers' };
  try {
    await RecordingRow.create({
      ...{ id: randomUUID(), sum, file, rows, at },
      body: rows > 0 ? body : Buffer.alloc(0),
      ...(rows > 0 ? place : unread),
    });
    return true;
  } catch (error) {
    // Another server looks into the same folder.
    if (error instanceof UniqueConstraintError) return false;
    throw error;
  }
}

/** What is larger than a recording may be is told by its name, once. */
export async function tooLarge(file: string, most: string, at: Date): Promise<void> {
  const sum = createHash('sha256').update(`too large: ${file}`).digest('hex');
  const row = { id: randomUUID(), sum, file: file.slice(-LONGEST_NAME), body: Buffer.alloc(0), rows: 0, at };
  await RecordingRow.bulkCreate([{ ...row, jobId: null, why: `it is larger than ${most}` }], {
    ignoreDuplicates: true,
  });
}

/** Those that came before their job was opened find it once it is. */
export async function placeWaiting(): Promise<void> {
  const waiting = (
    await RecordingRow.findAll({
      where: { jobId: null },
      attributes: WITHOUT_BODY,
      order: [['at', 'DESC']],
      limit: LISTED,
    })
  ).filter(({ rows }) => rows > 0);
  if (waiting.length === 0) return;
  const open = await openJobs();
  for (const row of waiting) {
    const place = placeOf(row.file, open);
    if (place.jobId !== null || place.why !== row.why) await row.update(place);
  }
}

const viewed = ({ id, file, rows, at, jobId, why }: RecordingRow, tag?: string): RecordingView => ({
  ...{ id, file, rows, why, at: at.toISOString() },
  job: jobId,
  tag: tag ?? null,
});

/** Recordings of a job, the latest first. */
export async function recordingsOf(job: JobId): Promise<RecordingView[]> {
  const rows = await RecordingRow.findAll({
    where: { jobId: job },
    attributes: WITHOUT_BODY,
    order: [['at', 'DESC']],
    limit: LISTED,
  });
  return rows.map((row) => viewed(row));
}

/** What came last, and what became of it. */
export async function latestRecordings(): Promise<RecordingView[]> {
  const rows = await RecordingRow.findAll({
    attributes: WITHOUT_BODY,
    order: [['at', 'DESC']],
    limit: LISTED,
  });
  const ids = rows.flatMap(({ jobId }) => jobId ?? []);
  const jobs = await JobRow.findAll({ where: { id: ids }, attributes: ['id', 'tag'], raw: true });
  return rows.map((row) => viewed(row, jobs.find(({ id }) => id === row.jobId)?.tag));
}

/** One recording of a job, as the rig wrote it. */
export async function findRecording(job: JobId, id: string): Promise<RecordingRow> {
  const row = await RecordingRow.findOne({ where: { id, jobId: job } });
  if (!row) throw new Refusal({ code: 'not-found', what: 'recording' });
  return row;
}
