import { stockPart, type StockPart } from '@dusk-wren/contract/stock';
import { kitSheetSchema, type KitSheet } from '@dusk-wren/core/stock';
import { Op, type Transaction } from 'sequelize';
import { decodeCursor, pageOf, likePrefix } from './paging';
import { KitRow, StockRow } from './models';

const partOf = (row: StockRow): StockPart =>
  stockPart.parse({
    number: row.number,
    name: row.name,
    part: row.part,
    fits: row.fits,
    material: row.material,
    ...(row.elastomer === null ? {} : { elastomer: row.elastomer }),
    price: Number(row.price),
    leadDays: row.leadDays,
    bin: row.bin,
    onHand: row.onHand,
    reorderAt: row.reorderAt,
    ...(row.cureDate === null ? {} : { cureDate: row.cureDate }),
  });

const columns = (part: StockPart) => ({
  ...part,
  price: part.price.toFixed(2),
  elastomer: part.elastomer ?? null,
  cureDate: part.cureDate ?? null,
});

/** Parts by name, found by the beginning of number, name or the valve they fit. */
export async function listStock(query: {
  q?: string;
  cursor?: string;
  limit: number;
}): Promise<{ parts: StockPart[]; next: string | null }> {
  const after = query.cursor === undefined ? undefined : decodeCursor(query.cursor);
  const like = query.q ? { [Op.like]: likePrefix(query.q) } : undefined;
  const rows = await StockRow.findAll({
    where: {
      [Op.and]: [
        like ? { [Op.or]: [{ number: like }, { name: like }, { fits: like }] } : {},
        after
          ? {
              [Op.or]: [{ name: { [Op.gt]: after.key } }, { name: after.key, number: { [Op.gt]: after.id } }],
            }
          : {},
      ],
    },
    order: [
      ['name', 'ASC'],
      ['number', 'ASC'],
    ],
    limit: query.limit + 1,
  });
  const { page, next } = pageOf(rows, query.limit, ({ name, number }) => [name, number]);
  return { parts: page.map(partOf), next };
}

/** Every part, for export. */
export async function allStock(): Promise<StockPart[]> {
  return (await StockRow.findAll({ order: [['number', 'ASC']] })).map(partOf);
}

/** What is stocked for a valve of this key. */
export async function stockFor(key: string): Promise<StockPart[]> {
  const rows = await StockRow.findAll({ where: { fits: key }, order: [['number', 'ASC']], limit: 500 });
  return rows.map(partOf);
}

export async function findStock(numbers: readonly string[]): Promise<Map<string, StockPart>> {
  const rows = await StockRow.findAll({ where: { number: [...numbers] } });
  return new Map(rows.map((row) => [row.number, partOf(row)]));
}

export async function putStock(parts: readonly StockPart[], transaction: Transaction): Promise<void> {
  for (const part of parts) await StockRow.upsert(columns(part), { transaction });
}

export async function listKits(transaction?: Transaction): Promise<KitSheet[]> {
  const rows = await KitRow.findAll({
    order: [['number', 'ASC']],
    ...(transaction ? { transaction } : {}),
  });
  return rows.map(({ body }) => kitSheetSchema.parse(JSON.parse(body)));
}

export async function putKits(kits: readonly KitSheet[], transaction: Transaction): Promise<void> {
  for (const kit of kits) {
    const { number, construction } = kit;
    await KitRow.upsert({ number, construction, body: JSON.stringify(kit) }, { transaction });
  }
}
