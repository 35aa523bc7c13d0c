import { partsOf, valveKey, type PartRole, type Valve } from '@dusk-wren/core/valve';
import { Op, type Transaction } from 'sequelize';
import { StockRow } from './models';

/** A key and all that it begins with: what a part that fits may be filed under. */
function beginnings(key: string): string[] {
  const words = key.split(' ');
  return words.map((_, i) => words.slice(0, i + 1).join(' '));
}

export interface Bin {
  readonly row: StockRow;
  readonly part: PartRole;
  /** As many of it as the valve has. */
  readonly wanted: number;
}

/** What lies in the store for these parts of a valve, that of which there is something first; held where it is drawn from. */
export async function binsFor(
  valve: Valve,
  parts: readonly PartRole[],
  transaction: Transaction | null = null,
): Promise<Bin[]> {
  if (parts.length === 0) return [];
  const counts = new Map(partsOf(valve).map(({ role, quantity }) => [role, quantity]));
  const rows = await StockRow.findAll({
    where: { part: [...parts], fits: { [Op.in]: beginnings(valveKey(valve)) } },
    order: [['number', 'ASC']],
    transaction,
    ...(transaction ? { lock: transaction.LOCK.UPDATE } : {}),
  });
  return parts.flatMap((part) => {
    const fitting = rows.filter((each) => each.part === part);
    const row = fitting.find(({ onHand }) => onHand > 0) ?? fitting[0];
    return row ? [{ row, part, wanted: counts.get(part) ?? 1 }] : [];
  });
}
