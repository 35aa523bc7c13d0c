import {
  counts,
  describeEntry,
  latestRunout,
  openingOf,
  siteOf,
  standingEntries,
  type Entry,
  type EntryOf,
  type InstrumentStamp,
  type JobState,
  type PersonStamp,
  type ReadBy,
  type Stage,
} from '../job';
import { wordReason } from '../inspection';
import { plan, type Plan, type PlannedStep } from '../plan';
import { boltProgress, passed, type TaskOf } from '../task';
import {
  format,
  formatLeak,
  say,
  type GaugePressure,
  type Length,
  type Time,
  type Torque,
  type UnitSystem,
} from '../quantity';
import { describeSource, formatSize, GROUP_NAMES } from '../standards';
import { CONSTRUCTIONS, HAZARDS, type PartRole, type Valve } from '../valve';
import { seatContact } from '../workings';

export interface PlateLine {
  readonly label: string;
  readonly value: string;
}

export interface CallLine {
  readonly number: number;
  readonly part: PartRole;
  readonly verdict: string;
  readonly method?: string;
  readonly reason: string;
  readonly source: string;
  readonly overruled?: string;
}

export interface TorqueTable {
  readonly title: string;
  readonly target: Torque;
  readonly source: string;
  /** One row a bolt, one column a pass; the torque that counted. */
  readonly rows: readonly { readonly bolt: number; readonly passes: readonly (Torque | undefined)[] }[];
  readonly percents: readonly number[];
  /** Clicks that did not count, in words. */
  readonly putRight: readonly string[];
}

export interface TestLine {
  readonly title: string;
  readonly pressure: GaugePressure;
  readonly hold: Time;
  readonly leak: string;
  readonly allowed: string;
  readonly passed: boolean;
  readonly source: string;
  readonly simulated: boolean;
}

export interface WorkingLine {
  readonly title: string;
  readonly answer: string;
  readonly source: string;
}

/** Everything a certificate says, computed from the log; paper and screen only lay it out. */
export interface Certificate {
  readonly title: string;
  readonly plate: readonly PlateLine[];
  readonly reported: string;
  readonly received: string;
  readonly signed?: { readonly by: PersonStamp; readonly at: string; readonly nextDue: string };
  readonly condemned: boolean;
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
    title: current.condemned ? 'Condemnation report' : 'Overhaul certificate',
    plate: plateOf(current.valve, system),
    reported: opening.body.reported,
    received: opening.at,
    ...(signed ? { signed: { by: signed.by, at: signed.at, nextDue: signed.body.nextDue } } : {}),
    condemned: current.condemned,
    asFound: asFound(state, current, system),
    asLeft: asLeft(state, current, system),
    calls: callLines(current, system),
    torques: current.steps.flatMap((step) =>
      step.task.kind === 'bolt-up' ? [torqueTable(state, step, step.task, system)] : [],
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
    corrections: log.flatMap((entry) =>
      entry.kind === 'entry-struck' ? [`${entry.by.name}: ${describeEntry(entry, system)}`] : [],
    ),
    simulated: stamps.some(({ simulated }) => simulated),
  };
}

/** The plate as paper shows it; what is not known says so. */
export function plateOf(valve: Valve, system: UnitSystem): PlateLine[] {
  const { medium } = valve;
  const unknown = 'not known';
  return [
    { label: 'Tag', value: valve.tag },
    { label: 'Serial', value: valve.serial ?? unknown },
    {
      label: 'Construction',
      value: `${CONSTRUCTIONS[valve.construction].name}, ${CONSTRUCTIONS[valve.construction].about}`,
    },
    {
      label: 'Size and class',
      value: `${valve.nps === undefined ? unknown : formatSize({ nps: valve.nps })} · ${valve.pressureClass === undefined ? unknown : `class ${valve.pressureClass}`}`,
    },
    {
      label: 'Body',
      value: valve.group === undefined ? unknown : `${GROUP_NAMES[valve.group]}, group ${valve.group}`,
    },
    {
      label: 'Medium',
      value: medium
        ? [
            medium.name,
            medium.pressure && format(medium.pressure, system),
            medium.temperature && format(medium.temperature, system),
            ...medium.hazards.map((hazard) => HAZARDS[hazard].label),
          ]
            .filter(Boolean)
            .join(', ')
        : unknown,
    },
    { label: 'For', value: `${valve.customer}, ${valve.location}` },
  ];
}

function asFound(state: JobState, current: Plan, system: UnitSystem): string[] {
  const { records } = state;
  const runout = latestRunout(state);
  const sound = records['finding-made']
    .filter(({ body }) => body.finding.kind === 'sound')
    .map(({ body }) => body.step.title.toLowerCase());
  const findings = records['finding-made']
    .filter(({ body }) => body.finding.kind !== 'sound')
    .map(
      (entry) =>
        describeEntry(entry, system) +
        ('depth' in entry.body.finding ? `, ${format(entry.body.finding.depth, system)} deep` : ''),
    );
  const measured = records.measured.map(({ body }) => `${body.what}: ${format(body.value, system)}`);
  return [
    ...(runout
      ? [
          `stem runout: TIR ${format(runout.runout.tir, system)}, bow ${format(runout.runout.bow, system)}, out of round ${format(runout.runout.outOfRound, system)}`,
        ]
      : []),
    ...findings,
    ...(sound.length > 0 ? [`nothing found: ${sound.join('; ')}`] : []),
    ...contactLines(state, current, system, 'inspect'),
    ...measured,
  ];
}

function asLeft(state: JobState, current: Plan, system: UnitSystem): string[] {
  const grits = state.records['lapping-logged'];
  const renewed = [...current.calls.values()]
    .filter(({ verdict }) => verdict === 'renew')
    .map(({ part }) => part);
  return [
    ...(renewed.length > 0 ? [`renewed: ${renewed.join(', ')}`] : []),
    ...(grits.length > 0
      ? [
          `lapped: ${grits.map(({ body }) => `grit ${body.grit} for ${format(body.minutes, system)}`).join('; ')}`,
        ]
      : []),
    ...contactLines(state, current, system, 'repair'),
  ];
}

/** The last blue check of each contact in a stage: as found while looking, as left after the work. */
function contactLines(state: JobState, current: Plan, system: UnitSystem, stage: Stage): string[] {
  const last = new Map<string, EntryOf<'bluing-checked'>>();
  for (const entry of state.records['bluing-checked']) {
    const step = current.steps.find(({ id }) => id === entry.body.step.id);
    if (entry.body.step.stage === stage) last.set(step?.parts.join() ?? entry.body.step.id, entry);
  }
  return [...last.values()].flatMap(({ body }) => {
    const worked = seatContact.work({
      diameter: body.diameter,
      arcs: body.arcs,
      widest: siteOf(state).widestBlueLine,
    });
    if (!worked.ok) return [];
    const { continuity, widthMean, verdict } = worked.value.result;
    return [
      `${body.step.title}: ${format(continuity, system)} of the circle, ${format(widthMean, system)} wide, ${verdict}`,
    ];
  });
}

function callLines({ calls }: Plan, system: UnitSystem): CallLine[] {
  return [...calls.values()].map((call, i) => ({
    number: i + 1,
    part: call.part,
    verdict: call.verdict,
    ...(call.method === undefined ? {} : { method: call.method }),
    reason: say(wordReason(call.reason), system),
    source: describeSource(call.source),
    ...(call.overruled === undefined
      ? {}
      : { overruled: `was ${call.overruled.was}, overruled by ${call.overruled.by}` }),
  }));
}

function torqueTable(
  state: JobState,
  step: PlannedStep,
  task: TaskOf<'bolt-up'>,
  system: UnitSystem,
): TorqueTable {
  const { clicks } = boltProgress(state, step.id, task);
  const counted = clicks.filter(({ verdict }) => verdict === 'counts').map(({ entry }) => entry.body);
  return {
    title: step.title,
    target: task.torque,
    source: describeSource(task.shown.source),
    percents: task.passes.map(({ percent }) => percent),
    rows: Array.from({ length: task.bolts }, (_, i) => ({
      bolt: i + 1,
      passes: task.passes.map(
        (_, pass) => counted.find((click) => click.bolt === i + 1 && click.pass === pass)?.torque,
      ),
    })),
    putRight: clicks
      .filter(({ verdict }) => verdict !== 'counts')
      .map(
        ({ entry, verdict }) =>
          `${describeEntry(entry, system)} (${format(entry.body.torque, system)}): ${verdict}, done again`,
      ),
  };
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

function testLines(state: JobState, current: Plan): TestLine[] {
  return state.records['pressure-tested'].flatMap((entry) => {
    const step = current.steps.find(({ id }) => id === entry.body.step.id);
    if (step?.task.kind !== 'pressure-test') return [];
    const { body } = entry;
    return [
      {
        title: body.step.title,
        pressure: body.pressure,
        hold: body.hold,
        leak: formatLeak(body.leak),
        allowed: formatLeak(step.task.allowed),
        passed: counts(body.readBy) && passed(entry, step.task),
        source: describeSource(step.task.shown.source),
        simulated: isSimulated(body.readBy),
      },
    ];
  });
}

const isSimulated = (by: ReadBy): boolean => by !== 'hand' && by.simulated;

function instrumentsIn(state: JobState): InstrumentStamp[] {
  const used = new Map<string, InstrumentStamp>();
  for (const { body } of standingEntries(state)) {
    if ('readBy' in body && body.readBy !== 'hand') used.set(body.readBy.id, body.readBy);
  }
  return [...used.values()];
}

function peopleIn(state: JobState): { name: string; role: string; did: string }[] {
  const people = new Map<string, { person: PersonStamp; count: number; holds: number }>();
  for (const entry of standingEntries(state)) {
    const so = people.get(entry.by.id) ?? { person: entry.by, count: 0, holds: 0 };
    people.set(entry.by.id, {
      ...so,
      count: so.count + 1,
      holds: so.holds + (entry.kind === 'hold-released' ? 1 : 0),
    });
  }
  return [...people.values()].map(({ person, count, holds }) => ({
    name: person.name,
    role: person.role,
    did: holds > 0 ? `${count} entries, ${holds} of them holds released` : `${count} entries`,
  }));
}
