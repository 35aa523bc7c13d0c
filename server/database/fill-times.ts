import { jobId } from '@dusk-wren/core/job';
import { CONSTRUCTION_IDS } from '@dusk-wren/core/valve';
import type { Logger } from 'pino';
import { QueryTypes, type Sequelize } from 'sequelize';
import { withoutStatement } from './failures';
import { JobRow } from './models';
import { stateOf } from './state-of';
import { timesKept } from './work-times';

/** As many of the last jobs of a construction as are ever read. */
const LATELY = 60;

/** Jobs of a construction that were signed lately, by a server that did not keep how long their work took. */
async function without(sequelize: Sequelize, construction: string): Promise<string[]> {
  const rows = await sequelize.query<{ id: string; kept: string | null }>(
    `SELECT l.job_id AS id, t.job_id AS kept FROM job_lives AS l LEFT JOIN work_times AS t ON t.job_id = l.job_id
     WHERE l.construction = :construction ORDER BY l.signed DESC LIMIT :limit`,
    { replacements: { construction, limit: LATELY }, type: QueryTypes.SELECT },
  );
  return rows.flatMap(({ id, kept }) => (kept === null ? [id] : []));
}

/** Learns from what older servers signed how long work takes, beside everything else; answers with how to stop. */
export function fillTimes(sequelize: Sequelize, logger: Logger): () => void {
  let isStopped = false;
  const told = (error: unknown) => {
    if (!isStopped) logger.warn(withoutStatement(error), 'could not learn from the jobs of before');
  };
  const learn = async (id: string) => {
    const row = await JobRow.findByPk(id, { attributes: ['version'] });
    const job = jobId.parse(id);
    if (row) await timesKept(job, await stateOf(job, row.version), null);
  };
  const fill = async () => {
    for (const construction of CONSTRUCTION_IDS)
      for (const id of isStopped ? [] : await without(sequelize, construction))
        // A log that cannot be read keeps no other from being learned from.
        if (!isStopped) await learn(id).catch(told);
  };
  void fill().catch(told);
  return () => (isStopped = true);
}
