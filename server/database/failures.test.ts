import {
  ConnectionAcquireTimeoutError,
  ConnectionRefusedError,
  DatabaseError,
  UniqueConstraintError,
} from 'sequelize';
import { describe, expect, it } from 'vitest';
import { isDatabaseAway, whyUnwritable, withoutStatement } from './failures';

/** As the driver hands them over. Numbers: MariaDB's list of error codes. */
const fromDriver = (errno: number, message = 'no', fatal = false) =>
  new DatabaseError(
    Object.assign(new Error(message), {
      errno,
      fatal,
      sql: "SELECT 'the secret'",
      parameters: ['the secret'],
    }),
  );

describe('a database that cannot now', () => {
  it.each([
    ['lock wait timed out', 1205],
    ['deadlock', 1213],
    ['too many connections', 1040],
    ['shutting down', 1053],
    ['read only', 1290],
    ['read-only transaction', 1792],
    ['disk full', 1021],
    ['table full', 1114],
    ['connection killed', 1927],
    ['gone away', 2006],
    ['the driver’s pool has none free', 45_028],
  ])('%s is its own fault', (_name, errno) => {
    expect(isDatabaseAway(fromDriver(errno))).toBe(true);
  });
  it.each([
    ['disk full', 1021, 'full'],
    ['error on write', 1026, 'full'],
    ['table full', 1114, 'full'],
    ['read only', 1290, 'read only'],
    ['read-only transaction', 1792, 'read only'],
    ['deadlock', 1213, undefined],
  ] as const)('%s is said to be what it is', (_name, errno, why) => {
    expect(whyUnwritable(fromDriver(errno))).toBe(why);
  });
  it('an engine that ran out of room says so in words, this machine’s disk by its code', () => {
    expect(
      whyUnwritable(fromDriver(1030, 'Got error 28 "No space left on device" from storage engine')),
    ).toBe('full');
    expect(whyUnwritable(fromDriver(1030, 'Got error 122 from storage engine'))).toBeUndefined();
    expect(whyUnwritable(Object.assign(new Error('write'), { code: 'ENOSPC' }))).toBe('full');
  });
  it('so are a refused connection, none to be had, and one that broke', () => {
    expect(isDatabaseAway(new ConnectionRefusedError(new Error('ECONNREFUSED')))).toBe(true);
    expect(isDatabaseAway(new ConnectionAcquireTimeoutError(new Error('timeout')))).toBe(true);
    expect(isDatabaseAway(fromDriver(0, 'socket has unexpectedly been closed', true))).toBe(true);
  });
  it.each([
    ['no such column', 1054],
    ['syntax', 1064],
    ['data too long', 1406],
  ])('%s is ours', (_name, errno) => {
    expect(isDatabaseAway(fromDriver(errno))).toBe(false);
  });
  it('so is a row that is there already, and anything of our own', () => {
    expect(isDatabaseAway(new UniqueConstraintError({}))).toBe(false);
    expect(isDatabaseAway(new TypeError('x is undefined'))).toBe(false);
  });
});

describe('a log of a failure', () => {
  it('holds number and place, and neither statement nor parameter', () => {
    const line = JSON.stringify(
      withoutStatement(
        fromDriver(1205, "Lock wait timeout\nsql: SELECT 'the secret' - parameters:['the secret']"),
      ),
    );
    expect(line).toContain('1205');
    expect(line).not.toContain('secret');
  });
});
