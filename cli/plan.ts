import { jobExport } from '@dusk-wren/contract';
import { openJob, record } from '@dusk-wren/core/command';
import {
  commandId,
  EMPTY_JOB,
  fold,
  personStamp,
  readLog,
  type Fact,
  type JobState,
  type Place,
  type Scope,
  type StepRef,
} from '@dusk-wren/core/job';
import {
  findingSchema,
  partRoleSchema,
  USUAL_RULES,
  wayChosenSchema,
  wordReason,
} from '@dusk-wren/core/inspection';
import { plan, type Plan, type PlannedStep } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { lookOf, scopesOf, spelt } from '@dusk-wren/core/procedure';
import { say } from '@dusk-wren/core/quantity';
import {
  closureOf,
  CONSTRUCTION_IDS,
  CONSTRUCTIONS,
  defaultValve,
  partsOf,
  valveSchema,
  type PartRole,
  type Valve,
} from '@dusk-wren/core/valve';
import { parseArgs } from 'node:util';
import { z } from 'zod';
import { contentOf } from './content';
import { refused, UsageError } from './usage';

/** Every construction, with what it is. */
export function constructions(): unknown {
  return CONSTRUCTION_IDS.map((id) => {
    const { name, about, features } = CONSTRUCTIONS[id];
    return { id, name, about, parts: partsOf(defaultValve(id)).length, features };
  });
}

/** The plan of a usual valve, varied by features and findings where asked, or of a job that was exported. */
export async function planOf(args: readonly string[]): Promise<unknown> {
  const { values, positionals } = read(args);
  const [construction, ...more] = positionals;
  if (more.length > 0 || (construction === undefined) === (values.job === undefined))
    throw new UsageError('plan takes a construction, or --job FILE.');
  const state = construction === undefined ? await jobIn(values.job) : await usual(construction, values);
  const planned = plan(state);
  if (!planned.ok) throw refused(planned.problem);
  if (!planned.value) throw new UsageError('This job was never opened.');
  return shown(planned.value);
}

function read(args: readonly string[]) {
  try {
    return parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        job: { type: 'string' },
        features: { type: 'string' },
        findings: { type: 'string' },
        place: { type: 'string' },
        scope: { type: 'string' },
      },
    });
  } catch (error) {
    throw new UsageError(error instanceof Error ? error.message : String(error));
  }
}

function shown({ steps, calls, inHand, remainingMinutes, valve }: Plan): unknown {
  return {
    construction: valve.construction,
    tag: valve.tag,
    inHand: inHand?.id ?? null,
    remainingMinutes,
    features: valve.features,
    parts: partsOf(valve).map(({ number, role, name, quantity, policy, material, leadDays }) => ({
      number,
      role,
      name,
      quantity,
      policy,
      material,
      leadDays,
    })),
    calls: [...calls.values()].map(({ part, verdict, method, reason, because }) => ({
      part,
      verdict,
      method,
      reason: say(wordReason(reason), 'US'),
      because,
    })),
    steps: steps.map(({ finished, kept, opening, task, because, ...step }) => ({
      ...step,
      why: say(step.why, 'US'),
      because: say(because.text, 'US'),
      becauseOf: because.kind,
      ...(because.entry === undefined ? {} : { entry: because.entry }),
      task: task.kind,
      ...(task.kind === 'measure' ? { measures: task.asks.map(({ what }) => what) } : {}),
      ...(task.kind === 'look' ? { looksFor: task.choices.map(({ label }) => label) } : {}),
      opening,
      ...(finished ? { finishedBy: finished.seq } : {}),
      ...(kept ? { kept } : {}),
    })),
  };
}

/** A findings file: what was seen on which part, and ways of working chosen. */
const findingsFile = z.array(
  z.union([
    z.strictObject({ part: partRoleSchema, finding: findingSchema }),
    z.strictObject({ way: wayChosenSchema }),
  ]),
);

/** Where the work is done, as it is typed. */
const PLACED: Readonly<Record<string, Place>> = { 'in-line': 'in line', out: 'out and back', bare: 'bare' };

function placeIn(typed: string | undefined, { features }: Valve): Place {
  if (typed === undefined) return closureOf(features).staysInLine ? 'in line' : 'out and back';
  const place = PLACED[typed];
  if (!place) throw new UsageError(`--place is one of ${Object.keys(PLACED).join(', ')}.`);
  return place;
}

function scopeIn(typed: string | undefined, { features }: Valve): { scope?: Scope } {
  if (typed === undefined) return {};
  const known = scopesOf(features);
  const scope = known.find((each) => each === typed);
  if (!scope) throw new UsageError(`--scope of this valve is one of ${known.join(', ')}.`);
  return { scope };
}

interface Varied {
  readonly features?: string | undefined;
  readonly findings?: string | undefined;
  readonly place?: string | undefined;
  readonly scope?: string | undefined;
}

async function usual(construction: string, { features, findings, place, scope }: Varied): Promise<JobState> {
  const known = CONSTRUCTION_IDS.find((id) => id === construction);
  if (!known) throw refused({ code: 'construction.unknown', id: construction, known: [...CONSTRUCTION_IDS] });
  const valve = await varied(defaultValve(known), features);
  const nobody = '00000000-0000-4000-8000-000000000000';
  const person = personStamp.parse({ id: nobody, name: 'nobody', role: 'technician' });
  const stamp = { commandId: commandId.parse(nobody), by: person, at: '2026-01-01T00:00:00Z' };
  const body = {
    valve,
    site: USUAL_RULES,
    place: placeIn(place, valve),
    reported: '',
    ...scopeIn(scope, valve),
  };
  const opened = openJob(body, person);
  if (!opened.ok) throw refused(opened.problem);
  const { state } = must(record(EMPTY_JOB, opened.value, stamp));
  if (findings === undefined) return state;
  const steps = must(plan(state))?.steps ?? [];
  return must(record(state, await factsIn(findings, valve, steps), stamp)).state;
}

/** The usual valve with other features: each axis given replaces that axis, its other choices kept when the kind is. */
async function varied(valve: Valve, file: string | undefined): Promise<Valve> {
  if (file === undefined) return valve;
  const given = z
    .looseObject({ features: z.record(z.string(), z.unknown()).optional() })
    .safeParse(await contentOf(file));
  if (!given.success) throw new UsageError(`${file} is not an object of features.`);
  const { features, ...whole } = given.data;
  const { nps, pressureClass, group, iron, ratedPressure, ...axes } = features
    ? { ...whole, ...features }
    : whole;
  const merged: Record<string, unknown> = { ...valve.features };
  for (const [axis, value] of Object.entries(axes)) merged[axis] = mergedAxis(merged[axis], value);
  const made = valveSchema.safeParse({
    ...valve,
    ...(nps === undefined ? {} : { nps }),
    ...(pressureClass === undefined ? {} : { pressureClass }),
    ...(group === undefined ? {} : { group }),
    ...(iron === undefined ? {} : { iron }),
    ...(ratedPressure === undefined ? {} : { ratedPressure }),
    features: merged,
  });
  if (made.success) return made.data;
  throw new UsageError(
    made.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).join('\n'),
  );
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function mergedAxis(usual: unknown, given: unknown): unknown {
  if (!isRecord(usual) || !isRecord(given)) return given;
  const kept = given['kind'] === undefined || given['kind'] === usual['kind'];
  return kept ? { ...usual, ...given } : given;
}

async function factsIn(file: string, valve: Valve, steps: readonly PlannedStep[]): Promise<Fact[]> {
  const read = findingsFile.safeParse(await contentOf(file));
  if (!read.success)
    throw new UsageError(
      `${file}: ${read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).join('; ')}`,
    );
  const roles = new Set(partsOf(valve).map(({ role }) => role));
  return read.data.map((each): Fact => {
    if ('way' in each) return { kind: 'way-chosen', body: { way: each.way } };
    const { part, finding } = each;
    if (!roles.has(part)) throw new UsageError(`${file}: this valve has no ${part}.`);
    return { kind: 'finding-made', body: { step: lookAt(steps, part), part, finding } };
  });
}

/** The step that looks at a part; for a part that no step looks at, one as it would be called. */
function lookAt(steps: readonly PlannedStep[], part: PartRole): StepRef {
  const look = steps.find(({ task }) => task.kind === 'look' && task.part === part);
  return look
    ? { id: look.id, title: look.title, stage: look.stage }
    : {
        id: spelt(lookOf(part), 1),
        title: `Look at the ${part}`,
        stage: 'inspect',
      };
}

async function jobIn(file: string | undefined): Promise<JobState> {
  if (file === undefined) throw new UsageError('--job wants the file of an exported job.');
  const read = jobExport.safeParse(await contentOf(file));
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
