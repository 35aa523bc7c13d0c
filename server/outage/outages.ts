import type { OutageAsked, OutageLine, OutageView } from '@dusk-wren/contract/outages';
import { jobId, valveId, type PersonStamp } from '@dusk-wren/core/job';
import { dayIn, sayDay } from '@dusk-wren/core/quantity';
import { CONSTRUCTION_IDS } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { noted } from '../database/noted-change';
import type { Moment } from '../database/setup-changes';
import { listKits } from '../database/stock';
import { nextDue } from '../database/valve-register';
import { OutageRow } from '../database/week-models';
import { Refusal } from '../refusal';
import { candidatesOf } from './candidates';
import { readList } from './read-list';
import { kitTotals, totalsOf, waitingFor } from './wanted-parts';

const ids = z.array(valveId);

const lineOf = ({ id, name, fromDay, toDay, madeBy, madeAt }: OutageRow): OutageLine => ({
  ...{ id, name, from: fromDay, to: toDay, by: madeBy, at: madeAt.toISOString() },
});

/** Every outage, the next one first; those that are over come last. */
export async function listOutages(today: string): Promise<(OutageLine & { valves: number })[]> {
  const rows = await OutageRow.findAll({
    order: [
      ['fromDay', 'ASC'],
      ['id', 'ASC'],
    ],
  });
  const isOver = ({ toDay }: OutageRow) => Number(toDay < today);
  return rows
    .toSorted((a, b) => isOver(a) - isOver(b))
    .map((row) => ({ ...lineOf(row), valves: valvesOf(row).length }));
}

/** Keeps a list of valves for a window; a row that is none stops all of it, unless those are to be left. */
export async function addOutage(
  moment: Moment,
  { name, from, to, csv, skipBad }: OutageAsked,
): Promise<string> {
  const { rows, valves } = await readList(csv);
  const bad = rows.filter(({ does }) => does === 'bad');
  if (valves.length === 0 || (bad.length > 0 && !skipBad))
    throw new Refusal({
      code: 'request.invalid',
      issues: bad.map(({ row, why }) => ({ path: `row ${row}`, message: why.join('; ') })),
    });
  const id = randomUUID();
  await noted(moment, 'week', async (transaction) => {
    await OutageRow.create(
      {
        ...{ id, name, fromDay: from, toDay: to, valves: JSON.stringify(valves) },
        ...{ madeBy: moment.by.name, madeAt: moment.now },
      },
      { transaction },
    );
    return `outage ${name}, ${sayDay(from)} to ${sayDay(to)}: ${valves.length} valves`;
  });
  return id;
}

/** Takes an outage off the list; the jobs that were opened for it stay as they are. */
export async function removeOutage(moment: Moment, id: string): Promise<void> {
  const row = await findOutage(id);
  await noted(moment, 'week', async (transaction) => {
    await row.destroy({ transaction });
    return `outage ${row.name} is off the list`;
  });
}

export async function findOutage(id: string): Promise<OutageRow> {
  const row = await OutageRow.findByPk(id);
  if (!row) throw new Refusal({ code: 'not-found', what: 'outage' });
  return row;
}

const valvesOf = ({ valves }: OutageRow): readonly string[] => ids.parse(JSON.parse(valves));

/** Its valves by risk, with what their jobs would be, and all that these take out of the store. */
export async function outageView(id: string, by: PersonStamp, now: Date, zone: string): Promise<OutageView> {
  const row = await findOutage(id);
  const candidates = await candidatesOf(valvesOf(row), row.fromDay, by, now);
  const today = dayIn(now.toISOString(), zone);
  const { parts, short } = await totalsOf(candidates, row.fromDay, today);
  const { kits, of } = kitTotals(candidates, await listKits());
  return {
    ...lineOf(row),
    valves: candidates.map(
      ({ id: valve, row: each, found, spares, open, operations, valve: { location } }) => ({
        ...{ id: valveId.parse(valve), tag: each.tag, customer: each.customer, location },
        construction: z.enum(CONSTRUCTION_IDS).parse(each.construction),
        ...{ found: found ?? null, due: nextDue(each) },
        spares: spares.map((spare) => ({ id: valveId.parse(spare.id), tag: spare.tag })),
        open: open === undefined ? null : jobId.parse(open),
        operations: waitingFor(operations, short.get(valve) ?? [], now.toISOString()),
        kits: of.get(valve) ?? [],
      }),
    ),
    parts: [...parts],
    kits: [...kits],
  };
}
