import {
  fold,
  type CommandId,
  type InstrumentId,
  type InstrumentKind,
  type JobId,
  type JobState,
  type PersonStamp,
} from '@dusk-wren/core/job';
import { plan, workingDaysFrom, type Plan, type PlannedStep } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { dueAfter } from '@dusk-wren/core/life';
import { formatExactly, monthsAfter, thou, valueIn } from '@dusk-wren/core/quantity';
import {
  chance,
  dialReading,
  leakThrough,
  seedFrom,
  wrenchClick,
  type Chance,
} from '@dusk-wren/core/simulation';
import { usualLine } from '@dusk-wren/core/isolation';
import { plainly, type Hands, type PlainCommand } from '@dusk-wren/core/task';
import { packedBox, type PartRole, type Valve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { commandId } from '@dusk-wren/core/job';
import type { Sequelize } from 'sequelize';
import { commit } from '../database/commit';
import { loadLog } from '../database/job-log';
import { overPressure } from './scenario';
import type { Story } from './story';
import { isThere } from './where';

export interface Cast {
  technician: PersonStamp;
  'second technician': PersonStamp;
  inspector: PersonStamp;
  lead: PersonStamp;
  instruments: Readonly<Record<string, InstrumentId>>;
  /** Units on the shelf by their serial. */
  units: ReadonlyMap<string, string>;
}

const MINUTE = 60_000;

/** Where the commands of a story go: to the server, or into a log that is filed whole. */
export interface Bench {
  readonly job: JobId;
  /** Read by eye and written down. */
  readonly byEye?: readonly InstrumentKind[];
  /** A step takes about as long as is planned; else a few minutes, so that what was opened today is over by now. */
  readonly takesTime?: true;
  /** The job as it was opened. */
  readonly open: () => Promise<JobState>;
  readonly send: (asked: {
    readonly state: JobState;
    readonly commandId: CommandId;
    readonly command: PlainCommand;
    readonly person: PersonStamp;
    readonly now: string;
  }) => Promise<JobState>;
}

/** The same commands that people send. */
export const onTheServer = (sequelize: Sequelize, jobId: JobId): Bench => ({
  job: jobId,
  open: async () => must(fold(await loadLog(jobId, 0))),
  send: async ({ state, ...asked }) => {
    const answer = await commit(sequelize, { ...asked, jobId, baseVersion: state.version });
    if (answer.kind !== 'taken') throw new Error('nobody else is at this job');
    return must(fold(answer.entries, state));
  },
});

/** Plays a story on an open job through the same commands that people send. */
export class Play {
  private readonly dice: Chance;
  /** How quick the hands were, on this job. */
  private readonly pace: Chance;
  private state: JobState | undefined;
  /** Of the step in hand, before it is said that it is done. */
  private minutes = 0;

  constructor(
    private readonly bench: Bench,
    private readonly story: Story,
    private readonly cast: Cast,
    private clock: number,
  ) {
    this.dice = chance(seedFrom(story.valve.tag));
    this.pace = chance(seedFrom(`${story.valve.tag}, ${story.openedDaysAgo} days ago`));
  }

  async run(): Promise<void> {
    this.state = await this.bench.open();
    for (;;) {
      const step = this.plan().inHand;
      if (!step) return;
      const { takes } = this.story;
      if (takes && isThere(step, takes.at) && this.state?.records['unit-taken'].length === 0) {
        const { kind, serial } = takes;
        const unit = this.cast.units.get(serial) ?? '';
        await this.send({ kind: 'take-unit', body: { unit, kind, serial } });
        continue;
      }
      if (this.story.placed && step.task.kind === 'place') {
        await this.send({ kind: 'place-fault', body: { step: step.id, ...this.story.placed } });
        continue;
      }
      if (step.task.kind === 'sign' && this.story.leaves) await this.leave(this.story.leaves);
      if (this.story.until !== 'signed' && isThere(step, this.story.until)) {
        await this.lastWords(step);
        return;
      }
      this.minutes = this.bench.takesTime ? step.minutes : 0;
      await this.work(step);
    }
  }

  private plan(): Plan {
    const current = this.state && must(plan(this.state));
    if (!current) throw new Error('the job is not open');
    return current;
  }

  private async send(command: PlainCommand, by: PersonStamp = this.cast.technician): Promise<void> {
    const luck = this.dice.uniform();
    const taken = this.minutes > 0 ? this.minutes * (0.6 + 0.9 * this.pace.uniform()) : 2 + 4 * luck;
    this.clock += Math.round(taken * MINUTE);
    this.minutes = 0;
    const id: CommandId = commandId.parse(randomUUID());
    const state = this.state;
    if (!state) throw new Error('the job is not open');
    const now = new Date(this.clock).toISOString();
    this.state = await this.bench.send({ state, commandId: id, command, person: by, now });
  }

  private async leave({ what, months }: NonNullable<Story['leaves']>): Promise<void> {
    const recall = monthsAfter(new Date(this.clock).toISOString().slice(0, 10), months);
    await this.send({ kind: 'leave-for-now', body: { what, recall } });
  }

  private async lastWords(step: PlannedStep): Promise<void> {
    if (this.story.counted) await this.send({ kind: 'check-kit', body: this.story.counted });
    if (this.story.ventPsig !== undefined) await this.work(step, this.story.ventPsig);
  }

  /** Does what can be done of a step now, as the story has it. */
  private async work({ id, task }: PlannedStep, ventPsig = 0): Promise<void> {
    for (const { kind, body, by } of plainly(task, this.hands(id, ventPsig)))
      await this.send({ kind, body }, by === undefined ? this.cast.technician : this.cast[by]);
  }

  /** What the certificate proposes. */
  private dueNext(months: number): string {
    const today = new Date(this.clock).toISOString().slice(0, 10);
    const dues = this.state ? dueAfter(this.state, this.bench.job, today) : [];
    return dues.find(({ at }) => at > today)?.at ?? monthsAfter(today, months);
  }

  private hands(step: string, ventPsig: number): Hands {
    const { story, dice } = this;
    const { valve, openings } = this.plan();
    const state = this.state;
    if (!state) throw new Error('the job is not open');
    return {
      step,
      state,
      valve,
      instrument: (kind) => {
        if (this.bench.byEye?.includes(kind)) return 'hand';
        const id = this.cast.instruments[USED[kind] ?? 'Caliper 1'];
        if (!id) throw new Error(`no ${kind}`);
        return id;
      },
      written: () => `DC ${2100 + story.openedDaysAgo}`,
      line: () => usualLine(valve.features),
      lock: () => {
        const hung = state.records['lock-hung'].length;
        return { lock: `PS ${11 + hung}`, tag: `T ${401 + hung}` };
      },
      clock: (_, i) => `${(2 + 4 * i) % 12 || 12} o'clock`,
      laid: () => laidOut(valve),
      details: () => ({ pressureClass: 300, bolts: 8 }),
      finding: (part, choices) => {
        const found = foundBy(story, part);
        // Of several looks at a part, the one that can see it does.
        return choices.some(({ finding: { kind } }) => kind === found.kind) || found.kind === 'unsure'
          ? found
          : { kind: 'sound' };
      },
      reading: ({ what, example }) =>
        story.readings?.[what] ?? readingsOf(story.valve, ventPsig)[what] ?? example,
      deflection: (angle) => dialReading(story.condition, valueIn(angle, '°'), dice),
      blue: (round) => {
        const degrees = round === 0 ? (story.bluedDegrees ?? 360) : 360;
        const from = Math.round(dice.uniform() * 300);
        return { from: degrees === 360 ? 0 : from, degrees };
      },
      click: (setting) => wrenchClick(setting, dice),
      leak: ({ test, of, ...at }) => {
        const gap = test === 'seat' ? story.condition.trapped[openings - 1] : undefined;
        return { perMinute: gap ? Math.round(leakThrough({ ...at, gap, of }).perMinute) : 0, of };
      },
      rigPressure: (pressure) => overPressure(valueIn(pressure, 'psig')),
      expected: (leadDays) => workingDaysFrom(new Date().toISOString(), leadDays - 1),
      nextDue: (months) => this.dueNext(months),
    };
  }
}

/** The instruments of the demo, by what is read with them. */
const USED: Partial<Record<InstrumentKind, string>> = {
  gauge: 'Gauge 3',
  'dial indicator': 'Dial 2',
  'torque wrench': 'Wrench A',
  'test rig': 'Rig north',
  'gauge set': 'Gauge set 1',
};

/** Kit and torque sheet, both printed for this very valve. */
function laidOut({ construction, nps, pressureClass }: Valve) {
  const printed = {
    construction,
    ...(nps === undefined ? {} : { nps }),
    ...(pressureClass === undefined ? {} : { pressureClass }),
  };
  return [
    { what: 'kit', ...printed },
    { what: 'torque sheet', construction },
  ];
}

function foundBy({ unsure, seatDepth, finds }: Story, part: PartRole) {
  if (unsure?.part === part) return { kind: 'unsure', what: unsure.what };
  if (part === 'seat' && seatDepth !== undefined)
    return { kind: 'seat damage', form: 'wire drawn', depth: seatDepth };
  return finds?.[part] ?? { kind: 'sound' };
}

/** What is read on this valve, where it is not the usual example. */
function readingsOf({ features }: Valve, ventPsig: number): Readonly<Record<string, string>> {
  const box = packedBox(features);
  const stem = formatExactly(features.stem.diameter ?? thou(1000));
  return {
    'stem diameter': stem,
    'smallest in the packing': stem,
    'box bore': formatExactly(box?.bore ?? thou(1500)),
    'box depth': formatExactly(box?.depth ?? thou(2000)),
    'gland entry': formatExactly(box?.glandEntry ?? thou(250)),
    'pressure upstream': `${ventPsig} psig`,
  };
}
