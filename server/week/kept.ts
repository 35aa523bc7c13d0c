import { plannedJobView, type PlannedJobView, type PlannedPiece } from '@dusk-wren/contract/planned';
import { weekView, type PlacingView, type WeekView } from '@dusk-wren/contract/week';
import { dayIn } from '@dusk-wren/core/quantity';
import { jobId } from '@dusk-wren/core/job';
import { grouped } from '@dusk-wren/core/schedule';
import { Op, QueryTypes, type Sequelize } from 'sequelize';
import { lastChange } from '../database/setup-changes';
import { wantingLine } from '../drill/work-rules';
import { JobRow } from '../database/models';
import { KeptWeekRow, PlannedJobRow } from '../database/week-models';
import { transacted } from '../database/transacted';
import { momentAt } from './draft';
import { dayAfter } from './shop';

/** A plan is made again at least as often: what should have begun by now has not. */
const AGES_MILLISECONDS = 15 * 60_000;
const DAYS_KEPT = 14;

/** What a plan made now would be made of, as one line: open jobs as far as they have come, what is set up, who qualifies for what, and the time. */
export async function whatItIsMadeOf(now: Date): Promise<string> {
  const { sequelize } = JobRow;
  if (!sequelize) throw new Error('the tables are not defined');
  const [[jobs], change, wanting] = await Promise.all([
    sequelize.query<{ open: number; versions: string | null }>(
      "SELECT COUNT(*) AS open, SUM(version) AS versions FROM jobs WHERE state = 'open'",
      { type: QueryTypes.SELECT },
    ),
    lastChange(),
    wantingLine(now),
  ]);
  const age = Math.floor(now.getTime() / AGES_MILLISECONDS);
  return [jobs?.open, jobs?.versions, change, wanting, age].join(' ');
}

/** The last plan that was made; nothing where there is none, or where an older server wrote it otherwise. */
export async function keptWeek(): Promise<{ readonly madeOf: string; readonly view: WeekView } | undefined> {
  const row = await KeptWeekRow.findOne({ order: [['from', 'DESC']] });
  if (!row) return undefined;
  const read = weekView.safeParse(JSON.parse(row.body));
  return read.success ? { madeOf: row.madeOf, view: read.data } : undefined;
}

/** What the last plan was made of. */
export async function madeOfKept(): Promise<string | undefined> {
  const row = await KeptWeekRow.findOne({ attributes: ['madeOf'], order: [['from', 'DESC']] });
  return row?.madeOf;
}

/** Keeps the plan of a day in place of the one before, and what it says of each job. */
export async function keepWeek(sequelize: Sequelize, madeOf: string, view: WeekView): Promise<void> {
  const from = new Date(view.from);
  const day = dayIn(view.from, view.zone);
  const placed = grouped(view.plan, ({ job }) => job);
  const dueOf = new Map(view.week.jobs.map(({ id, due }) => [String(id), due]));
  const planned = view.jobs.map(({ id }) => ({
    id,
    said: plannedJob(view, placed.get(id) ?? [], dueOf.get(id)),
  }));
  await transacted(sequelize, async (transaction) => {
    await KeptWeekRow.upsert({ day, madeOf, from, body: JSON.stringify(view) }, { transaction });
    await KeptWeekRow.destroy({ where: { day: { [Op.lt]: dayAfter(day, -DAYS_KEPT) } }, transaction });
    await PlannedJobRow.destroy({ where: {}, transaction });
    await PlannedJobRow.bulkCreate(
      planned.map(({ id, said }) => ({
        jobId: id,
        readyAt: said.readyAt === null ? null : new Date(said.readyAt),
        body: JSON.stringify(said),
      })),
      { transaction },
    );
  });
}

/** What the plan that stands says of a job; nothing where it is in none. */
export async function saidOf(id: string): Promise<PlannedJobView | undefined> {
  const row = await PlannedJobRow.findByPk(id);
  return row ? plannedJobView.parse(JSON.parse(row.body)) : undefined;
}

function plannedJob(view: WeekView, own: readonly PlacingView[], due: number | undefined): PlannedJobView {
  const from = new Date(view.from);
  const end = Math.max(...own.map((each) => each.end));
  const [next] = own.filter(isWork).toSorted((a, b) => a.start - b.start);
  return {
    readyAt: own.length === 0 ? null : momentAt(from, end).toISOString(),
    lateMinutes: own.length === 0 || due === undefined ? 0 : Math.max(0, end - due),
    next: next ? pieceOf(view, next) : null,
  };
}

/** A wait holds nobody and no place. */
const isWork = ({ place, person }: PlacingView): boolean => place !== undefined || person !== undefined;

function pieceOf(view: WeekView, { job, id, place, person, start, end }: PlacingView): PlannedPiece {
  const own = view.jobs.find((each) => each.id === job);
  const from = new Date(view.from);
  return {
    job: jobId.parse(job),
    tag: own?.tag ?? '',
    kind: own?.kinds[id] ?? id,
    place: place ?? null,
    person: view.people.find((each) => each.id === person)?.name ?? null,
    start: momentAt(from, start).toISOString(),
    end: momentAt(from, end).toISOString(),
  };
}

/** What one of them does on a day and the one after, in order; a day without work is no day. */
export function piecesOf(view: WeekView, person: string): PlannedPiece[] {
  return view.plan
    .filter((each) => each.person === person)
    .toSorted((a, b) => a.start - b.start)
    .map((each) => pieceOf(view, each));
}
