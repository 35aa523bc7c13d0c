import type { RawCommand } from '@dusk-wren/core/command';
import {
  fold,
  type CommandId,
  type InstrumentId,
  type JobId,
  type JobState,
  type PersonStamp,
} from '@dusk-wren/core/job';
import { boltProgress, plan, workingDaysFrom, type Plan, type PlannedStep } from '@dusk-wren/core/plan';
import { must } from '@dusk-wren/core/problem';
import { formatExactly, thou, valueIn } from '@dusk-wren/core/quantity';
import {
  chance,
  dialReading,
  dropsPerMinute,
  seedFrom,
  wrenchClick,
  type Chance,
} from '@dusk-wren/core/simulation';
import { usualLine } from '@dusk-wren/core/isolation';
import { packedBox } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { commandId } from '@dusk-wren/core/job';
import type { Sequelize } from 'sequelize';
import { commit } from '../store/commit';
import { loadLog } from '../store/job-log';
import { overPressure } from './scenario';
import type { Story } from './story';
import { isThere } from './where';

export interface Cast {
  technician: PersonStamp;
  inspector: PersonStamp;
  lead: PersonStamp;
  instruments: Readonly<Record<string, InstrumentId>>;
  /** Units on the shelf by their serial. */
  units: ReadonlyMap<string, string>;
}

const MINUTE = 60_000;
/** A gauge that has settled, as it was watched. */
const stoodAt = (reads: string) => Array.from({ length: 7 }, (_, i) => ({ after: `${i} s`, reads }));

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

  private async send(command: RawCommand, by: PersonStamp = this.cast.technician): Promise<void> {
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
    if (this.story.ventPsig !== undefined && step.task.kind === 'measure')
      await this.measure(step, this.story.ventPsig);
  }

  private async measure(step: PlannedStep, ventPsig: number): Promise<void> {
    if (step.task.kind !== 'measure') return;
    const { features } = this.story.valve;
    const box = packedBox(features);
    const known: Readonly<Record<string, string>> = {
      'stem diameter': formatExactly(features.stem.diameter ?? thou(1000)),
      'box bore': formatExactly(box?.bore ?? thou(1500)),
      'box depth': formatExactly(box?.depth ?? thou(2000)),
      'gland entry': formatExactly(box?.glandEntry ?? thou(250)),
      'pressure upstream': `${ventPsig} psig`,
    };
    for (const ask of step.task.asks) {
      const readBy = ask.instrument === 'gauge' ? this.instrument('Gauge 3') : this.instrument('Caliper 1');
      const value = known[ask.what] ?? ask.example;
      const watched = ask.mustBe && ask.instrument === 'gauge' ? { watched: stoodAt(value) } : {};
      await this.send({
        kind: 'take-measurement',
        body: { step: step.id, what: ask.what, value, readBy, ...watched },
      });
    }
  }

  private instrument(name: string): InstrumentId {
    const id = this.cast.instruments[name];
    if (!id) throw new Error(`no instrument ${name}`);
    return id;
  }

  private async work(planned: PlannedStep): Promise<void> {
    const step = planned.id;
    const { task } = planned;
    const { story } = this;
    switch (task.kind) {
      case 'do':
        return this.send({
          kind: 'do-step',
          body: {
            step,
            ...(task.writes === undefined ? {} : { note: `DC ${2100 + this.story.openedDaysAgo}` }),
          },
        });
      case 'marks':
        for (const [i, part] of task.parts.entries())
          await this.send({
            kind: 'set-mark',
            body: { step, part, clock: `${(2 + 4 * i) % 12 || 12} o'clock` },
          });
        return;
      case 'spares': {
        const { construction, nps, pressureClass } = this.plan().valve;
        const printed = {
          construction,
          ...(nps === undefined ? {} : { nps }),
          ...(pressureClass === undefined ? {} : { pressureClass }),
        };
        return this.send({
          kind: 'match-spares',
          body: {
            step,
            laid: [
              { what: 'kit', ...printed },
              { what: 'torque sheet', construction },
            ],
          },
        });
      }
      case 'makers-sheet':
      case 'place':
        return this.send({ kind: 'do-step', body: { step, notNeeded: true } });
      case 'line':
        return this.send({ kind: 'draw-line', body: { step, line: usualLine(this.plan().valve.features) } });
      case 'lock': {
        const hung = this.state?.records['lock-hung'].length ?? 0;
        return this.send({
          kind: 'hang-lock',
          body: { step, lock: `PS ${11 + hung}`, tag: `T ${401 + hung}` },
        });
      }
      case 'unlock':
        return this.send({ kind: 'remove-lock', body: { step } });
      case 'sign-off':
        await this.send({ kind: 'sign-isolation', body: { step, side: 'done' } });
        return this.send({ kind: 'sign-isolation', body: { step, side: 'checked' } }, this.cast.lead);
      case 'ask':
        return this.send({ kind: 'identify-valve', body: { details: { pressureClass: 300, bolts: 8 } } });
      case 'look':
        if (story.unsure?.part === task.part)
          return this.send({
            kind: 'make-finding',
            body: { step, finding: { kind: 'unsure', what: story.unsure.what } },
          });
        if (task.part === 'seat' && story.seatDepth !== undefined) {
          return this.send({
            kind: 'make-finding',
            body: { step, finding: { kind: 'seat damage', form: 'wire drawn', depth: story.seatDepth } },
          });
        }
        return this.send({
          kind: 'make-finding',
          body: { step, finding: story.finds?.[task.part] ?? { kind: 'sound' } },
        });
      case 'measure':
        return this.measure(planned, 0);
      case 'runout':
        return this.send({
          kind: 'take-runout',
          body: {
            step,
            readings: Array.from({ length: task.stations }, (_, i) =>
              dialReading(story.condition, (i * 360) / task.stations, this.dice),
            ),
            readBy: this.instrument('Dial 2'),
          },
        });
      case 'bluing': {
        const degrees = task.round === 0 ? (story.bluedDegrees ?? 360) : 360;
        const from = Math.round(this.dice.uniform() * 300);
        return this.send({
          kind: 'check-bluing',
          body: {
            step,
            arcs: [
              {
                from: degrees === 360 ? '0°' : `${from}°`,
                to: degrees === 360 ? '360°' : `${from + degrees}°`,
                width: '35 thou',
              },
            ],
          },
        });
      }
      case 'lapping':
        for (const grit of task.grits)
          await this.send({ kind: 'log-lapping', body: { step, grit, minutes: '3 min' } });
        return this.send({ kind: 'do-step', body: { step } });
      case 'packing':
        return this.send({
          kind: 'fit-packing',
          body: {
            step,
            joints: Array.from({ length: task.rings }, (_, i) => `${(i * task.stagger) % 360}°`),
          },
        });
      case 'bolt-up': {
        const state = this.state;
        if (!state) return;
        const { pass, next } = boltProgress(state, step, task);
        const setting = task.passes[pass]?.torque;
        if (next === undefined || !setting) return;
        return this.send({
          kind: 'tighten-bolt',
          body: {
            step,
            bolt: next,
            torque: wrenchClick(setting, this.dice),
            readBy: this.instrument('Wrench A'),
          },
        });
      }
      case 'pressure-test': {
        const gap = task.test === 'seat' ? story.condition.trapped[this.plan().openings - 1] : undefined;
        const leak = gap ? Math.round(dropsPerMinute(gap, task.pressure)) : 0;
        const pressure = overPressure(valueIn(task.pressure, 'psig'));
        return this.send({
          kind: 'run-pressure-test',
          body: {
            step,
            pressure,
            hold: task.hold,
            leakPerMinute: leak,
            readBy: this.instrument('Rig north'),
          },
        });
      }
      case 'order':
        return this.send({
          kind: 'order-part',
          body: { step, expected: workingDaysFrom(new Date().toISOString(), task.leadDays - 1) },
        });
      case 'arrive':
        return this.send({ kind: 'receive-part', body: { step } });
      case 'hold':
        return this.send({ kind: 'release-hold', body: { step } }, this.cast.inspector);
      case 'sign':
        return this.send(
          {
            kind: 'sign-certificate',
            body: { step, nextDue: `${new Date(this.clock).getUTCFullYear() + task.months / 12}-10-01` },
          },
          this.cast.lead,
        );
      case 'wants':
        throw new Error(`${step} is ready but wants ${task.wants.join(', ')}`);
    }
  }
}
