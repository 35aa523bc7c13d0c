import { SHOP_WANTS, shopSettings, type ShopBegun, type ShopSettings } from '@dusk-wren/contract';
import { z } from 'zod';
import { UNNAMED, type Config } from '../config';
import { InstrumentRow, PersonRow, SiteRow } from './models';
import { noteChange, type Moment } from './setup-changes';
import { SettingRow, WorkPlaceRow } from './setup-models';
import { oneAtATime } from './transacted';
import { ZONE_HERE } from './shop-day';

/** Until a lead says otherwise: long enough for a round of lapping. */
const LOCK_MINUTES = 15;

/** As they are kept: each is a text. */
const stored = shopSettings.extend({
  lockMinutes: z.coerce.number().pipe(shopSettings.shape.lockMinutes),
  erasedAfterMonths: z.coerce.number().pipe(shopSettings.shape.erasedAfterMonths.unwrap()),
});

/** What the shop has decided of itself; its name is that of the environment until a lead gives it another. */
export async function settingsOf({ SHOP_NAME }: Pick<Config, 'SHOP_NAME'>): Promise<ShopSettings> {
  const rows = await SettingRow.findAll({ where: { name: Object.keys(shopSettings.shape) } });
  return stored.parse({
    name: SHOP_NAME,
    units: 'US',
    zone: ZONE_HERE,
    lockMinutes: LOCK_MINUTES,
    secondFactor: 'nobody',
    erasedAfterMonths: 0,
    ...Object.fromEntries(rows.map(({ name, value }) => [name, value])),
  });
}

const ROUND = 'first round';

/** What a new shop has of what it wants, and whether its lead has left the rest for later. */
export async function begunOf({
  BACKUP_DIR,
  SHOP_NAME,
}: Pick<Config, 'BACKUP_DIR' | 'SHOP_NAME'>): Promise<ShopBegun> {
  const [settings, people, places, instruments, sites] = await Promise.all([
    SettingRow.findAll(),
    PersonRow.count(),
    WorkPlaceRow.count(),
    InstrumentRow.count(),
    SiteRow.count(),
  ]);
  const there = {
    shop: SHOP_NAME !== UNNAMED || settings.some(({ name }) => name === 'name'),
    people: people > 1,
    places: places > 0,
    instruments: instruments > 0,
    sites: sites > 0,
    keeping: BACKUP_DIR !== undefined,
  };
  return {
    has: SHOP_WANTS.filter((each) => there[each]),
    isOver: settings.some(({ name }) => name === ROUND),
  };
}

export async function endRound({ sequelize, by, now }: Moment): Promise<void> {
  await oneAtATime(sequelize, async (transaction) => {
    await SettingRow.upsert({ name: ROUND, value: 'over' }, { transaction });
    const what = 'what a new shop wants: the rest is left for later';
    await noteChange({ by, at: now, subject: 'shop', what }, transaction);
  });
}

export async function changeSettings(
  { sequelize, by, now }: Moment,
  before: ShopSettings,
  after: ShopSettings,
): Promise<ShopSettings> {
  await oneAtATime(sequelize, async (transaction) => {
    for (const [name, value] of Object.entries(after))
      await SettingRow.upsert({ name, value: String(value) }, { transaction });
    const what = `the shop: ${after.name}, ${after.units} units, clocks of ${after.zone}, screens lock ${after.lockMinutes === 0 ? 'never' : `after ${after.lockMinutes} min`}, second factor of ${after.secondFactor}, who has left is erased ${after.erasedAfterMonths === 0 ? 'by hand' : `after ${after.erasedAfterMonths} months`}`;
    await noteChange({ by, at: now, subject: 'shop', what, before, after }, transaction);
  });
  return after;
}
