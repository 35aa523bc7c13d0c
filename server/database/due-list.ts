import type { DueLine, dueQuery, jobsOpened, openDueRequest } from '@dusk-wren/contract';
import type { PersonStamp } from '@dusk-wren/core/job';
import { Op, type Sequelize, type WhereOptions } from 'sequelize';
import type { z } from 'zod';
import { ValveRow } from './models';
import { openSeveral } from './open-several';
import { decodeCursor, pageOf } from './paging';
import { dueBy, linesOf, nextDue } from './valve-register';

type Query = z.output<typeof dueQuery>;

const wanted = ({ by, customer }: Pick<Query, 'by' | 'customer'>): WhereOptions<ValveRow> => ({
  [Op.and]: [dueBy(by), customer === undefined ? {} : { customer }],
});

/** What is due by a day, the soonest first. */
export async function listDue(
  query: Query,
): Promise<{ valves: DueLine[]; inAll: number; next: string | null }> {
  const after = query.cursor === undefined ? undefined : decodeCursor(query.cursor);
  const beyond: WhereOptions<ValveRow> = after
    ? { [Op.or]: [{ dueOn: { [Op.gt]: after.key } }, { dueOn: after.key, id: { [Op.gt]: after.id } }] }
    : {};
  const [rows, inAll] = await Promise.all([
    ValveRow.findAll({
      where: { [Op.and]: [wanted(query), beyond] },
      order: [
        ['dueOn', 'ASC'],
        ['id', 'ASC'],
      ],
      limit: query.limit + 1,
    }),
    ValveRow.count({ where: wanted(query) }),
  ]);
  const { page, next } = pageOf(rows, query.limit, ({ dueOn, id }) => [dueOn ?? '', id]);
  return { valves: await dueLines(page), inAll, next };
}

async function dueLines(rows: readonly ValveRow[]): Promise<DueLine[]> {
  return (await linesOf(rows)).flatMap((line) => (line.due ? [{ ...line, due: line.due }] : []));
}

const MOST_IN_A_FILE = 5000;

/** The same for a file. */
export async function everyDue(query: Pick<Query, 'by' | 'customer'>): Promise<DueLine[]> {
  const rows = await ValveRow.findAll({
    where: wanted(query),
    order: [
      ['dueOn', 'ASC'],
      ['id', 'ASC'],
    ],
    limit: MOST_IN_A_FILE,
  });
  return dueLines(rows);
}

/** Opens a job on each of these valves for the day and the reason that it is due. */
export const openDue = (
  sequelize: Sequelize,
  { valves }: z.output<typeof openDueRequest>,
  person: PersonStamp,
  now: string,
): Promise<z.output<typeof jobsOpened>> =>
  openSeveral(
    sequelize,
    valves,
    (row) => {
      const due = nextDue(row);
      return {
        reported: due ? `Due: ${due.words}`.slice(0, 400) : 'Opened from the recall list',
        // A day that is over is no day to be done by.
        ...(due && due.at > now.slice(0, 10) ? { due: due.at } : {}),
      };
    },
    person,
    now,
  );
