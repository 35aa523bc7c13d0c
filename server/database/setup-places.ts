import { workPlace, type WorkPlace, type WorkPlaceAsked } from '@dusk-wren/contract';
import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { Refusal } from '../refusal';
import { noteChange, type Moment } from './setup-changes';
import { WorkPlaceRow } from './setup-models';
import { refuseTaken } from './setup-names';
import { oneAtATime } from './transacted';

function viewOf(row: WorkPlaceRow): WorkPlace {
  const { id, name, kind, count, days, opens, closes } = row;
  // A row that was just made has no such day at all yet.
  const retired = row.retiredAt instanceof Date;
  return workPlace.parse({ id, name, kind, count, days: days.split(' '), opens, closes, retired });
}

const columnsOf = ({ days, ...rest }: WorkPlaceAsked) => ({ ...rest, days: days.join(' ') });

/** Every place there ever was, by name, those out of use last. */
export async function listPlaces(): Promise<WorkPlace[]> {
  const rows = await WorkPlaceRow.findAll({ order: [['name', 'ASC']] });
  return rows.map(viewOf).sort((a, b) => Number(a.retired) - Number(b.retired));
}

export const addPlace = (moment: Moment, asked: WorkPlaceAsked): Promise<WorkPlace> =>
  oneAtATime(moment.sequelize, (transaction) => placeAdded(moment, asked, transaction));

/** One more, within a change that may be of many. */
export async function placeAdded(
  { by, now }: Moment,
  asked: WorkPlaceAsked,
  transaction: Transaction,
): Promise<WorkPlace> {
  refuseTaken(asked.name, await WorkPlaceRow.findOne({ where: { name: asked.name }, transaction }));
  const row = await WorkPlaceRow.create({ id: randomUUID(), ...columnsOf(asked) }, { transaction });
  const what = `${asked.name} added, ${asked.count} × ${asked.kind}`;
  await noteChange({ by, at: now, subject: 'places', what, after: asked }, transaction);
  return viewOf(row);
}

export const changePlace = (
  moment: Moment,
  id: string,
  asked: WorkPlaceAsked | { readonly retired: boolean },
): Promise<WorkPlace> =>
  oneAtATime(moment.sequelize, (transaction) => placeChanged(moment, id, asked, transaction));

/** One that is set anew, or goes out of use, or comes back. */
export async function placeChanged(
  { by, now }: Moment,
  id: string,
  asked: WorkPlaceAsked | { readonly retired: boolean },
  transaction: Transaction,
): Promise<WorkPlace> {
  const row = await WorkPlaceRow.findByPk(id, { transaction });
  if (!row) throw new Refusal({ code: 'not-found', what: 'place' });
  const before = viewOf(row);
  if ('retired' in asked) await row.update({ retiredAt: asked.retired ? now : null }, { transaction });
  else {
    refuseTaken(asked.name, await WorkPlaceRow.findOne({ where: { name: asked.name }, transaction }), id);
    await row.update(columnsOf(asked), { transaction });
  }
  const after = viewOf(row);
  const what =
    'retired' in asked
      ? `${after.name} ${asked.retired ? 'out of use' : 'in use again'}`
      : `${after.name}: ${after.count} × ${after.kind}, ${after.days.join(' ')} ${after.opens} to ${after.closes}`;
  await noteChange({ by, at: now, subject: 'places', what, before, after }, transaction);
  return after;
}
