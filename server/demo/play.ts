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
import { formatExactly, thou, valueIn } from '@dusk-wren/core/quantity';
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

/** Plays a story on an open job through the same commands that people send, a few minutes apart. */
export class Play {
  private readonly dice: Chance;
  private state: JobState | undefined;

  constructor(
    private readonly sequelize: Sequelize,
    private readonly jobId: JobId,
    private readonly story: Story,
    private readonly cast: Cast,
    private clock: number,
  ) {
    this.dice = chance(seedFrom(story.valve.tag));
  }

  async run(): Promise<void> {
    this.state = must(fold(await loadLog(this.jobId, 0)));
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
      if (this.story.until !== 'signed' && isThere(step, this.story.until)) {
        await this.lastWords(step);
        return;
      }
      await this.work(step);
    }
  }

  private plan(): Plan {
    const current = this.state && must(plan(this.state));
    if (!current) throw new Error('the job is not open');
    return current;
  }

  private async send(command: PlainCommand, by: PersonStamp = this.cast.technician): Promise<void> {
    this.clock += Math.round((2 + 4 * this.dice.uniform()) * MINUTE);
    const id: CommandId = commandId.parse(randomUUID());
    const state = this.state;
    if (!state) throw new Error('the job is not open');
    const answer = await commit(this.sequelize, {
      jobId: this.jobId,
      baseVersion: state.version,
      commandId: id,
      command,
      person: by,
      now: new Date(this.clock).toISOString(),
    });
    if (answer.kind !== 'taken') throw new Error('nobody else is at this job');
    this.state = must(fold(answer.entries, state));
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
      finding: (part) => foundBy(story, part),
      reading: ({ what, example }) => readingsOf(story.valve, ventPsig)[what] ?? example,
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
      nextDue: (months) => `${new Date(this.clock).getUTCFullYear() + months / 12}-10-01`,
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
