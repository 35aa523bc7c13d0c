import { commandId, instrumentId, personStamp, type InstrumentId } from '@dusk-wren/core/job';
import { randomUUID } from 'node:crypto';
import type { Sequelize } from 'sequelize';
import { hashPin } from '../sign-in/pin';
import { openJobOn } from '../database/jobs';
import { InstrumentRow, PersonRow, SheetRow, SiteRow } from '../database/models';
import { SettingRow, WorkPlaceRow } from '../database/setup-models';
import { AbsenceRow } from '../database/week-models';
import { fileValve } from '../database/valves';
import { playHistory } from './history';
import { PAST, type PastValve } from './past';
import { seedDrills } from './drills';
import { seedOrders } from './orders';
import { seedOutage } from './outage';
import { onTheServer, Play } from './play';
import { valveKey } from '@dusk-wren/core/valve';
import { putUnit } from '../database/shelf';
import { putKits, putStock } from '../database/stock';
import { KIT_SHEETS, stockOf, UNITS } from './stock';
import { DEMO_PIN, HOURS, INSTRUMENTS, OFF_ON_FRIDAY, PEOPLE, PLACES, SITES, STORIES } from './scenario';
import { BEFORE, SINCE, sheetRow } from './sheets';
import type { Story } from './story';

const DAY = 24 * 60 * 60 * 1000;
const FRIDAY = 5;
const nextFriday = (moment: number): number =>
  moment + ((FRIDAY + 7 - new Date(moment).getUTCDay()) % 7) * DAY;
/** That day, or the Monday after it. */
const workingDay = (moment: number): number => {
  const weekday = new Date(moment).getUTCDay();
  return moment + (weekday === 6 ? 2 : weekday === 0 ? 1 : 0) * DAY;
};
const isoDay = (moment: number) => new Date(moment).toISOString().slice(0, 10);

/** Fills an empty database with the Pinder Street scenario; answers false when somebody lives there already. */
export async function seedDemo(
  sequelize: Sequelize,
  say: (line: string) => void,
  { stories = STORIES, past = PAST }: { stories?: readonly Story[]; past?: readonly PastValve[] } = {},
): Promise<boolean> {
  if ((await PersonRow.count()) > 0) return false;
  const pinHash = await hashPin(DEMO_PIN);
  const people = PEOPLE.map(({ name, role }) => personStamp.parse({ id: randomUUID(), name, role }));
  const instruments: Record<string, InstrumentId> = {};
  const now = Date.now();
  for (const { name, kind, driver, dueInDays } of INSTRUMENTS) {
    const id = instrumentId.parse(randomUUID());
    instruments[name] = id;
    await InstrumentRow.create({ id, name, kind, driver, calibrationDue: isoDay(now + dueInDays * DAY) });
  }
  await WorkPlaceRow.bulkCreate(
    PLACES.map(([name, kind, count, opens, closes]) => ({
      ...{ id: randomUUID(), name, kind, count },
      ...{ days: 'Mon Tue Wed Thu Fri', opens, closes },
    })),
  );
  await SettingRow.upsert({ name: 'hours', value: JSON.stringify(HOURS) });
  const off = people.find(({ name }) => name === OFF_ON_FRIDAY.name);
  const friday = isoDay(nextFriday(now));
  if (off)
    await AbsenceRow.create({ personId: off.id, fromDay: friday, toDay: friday, why: OFF_ON_FRIDAY.why });
  for (const [customer, rules] of Object.entries(SITES))
    await SiteRow.create({ customer, rules: JSON.stringify(rules) });
  const [inspector, lead] = [
    people.find(({ role }) => role === 'inspector'),
    people.find(({ role }) => role === 'lead'),
  ];
  if (!inspector || !lead) throw new Error('the scenario has no inspector or no lead');
  const units = await sequelize.transaction(async (transaction) => {
    await putKits(KIT_SHEETS, transaction);
    const keys = new Set<string>();
    for (const { valve } of STORIES) {
      if (keys.has(valveKey(valve))) continue;
      keys.add(valveKey(valve));
      await putStock(stockOf(valve, keys.size), transaction);
    }
    const made = new Map<string, string>();
    for (const { kind, serial, tag, builtDaysAgo } of UNITS) {
      const valve = STORIES.find((story) => story.valve.tag === tag)?.valve;
      if (!valve) throw new Error(`no valve ${tag} for the unit ${serial}`);
      const unit = { kind, serial, key: valveKey(valve), builtOn: isoDay(now - builtDaysAgo * DAY) };
      made.set(serial, await putUnit(unit, transaction));
    }
    return made;
  });
  await SheetRow.create(sheetRow(BEFORE, lead, new Date(now - 400 * DAY)));
  const cast = { inspector, lead, instruments, units };
  say('eight years of jobs that are over');
  await playHistory(sequelize, past, people, cast, now);
  for (const story of stories) {
    say(`${story.valve.tag}: ${story.valve.location}`);
    const technician = people[story.technician];
    if (!technician) throw new Error(`no technician ${story.technician}`);
    const opened = now - story.openedDaysAgo * DAY - 5 * 60 * 60 * 1000;
    const filed = await sequelize.transaction((transaction) =>
      fileValve(story.valve, transaction, { simulated: story.condition }),
    );
    const due = story.dueInDays === undefined ? {} : { due: isoDay(workingDay(now + story.dueInDays * DAY)) };
    const opening = {
      commandId: commandId.parse(randomUUID()),
      valve: { id: filed.id },
      place: story.place,
      reported: story.reported,
      ...due,
    };
    const jobId = await openJobOn(sequelize, opening, technician, new Date(opened).toISOString());
    const second = people.find(({ id, role }) => role === 'technician' && id !== technician.id) ?? inspector;
    const own = { ...cast, technician, 'second technician': second };
    await new Play(onTheServer(sequelize, jobId), story, own, opened).run();
  }
  if (past === PAST) await seedOutage(sequelize, lead, new Date(now));
  await seedOrders(sequelize, lead, now);
  await seedDrills(people, lead, now);
  await SheetRow.create(sheetRow(SINCE, lead, new Date(now - DAY)));
  // Last, so that an interrupted playing is seen as such and starts over.
  await PersonRow.bulkCreate(
    people.map(({ id, name, role }, i) => ({
      ...{ id, name, role, pinHash },
      skills: JSON.stringify(PEOPLE[i]?.skills ?? []),
    })),
  );
  return true;
}
