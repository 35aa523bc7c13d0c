import type { Logger } from 'pino';
import { QueryTypes, type Sequelize } from 'sequelize';
import { withoutStatement } from './failures';
import { livesOf } from './valve-lives';

const AT_A_TIME = 20;

/** Valves with signed jobs that no life says anything of, from here on: signed by an older server. */
async function without(sequelize: Sequelize, after: string): Promise<string[]> {
  const rows = await sequelize.query<{ id: string }>(
    `SELECT DISTINCT j.valve_id AS id FROM jobs AS j LEFT JOIN job_lives AS l ON l.job_id = j.id
     WHERE j.valve_id > :after AND j.state <> 'open' AND l.job_id IS NULL ORDER BY j.valve_id LIMIT :limit`,
    { replacements: { after, limit: AT_A_TIME }, type: QueryTypes.SELECT },
  );
  return rows.map(({ id }) => id);
}

/** Sums up what older servers signed, a few valves at a time beside everything else; answers with how to stop. */
export function fillLives(sequelize: Sequelize, logger: Logger): () => void {
  let isStopped = false;
  const fill = async () => {
    for (let after = ''; !isStopped;) {
      const valves = await without(sequelize, after);
      for (const valve of valves) if (!isStopped) await sumUp(valve);
      const last = valves.at(-1);
      if (last === undefined) return;
      after = last;
    }
  };
  const told = (error: unknown) => {
    if (!isStopped) logger.warn(withoutStatement(error), 'could not sum up the jobs of before');
  };
  // A log that cannot be read keeps no other valve from its life.
  const sumUp = (valve: string) => livesOf(valve).then(() => undefined, told);
  void fill().catch(told);
  return () => (isStopped = true);
}
