import {
  callOnFeature,
  callOnFinding,
  callOnPolicy,
  callOnRunout,
  isSafetyPart,
  setOf,
  siteOr,
  QUESTIONS,
  USUAL_RULES,
  USUAL_SCHOOLS,
  type Call,
  type Schools,
  type SiteRules,
  type Verdict,
} from '../inspection';
import { closureOf, partsOf, type PartRole, type Valve } from '../valve';
import { stemRunout, type StemRunout } from '../workings';
import { measuredCalls } from './measured';
import { counts, openingOf, valveOf, type EntryOf, type JobState, type Role } from '../job';

/** A call as it stands on a part, with the entries it rests on. */
export interface StandingCall extends Call {
  /** Entries behind the call, oldest first; empty for a part that is new at every overhaul. */
  readonly because: readonly number[];
  readonly overruled?: { readonly was: Verdict; readonly by: string; readonly entry: number };
  /** On a safety part: another call that one of the two who must agree has made; the other is still wanted. */
  readonly proposed?: { readonly verdict: Verdict; readonly by: string; readonly wants: Role };
}

const SEVERITY: Readonly<Record<Verdict, number>> = { fit: 0, rework: 1, renew: 2, ask: 3, condemn: 4 };

/** What is usual for a closure stands in for a default; what a site has chosen stays. */
function usualFor(schools: Schools, own: Partial<Schools> = {}): Schools {
  const open = Object.entries(own).filter(([question]) =>
    QUESTIONS.some((each) => each === question && schools[each] === USUAL_SCHOOLS[each]),
  );
  return { ...schools, ...Object.fromEntries(open) };
}

/** The rules the job works to: the site's, with the ways chosen on this job. */
export function siteOf(state: JobState): SiteRules {
  const site = openingOf(state)?.body.site ?? USUAL_RULES;
  const valve = valveOf(state);
  const schools = state.records['way-chosen'].reduce(
    (kept, { body }) => ({ ...kept, [body.way.question]: body.way.choice }),
    usualFor(site.schools, valve && closureOf(valve.features).usually),
  );
  return { ...site, schools };
}

/** The call on every part that has one. A part not looked at yet has none. */
export function callsOf(state: JobState): Map<PartRole, StandingCall> {
  const valve = valveOf(state);
  const calls = new Map<PartRole, StandingCall>();
  if (!valve) return calls;
  const found = findingsByPart(state);
  for (const { role, policy } of partsOf(valve)) {
    const call = callOn(state, valve, role, policy === 'renew always', found.get(role) ?? []);
    if (call) calls.set(role, call);
  }
  return withSets(valve, calls);
}

/** A part renewed as one of a set takes the others with it, unless somebody has overruled that. */
function withSets(valve: Valve, calls: Map<PartRole, StandingCall>): Map<PartRole, StandingCall> {
  for (const call of [...calls.values()]) {
    if (call.verdict !== 'renew') continue;
    for (const part of setOf(call.part, valve)) {
      const own = calls.get(part);
      if (part === call.part || own?.verdict === 'renew' || own?.overruled) continue;
      calls.set(part, { ...call, part, reason: { code: 'renewed as a set', with: call.part } });
    }
  }
  return calls;
}

function callOn(
  state: JobState,
  valve: Valve,
  part: PartRole,
  always: boolean,
  found: readonly EntryOf<'finding-made'>[],
): StandingCall | undefined {
  const made = [
    ...(part === stemRole(valve) ? runoutCalls(state, valve, part) : []),
    ...measuredCalls(state, valve, part, SEVERITY),
    ...foundCalls(state, valve, part, found),
    ...(part === 'body' ? wallCalls(state, valve) : []),
  ];
  const worst = made.reduce<{ call: Call; seq: number } | undefined>(
    (kept, each) => (kept && SEVERITY[kept.call.verdict] >= SEVERITY[each.call.verdict] ? kept : each),
    undefined,
  );
  const feature = callOnFeature(part, valve);
  const base: StandingCall | undefined = always
    ? { ...callOnPolicy(part), because: [] }
    : worst && !(feature && SEVERITY[feature.verdict] >= SEVERITY[worst.call.verdict])
      ? { ...worst.call, because: made.map(({ seq }) => seq) }
      : feature && { ...feature, because: [] };
  return base && overruled(state, base);
}

/** The part that runs in the packing, whose runout is taken. */
export function stemRole(valve: Valve): PartRole {
  return (
    partsOf(valve).find(({ role }) => role === 'stem' || role === 'spindle' || role === 'shaft')?.role ??
    'stem'
  );
}

/** The latest finding of each step, by part. */
function findingsByPart(state: JobState): Map<PartRole, EntryOf<'finding-made'>[]> {
  const latest = new Map<string, EntryOf<'finding-made'>>();
  for (const entry of state.records['finding-made'])
    latest.set(`${entry.body.part} ${entry.body.step.id}`, entry);
  const byPart = new Map<PartRole, EntryOf<'finding-made'>[]>();
  for (const entry of latest.values())
    byPart.set(entry.body.part, [...(byPart.get(entry.body.part) ?? []), entry]);
  return byPart;
}

function foundCalls(
  state: JobState,
  valve: Valve,
  part: PartRole,
  found: readonly EntryOf<'finding-made'>[],
) {
  const site = siteOf(state);
  return found.map((entry) => ({
    call: callOnFinding({ valve, site, part }, entry.body.finding),
    seq: entry.seq,
  }));
}

/** A body that a test found to leak through its wall. */
function wallCalls(state: JobState, valve: Valve) {
  const site = siteOf(state);
  return state.records['leak-traced']
    .filter(({ body }) => body.to === 'body wall')
    .map(({ seq }) => ({ call: callOnFinding({ valve, site, part: 'body' }, { kind: 'leaks' }), seq }));
}

function runoutCalls(state: JobState, valve: Valve, part: PartRole) {
  const latest = latestRunout(state);
  return latest
    ? [{ call: callOnRunout(valve, siteOf(state), latest.runout, part), seq: latest.entry.seq }]
    : [];
}

/** The last runout that counts, worked out. */
export function latestRunout(
  state: JobState,
): { entry: EntryOf<'runout-taken'>; runout: StemRunout } | undefined {
  const entry = state.records['runout-taken'].findLast(({ body }) => counts(body.readBy));
  const worked = entry && stemRunout.work({ readings: entry.body.readings });
  return entry && worked?.ok ? { entry, runout: worked.value.result } : undefined;
}

/** An overrule stands until the part is looked at again. */
function overruled(state: JobState, call: StandingCall): StandingCall {
  const entry = state.records['call-overruled'].findLast(({ body }) => body.part === call.part);
  if (!entry || entry.seq < Math.max(0, ...call.because)) return call;
  const wants = agreementWanted(state, entry);
  const { verdict, method, reason } = entry.body;
  if (wants) return { ...call, proposed: { verdict, by: entry.by.name, wants } };
  return {
    part: call.part,
    verdict,
    ...(method === undefined ? {} : { method }),
    reason: { code: 'overruled', words: reason },
    source: siteOr(siteOf(state)),
    because: [...call.because, entry.seq],
    overruled: { was: call.verdict, by: entry.by.name, entry: entry.seq },
  };
}

const AGREE: readonly Role[] = ['lead', 'inspector'];

/** On a safety part a lead and an inspector overrule together, with the same call: whose word is still wanted. */
function agreementWanted(state: JobState, entry: EntryOf<'call-overruled'>): Role | undefined {
  const { part, verdict, method } = entry.body;
  if (!isSafetyPart(part) || siteOf(state).safetyPartsBy !== 'a lead and an inspector') return undefined;
  const agreed = state.records['call-overruled'].filter(
    ({ body }) => body.part === part && body.verdict === verdict && body.method === method,
  );
  return AGREE.find((role) => !agreed.some(({ by }) => by.role === role));
}
