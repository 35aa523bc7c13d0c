import { Op, type WhereOptions } from 'sequelize';
import type { JobRow } from './models';

/** The order of lists of jobs: of two that are due on one day, by their ids. */
export const SOONEST_FIRST: [string, 'ASC'][] = [
  ['dueKey', 'ASC'],
  ['id', 'ASC'],
];

/** Jobs that stand before, or after, a place in it. */
export const beside = (
  side: 'before' | 'after',
  { dueKey, id }: Pick<JobRow, 'dueKey' | 'id'>,
): WhereOptions<JobRow> => {
  const there = side === 'before' ? Op.lt : Op.gt;
  return { [Op.or]: [{ dueKey: { [there]: dueKey } }, { dueKey, id: { [there]: id } }] };
};
