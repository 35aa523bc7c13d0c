import type { OutageKit, OutagePart } from '@dusk-wren/contract/outages';
import { workingDaysBefore, workingDaysFrom } from '@dusk-wren/core/plan';
import type { JobOperation } from '@dusk-wren/core/schedule';
import { fetchList, kitsOnFile, type KitSheet } from '@dusk-wren/core/stock';
import { say } from '@dusk-wren/core/quantity';
import { partsOf, valveKey, type PartRole } from '@dusk-wren/core/valve';
import { binsFor } from '../database/bins';
import type { OutageCandidate } from './candidates';

/** A part that the store has too little of. */
export interface Shortage {
  readonly part: PartRole;
  readonly leadDays: number;
}

interface Totals {
  readonly parts: readonly OutagePart[];
  /** By valve: what the store has too little of for it, the worst valve being served first. */
  readonly short: ReadonlyMap<string, readonly Shortage[]>;
}

/** What all these jobs take, bin by bin: those of the worst valves are served first, what is missing then is to be ordered. */
export async function totalsOf(
  candidates: readonly OutageCandidate[],
  opens: string,
  today: string,
): Promise<Totals> {
  const totals = new Map<string, Omit<OutagePart, 'short' | 'orderBy' | 'late'>>();
  const short = new Map<string, Shortage[]>();
  for (const { id, row, valve, plan, open } of candidates) {
    // What an open job takes is its own: it has its order lines.
    if (open !== undefined) continue;
    const wanted = fetchList(plan).parts;
    const bins = new Map(
      (
        await binsFor(
          valve,
          wanted.flatMap(({ part }) => part ?? []),
        )
      ).map((bin) => [bin.part, bin]),
    );
    const leadOf = new Map(partsOf(valve).map(({ role, leadDays }) => [role, leadDays]));
    for (const { part, what, count } of wanted) {
      if (part === undefined) continue;
      const bin = bins.get(part)?.row;
      const key = bin?.number ?? `${valveKey(valve)} ${part}`;
      const before = totals.get(key);
      const leadDays = bin?.leadDays ?? leadOf.get(part) ?? 0;
      const total = {
        ...{ part, number: bin?.number ?? null, name: bin?.name ?? say(what, 'SI') },
        ...{ wanted: (before?.wanted ?? 0) + count, onHand: bin?.onHand ?? 0, leadDays },
        tags: [...(before?.tags ?? []), row.tag],
      };
      totals.set(key, total);
      if (total.wanted > total.onHand) short.set(id, [...(short.get(id) ?? []), { part, leadDays }]);
    }
  }
  const parts = [...totals.values()].map((total): OutagePart => {
    const missing = Math.max(0, total.wanted - total.onHand);
    const orderBy = missing === 0 ? null : workingDaysBefore(opens, total.leadDays);
    return { ...total, short: missing, orderBy, late: orderBy !== null && orderBy < today };
  });
  return {
    // What is to be ordered first comes first.
    parts: parts.toSorted(
      (a, b) => (a.orderBy ?? '9').localeCompare(b.orderBy ?? '9') || a.name.localeCompare(b.name),
    ),
    short,
  };
}

/** Where new parts go on: at the rebuild, or in the field where all of it is done there. */
const TAKES_PARTS: readonly JobOperation['kind'][] = ['rebuild', 'field'];

/** Its rebuild waits for what the store has too little of: ordered today it comes when such parts come. */
export function waitingFor(
  operations: readonly JobOperation[],
  short: readonly Shortage[],
  now: string,
): JobOperation[] {
  // A part that its plan renews is waited for already.
  const awaited = new Set(operations.map(({ id }) => id));
  const parts = short
    .map(({ part, leadDays }): JobOperation => ({
      ...{ id: `part: ${part}`, kind: 'part', minutes: 0, after: [], done: false, steps: [] },
      until: workingDaysFrom(now, leadDays),
    }))
    .filter(({ id }) => !awaited.has(id));
  const takes = TAKES_PARTS.map((wanted) => operations.findIndex(({ kind }) => kind === wanted));
  const at = takes.find((index) => index >= 0) ?? operations.length - 1;
  return [
    ...parts,
    ...operations.map((operation, i) =>
      i === at ? { ...operation, after: [...operation.after, ...parts.map(({ id }) => id)] } : operation,
    ),
  ];
}

/** How many of each kit on file they take. */
export function kitTotals(
  candidates: readonly OutageCandidate[],
  sheets: readonly KitSheet[],
): { readonly kits: OutageKit[]; readonly of: ReadonlyMap<string, string[]> } {
  const kits = new Map<string, OutageKit>();
  const of = new Map<string, string[]>();
  for (const { id, row, valve, open } of candidates) {
    if (open !== undefined) continue;
    for (const { sheet, kit: code } of kitsOnFile(sheets, valve)) {
      const before = kits.get(`${sheet} ${code}`);
      kits.set(`${sheet} ${code}`, {
        ...{ code, sheet, count: (before?.count ?? 0) + 1 },
        tags: [...(before?.tags ?? []), row.tag],
      });
      of.set(id, [...(of.get(id) ?? []), code]);
    }
  }
  return { kits: [...kits.values()].toSorted((a, b) => a.code.localeCompare(b.code)), of };
}
