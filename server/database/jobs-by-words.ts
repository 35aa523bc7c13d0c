import { typedWords } from '@dusk-wren/core/valve';
import { IndexHints, literal, Op, type Sequelize, type WhereOptions } from 'sequelize';
import { JobRow } from './models';
import { beside, SOONEST_FIRST } from './soonest-first';
import { meantBy, valvesByWords } from './valve-words';

interface Bounds {
  /** So many valves are looked up with all their jobs, whichever order these are in. */
  readonly few: number;
  /** Where more have the words, a page is mostly full after so many jobs looked at in the order of the list. */
  readonly front: number;
}
const BOUNDS: Bounds = { few: 1000, front: 5000 };

/**
 * The first jobs of those `where`, soonest due first, whose valve has a word beginning with each that was typed, as the
 * register finds it; none where no word was typed. What it costs does not grow with the jobs that a shop has: either few
 * valves are looked up, or few jobs are, or what many valves are called was seldom worked on.
 */
export async function jobsWithWords(
  sequelize: Sequelize,
  text: string,
  where: WhereOptions<JobRow>,
  limit: number,
  { few, front }: Bounds = BOUNDS,
): Promise<JobRow[]> {
  const typed = typedWords(text);
  if (typed.length === 0) return [];
  const valves = await valvesByWords(sequelize, { typed, by: {}, after: undefined, limit: few });
  if (valves.length < few) return byValve({ [Op.and]: [where, { valveId: valves }] }, limit);

  const meant = await Promise.all(typed.map((word) => meantBy(sequelize, word)));
  const lists = meant.map((words) => words.map((word) => sequelize.escape(word)).join(', '));
  const beyond = await JobRow.findOne({
    where,
    attributes: ['dueKey', 'id'],
    order: SOONEST_FIRST,
    offset: front,
  });
  const nearer = beyond === null ? {} : beside('before', beyond);
  const found = await JobRow.findAll({
    where: { [Op.and]: [where, nearer, literal(lists.map(hasOneOf).join(' AND '))] },
    order: SOONEST_FIRST,
    limit,
  });
  if (beyond === null || found.length === limit) return found;
  return byValve({ [Op.and]: [where, literal(lists.map(isOfOne).join(' AND '))] }, limit);
}

const byValve = (where: WhereOptions<JobRow>, limit: number) =>
  JobRow.findAll({
    where,
    order: SOONEST_FIRST,
    limit,
    // In the order of the list all jobs would be walked, hoping for a full page.
    indexHints: [{ type: IndexHints.FORCE, values: ['jobs_by_valve'] }],
  });

/** Asked of one job after the other: said as EXISTS, all valves with the words would be gathered first. */
const hasOneOf = (words: string): string =>
  `(SELECT 1 FROM valve_words AS w WHERE w.valve_id = JobRow.valve_id AND w.word IN (${words}) LIMIT 1) = 1`;

const isOfOne = (words: string): string =>
  `JobRow.valve_id IN (SELECT w.valve_id FROM valve_words AS w WHERE w.word IN (${words}))`;
