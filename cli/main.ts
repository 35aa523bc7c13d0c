import { calc } from './calc';
import { constructions, planOf } from './plan';
import { UsageError } from './usage';

const HELP = `dw calc                     list the workings
dw calc ID                  work one: a JSON object on standard input, quantities as texts ("3/4 in")
dw constructions            list the constructions, with their usual features
dw plan CONSTRUCTION        the plan of a usual valve of that construction
    --features FILE         with other features: a JSON object, an axis at a time
    --findings FILE         after findings: [{part, finding: {kind, ...}}], and ways chosen: [{way: {question, choice}}]
dw plan --job FILE          the plan of an exported job
`;

/** Exit codes: 0 done, 2 bad input or usage. */
async function main(args: readonly string[]): Promise<void> {
  const [command, ...rest] = args;
  switch (command) {
    case 'calc':
      return print(await calc(rest));
    case 'constructions':
      return print(constructions());
    case 'plan':
      return print(await planOf(rest));
    case undefined:
    case 'help':
    case '--help':
      process.stdout.write(HELP);
      return;
    default:
      throw new UsageError(`There is no command “${command}”.\n\n${HELP}`);
  }
}

function print(answer: unknown): void {
  process.stdout.write(`${JSON.stringify(answer, null, 2)}\n`);
}

try {
  await main(process.argv.slice(2));
} catch (error) {
  if (!(error instanceof UsageError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
