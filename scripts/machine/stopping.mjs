/** What was started, stopped in the opposite order: once, at a signal or at the end. */
export function stopping() {
  const stops = [];
  let begun;
  const all = () =>
    (begun ??= (async () => {
      for (const stop of stops.reverse()) await stop();
    })());
  const onSignal = (signal) => {
    process.stdout.write(`\n${signal}: stopping what was started\n`);
    void all().then(() => process.exit(0));
  };
  process.on('SIGINT', onSignal);
  process.on('SIGTERM', onSignal);
  return { add: (stop) => stops.push(stop), all, hasBegun: () => begun !== undefined };
}
