import { jobId, openingOf, placeOf, type Place } from '@dusk-wren/core/job';
import { reachedOutOfLine } from '@dusk-wren/core/procedure';
import { closureOf, valveSchema } from '@dusk-wren/core/valve';
import { JobRow, type ValveRow } from './models';
import { stateOf } from './state-of';

/** Where a valve is worked next: a spare lies bare; any other where it was on the last time, else where such a valve usually is. */
export async function placeNext(row: ValveRow): Promise<Place> {
  if (row.standing === 'spare') return 'bare';
  const last = await JobRow.findOne({ where: { valveId: row.id }, order: [['openedAt', 'DESC']] });
  const state = last ? await stateOf(jobId.parse(last.id), last.version) : undefined;
  const { features } = valveSchema.parse(JSON.parse(row.body));
  const place = state && openingOf(state) ? placeOf(state) : undefined;
  if (place && !(place === 'in line' && reachedOutOfLine(features, 'overhaul'))) return place;
  return closureOf(features).staysInLine ? 'in line' : 'out and back';
}
