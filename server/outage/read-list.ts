import type { PreviewedRow } from '@dusk-wren/contract';
import { valveId, type ValveId } from '@dusk-wren/core/job';
import { plateKey } from '@dusk-wren/core/valve';
import { Op } from 'sequelize';
import { ValveRow } from '../database/models';
import { fromCsv, type CsvRow } from '../exchange/csv';

const HEADING = ['tag'];
const MAY = ['customer', 'serial'];
/** As many as are planned while somebody waits. */
const MOST_VALVES = 200;

export interface ReadList {
  readonly rows: readonly PreviewedRow[];
  /** Those that were found, in the order of the file. */
  readonly valves: readonly ValveId[];
}

/** A list of valves, each found in the register by its tag, with its customer or serial where several have it. */
export async function readList(csv: string): Promise<ReadList> {
  const { rows, unreadable, wrong } = fromCsv(csv, HEADING, MAY);
  const whole = [
    ...wrong,
    ...(wrong.length === 0 && rows.length + unreadable.length === 0
      ? ['The file has a heading and no rows.']
      : []),
    ...(rows.length > MOST_VALVES ? [`The file has more than ${MOST_VALVES} valves: make two of it.`] : []),
  ];
  if (whole.length > 0) return { rows: [{ row: 1, key: '', does: 'bad', why: whole }], valves: [] };
  const known = await knownBy(rows);
  const taken = new Set<string>();
  const said = rows.map(({ row, cells }): { line: PreviewedRow; valve?: ValveId } => {
    const key = cells['tag'] ?? '';
    const bad = (why: string) => ({ line: { row, key, does: 'bad' as const, why: [why] } });
    const fitting = meant(known.get(plateKey(key)) ?? [], cells);
    const [found, another] = fitting;
    if (!found) return bad('no such valve in the register: it is received or set up first');
    if (another)
      return bad(
        `${fitting.length} valves have this tag: ${fitting.map(({ customer }) => customer).join(', ')}. Add a column “customer” or “serial”.`,
      );
    if (found.standing === 'scrapped') return bad('it is scrapped');
    if (taken.has(found.id)) return bad('it stands in this file twice');
    taken.add(found.id);
    return {
      line: { row, key: `${found.customer}: ${found.tag}`, does: 'new', why: [] },
      valve: valveId.parse(found.id),
    };
  });
  const broken = unreadable.map(({ row, why }): PreviewedRow => ({ row, key: '', does: 'bad', why: [why] }));
  return {
    rows: [...said.map(({ line }) => line), ...broken].sort((a, b) => a.row - b.row),
    valves: said.flatMap(({ valve }) => valve ?? []),
  };
}

async function knownBy(rows: readonly CsvRow[]): Promise<ReadonlyMap<string, ValveRow[]>> {
  const keys = [...new Set(rows.map(({ cells }) => plateKey(cells['tag'] ?? '')))].filter(Boolean);
  const found = await ValveRow.findAll({
    where: { tagKey: { [Op.in]: keys } },
    order: [
      ['customer', 'ASC'],
      ['id', 'ASC'],
    ],
  });
  const known = new Map<string, ValveRow[]>();
  for (const row of found) known.set(row.tagKey ?? '', [...(known.get(row.tagKey ?? '') ?? []), row]);
  return known;
}

/** Those that a row can mean; of tags that an eye takes for one another the one that is written so. */
function meant(known: readonly ValveRow[], cells: CsvRow['cells']): readonly ValveRow[] {
  const [tag, whose, serial] = ['tag', 'customer', 'serial'].map((name) => (cells[name] ?? '').toLowerCase());
  const fitting = known.filter(
    ({ customer, serialKey }) =>
      (whose === '' || whose === customer.toLowerCase()) &&
      (serial === '' || plateKey(serial ?? '') === serialKey),
  );
  const exact = fitting.filter((valve) => valve.tag.toLowerCase() === tag);
  return exact.length > 0 ? exact : fitting;
}
