import { valveWords, type Valve } from '@dusk-wren/core/valve';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { MOST_LETTERS, SharedWordRow, WordRow } from './register-models';
import { likePrefix } from './paging';

/** What a valve is narrowed by: kept as words too, which nobody can type. */
export interface Narrowed {
  readonly customer?: string;
  readonly construction?: string;
  readonly standing?: string;
}

const narrowWords = (by: Narrowed): string[] =>
  (['customer', 'construction', 'standing'] as const).flatMap((what) => {
    const value = by[what];
    return value === undefined ? [] : [`${what}=${value}`.slice(0, MOST_LETTERS)];
  });

/** What a valve is found by, a row a word; the tag beside it, so that what is found comes in the order of tags. */
export function wordRows(valveId: string, valve: Valve, standing: string) {
  const { shared, own } = valveWords(valve);
  const { customer, construction } = valve;
  const all = [...shared, ...own, ...narrowWords({ customer, construction, standing })];
  return { words: all.map((word) => ({ word, tag: valve.tag, valveId })), shared };
}

/** Keeps what a valve is found by in step with what it is. */
export async function keepWords(
  valveId: string,
  valve: Valve,
  standing: string,
  transaction: Transaction,
): Promise<void> {
  const { words, shared } = wordRows(valveId, valve, standing);
  await WordRow.destroy({ where: { valveId }, transaction });
  await WordRow.bulkCreate(words, { transaction });
  await SharedWordRow.bulkCreate(
    // In one order: two that file at once wait for each other and never both.
    [...shared].sort().map((word) => ({ word })),
    { transaction, ignoreDuplicates: true },
  );
}

/** Of more words that begin so than this, only those that are whole are meant. */
const MOST_WORDS = 40;

/** The words that something typed may be the beginning of; it itself among them, for beginnings of tags are words. */
export async function meantBy(sequelize: Sequelize, typed: string): Promise<string[]> {
  const rows = await sequelize.query<{ word: string }>(
    'SELECT word FROM shared_words WHERE word LIKE :like LIMIT :limit',
    { replacements: { like: likePrefix(typed), limit: MOST_WORDS + 1 }, type: QueryTypes.SELECT },
  );
  const longer = rows.length > MOST_WORDS ? [] : rows.map(({ word }) => word);
  return [...new Set([typed, ...longer])];
}

const ENOUGH = 2000;
/** Those of these words that valves have, and how many have one, as far as it matters. */
async function had(
  sequelize: Sequelize,
  words: readonly string[],
): Promise<{ words: string[]; count: number }> {
  const counts = await sequelize.query<{ word: string; count: number | bigint }>(
    words
      .map(
        () =>
          'SELECT ? AS word, COUNT(*) AS count FROM (SELECT 1 FROM valve_words WHERE word = ? LIMIT ?) AS some',
      )
      .join(' UNION ALL '),
    { replacements: words.flatMap((word) => [word, word, ENOUGH]), type: QueryTypes.SELECT },
  );
  const there = counts.filter(({ count }) => Number(count) > 0);
  return {
    words: there.map(({ word }) => word),
    count: there.reduce((sum, { count }) => sum + Number(count), 0),
  };
}

export interface Sought {
  readonly typed: readonly string[];
  readonly by: Narrowed;
  /** Due by this day. */
  readonly due?: string;
  readonly after: { readonly key: string; readonly id: string } | undefined;
  readonly limit: number;
}

/**
 * Valves that have a word beginning with each that was typed and are what they are narrowed by, in the order of tags.
 * The rarest of the words is walked in that order and the others are looked up, so that a page costs what it shows,
 * however many there are.
 */
export async function valvesByWords(sequelize: Sequelize, sought: Sought): Promise<string[]> {
  const meant = await Promise.all(sought.typed.map((typed) => meantBy(sequelize, typed)));
  const asked = [...meant, ...narrowWords(sought.by).map((word) => [word])];
  const those = await Promise.all(asked.map((each) => had(sequelize, each)));
  const [words, counts] = [those.map((each) => each.words), those.map(({ count }) => count)];
  if (counts.includes(0)) return [];
  const rarest = counts.indexOf(Math.min(...counts));
  const values: Record<string, unknown> = { limit: sought.limit };
  const conditions: string[] = [];
  if (sought.after) {
    Object.assign(values, { key: sought.after.key, id: sought.after.id });
    conditions.push('(w.tag > :key OR (w.tag = :key AND w.valve_id > :id))');
  }
  if (sought.due !== undefined) {
    values['due'] = sought.due;
    conditions.push('EXISTS (SELECT 1 FROM valves AS v WHERE v.id = w.valve_id AND v.due_on <= :due)');
  }
  words.forEach((each, i) => {
    if (i === rarest) return;
    // By the whole key, one row each, in the order of what is walked: the next one lies beside the last.
    const has = each.map((word, k) => {
      values[`also${i}x${k}`] = word;
      return `EXISTS (SELECT 1 FROM valve_words AS o
        WHERE o.word = :also${i}x${k} AND o.tag = w.tag AND o.valve_id = w.valve_id)`;
    });
    conditions.push(`(${has.join(' OR ')})`);
  });
  const pages = (words[rarest] ?? []).map((word, i) => {
    values[`word${i}`] = word;
    return `(SELECT w.tag, w.valve_id FROM valve_words AS w FORCE INDEX (PRIMARY)
      WHERE ${[`w.word = :word${i}`, ...conditions].join(' AND ')} ORDER BY w.tag, w.valve_id LIMIT :limit)`;
  });
  const rows = await sequelize.query<{ valve_id: string }>(
    `SET STATEMENT optimizer_switch = 'semijoin=off,exists_to_in=off,materialization=off' FOR
     SELECT DISTINCT tag, valve_id FROM (${pages.join(' UNION ALL ')}) AS found ORDER BY tag, valve_id LIMIT :limit`,
    { replacements: values, type: QueryTypes.SELECT },
  );
  return rows.map(({ valve_id }) => valve_id);
}
