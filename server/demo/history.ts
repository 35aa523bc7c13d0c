import { decide, NOTHING_OUTSIDE, openJob, readCommand, record } from '@dusk-wren/core/command';
import { carriedFrom, livedOf, type Lived } from '@dusk-wren/core/life';
import {
  EMPTY_JOB,
  commandId,
  instrumentId,
  jobId,
  valveAsLeft,
  type Entry,
  type InstrumentStamp,
  type JobId,
  type JobState,
  type PersonStamp,
  type Place,
} from '@dusk-wren/core/job';
import { USUAL_RULES } from '@dusk-wren/core/inspection';
import { must } from '@dusk-wren/core/problem';
import { thou } from '@dusk-wren/core/quantity';
import type { Valve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import type { Sequelize } from 'sequelize';
import { drawnThen } from '../database/drawn-parts';
import { fileJob } from '../database/file-job';
import { fileValve } from '../database/valves';
import type { PastValve, Visit } from './past';
import { Play, type Bench, type Cast } from './play';
import { INSTRUMENTS, SITES } from './scenario';

/** A fault is placed where the valve can still be tried: in its line. */
const placeOf = ({ placed }: Pick<Visit, 'placed'>): Place => (placed ? 'in line' : 'bare');

const DAY = 24 * 60 * 60 * 1000;
/** Five in the morning of a day: a job of a day is signed on it, at whatever hour the demo is played. */
const earlyOn = (moment: number): number => Math.floor(moment / DAY) * DAY + 5 * 60 * 60 * 1000;
type Shared = Pick<Cast, 'inspector' | 'lead' | 'instruments' | 'units'>;

/** Plays the jobs of the years before: the same commands and decisions, each log filed whole as an import files it. */
export async function playHistory(
  sequelize: Sequelize,
  pasts: readonly PastValve[],
  people: readonly PersonStamp[],
  shared: Shared,
  now: number,
): Promise<void> {
  // What was read with years ago is no longer on the register.
  const then = Object.fromEntries(INSTRUMENTS.map(({ name }) => [name, instrumentId.parse(randomUUID())]));
  for (const past of pasts) await playValve(sequelize, past, people, { ...shared, instruments: then }, now);
}

async function playValve(
  sequelize: Sequelize,
  { valve: came, visits }: PastValve,
  people: readonly PersonStamp[],
  shared: Shared,
  now: number,
): Promise<void> {
  const lives: { job: JobId; lived: Lived }[] = [];
  const jobs: { id: JobId; log: readonly Entry[]; state: JobState }[] = [];
  let valve = came;
  for (const visit of visits) {
    const opened = earlyOn(now - visit.daysAgo * DAY);
    const cast = castOf(visit, people, shared);
    const bench = new PastBench(valve, visit, cast, new Date(opened).toISOString(), lives);
    await new Play(bench, storyOf(valve, visit), cast, opened).run();
    const lived = livedOf(bench.state);
    if (!lived) throw new Error(`${valve.tag}: the job of ${visit.daysAgo} days ago is not over`);
    lives.push({ job: bench.job, lived });
    jobs.push({ id: bench.job, log: bench.log, state: bench.state });
    valve = valveAsLeft(bench.state) ?? valve;
  }
  const { sheet: _sheet, ...plain } = valve;
  const filed = await sequelize.transaction((transaction) => fileValve(plain, transaction));
  for (const job of jobs)
    await sequelize.transaction(async (transaction) => {
      await drawnThen(job.id, job.state, job.log, transaction);
      await fileJob({ ...job, valveId: filed.id }, transaction);
    });
}

function castOf({ technician: at }: Visit, people: readonly PersonStamp[], shared: Shared): Cast {
  const technicians = people.filter(({ role }) => role === 'technician');
  const technician = technicians[at % technicians.length];
  if (!technician) throw new Error('the scenario has no technician');
  const second = technicians.find(({ id }) => id !== technician.id) ?? shared.inspector;
  return { ...shared, technician, 'second technician': second };
}

/** What nothing is said of was as it should be. */
const storyOf = (valve: Valve, { daysAgo, reported, technician, ...told }: Visit) => ({
  ...{
    valve,
    reported,
    technician,
    openedDaysAgo: daysAgo,
    place: placeOf(told),
    until: 'signed' as const,
  },
  condition: {
    stemBow: thou(0.6),
    stemBowDegrees: 70,
    stemOvality: thou(0.1),
    trapped: [],
    blockValvePasses: false,
  },
  ...told,
});

/** A bench of years ago: what is decided on it is kept in one log. */
class PastBench implements Bench {
  readonly job = jobId.parse(randomUUID());
  readonly byEye = ['gauge', 'caliper'] as const;
  readonly takesTime = true;
  readonly log: Entry[] = [];
  state: JobState = EMPTY_JOB;

  constructor(
    private readonly valve: Valve,
    private readonly visit: Visit,
    private readonly cast: Cast,
    private readonly opened: string,
    private readonly lives: readonly { readonly job: JobId; readonly lived: Lived }[],
  ) {}

  open(): Promise<JobState> {
    const { technician } = this.cast;
    const facts = must(
      openJob(
        {
          ...{ valve: this.valve, reported: this.visit.reported, place: placeOf(this.visit) },
          site: SITES[this.valve.customer] ?? USUAL_RULES,
          ...(this.lives.length === 0 ? {} : { carried: carriedFrom(this.lives) }),
        },
        technician,
      ),
    );
    return this.keep(facts, { commandId: commandId.parse(randomUUID()), by: technician, at: this.opened });
  }

  send({ commandId: id, command, person, now }: Parameters<Bench['send']>[0]): Promise<JobState> {
    const facts = must(
      decide(this.state, must(readCommand(command)), {
        ...NOTHING_OUTSIDE,
        ...{ person, now, instrument: (of) => this.stampOf(of) },
      }),
    );
    return this.keep(facts, { commandId: id, by: person, at: now });
  }

  private keep(facts: Parameters<typeof record>[1], stamp: Parameters<typeof record>[2]): Promise<JobState> {
    const { entries, state } = must(record(this.state, facts, stamp));
    this.log.push(...entries);
    this.state = state;
    return Promise.resolve(state);
  }

  /** Years ago every instrument was in calibration. */
  private stampOf(id: string): InstrumentStamp | undefined {
    const named = INSTRUMENTS.find(({ name }) => this.cast.instruments[name] === id);
    const known = named && this.cast.instruments[named.name];
    if (!known) return undefined;
    const { name, kind } = named;
    const calibrationDue = new Date(Date.parse(this.opened) + 200 * DAY).toISOString().slice(0, 10);
    return {
      id: known,
      name: `${name}, the one before`,
      kind,
      simulated: true,
      calibrationDue,
      inCalibration: true,
    };
  }
}
