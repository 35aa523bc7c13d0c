import type { PersonStamp } from '@dusk-wren/core/job';
import type { Blocked } from '@dusk-wren/core/plan';
import { literal, Op, where, type WhereOptions } from 'sequelize';

/** What a stop is, as it stands in the summary of a job. */
const ofStop = (field: 'kind' | 'expected') => literal(`JSON_VALUE(summary, '$.blocked.${field}')`);
const stoppedBy = (...kinds: readonly Blocked['kind'][]) => where(ofStop('kind'), { [Op.in]: [...kinds] });

/**
 * Open jobs that wait for somebody: a technician's own work; holds and asks for an inspector; stops, asks and parts that
 * are overdue for a lead.
 */
export function waitingFor({ id, role }: PersonStamp, today: string): WhereOptions {
  switch (role) {
    case 'technician':
      return { state: 'open', personId: id };
    case 'inspector':
      return { [Op.and]: [{ state: 'open' }, stoppedBy('hold', 'ask', 'question')] };
    case 'lead':
      return {
        [Op.and]: [
          { state: 'open' },
          {
            [Op.or]: [
              stoppedBy('pressure', 'ask', 'question'),
              { [Op.and]: [stoppedBy('part'), where(ofStop('expected'), { [Op.lt]: today })] },
            ],
          },
        ],
      };
  }
}
