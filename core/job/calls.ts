import {
  callOnFinding,
  callOnPolicy,
  callOnRunout,
  siteOr,
  USUAL_RULES,
  type Call,
  type SiteRules,
  type Verdict,
} from '../inspection';
import { partsOf, type PartRole, type Valve } from '../valve';
import { stemRunout, type StemRunout } from '../workings';
import { counts } from './instrument';
import type { EntryOf } from './registry';
import { openingOf, valveOf, type JobState } from './state';

/** A call as it stands on a part, with the entries it rests on. */
export interface StandingCall extends Call {
  /** Entries behind the call, oldest first; empty for a part that is new at every overhaul. */
  readonly because: readonly number[];
  readonly overruled?: { readonly was: Verdict; readonly by: string; readonly entry: number };
}

const SEVERITY: Readonly<Record<Verdict, number>> = { fit: 0, rework: 1, renew: 2, ask: 3, condemn: 4 };

/** The rules the job works to. */
export function siteOf(state: JobState): SiteRules {
  return openingOf(state)?.body.site ?? USUAL_RULES;
}

/** The call on every part that has one. A part not looked at yet has none. */
export function callsOf(state: JobState): Map<PartRole, StandingCall> {
  const valve = valveOf(state);
  const calls = new Map<PartRole, StandingCall>();
  if (!valve) return calls;
  for (const { role, policy } of partsOf(valve)) {
    const call = callOn(state, valve, role, policy === 'renew always');
    if (call) calls.set(role, call);
  }
  return calls;
}

function callOn(state: JobState, valve: Valve, part: PartRole, always: boolean): StandingCall | undefined {
  const made = [...(part === 'stem' ? runoutCalls(state, valve) : []), ...foundCalls(state, valve, part)];
  const worst = made.reduce<{ call: Call; seq: number } | undefined>(
    (kept, each) => (kept && SEVERITY[kept.call.verdict] >= SEVERITY[each.call.verdict] ? kept : each),
    undefined,
  );
  const base: StandingCall | undefined = always
    ? { ...callOnPolicy(part), because: [] }
    : worst && { ...worst.call, because: made.map(({ seq }) => seq) };
  return base && overruled(state, base);
}

function foundCalls(state: JobState, valve: Valve, part: PartRole) {
  const site = siteOf(state);
  const latest = new Map<string, EntryOf<'finding-made'>>();
  for (const entry of state.records['finding-made']) {
    if (entry.body.part === part) latest.set(entry.body.step.id, entry);
  }
  return [...latest.values()].map((entry) => ({
    call: callOnFinding({ valve, site, part }, entry.body.finding),
    seq: entry.seq,
  }));
}

function runoutCalls(state: JobState, valve: Valve) {
  const latest = latestRunout(state);
  return latest ? [{ call: callOnRunout(valve, siteOf(state), latest.runout), seq: latest.entry.seq }] : [];
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
  const { verdict, method, reason } = entry.body;
  return {
    part: call.part,
    verdict,
    ...(method === undefined ? {} : { method }),
    reason,
    source: siteOr(siteOf(state)),
    because: [...call.because, entry.seq],
    overruled: { was: call.verdict, by: entry.by.name, entry: entry.seq },
  };
}
