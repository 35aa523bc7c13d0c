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
  type Carried,
  type Entry,
  type InstrumentId,
  type InstrumentKind,
  type InstrumentStamp,
  type JobState,
  type PersonStamp,
  type Place,
  type Role,
  type Scope,
} from '../job';
import { USUAL_RULES, type SiteRules } from '../inspection';
import { plan, type Plan, type PlannedStep } from '../plan';
import { must, type Problem } from '../problem';
import { plainly, type Hands, type PlainCommand } from '../task';
import { closureOf, defaultValve, type MakersSheet, type ShelfUnitKind, type Valve } from '../valve';
import { plainHands } from './plain-hands';

/** Made-up ids in order, so that a test's log is the same every time. */
export const id = (n: number) => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

export function person(n: number, role: Role, name = `${role} ${n}`): PersonStamp {
  return { id: personId.parse(id(n)), name, role };
}

export const TECHNICIAN = person(1, 'technician');
export const SECOND = person(4, 'technician');
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

type Answer = { entries: Entry[]; state: JobState } | { problem: Problem };

/** What a state answered to a command: states never change, so tests that go the same way work it once. */
const answers = new WeakMap<JobState, Map<string, Answer>>();
function answerOf(
  state: JobState,
  number: number,
  command: unknown,
  { id: by, name, role }: PersonStamp,
  decided: () => Answer,
): Answer {
  const asked = JSON.stringify([number, command, by, name, role]);
  const known = answers.get(state) ?? new Map<string, Answer>();
  answers.set(state, known);
  const answer = known.get(asked) ?? decided();
  known.set(asked, answer);
  return answer;
}

/** Jobs as they were opened, by what they were opened with; only so many, for each keeps all that was worked on it. */
const MOST_OPENED = 48;
const opened = new Map<string, { entries: Entry[]; state: JobState }>();
function openedWith(
  asked: readonly unknown[],
  open: () => { entries: Entry[]; state: JobState },
): { entries: Entry[]; state: JobState } {
  const key = JSON.stringify(asked);
  const job = opened.get(key) ?? open();
  opened.delete(key);
  opened.set(key, job);
  const [oldest] = opened.keys();
  if (opened.size > MOST_OPENED && oldest !== undefined) opened.delete(oldest);
  return job;
}

/** A job under test: commands go in, the log grows, refusals come back as values. */
const WHO: Readonly<Record<NonNullable<PlainCommand['by']>, PersonStamp>> = {
  technician: TECHNICIAN,
  'second technician': SECOND,
  inspector: INSPECTOR,
  lead: LEAD,
};

/** Where such a valve is usually worked on. */
const usualPlace = ({ features }: Valve): Place =>
  closureOf(features).staysInLine ? 'in line' : 'out and back';

/** What a test reads by eye. */
const BY_HAND: readonly InstrumentKind[] = ['gauge', 'caliper'];

export class BenchJob {
  state: JobState = EMPTY_JOB;
  readonly log: Entry[] = [];
  private commands = 1000;
  private readonly now: string;

  constructor(
    valve: Valve = defaultValve(),
    options: {
      site?: SiteRules;
      place?: Place;
      scope?: Scope;
      due?: string;
      only?: ShelfUnitKind;
      sheet?: MakersSheet;
      carried?: Carried;
      /** The moment that everything is done at. */
      now?: string;
    } = {},
  ) {
    const { site = USUAL_RULES, place = usualPlace(valve), scope, due, only, sheet, carried } = options;
    this.now = options.now ?? '2026-11-24T08:00:00.000Z';
    const body = {
      // Screwed unless told: the studs of two line flanges are eighty clicks more of the same.
      valve: { ends: 'screwed' as const, ...valve },
      site,
      place,
      reported: 'passes when shut',
      ...(scope === undefined ? {} : { scope }),
      ...(due === undefined ? {} : { due }),
      ...(only === undefined ? {} : { only }),
      ...(carried === undefined ? {} : { carried }),
    };
    const number = this.commands++;
    this.keep(
      openedWith([body, sheet, this.now], () =>
        must(record(this.state, must(openJob(body, TECHNICIAN, sheet)), this.stamp(TECHNICIAN, number))),
      ),
    );
  }

  edge(by: PersonStamp): Edge {
    return {
      ...NOTHING_OUTSIDE,
      person: by,
      now: this.now,
      instrument: (instrument) => (KNOWN.includes(instrument) ? stamp(instrument) : undefined),
    };
  }

  /** Sends a command; answers with the problem when it is refused. */
  try(command: RawCommand, by: PersonStamp = TECHNICIAN): Problem | undefined {
    return this.tryUnread(command, by);
  }

  private tryUnread(command: unknown, by: PersonStamp): Problem | undefined {
    const answer = answerOf(this.state, this.commands, command, by, () => this.decided(command, by));
    if ('problem' in answer) return answer.problem;
    this.commands += 1;
    this.keep(answer);
    return undefined;
  }

  private decided(command: unknown, by: PersonStamp): Answer {
    const read = readCommand(command);
    if (!read.ok) return { problem: read.problem };
    const facts = decide(this.state, read.value, this.edge(by));
    return facts.ok
      ? must(record(this.state, facts.value, this.stamp(by, this.commands)))
      : { problem: facts.problem };
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
    return plainHands(step, this.state, this.plan().valve, {
      instrument: (kind) => (BY_HAND.includes(kind) ? 'hand' : DIAL),
    });
  }

  /** Marks a blue line over this many degrees from 12 o'clock. */
  blue(step: string, degrees: number): this {
    const arcs = degrees === 0 ? [] : [{ from: '0°', to: `${degrees}°`, width: '30 thou' }];
    return this.send({ kind: 'check-bluing', body: { step, arcs } });
  }

  private stamp(by: PersonStamp, number: number) {
    return { commandId: commandId.parse(id(number)), by, at: this.now };
  }

  private keep({ entries, state }: { entries: Entry[]; state: JobState }): void {
    this.log.push(...entries);
    this.state = state;
  }
}
