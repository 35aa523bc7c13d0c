import type { toComeRequest } from '@dusk-wren/contract/week';
import { openJob, record } from '@dusk-wren/core/command';
import {
  commandId,
  EMPTY_JOB,
  type Carried,
  type PersonStamp,
  type Place,
  type Scope,
} from '@dusk-wren/core/job';
import { plan, type Plan } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { operationsOf, type JobOperation } from '@dusk-wren/core/schedule';
import { closureOf, valveSchema, type ConstructionId, type Valve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import type { z } from 'zod';
import { ValveRow } from '../database/models';
import { placeNext } from '../database/next-place';
import { carriedOf } from '../database/valve-lives';
import { sheetFor } from '../database/makers-sheets';
import { rulesOf } from '../database/valves';
import { Refusal } from '../refusal';

interface ToCome {
  readonly valve: Valve;
  readonly place: Place;
  readonly scope?: Scope;
  readonly carried?: Carried;
}

/** The job that would be opened on a valve now, as its plan would begin; nothing is written. */
export async function jobToCome(
  { valve, ...opening }: ToCome,
  by: PersonStamp,
  now: Date,
): Promise<{ readonly plan: Plan; readonly operations: JobOperation[] }> {
  const site = await rulesOf(valve.customer);
  const facts = openJob({ valve, site, reported: '', ...opening }, by, await sheetFor(valve.plate?.model));
  if (!facts.ok) throw new Refusal(facts.problem);
  const stamp = { commandId: commandId.parse(randomUUID()), by, at: now.toISOString() };
  const { state } = must(record(EMPTY_JOB, facts.value, stamp));
  const planned = must(plan(state));
  if (!planned) throw new Error('a job that is opened has a plan');
  return { plan: planned, operations: operationsOf(planned, state) };
}

/** The same of a valve on file, with all that it carries, or of one as it is typed. */
export async function operationsToCome(
  { valve: which, place, scope }: z.output<typeof toComeRequest>,
  by: PersonStamp,
  now: Date,
): Promise<{ readonly construction: ConstructionId; readonly operations: JobOperation[] }> {
  const { valve, usual, carried } = 'new' in which ? asTyped(which.new) : await onFile(which.id);
  const opening = {
    ...{ valve, place: place ?? usual },
    ...(scope === undefined ? {} : { scope }),
    ...(carried === undefined ? {} : { carried }),
  };
  return { construction: valve.construction, ...(await jobToCome(opening, by, now)) };
}

interface Known {
  readonly valve: Valve;
  /** Where it is worked on, where nobody says. */
  readonly usual: Place;
  readonly carried?: Carried;
}

const asTyped = (valve: Valve): Known => ({
  valve,
  usual: closureOf(valve.features).staysInLine ? 'in line' : 'out and back',
});

async function onFile(id: string): Promise<Known> {
  const row = await ValveRow.findByPk(id);
  if (!row) throw new Refusal({ code: 'not-found', what: 'valve' });
  const carried = await carriedOf(id);
  const known = { valve: valveSchema.parse(JSON.parse(row.body)), usual: await placeNext(row) };
  return carried ? { ...known, carried } : known;
}
