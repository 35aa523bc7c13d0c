import type { jobsOpened } from '@dusk-wren/contract';
import { wordProblem } from '@dusk-wren/contract/wording';
import type { CommandId, PersonStamp, ValveId } from '@dusk-wren/core/job';
import type { Sequelize } from 'sequelize';
import type { z } from 'zod';
import { Refusal } from '../refusal';
import { openJobOn } from './jobs';
import { ValveRow } from './models';
import { placeNext } from './next-place';

type Opened = z.output<typeof jobsOpened>;

/** Opens a job on each of these valves, where it is worked next; what cannot be opened is said, and stops no other. */
export async function openSeveral(
  sequelize: Sequelize,
  valves: readonly { readonly valve: ValveId; readonly commandId: CommandId }[],
  why: (row: ValveRow) => { readonly reported: string; readonly due?: string },
  person: PersonStamp,
  now: string,
): Promise<Opened> {
  const opened: Opened['opened'] = [];
  const left: Opened['left'] = [];
  for (const { valve, commandId } of valves) {
    try {
      const row = await ValveRow.findByPk(valve);
      if (!row) throw new Refusal({ code: 'not-found', what: 'valve' });
      const opening = { commandId, valve: { id: valve }, place: await placeNext(row), ...why(row) };
      opened.push({ valve, job: await openJobOn(sequelize, opening, person, now) });
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      left.push({ valve, why: wordProblem(error.problem) });
    }
  }
  return { opened, left };
}
