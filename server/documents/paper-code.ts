import { createHash } from 'node:crypto';

const HASH_DIGITS = 12;
const JOB_DIGITS = 8;

/** The code of a signed paper: which job, and what its log said when it was signed. */
export interface PaperCode {
  readonly job: string;
  readonly hash: string;
}

/** As it is printed, in fours: `9F3C-01AB-77D0-…`. */
export const writtenCode = ({ job, hash }: PaperCode): string =>
  (`${job}${hash}`.toUpperCase().match(/.{1,4}/g) ?? []).join('-');

/** A code as somebody typed it; undefined where it is none. */
export function readCode(typed: string): PaperCode | undefined {
  const digits = typed.toLowerCase().replace(/[\s-]/g, '');
  if (!new RegExp(`^[0-9a-f]{${JOB_DIGITS + HASH_DIGITS}}$`).test(digits)) return undefined;
  return { job: digits.slice(0, JOB_DIGITS), hash: digits.slice(JOB_DIGITS) };
}

/** A log as it is stored, as far as a paper needs to know it. */
type RawLog = readonly unknown[];
const isSignature = (entry: unknown): entry is { readonly seq: number } =>
  typeof entry === 'object' &&
  entry !== null &&
  'seq' in entry &&
  typeof entry.seq === 'number' &&
  'kind' in entry &&
  entry.kind === 'certificate-signed';
const seqOf = (entry: unknown): number =>
  typeof entry === 'object' && entry !== null && 'seq' in entry && typeof entry.seq === 'number'
    ? entry.seq
    : Infinity;

/** The codes of every signature in a log, the last one last: SHA-256 of all entries up to it. */
export function codesOf(
  jobId: string,
  log: RawLog,
): readonly { readonly seq: number; readonly code: PaperCode }[] {
  return log.filter(isSignature).map(({ seq }) => {
    const upTo = log.filter((entry) => seqOf(entry) <= seq);
    const hash = createHash('sha256').update(canonical(upTo)).digest('hex');
    return { seq, code: { job: jobId.slice(0, JOB_DIGITS), hash: hash.slice(0, HASH_DIGITS) } };
  });
}

/** JSON with its keys in order, so that the same facts have the same hash wherever they were stored. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_, each: unknown) =>
    typeof each === 'object' && each !== null && !Array.isArray(each)
      ? Object.fromEntries(Object.entries(each).sort(([a], [b]) => (a < b ? -1 : 1)))
      : each,
  );
}
