import type { PersonStamp } from '@dusk-wren/core/job';
import type { Valve } from '@dusk-wren/core/valve';
import { randomUUID } from 'node:crypto';
import type { Sequelize } from 'sequelize';
import { ValveRow } from '../database/models';
import { fileValve } from '../database/valves';
import { OutageRow } from '../database/week-models';
import { BRINE, valveOf } from './other-constructions';
import { FIELD, SHELF } from './scenario';

/** A two-day stop of the water injection, with more valves than two days have room for. */
const NAME = 'Water injection, two-day stop';
const DAY = 24 * 60 * 60 * 1000;
const isoDay = (moment: number) => new Date(moment).toISOString().slice(0, 10);
/** The first Monday that is so many days away. */
function begins(now: Date): number {
  const [soonest, MONDAY] = [now.getTime() + 33 * DAY, 1];
  return soonest + ((MONDAY + 7 - new Date(soonest).getUTCDay()) % 7) * DAY;
}

const globe = (tag: string, serial: string, location: string): Valve => {
  const like = SHELF.find((each) => each.tag === 'WF-09');
  if (!like) throw new Error('no valve WF-09 on file');
  return { ...like, tag, serial, location };
};

/** Of the same trains, and never on a bench here. */
const NEVER_SEEN: readonly Valve[] = [
  globe('WF-24', 'K 61 061', 'water injection, train F'),
  globe('WF-25', 'K 61 062', 'water injection, train G'),
  globe('WF-26', 'K 61 063', 'water injection, train H'),
  valveOf(
    {
      ...{ tag: 'NR-40', serial: 'N 40 118', location: 'injection pump 1, discharge', medium: BRINE },
      construction: 'check-swing',
    },
    FIELD,
  ),
  valveOf(
    {
      ...{ tag: 'GT-52', serial: 'G 52 007', location: 'injection header, isolation', medium: BRINE },
      construction: 'gate-wedge',
    },
    FIELD,
  ),
];
const SPARE = globe('WF-S1', 'K 61 090', 'stores, rack 4');

const LISTED = ['WF-09', 'WF-21', 'WF-22', 'WF-23', 'LV-08', ...NEVER_SEEN.map(({ tag }) => tag)];

export async function seedOutage(sequelize: Sequelize, by: PersonStamp, now: Date): Promise<void> {
  await sequelize.transaction(async (transaction) => {
    for (const valve of NEVER_SEEN) await fileValve(valve, transaction);
    const spare = await fileValve(SPARE, transaction);
    await ValveRow.update({ standing: 'spare' }, { where: { id: spare.id }, transaction });
    const rows = await ValveRow.findAll({ where: { customer: FIELD, tag: LISTED }, transaction });
    const from = begins(now);
    await OutageRow.create(
      {
        ...{ id: randomUUID(), name: NAME, fromDay: isoDay(from), toDay: isoDay(from + DAY) },
        ...{ valves: JSON.stringify(rows.map(({ id }) => id)), madeBy: by.name, madeAt: now },
      },
      { transaction },
    );
  });
}
