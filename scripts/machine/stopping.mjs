import { note } from './say.mjs';

/**
 * Does work that starts things, each of which it says how to stop (`stops.add`). They are stopped in the opposite order, once: at
 * a signal, when the work ends, or when it fails.
 */
export async function stoppingAtTheEnd(work) {
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
  const hasBegun = () => begun !== undefined;
  try {
    await work({ add: (stop) => stops.push(stop), hasBegun });
  } catch (error) {
    // What ends because all is stopped has not failed.
    if (!hasBegun()) throw error;
  } finally {
    await all();
    note('stopped');
  }
}
