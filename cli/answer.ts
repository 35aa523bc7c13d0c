import { calc } from './calc';
import { constructions, planOf } from './plan';
import { scheduleOf } from './schedule';
import { UsageError } from './usage';

const HELP = `dw calc                     list the workings
dw calc ID                  work one: a JSON object on standard input, quantities as texts ("3/4 in")
dw constructions            list the constructions, with their usual features
dw plan CONSTRUCTION        the plan of a usual valve of that construction
    --features FILE         with other features: a JSON object, an axis at a time
    --place PLACE           where it is done: in-line, out (and back) or bare
    --scope SCOPE           what it is for: repack, trim, actuator, positioner, set-up, reversal, check, quote
    --findings FILE         after findings: [{part, finding: {kind, ...}}], and ways chosen: [{way: {question, choice}}]
dw plan --job FILE          the plan of an exported job
dw schedule FILE            who does what when: places, people, jobs with their operations, as JSON
`;

/** What one call prints and how it ends: 0 done, 1 there is no such plan, 2 bad input or usage. */
export interface Answer {
  readonly code: 0 | 1 | 2;
  readonly out: string;
  readonly said: string;
}

/** Answers one call of the command line; `input` is its standard input, read only by a command that wants it. */
export async function answer(args: readonly string[], input: AsyncIterable<Uint8Array>): Promise<Answer> {
  try {
    const [command, ...rest] = args;
    if (command !== 'schedule') return { code: 0, out: await printed(args, input), said: '' };
    const { feasible, printed: week } = await scheduleOf(rest);
    return { code: feasible ? 0 : 1, out: json(week), said: '' };
  } catch (error) {
    if (!(error instanceof UsageError)) throw error;
    return { code: 2, out: '', said: `${error.message}\n` };
  }
}

async function printed(
  [command, ...rest]: readonly string[],
  input: AsyncIterable<Uint8Array>,
): Promise<string> {
  switch (command) {
    case 'calc':
      return json(await calc(rest, input));
    case 'constructions':
      return json(constructions());
    case 'plan':
      return json(await planOf(rest));
    case undefined:
    case 'help':
    case '--help':
      return HELP;
    default:
      throw new UsageError(`There is no command “${command}”.\n\n${HELP}`);
  }
}

const json = (printed: unknown): string => `${JSON.stringify(printed, null, 2)}\n`;
