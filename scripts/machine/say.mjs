/** Progress for a person at a terminal: one line a step, what it does and how long it took. */
export const root = new URL('../../', import.meta.url).pathname;

export async function step(title, work) {
  process.stdout.write(`• ${title}\n`);
  const began = Date.now();
  const result = await work();
  process.stdout.write(`  done in ${((Date.now() - began) / 1000).toFixed(1)} s\n`);
  return result;
}

export function note(text) {
  process.stdout.write(`  ${text}\n`);
}

/** A failure that a person can do something about: its message is all that is shown. */
export class Plain extends Error {}

/** Runs a script's main function; a plain failure is said in its words, anything else with its trace. Exit code 1 for both. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    process.stderr.write(error instanceof Plain ? `\n${error.message}\n` : `\n${error?.stack ?? error}\n`);
    process.exitCode = 1;
  }
}
