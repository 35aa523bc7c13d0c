import type { DueLine, dueQuery, openDueDone, openDueRequest } from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import { jobId, openingOf, placeOf, type PersonStamp } from '@dusk-wren/core/job';
import { reachedOutOfLine } from '@dusk-wren/core/procedure';
import { closureOf, valveSchema } from '@dusk-wren/core/valve';
import { Op, type Sequelize, type WhereOptions } from 'sequelize';
import type { z } from 'zod';
import { Refusal } from '../refusal';
import { openJobOn } from './jobs';
import { JobRow, ValveRow } from './models';
import { decodeCursor, pageOf } from './paging';
import { dueBy, linesOf, nextDue } from './valve-register';
import { stateOf } from './state-of';

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

/** Opens a job on each of these valves for the day and the reason that it is due; what cannot be opened is said. */
export async function openDue(
  sequelize: Sequelize,
  { valves }: z.output<typeof openDueRequest>,
  person: PersonStamp,
  now: string,
): Promise<z.output<typeof openDueDone>> {
  const opened: z.output<typeof openDueDone>['opened'] = [];
  const left: z.output<typeof openDueDone>['left'] = [];
  for (const { valve, commandId } of valves) {
    try {
      const row = await ValveRow.findByPk(valve);
      if (!row) throw new Refusal({ code: 'not-found', what: 'valve' });
      const due = nextDue(row);
      const job = await openJobOn(
        sequelize,
        {
          ...{ commandId, valve: { id: valve }, place: await placeNext(row) },
          reported: due ? `Due: ${due.words}`.slice(0, 400) : 'Opened from the recall list',
          // A day that is over is no day to be done by.
          ...(due && due.at > now.slice(0, 10) ? { due: due.at } : {}),
        },
        person,
        now,
      );
      opened.push({ valve, job });
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      left.push({ valve, why: wordProblem(error.problem) });
    }
  }
  return { opened, left };
}

/** Where it was worked on the last time; else where such a valve usually is. */
async function placeNext(row: ValveRow) {
  const last = await JobRow.findOne({ where: { valveId: row.id }, order: [['openedAt', 'DESC']] });
  const state = last ? await stateOf(jobId.parse(last.id), last.version) : undefined;
  const { features } = valveSchema.parse(JSON.parse(row.body));
  const place = state && openingOf(state) ? placeOf(state) : undefined;
  if (place && !(place === 'in line' && reachedOutOfLine(features, 'overhaul'))) return place;
  return closureOf(features).staysInLine ? 'in line' : 'out and back';
}
