import { typedWords } from '@dusk-wren/core/valve';
import { literal, type Sequelize, type WhereOptions } from 'sequelize';
import type { JobRow } from './models';
import { meantBy, valvesByWords } from './valve-words';

/** So many valves are looked up one by one; where more are found, a page of jobs is full of them soon. */
const FEW = 500;

/** Jobs whose valve has a word beginning with each that was typed, as the register finds it; none where no word was typed. */
export async function onValvesWith(sequelize: Sequelize, text: string): Promise<WhereOptions<JobRow>> {
  const typed = typedWords(text);
  if (typed.length === 0) return { valveId: [] };
  const valves = await valvesByWords(sequelize, { typed, by: {}, after: undefined, limit: FEW });
  if (valves.length < FEW) return { valveId: valves };
  const meant = await Promise.all(typed.map((word) => meantBy(sequelize, word)));
  return literal(meant.map((words) => hasOneOf(sequelize, words)).join(' AND '));
}

/** By the index of the words of a valve: a page costs the jobs that are looked at, in the order that it is in. */
const hasOneOf = (sequelize: Sequelize, words: readonly string[]): string =>
  `EXISTS (SELECT 1 FROM valve_words AS w WHERE w.valve_id = JobRow.valve_id
    AND w.word IN (${words.map((word) => sequelize.escape(word)).join(', ')}))`;
