import type { AnyProblem } from '@dusk-wren/contract';
import {
  BaseError,
  ConnectionError,
  DatabaseError,
  TimeoutError,
  UniqueConstraintError,
  ValidationError,
} from 'sequelize';

/**
 * Numbers by which MariaDB says that it cannot now what it can at other times: too many connections, shutting down, a
 * lock waited for too long or given up, read only, disk or table full, connection gone, a node that has no part in its
 * cluster.
 */
const AT_ANOTHER_TIME: readonly number[] = [
  1021, 1037, 1038, 1040, 1041, 1047, 1053, 1114, 1203, 1205, 1213, 1223, 1290, 1317, 1792, 1836, 1927, 1969,
  2002, 2003, 2006, 2013, 2055, 3100,
];
/** The driver's own, all of them about a connection or its pool. */
const OF_THE_DRIVER = { from: 45_000, to: 45_999 };

const DISK_FULL: readonly number[] = [1021, 1026, 1114];
const READ_ONLY: readonly number[] = [1290, 1792, 1836];

/** Why the database can be read and nothing be stored in it, where that is what is wrong. */
export function whyUnwritable(error: unknown): 'full' | 'read only' | undefined {
  if (isNoRoom(error)) return 'full';
  if (!(error instanceof DatabaseError)) return undefined;
  const { parent } = error;
  const errno = 'errno' in parent ? Number(parent.errno) : 0;
  // The engine's own words for a write that the disk refused: error 28 is ENOSPC.
  if (DISK_FULL.includes(errno) || /\berror 28\b/.test(parent.message)) return 'full';
  return READ_ONLY.includes(errno) ? 'read only' : undefined;
}

/** This machine's own disk. */
const isNoRoom = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && (error.code === 'ENOSPC' || error.code === 'EDQUOT');

/** Whether the database, and not the request, is the reason: the same request may be taken later. */
export function isDatabaseAway(error: unknown): boolean {
  if (!(error instanceof BaseError)) return isConnectionErrno(error);
  if (error instanceof ConnectionError || error instanceof TimeoutError) return true;
  if (error instanceof UniqueConstraintError || error instanceof ValidationError) return false;
  return error instanceof DatabaseError && isConnectionErrno(error.parent);
}

function isConnectionErrno(error: unknown): boolean {
  if (typeof error !== 'object' || error === null) return false;
  if ('fatal' in error && error.fatal === true) return true;
  const errno = 'errno' in error ? Number(error.errno) : 0;
  return AT_ANOTHER_TIME.includes(errno) || (errno >= OF_THE_DRIVER.from && errno <= OF_THE_DRIVER.to);
}

/** What is wrong with the database, where that is what is wrong. */
export function databaseProblem(error: unknown): AnyProblem | undefined {
  const why = whyUnwritable(error);
  if (why) return { code: 'database.unwritable', why };
  return isDatabaseAway(error) ? { code: 'database.away' } : undefined;
}

/** What may go into a log of a failure: no statement and no parameter, for these hold sessions and people. */
export function withoutStatement(error: unknown): Record<string, unknown> {
  if (!(error instanceof Error)) return { message: String(error) };
  const parent = error instanceof BaseError && 'parent' in error ? error.parent : undefined;
  const errno = parent !== null && typeof parent === 'object' && 'errno' in parent ? parent.errno : undefined;
  return {
    type: error.name,
    message:
      error instanceof DatabaseError
        ? typeof errno === 'number'
          ? String(errno)
          : 'database error'
        : firstLine(error.message),
    ...(errno === undefined ? {} : { errno }),
    stack: (error.stack ?? '')
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, 12),
  };
}

/** The driver writes statement and parameters behind the first line. */
const firstLine = (message: string): string => (message.split('\n')[0] ?? '').slice(0, 200);
