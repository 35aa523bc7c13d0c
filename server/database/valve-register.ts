import {
  jobSummaryView,
  STANDINGS,
  type LivedView,
  type RegisterLine,
  type registerQuery,
  type Standing,
  type ValvePage,
} from '@dusk-wren/contract';
import { jobId, personStamp, readEntry, valveId, type Scope } from '@dusk-wren/core/job';
import { carriedFrom, dueSchema, type Due, type Lived } from '@dusk-wren/core/life';
import { CONSTRUCTIONS, sizeWords, typedWords, valveSchema } from '@dusk-wren/core/valve';
import { col, fn, literal, Op, type Sequelize, type WhereOptions } from 'sequelize';
import { z } from 'zod';
import { Refusal } from '../refusal';
import { toRaw } from './job-log';
import { EventRow, JobRow, ValveRow } from './models';
import { decodeCursor, pageOf } from './paging';
import { ValveChangeRow } from './register-models';
import { livesOf } from './valve-lives';
import { valvesByWords, type Narrowed } from './valve-words';

type Query = z.output<typeof registerQuery>;

export const standingOf = ({ standing }: ValveRow): Standing => z.enum(STANDINGS).parse(standing);

/** What a query narrows by. */
function narrowed({ customer, construction, standing }: Query): Narrowed {
  return {
    ...(customer === undefined ? {} : { customer }),
    ...(construction === undefined ? {} : { construction }),
    ...(standing === undefined ? {} : { standing }),
  };
}

/** A page of the register in the order of tags, found by words or all of it. */
export async function listRegister(
  sequelize: Sequelize,
  query: Query,
): Promise<{ valves: RegisterLine[]; next: string | null }> {
  const after = query.cursor === undefined ? undefined : decodeCursor(query.cursor);
  const [typed, by, limit] = [typedWords(query.q ?? ''), narrowed(query), query.limit + 1];
  const isAll = typed.length === 0 && Object.keys(by).length === 0;
  const rows = isAll
    ? await ValveRow.findAll({
        where: { [Op.and]: [after ? beyond(after) : {}, dueBy(query.due)] },
        order: [
          ['tag', 'ASC'],
          ['id', 'ASC'],
        ],
        limit,
      })
    : await inOrder(
        await valvesByWords(sequelize, {
          ...{ typed, by, after, limit },
          ...(query.due === undefined ? {} : { due: query.due }),
        }),
      );
  const { page, next } = pageOf(rows, query.limit, ({ tag, id }) => [tag, id]);
  return { valves: await linesOf(page), next };
}

/** Due by a day; a scrapped one never is. */
export const dueBy = (day: string | undefined): WhereOptions<ValveRow> =>
  day === undefined ? {} : { dueOn: { [Op.lte]: day }, standing: { [Op.ne]: 'scrapped' } };

const beyond = ({ key, id }: { key: string; id: string }): WhereOptions<ValveRow> => ({
  [Op.or]: [{ tag: { [Op.gt]: key } }, { tag: key, id: { [Op.gt]: id } }],
});

async function inOrder(ids: readonly string[]): Promise<ValveRow[]> {
  const rows = await ValveRow.findAll({ where: { id: [...ids] } });
  const byId = new Map(rows.map((row) => [row.id, row]));
  return ids.flatMap((id) => byId.get(id) ?? []);
}

type ItsJobs = Pick<RegisterLine, 'open' | 'lastOpened'> & { readonly count: number };

/** When a valve is due next. */
export function nextDue({ due, standing }: ValveRow): Due | null {
  if (due === null || due === undefined || standing === 'scrapped') return null;
  const [first] = z.array(z.unknown()).parse(JSON.parse(due));
  return first === undefined ? null : dueSchema.parse(first);
}

/** All that says when a valve is due, the soonest first; a scrapped one is due for nothing. */
const duesOf = ({ due, standing }: ValveRow): Due[] =>
  due === null || due === undefined || standing === 'scrapped'
    ? []
    : z.array(dueSchema).parse(JSON.parse(due));

/** How many jobs valves had, when the last was opened, and the one that is open. */
async function jobsOf(valves: readonly string[]): Promise<ReadonlyMap<string, ItsJobs>> {
  const rows = await JobRow.findAll({
    where: { valveId: [...valves] },
    attributes: [
      'valveId',
      [fn('COUNT', col('id')), 'count'],
      [fn('MAX', col('opened_at')), 'lastOpened'],
      [fn('MAX', literal('IF(open_valve_id IS NULL, NULL, id)')), 'open'],
    ],
    group: ['valveId'],
    raw: true,
  });
  return new Map(
    z
      .array(
        z.object({
          valveId: z.string(),
          count: z.coerce.number(),
          lastOpened: z.coerce.date().transform((at) => at.toISOString()),
          open: jobId.nullable(),
        }),
      )
      .parse(rows)
      .map(({ valveId: valve, ...its }) => [valve, its]),
  );
}

const { construction, location, nps, pressureClass, iron, ratedPressure, medium } = valveSchema.shape;
/** What a line says of a valve: reading all of each would take longer than finding them. */
const told = z.object({ construction, location, nps, pressureClass, iron, ratedPressure, medium });

export async function linesOf(rows: readonly ValveRow[]): Promise<RegisterLine[]> {
  const jobs = await jobsOf(rows.map(({ id }) => id));
  return rows.map((row) => {
    const valve = told.parse(JSON.parse(row.body));
    const its = jobs.get(row.id);
    return {
      id: valveId.parse(row.id),
      ...{ tag: row.tag, serial: row.serial, customer: row.customer, location: valve.location },
      ...{ construction: CONSTRUCTIONS[valve.construction].name, size: sizeWords(valve) },
      medium: valve.medium?.name ?? '',
      standing: standingOf(row),
      open: its?.open ?? null,
      lastOpened: its?.lastOpened ?? null,
      jobs: its?.count ?? 0,
      due: nextDue(row),
    };
  });
}

/** Everything that the shop knows of a valve. */
export async function pageOfValve(id: string): Promise<ValvePage> {
  const row = await ValveRow.findByPk(id);
  if (!row) throw new Refusal({ code: 'not-found', what: 'valve' });
  const lives = await livesOf(id);
  const [jobs, changes] = await Promise.all([
    JobRow.findAll({ where: { valveId: id }, order: [['openedAt', 'DESC']] }),
    ValveChangeRow.findAll({ where: { valveId: id }, order: [['id', 'DESC']] }),
  ]);
  const ids = jobs.map((job) => job.id);
  const lived = new Map(lives.map((each) => [String(each.job), each.lived]));
  const [openings, photos, twins] = await Promise.all([
    // What is signed says itself what it was for.
    EventRow.findAll({ where: { jobId: ids.filter((job) => !lived.has(job)), seq: 1 } }),
    photosOn(ids),
    twinsOf(row),
  ]);
  const settled = lives.length > 0 && row.due === null ? await row.reload() : row;
  const opened = new Map(openings.map((entry) => [entry.jobId, entry]));
  return {
    ...{ id: valveId.parse(id), standing: standingOf(row), valve: valveSchema.parse(JSON.parse(row.body)) },
    jobs: jobs.flatMap((job) => {
      const [own, entry] = [lived.get(job.id), opened.get(job.id)];
      const told = own ?? (entry && openingIn(entry));
      if (!told) return [];
      const { scope, reported, openedBy } = told;
      return [{ job: jobIn(job), scope, reported, by: { name: openedBy }, lived: own ? shownOf(own) : null }];
    }),
    due: duesOf(settled),
    carried: carriedFrom(lives),
    photos,
    twins,
    changes: changes.map(({ id: change, at, person, what }) => ({
      ...{ id: change, at: at.toISOString(), what },
      by: personStamp.parse(JSON.parse(person)).name,
    })),
  };
}

const [MOST_ALIKE, MOST_TWINS] = [100, 12];
const sizeIn = ({ nps, pressureClass, iron, ratedPressure }: z.output<typeof told>): string =>
  JSON.stringify([nps, pressureClass, iron, ratedPressure]);
/** What two valves of one customer and kind have in common that can stand in for each other. */
export const sizeOf = ({ body }: Pick<ValveRow, 'body'>): string => sizeIn(told.parse(JSON.parse(body)));

/** Valves of its customer that are of the same kind and size, spares first. */
async function twinsOf({
  id,
  customer: whose,
  construction: kind,
  body,
}: ValveRow): Promise<ValvePage['twins']> {
  const own = sizeOf({ body });
  const rows = await ValveRow.findAll({
    where: { customer: whose, construction: kind, id: { [Op.ne]: id }, standing: { [Op.ne]: 'scrapped' } },
    limit: MOST_ALIKE,
  });
  return rows
    .map((row) => ({ row, valve: told.parse(JSON.parse(row.body)) }))
    .filter(({ valve }) => sizeIn(valve) === own)
    .map(({ row, valve }) => ({
      ...{ id: valveId.parse(row.id), tag: row.tag, location: valve.location, standing: standingOf(row) },
    }))
    .sort(
      (a, b) => Number(b.standing === 'spare') - Number(a.standing === 'spare') || a.tag.localeCompare(b.tag),
    )
    .slice(0, MOST_TWINS);
}

const MOST_PHOTOS = 24;

/** The latest photographs of these jobs that nobody has struck. */
async function photosOn(jobs: readonly string[]) {
  const [added, struck] = await Promise.all([
    EventRow.findAll({
      where: { jobId: [...jobs], kind: 'photo-added' },
      order: [['id', 'DESC']],
      limit: 4 * MOST_PHOTOS,
    }),
    EventRow.findAll({ where: { jobId: [...jobs], kind: 'entry-struck' } }),
  ]);
  const gone = new Set(
    struck.flatMap((row) => {
      const entry = readEntry(toRaw(row));
      return entry.ok && entry.value.kind === 'entry-struck'
        ? [`${row.jobId} ${entry.value.body.entry}`]
        : [];
    }),
  );
  return added
    .filter(({ jobId: job, seq }) => !gone.has(`${job} ${seq}`))
    .slice(0, MOST_PHOTOS)
    .flatMap((row) => {
      const entry = readEntry(toRaw(row));
      if (!entry.ok || entry.value.kind !== 'photo-added') return [];
      const { photo, part, caption } = entry.value.body;
      return [{ job: jobId.parse(row.jobId), photo, part: part ?? null, caption, at: entry.value.at }];
    });
}

const shownOf = ({ signed, asFound, measures, renewed, reworked, minutes, by }: Lived): LivedView => ({
  ...{ signed, measures, renewed, reworked, minutes, by },
  ...(asFound ? { asFound } : {}),
});

const jobIn = ({ id, openedAt, summary }: JobRow) => ({
  ...{ id: jobId.parse(id), openedAt: openedAt.toISOString() },
  summary: jobSummaryView.parse(JSON.parse(summary)),
});

/** What a job that nobody has signed was opened with. */
function openingIn(first: EventRow): { scope: Scope; reported: string; openedBy: string } | undefined {
  const entry = readEntry(toRaw(first));
  if (!entry.ok || entry.value.kind !== 'job-opened') return undefined;
  const { scope = 'overhaul', reported } = entry.value.body;
  return { scope, reported, openedBy: entry.value.by.name };
}

const AT_A_TIME = 1000;

/** Every valve in the order of tags, as far as a row of a file tells it. */
export async function* everyValve() {
  for (let after: { key: string; id: string } | undefined; ;) {
    const rows = await ValveRow.findAll({
      where: after ? beyond(after) : {},
      order: [
        ['tag', 'ASC'],
        ['id', 'ASC'],
      ],
      limit: AT_A_TIME,
    });
    for (const row of rows) yield { valve: onFile.parse(JSON.parse(row.body)), standing: standingOf(row) };
    const last = rows.at(-1);
    if (!last || rows.length < AT_A_TIME) return;
    after = { key: last.tag, id: last.id };
  }
}

const { tag, customer, serial, plate } = valveSchema.shape;
const onFile = told.extend({ tag, customer, serial, plate });

/** The valves that customers know by these tags. */
export async function valvesNamed(names: readonly { readonly customer: string; readonly tag: string }[]) {
  if (names.length === 0) return [];
  const rows = await ValveRow.findAll({ where: { [Op.or]: [...names] } });
  return rows.map((row) => ({
    id: row.id,
    valve: valveSchema.parse(JSON.parse(row.body)),
    standing: standingOf(row),
  }));
}
