import {
  openingOf,
  PLACE_WORDS,
  placeOf,
  SCOPE_WORDS,
  type Entry,
  type InstrumentStamp,
  type JobState,
  type PersonStamp,
} from '../job';
import { leftUnlooked, plan, type Plan } from '../plan';
import { capital, format, sayDay, type Length, type UnitSystem } from '../quantity';
import { resulting, reversible } from '../valve';
import { atAGlance, type Glance } from './at-a-glance';
import { corrections } from './corrections';
import { callLines, type CallLine } from './calls';
import { ringPairs, type RingPair } from './evidence';
import { asFound, asLeft, measuredSizes, pairs, type Pair } from './found-and-left';
import { instrumentsIn, peopleIn } from './people';
import { plateOf, type PlateLine } from './plate';
import { testLines, type TestLine } from './pressure-tests';
import { keptCurves, type KeptCurves } from './kept-curves';
import { strokeSheets, type StrokeSheet } from './stroke-sheets';
import { runoutTurn, type RunoutTurn } from './runout-plot';
import { torqueTable, type TorqueTable } from './torques';

export interface WorkingLine {
  readonly title: string;
  readonly answer: string;
  readonly source: string;
}

/** Everything a certificate says, computed from the log; paper and screen only lay it out. */
export interface Certificate {
  readonly title: string;
  readonly plate: readonly PlateLine[];
  /** Where it was worked on, what for, and what that left out. */
  readonly about: readonly PlateLine[];
  readonly reported: string;
  readonly received: string;
  readonly signed?: { readonly by: PersonStamp; readonly at: string; readonly nextDue: string };
  readonly condemned: boolean;
  /** All of it at a glance: the first page. */
  readonly glance: Glance;
  /** What can be held side by side, before and after. */
  readonly pairs: readonly Pair[];
  readonly rings: readonly RingPair[];
  readonly runout?: RunoutTurn;
  /** Pressure over time, where a reading was taken off a curve. */
  readonly curves: readonly KeptCurves[];
  /** Stroke tests, as they were left. */
  readonly strokes: readonly StrokeSheet[];
  readonly measured: readonly string[];
  readonly asFound: readonly string[];
  readonly asLeft: readonly string[];
  readonly calls: readonly CallLine[];
  readonly torques: readonly TorqueTable[];
  readonly packing?: {
    readonly rings: number;
    readonly section: Length;
    readonly length: Length;
    readonly joints: string;
  };
  readonly tests: readonly TestLine[];
  /** Calculations that were kept with the job. */
  readonly workings: readonly WorkingLine[];
  readonly instruments: readonly InstrumentStamp[];
  readonly people: readonly { readonly name: string; readonly role: string; readonly did: string }[];
  readonly holds: readonly { readonly title: string; readonly by?: string; readonly at?: string }[];
  readonly corrections: readonly string[];
  /** Some readings came from simulated instruments: said on every page. */
  readonly simulated: boolean;
}

/** The certificate of a job as it stands; undefined before the job is open. */
export function certificate(
  state: JobState,
  log: readonly Entry[],
  system: UnitSystem,
): Certificate | undefined {
  const planned = plan(state);
  const opening = openingOf(state);
  if (!planned.ok || !planned.value || !opening) return undefined;
  const current = planned.value;
  const signed = state.records['certificate-signed'].at(-1);
  const stamps = instrumentsIn(state);
  return {
    title: titleOf(current),
    plate: plateOf(current.valve, system),
    about: [
      { label: 'Worked on', value: capital(PLACE_WORDS[placeOf(state)]) },
      ...scopeLines(state, current),
    ],
    reported: opening.body.reported,
    received: opening.at,
    ...(signed ? { signed: { by: signed.by, at: signed.at, nextDue: signed.body.nextDue } } : {}),
    condemned: current.condemned,
    glance: atAGlance(state, log, current, system),
    pairs: pairs(state, current, system),
    rings: ringPairs(state, current, system),
    ...runoutOf(state, current),
    curves: keptCurves(state, system),
    strokes: strokeSheets(state, current, system),
    measured: measuredSizes(state, current, system),
    asFound: asFound(state, current, system),
    asLeft: asLeft(state, current, system),
    calls: callLines(current, system),
    torques: current.steps.flatMap((step) =>
      step.task.kind === 'bolt-up' ? tablesWithClicks(torqueTable(state, step, step.task, system)) : [],
    ),
    ...packingOf(state, system),
    tests: testLines(state, current),
    workings: state.records['working-attached'].map(({ body }) => ({
      title: body.title,
      answer: body.answer.map(({ label, value }) => `${label}: ${value}`).join('; '),
      source: body.source,
    })),
    instruments: stamps,
    people: peopleIn(state),
    holds: current.steps
      .filter(({ task, kept }) => task.kind === 'hold' && !kept)
      .map((step) => ({
        title: step.title,
        ...(step.finished ? { by: step.finished.by.name, at: step.finished.at } : {}),
      })),
    corrections: corrections(log, system),
    simulated: stamps.some(({ simulated }) => simulated),
  };
}

/** An overhaul is what a certificate is usually of; less says so in its title. */
function titleOf({ condemned, scope }: Plan): string {
  if (condemned) return 'Condemnation report';
  if (scope === 'overhaul') return 'Overhaul certificate';
  return scope === 'quote' ? 'Report and quote' : `Certificate: ${SCOPE_WORDS[scope]}`;
}

/** What it was for, why that was changed, what nobody looked at and by when somebody does; what a reversal made of it. */
function scopeLines(state: JobState, { scope, valve }: Plan): PlateLine[] {
  const changes = state.records['scope-changed'];
  const left = leftUnlooked(scope, valve);
  const due = state.records['certificate-signed'].at(-1)?.body.nextDue;
  const moved = reversible(valve.features);
  return [
    ...(scope === 'overhaul' && changes.length === 0
      ? []
      : [
          {
            label: 'Scope',
            value: [SCOPE_WORDS[scope], ...changes.map(({ body, by }) => `${body.reason} (${by.name})`)].join(
              '; ',
            ),
          },
        ]),
    ...(left.length === 0
      ? []
      : [
          {
            label: 'Not looked at',
            value: `${left.join(', ')}; ${due === undefined ? 'at the next overhaul' : `by ${sayDay(due)}`}`,
          },
        ]),
    ...(moved?.reversing
      ? [{ label: 'Fail action', value: `was ${moved.action}, is ${resulting(moved)}` }]
      : []),
  ];
}

/** A joint that nobody has begun to tighten has nothing to say. */
const tablesWithClicks = (table: TorqueTable): TorqueTable[] =>
  table.rows.some(({ passes }) => passes.some((torque) => torque !== undefined)) ? [table] : [];

function runoutOf(state: JobState, current: Plan): Pick<Certificate, 'runout'> {
  const runout = runoutTurn(state, current);
  return runout ? { runout } : {};
}

function packingOf(state: JobState, system: UnitSystem): Pick<Certificate, 'packing'> {
  const fitted = state.records['packing-fitted'].at(-1)?.body;
  if (!fitted) return {};
  return {
    packing: {
      rings: fitted.joints.length,
      section: fitted.section,
      length: fitted.length,
      joints: fitted.joints.map((joint) => format(joint, system)).join(', '),
    },
  };
}
