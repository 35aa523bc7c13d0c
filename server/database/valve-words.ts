import { plateKey, valveWords, type Valve } from '@dusk-wren/core/valve';
import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import { WordRow } from './register-models';
import { likePrefix } from './paging';

/** What a valve is found by, a row a word; the tag beside it, so that what is found comes in the order of tags. */
export const wordRows = (valveId: string, valve: Valve) =>
  valveWords(valve).map((word) => ({ word, tag: valve.tag, valveId }));

/** Keeps what a valve is found by in step with what it is. */
export async function keepWords(valveId: string, valve: Valve, transaction: Transaction): Promise<void> {
  await WordRow.destroy({ where: { valveId }, transaction });
  await WordRow.bulkCreate(wordRows(valveId, valve), { transaction });
}

/** A beginning that more words than this have is taken for a word of its own, or for the beginning of a tag. */
const MOST_WORDS = 60;

/** The words on file that begin so; nothing where they are too many to be looked for one by one. */
async function wordsThatBegin(sequelize: Sequelize, beginning: string): Promise<string[] | undefined> {
  const rows = await sequelize.query<{ word: string }>(
    'SELECT DISTINCT word FROM valve_words WHERE word LIKE :like ORDER BY word LIMIT :limit',
    { replacements: { like: likePrefix(beginning), limit: MOST_WORDS + 1 }, type: QueryTypes.SELECT },
  );
  return rows.length > MOST_WORDS ? undefined : rows.map(({ word }) => word);
}

/** How many valves have one of these words, as far as it matters. */
async function countOf(sequelize: Sequelize, words: readonly string[]): Promise<number> {
  const [row] = await sequelize.query<{ count: number | bigint }>(
    'SELECT COUNT(*) AS count FROM (SELECT 1 FROM valve_words WHERE word IN (:words) LIMIT 2000) AS some',
    { replacements: { words }, type: QueryTypes.SELECT },
  );
  return Number(row?.count ?? 0);
}

export interface Sought {
  readonly typed: readonly string[];
  readonly after: { readonly key: string; readonly id: string } | undefined;
  readonly limit: number;
  /** What else has to hold of a valve `v`, with the values that it names. */
  readonly besides: Condition;
}

/** A condition as SQL, with the values that it names. */
export interface Condition {
  readonly sql: string;
  readonly values: Readonly<Record<string, string>>;
}

/** What was typed, as it is looked for: by the words that begin so, or as the beginning of a tag. */
async function lookedFor(sequelize: Sequelize, typed: readonly string[]) {
  const words: string[][] = [];
  const tags: string[] = [];
  for (const word of typed) {
    const found = await wordsThatBegin(sequelize, word);
    if (found) words.push(found);
    else tags.push(plateKey(word));
  }
  return { words, tags };
}

/**
 * Valves that have a word beginning with each that was typed, in the order of their tags. The rarest of the words is
 * walked in that order and the others are looked up, so that a page costs what it shows, however many there are.
 */
export async function valvesByWords(sequelize: Sequelize, sought: Sought): Promise<string[]> {
  const { words, tags } = await lookedFor(sequelize, sought.typed);
  if (words.some((each) => each.length === 0)) return [];
  const counts = await Promise.all(words.map((each) => countOf(sequelize, each)));
  const rarest = counts.indexOf(Math.min(...counts));
  const values: Record<string, unknown> = { ...sought.besides.values, limit: sought.limit };
  const conditions = [sought.besides.sql];
  tags.forEach((beginning, i) => {
    values[`tag${i}`] = likePrefix(beginning);
    conditions.push(`v.tag_key LIKE :tag${i}`);
  });
  words.forEach((each, i) => {
    if (i === rarest) return;
    values[`also${i}`] = each;
    conditions.push(
      `EXISTS (SELECT 1 FROM valve_words AS o WHERE o.valve_id = v.id AND o.word IN (:also${i}))`,
    );
  });
  if (sought.after) {
    Object.assign(values, { key: sought.after.key, id: sought.after.id });
    conditions.push('(v.tag > :key OR (v.tag = :key AND v.id > :id))');
  }
  const where = conditions.filter((sql) => sql !== '').join(' AND ') || 'TRUE';
  const pages = (words[rarest] ?? [undefined]).map((word, i) => {
    if (word === undefined)
      return `(SELECT v.tag, v.id FROM valves AS v WHERE ${where} ORDER BY v.tag, v.id LIMIT :limit)`;
    values[`word${i}`] = word;
    return `(SELECT w.tag, v.id FROM valve_words AS w STRAIGHT_JOIN valves AS v ON v.id = w.valve_id
      WHERE w.word = :word${i} AND ${where} ORDER BY w.tag, w.valve_id LIMIT :limit)`;
  });
  const rows = await sequelize.query<{ id: string }>(
    `SET STATEMENT optimizer_switch = 'semijoin=off,exists_to_in=off' FOR
     SELECT DISTINCT tag, id FROM (${pages.join(' UNION ALL ')}) AS found ORDER BY tag, id LIMIT :limit`,
    { replacements: values, type: QueryTypes.SELECT },
  );
  return rows.map(({ id }) => id);
}
