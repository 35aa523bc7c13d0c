/**
 * What a runner's own JSON report counts. A file whose tests could not start (it does not load, or what comes before them
 * failed) has none of them failed; it is a failure all the same.
 */
export function totals(suite, report) {
  return suite === 'e2e' ? ofPlaywright(report) : ofVitest(report);
}

function ofVitest(report) {
  const couldNotStart = report.testResults.filter(
    ({ status, assertionResults }) =>
      status === 'failed' && !assertionResults.some((each) => each.status === 'failed'),
  );
  return {
    passed: report.numPassedTests,
    failed: report.numFailedTests + couldNotStart.length,
    skipped: report.numPendingTests + report.numTodoTests,
  };
}

function ofPlaywright({ stats, errors }) {
  return {
    passed: stats.expected + stats.flaky,
    failed: stats.unexpected + errors.length,
    skipped: stats.skipped,
  };
}
