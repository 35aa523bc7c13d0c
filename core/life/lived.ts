import { z } from 'zod';
import { renewedParts } from '../certificate';
import { CAUSE_IDS, SYMPTOM_IDS } from '../diagnosis';
import { partRoleSchema } from '../inspection';
import { foundSchema, openingOf, scopeOf, SCOPES, temporarySchema, type JobId, type JobState } from '../job';
import { plan, type Plan } from '../plan';
import { putRightStep, spelt } from '../procedure';
import { anyQuantity, quantityOf } from '../quantity';
import { PART_ROLES, type PartRole } from '../valve';
import { asFoundOf } from './as-found';
import { figuresLeft, strokeLeft, wordsLeft } from './as-left';
import { measureSchema, measuresOf } from './measures';

const day = z.iso.date();
const share = quantityOf('ratio');
/** Why a part was renewed: found beyond its limit or failed, for another’s sake, or because it always is. */
export const RENEWED_FOR = ['found bad', 'as one of a set', 'by habit'] as const;

/** What one signed job says in the life of its valve; computed from its log, stored so that no log is read twice. */
export const livedSchema = z.strictObject({
  opened: day,
  signed: day,
  scope: z.enum(SCOPES),
  reported: z.string(),
  openedBy: z.string(),
  condemned: z.boolean(),
  /** Until when the certificate says. */
  nextDue: day,
  by: z.array(z.string()),
  /** Minutes of the work that was done, as the plan counts them. */
  minutes: z.number().min(0),
  asFound: z.strictObject({ found: foundSchema, why: z.string() }).exactOptional(),
  figures: z.array(z.strictObject({ what: z.string().max(60), value: anyQuantity })),
  words: z.array(z.strictObject({ what: z.string().max(80), words: z.string().max(200) })),
  stroke: z.array(z.strictObject({ signal: share, up: share, down: share })).exactOptional(),
  measures: z.array(measureSchema),
  renewed: z.array(z.strictObject({ part: partRoleSchema, why: z.enum(RENEWED_FOR) })),
  reworked: z.array(z.strictObject({ part: partRoleSchema, method: z.string() })),
  temporary: z.array(temporarySchema),
  /** What an earlier job left for now, and this one put right. */
  putRight: z.array(z.string()),
  placed: z.strictObject({ symptom: z.enum(SYMPTOM_IDS), cause: z.enum(CAUSE_IDS) }).exactOptional(),
});
export type Lived = z.output<typeof livedSchema>;

/** One signed job in the life of a valve. */
export interface LivedJob {
  readonly job: JobId;
  readonly lived: Lived;
}

/** What a signed job says in the life of its valve; undefined while it is open. */
export function livedOf(state: JobState): Lived | undefined {
  const signed = state.records['certificate-signed'].at(-1);
  return signed && livedUntil(state, { signed: signed.at.slice(0, 10), nextDue: signed.body.nextDue });
}

/** The same of a job as it stands, as if it were signed on a day. */
export function livedUntil(
  state: JobState,
  until: { readonly signed: string; readonly nextDue: string },
): Lived | undefined {
  const [opening, planned] = [openingOf(state), plan(state)];
  if (!opening || !planned.ok || !planned.value) return undefined;
  const current = planned.value;
  const measures = measuresOf(state, current);
  const asFound = asFoundOf(state, current, measures);
  const stroke = strokeLeft(state, current);
  const placed = state.records['fault-placed'].at(-1)?.body;
  return {
    opened: opening.at.slice(0, 10),
    ...until,
    scope: scopeOf(state),
    reported: opening.body.reported,
    openedBy: opening.by.name,
    condemned: current.condemned,
    by: handsOn(current),
    minutes: current.steps.reduce((sum, { status, minutes }) => sum + (status === 'done' ? minutes : 0), 0),
    ...(asFound ? { asFound } : {}),
    figures: figuresLeft(state, current),
    words: wordsLeft(state),
    ...(stroke ? { stroke: [...stroke] } : {}),
    measures,
    renewed: renewedFor(current),
    reworked: [...current.calls.values()].flatMap(({ part, verdict, method }) =>
      verdict === 'rework' ? [{ part, method: method ?? 'put right' }] : [],
    ),
    temporary: state.records['left-for-now'].map(({ body }) => ({ ...body })),
    putRight: putRight(state, current),
    ...(placed ? { placed: { symptom: placed.symptom, cause: placed.cause } } : {}),
  };
}

/** Who finished its steps. */
const handsOn = ({ steps }: Plan): string[] => [
  ...new Set(steps.flatMap(({ finished }) => (finished ? [finished.by.name] : []))),
];

function renewedFor(current: Plan): Lived['renewed'] {
  const fitted = new Set<PartRole>(renewedParts(current));
  return PART_ROLES.flatMap((part) => {
    const call = fitted.has(part) ? current.calls.get(part) : undefined;
    if (!call) return [];
    const why =
      call.reason.code === 'renewed as a set'
        ? 'as one of a set'
        : call.because.length > 0
          ? 'found bad'
          : 'by habit';
    return [{ part, why }];
  });
}

/** What was left for now by a job before, and has its step done on this one. */
function putRight(state: JobState, current: Plan): string[] {
  const left = openingOf(state)?.body.carried?.temporary ?? [];
  return left.flatMap(({ what }, i) => {
    const step = current.steps.find(({ id }) => id === spelt(putRightStep(i), 1));
    return step?.finished?.kind === 'step-done' && !step.finished.body.notNeeded ? [what] : [];
  });
}
