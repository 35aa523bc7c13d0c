import {
  decide,
  NOTHING_OUTSIDE,
  openJob,
  readCommand,
  record,
  type Edge,
  type RawCommand,
} from '../command';
import {
  apply,
  commandId,
  EMPTY_JOB,
  instrumentId,
  personId,
  type Entry,
  type InstrumentId,
  type InstrumentKind,
  type InstrumentStamp,
  type JobState,
  type PersonStamp,
  type Role,
} from '../job';
import { usualLine } from '../isolation';
import { USUAL_RULES, type SiteRules } from '../inspection';
import { plan, type Plan, type PlannedStep } from '../plan';
import { must, type Problem } from '../problem';
import { plainly, type Hands } from '../task';
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
const WHO: Readonly<Record<Role, PersonStamp>> = {
  technician: TECHNICIAN,
  inspector: INSPECTOR,
  lead: LEAD,
};

/** What a test reads by eye. */
const BY_HAND: readonly InstrumentKind[] = ['gauge', 'caliper'];

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
      ...NOTHING_OUTSIDE,
      person: by,
      now: '2026-11-24T08:00:00.000Z',
      instrument: (instrument) => (KNOWN.includes(instrument) ? stamp(instrument) : undefined),
    };
  }

  /** Sends a command; answers with the problem when it is refused. */
  try(command: RawCommand, by: PersonStamp = TECHNICIAN): Problem | undefined {
    return this.tryUnread(command, by);
  }

  private tryUnread(command: unknown, by: PersonStamp): Problem | undefined {
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
  work({ id, task, title }: PlannedStep): this {
    for (let i = 0; i < 900; i++) {
      for (const { by = 'technician', ...command } of plainly(task, this.hands(id))) {
        const problem = this.tryUnread(command, WHO[by]);
        if (problem) throw new Error(`${command.kind} was refused: ${JSON.stringify(problem)}`);
      }
      if (this.step(id)?.status === 'done') return this;
    }
    throw new Error(`${title} is never done`);
  }

  /** Everything sound, read by eye or by the dial. */
  private hands(step: string): Hands {
    return {
      step,
      state: this.state,
      valve: this.plan().valve,
      instrument: (kind) => (BY_HAND.includes(kind) ? 'hand' : DIAL),
      written: () => 'No. 71',
      line: () => usualLine(this.plan().valve.features),
      lock: () => ({ lock: `L ${step}`.slice(0, 20), tag: 'T 1' }),
      clock: () => "2 o'clock",
      laid: () => [{ what: 'kit' }],
      details: () => ({
        nps: 3,
        pressureClass: 600,
        group: '1.1',
        mediumName: 'Steam',
        bolts: 8,
        thread: '3/4-10',
        seatDiameter: '3 in',
      }),
      finding: () => ({ kind: 'sound' }),
      reading: ({ example }) => example,
      deflection: () => '0 thou',
      blue: () => ({ from: 0, degrees: 360 }),
      click: (setting) => setting,
      leak: ({ of }) => ({ perMinute: 0, of }),
      rigPressure: (pressure) => pressure,
      expected: () => '2026-12-01',
      nextDue: () => '2029-11-24',
    };
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
