import { jobExport } from '@dusk-wren/contract';
import { openJob, record } from '@dusk-wren/core/command';
import { commandId, EMPTY_JOB, fold, personStamp, readLog, type JobState } from '@dusk-wren/core/job';
import { USUAL_RULES } from '@dusk-wren/core/inspection';
import { plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { CONSTRUCTION_IDS, defaultValve } from '@dusk-wren/core/valve';
import { readFile } from 'node:fs/promises';
import { refused, UsageError } from './usage';

/** The plan of a usual valve, or of a job that was exported. */
export async function planOf(args: readonly string[]): Promise<unknown> {
  const [first, second, ...more] = args;
  if (more.length > 0 || first === undefined)
    throw new UsageError('plan takes a construction, or --job FILE.');
  const state = first === '--job' ? await jobIn(second) : usual(first);
  const planned = plan(state);
  if (!planned.ok) throw refused(planned.problem);
  if (!planned.value) throw new UsageError('This job was never opened.');
  const { steps, calls, inHand, remainingMinutes, valve } = planned.value;
  return {
    construction: valve.construction,
    tag: valve.tag,
    inHand: inHand?.id ?? null,
    remainingMinutes,
    calls: [...calls.values()].map(({ part, verdict, method, reason, because }) => ({
      part,
      verdict,
      method,
      reason,
      because,
    })),
    steps: steps.map(({ finished, kept, opening, task, because, ...step }) => ({
      ...step,
      because: because.text,
      becauseOf: because.kind,
      ...(because.entry === undefined ? {} : { entry: because.entry }),
      task: task.kind,
      opening,
      ...(finished ? { finishedBy: finished.seq } : {}),
      ...(kept ? { kept } : {}),
    })),
  };
}

function usual(construction: string): JobState {
  const known = CONSTRUCTION_IDS.find((id) => id === construction);
  if (!known) throw refused({ code: 'construction.unknown', id: construction, known: [...CONSTRUCTION_IDS] });
  const nobody = '00000000-0000-4000-8000-000000000000';
  const person = personStamp.parse({ id: nobody, name: 'nobody', role: 'technician' });
  const body = {
    valve: { ...defaultValve(), construction: known },
    site: USUAL_RULES,
    came: 'in line' as const,
    reported: '',
  };
  return must(
    record(EMPTY_JOB, openJob(body, person), {
      commandId: commandId.parse(nobody),
      by: person,
      at: '2026-01-01T00:00:00Z',
    }),
  ).state;
}

async function jobIn(file: string | undefined): Promise<JobState> {
  if (file === undefined) throw new UsageError('--job wants the file of an exported job.');
  const text = await readFile(file, 'utf8').catch((error: unknown) => {
    throw new UsageError(`${file} cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  });
  const read = jobExport.safeParse(json(text, file));
  if (!read.success)
    throw new UsageError(
      `${file} is not an exported job: ${read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).join('; ')}`,
    );
  const log = readLog(read.data.entries);
  if (!log.ok) throw refused(log.problem);
  const state = fold(log.value);
  if (!state.ok) throw refused(state.problem);
  return state.value;
}

function json(text: string, file: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new UsageError(`${file} is not JSON.`);
  }
}
