import type { OnShiftView } from '@dusk-wren/contract/drills';
import { dayIn } from '@dusk-wren/core/quantity';
import { openOn, workSkillsOf, type Shop, type ShopPerson } from '@dusk-wren/core/schedule';
import { listHours } from '../database/setup-hours';
import { shopZone } from '../database/shop-day';
import { daysOf, plannedShop } from '../week/shop';
import { wantingByPerson, workRules } from './work-rules';

/** Whether somebody is here at this very moment, by their hours. */
function isHere(shop: Shop, person: ShopPerson, now: Date, zone: string): boolean {
  const days = daysOf(now, zone, 1);
  const off = new Set([...shop.holidays, ...person.away]);
  const today = days[0]?.day;
  const stays = person.extra.some(
    ({ day, from, to }) => day === today && inside(days[0]?.midnight ?? 0, from, to),
  );
  return stays || openOn(days, person.hours ?? shop.hours, off).some(([from, to]) => from <= 0 && to > 0);
}

const inside = (midnight: number, from: number, to: number) => midnight + from <= 0 && midnight + to > 0;

/** Work that the shop asks something for, and nobody is here now who has it. Of a shop that is shut, nothing is said. */
export async function onShift(now: Date): Promise<OnShiftView> {
  const rules = await workRules();
  if (rules.length === 0) return { nobody: [] };
  const zone = await shopZone();
  const hours = await listHours(dayIn(now.toISOString(), zone));
  const shop = plannedShop(hours, []);
  const wanting = await wantingByPerson(now);
  const here = shop.people.filter((person) => isHere(shop, person, now, zone));
  if (here.length === 0) return { nobody: [] };
  const able = (person: ShopPerson, work: string) =>
    workSkillsOf({
      ...person,
      withheld: (wanting.get(String(person.id)) ?? []).map((each) => each.work),
    }).some((skill) => skill === work);
  return {
    nobody: rules.flatMap(({ work }) =>
      here.some((person) => able(person, work))
        ? []
        : [
            {
              work,
              qualified: hours.people.flatMap(({ id, name }) => {
                const person = shop.people.find((each) => each.id === id);
                return person && able(person, work) ? [name] : [];
              }),
            },
          ],
    ),
  };
}
