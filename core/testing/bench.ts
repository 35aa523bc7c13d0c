import { decide, openJob, readCommand, record, type Edge, type RawCommand } from '../command';
import {
  apply,
  commandId,
  EMPTY_JOB,
  instrumentId,
  personId,
  type Entry,
  type InstrumentId,
  type InstrumentStamp,
  type JobState,
  type PersonStamp,
  type Role,
} from '../job';
import { usualLine } from '../isolation';
import { USUAL_RULES, type SiteRules } from '../inspection';
import { plan, type Plan, type PlannedStep } from '../plan';
import { must, type Problem } from '../problem';
import { defaultValve, type MakersSheet, type ShelfUnitKind, type Valve } from '../valve';

/** Made-up ids in order, so that a test's log is the same every time. */
export const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

export function person(n: number, role: Role, name = `${role} ${n}`): PersonStamp {
  return { id: personId.parse(id(n)), name, role };
}

export const TECHNICIAN = person(1, 'technician');
export const INSPECTOR = person(2, 'inspector');
export const LEAD = person(3, 'lead');
export const DIAL = instrumentId.parse(id(101));
export const LAPSED = instrumentId.parse(id(102));

export const GAUGE = instrumentId.parse(id(103));
const KNOWN: readonly InstrumentId[] = [DIAL, LAPSED, GAUGE];

const stamp = (instrument: InstrumentId): InstrumentStamp => ({
  id: instrument,
  name: instrument === LAPSED ? 'Dial 4' : instrument === GAUGE ? 'Gauge 3' : 'Dial 2',
  kind: instrument === GAUGE ? 'gauge' : 'dial indicator',
  simulated: true,
  calibrationDue: instrument === LAPSED ? '2026-11-01' : '2027-05-01',
  inCalibration: instrument !== LAPSED,
});

/** A job under test: commands go in, the log grows, refusals come back as values. */
export class BenchJob {
  state: JobState = EMPTY_JOB;
  readonly log: Entry[] = [];
  private commands = 1000;

  constructor(
    valve: Valve = defaultValve(),
    options: {
      site?: SiteRules;
      came?: 'in line' | 'bare';
      due?: string;
      only?: ShelfUnitKind;
      sheet?: MakersSheet;
    } = {},
  ) {
    this.keep(
      must(
        record(
          this.state,
          openJob(
            {
              valve,
              site: options.site ?? USUAL_RULES,
              came: options.came ?? 'in line',
              reported: 'passes when shut',
              ...(options.due === undefined ? {} : { due: options.due }),
              ...(options.only === undefined ? {} : { only: options.only }),
            },
            TECHNICIAN,
            options.sheet,
          ),
          this.stamp(TECHNICIAN),
        ),
      ),
    );
  }

  edge(by: PersonStamp): Edge {
    return {
      person: by,
      now: '2026-11-24T08:00:00.000Z',
      instrument: (instrument) => (KNOWN.includes(instrument) ? stamp(instrument) : undefined),
    };
  }

  /** Sends a command; answers with the problem when it is refused. */
  try(command: RawCommand, by: PersonStamp = TECHNICIAN): Problem | undefined {
    const read = readCommand(command);
    if (!read.ok) return read.problem;
    const facts = decide(this.state, read.value, this.edge(by));
    if (!facts.ok) return facts.problem;
    this.keep(must(record(this.state, facts.value, this.stamp(by))));
    return undefined;
  }

  /** Sends a command that must be taken. */
  send(command: RawCommand, by: PersonStamp = TECHNICIAN): this {
    const problem = this.try(command, by);
    if (problem) throw new Error(`${command.kind} was refused: ${JSON.stringify(problem)}`);
    return this;
  }

  /** Folds in an entry as an older version stored it, past every decision. */
  take(entry: Entry): this {
    this.keep({ entries: [entry], state: must(apply(this.state, entry)) });
    return this;
  }

  plan(): Plan {
    const current = must(plan(this.state));
    if (!current) throw new Error('the job is not open');
    return current;
  }

  step(stepId: string): PlannedStep | undefined {
    return this.plan().steps.find((step) => step.id === stepId);
  }

  /** Does every ready step in the plainest way until `stop` is in hand, or nothing is ready. */
  workTo(stop: string): this {
    for (let i = 0; i < 900; i++) {
      const inHand = this.plan().inHand;
      if (!inHand || inHand.id === stop) return this;
      this.work(inHand);
    }
    throw new Error(`never came to ${stop}`);
  }

  /** Does one step with a sound outcome. */
  work(planned: PlannedStep): this {
    const step = planned.id;
    const { task } = planned;
    switch (task.kind) {
      case 'do':
        return this.send({
          kind: 'do-step',
          body: { step, ...(task.writes === undefined ? {} : { note: 'No. 71' }) },
        });
      case 'marks':
        for (const part of task.parts)
          this.send({ kind: 'set-mark', body: { step, part, clock: "2 o'clock" } });
        return this;
      case 'spares':
        return this.send({ kind: 'match-spares', body: { step, laid: [{ what: 'kit' }] } });
      case 'makers-sheet':
      case 'place':
        return this.send({ kind: 'do-step', body: { step, notNeeded: true } });
      case 'line':
        return this.send({
          kind: 'draw-line',
          body: { step, line: usualLine(this.plan().valve.features) },
        });
      case 'lock':
        return this.send({ kind: 'hang-lock', body: { step, lock: `L ${step}`.slice(0, 20), tag: 'T 1' } });
      case 'unlock':
        return this.send({ kind: 'remove-lock', body: { step } });
      case 'sign-off':
        return this.send({ kind: 'sign-isolation', body: { step, side: 'done' } }).send(
          { kind: 'sign-isolation', body: { step, side: 'checked' } },
          LEAD,
        );
      case 'ask':
        return this.send({
          kind: 'identify-valve',
          body: {
            details: {
              nps: 3,
              pressureClass: 600,
              group: '1.1',
              mediumName: 'Steam',
              bolts: 8,
              thread: '3/4-10',
              seatDiameter: '3 in',
            },
          },
        });
      case 'look':
        return this.send({ kind: 'make-finding', body: { step, finding: { kind: 'sound' } } });
      case 'measure':
        for (const ask of task.asks)
          this.send({
            kind: 'take-measurement',
            body: { step, what: ask.what, value: ask.example, readBy: 'hand' },
          });
        return this;
      case 'runout':
        return this.send({
          kind: 'take-runout',
          body: { step, readings: Array.from({ length: 12 }, () => '0 thou'), readBy: DIAL },
        });
      case 'bluing':
        return this.blue(step, 360);
      case 'lapping':
        return this.send({ kind: 'log-lapping', body: { step, grit: 120, minutes: '2 min' } }).send({
          kind: 'do-step',
          body: { step },
        });
      case 'packing':
        return this.send({
          kind: 'fit-packing',
          body: {
            step,
            joints: Array.from({ length: task.rings }, (_, i) => `${(i * task.stagger) % 360}°`),
          },
        });
      case 'bolt-up':
        for (const pass of task.passes)
          for (const bolt of pass.order)
            this.send({ kind: 'tighten-bolt', body: { step, bolt, torque: pass.torque, readBy: DIAL } });
        return this;
      case 'pressure-test':
        return this.send({
          kind: 'run-pressure-test',
          body: { step, pressure: task.pressure, hold: task.hold, leakPerMinute: 0, readBy: DIAL },
        });
      case 'order':
        return this.send({ kind: 'order-part', body: { step, expected: '2026-12-01' } });
      case 'arrive':
        return this.send({ kind: 'receive-part', body: { step } });
      case 'hold':
        return this.send({ kind: 'release-hold', body: { step } }, INSPECTOR);
      case 'sign':
        return this.send({ kind: 'sign-certificate', body: { step, nextDue: '2029-11-24' } }, LEAD);
      case 'wants':
        throw new Error(`${step} is ready but wants ${task.wants.join(', ')}`);
    }
  }

  /** Marks a blue line over this many degrees from 12 o'clock. */
  blue(step: string, degrees: number): this {
    const arcs = degrees === 0 ? [] : [{ from: '0°', to: `${degrees}°`, width: '30 thou' }];
    return this.send({ kind: 'check-bluing', body: { step, arcs } });
  }

  private stamp(by: PersonStamp) {
    return { commandId: commandId.parse(id(this.commands++)), by, at: '2026-11-24T08:00:00.000Z' };
  }

  private keep({ entries, state }: { entries: Entry[]; state: JobState }): void {
    this.log.push(...entries);
    this.state = state;
  }
}
