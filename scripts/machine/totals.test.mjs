import { describe, expect, it } from 'vitest';
import { totals } from './totals.mjs';

const file = (status, ...tests) => ({ status, assertionResults: tests.map((each) => ({ status: each })) });
const vitest = (passed, failed, pending, testResults) => ({
  numPassedTests: passed,
  numFailedTests: failed,
  numPendingTests: pending,
  numTodoTests: 0,
  testResults,
});

describe('what a run of tests counts', () => {
  it('a failed test is one failure', () => {
    expect(
      totals('unit', vitest(2, 1, 0, [file('failed', 'passed', 'failed'), file('passed', 'passed')])),
    ).toEqual({ passed: 2, failed: 1, skipped: 0 });
  });
  it('a file that could not start, or whose beginning failed, is a failure too: its tests were not run', () => {
    expect(
      totals(
        'server',
        vitest(1, 0, 2, [file('failed', 'pending', 'pending'), file('failed'), file('passed', 'passed')]),
      ),
    ).toEqual({ passed: 1, failed: 2, skipped: 2 });
  });
  it('so is an error of the journeys outside of any', () => {
    const stats = { expected: 3, unexpected: 0, flaky: 1, skipped: 0 };
    expect(totals('e2e', { stats, errors: [{ message: 'the server did not start' }] })).toEqual({
      passed: 4,
      failed: 1,
      skipped: 0,
    });
    expect(totals('e2e', { stats, errors: [] }).failed).toBe(0);
  });
});
