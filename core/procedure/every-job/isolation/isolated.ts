import { energiesOf, pointsOf, type EnergyKind, type IsolationPoint, type Line } from '../../../isolation';
import { lineOf, type JobState } from '../../../job';
import type { Valve } from '../../../valve';
import type { Context } from '../../draft';
import { isolatedFor, type Isolated } from '../../scopes';

/** What decides about the isolation of a job. */
export type OnJob = Pick<Context, 'place' | 'scope' | 'valve' | 'state'>;

/** Energies that move the valve; those of the process stay where nothing lets them out. */
export const MOVES_IT: readonly EnergyKind[] = ['supply air', 'signal air', 'electrical', 'weight'];

const moves = (kind: EnergyKind): boolean => MOVES_IT.includes(kind);

const movesIt = (point: IsolationPoint): boolean => point.id === 'bypass' || point.for.some(moves);

/**
 * What goes out of its line is isolated whole, whatever it is for. So is what was locked out for more than the job is for
 * now: a lock that hung is taken off by the sheet that it was hung on.
 */
export function isolatedOn({ place, scope, valve, state }: OnJob): Isolated {
  const asked = isolatedFor(scope);
  if (place !== 'in line' || asked === 'whole') return 'whole';
  const line = lineOf(state);
  return line && hungBeyond(asked, valve, line, state) ? 'whole' : asked;
}

function hungBeyond(asked: Isolated, valve: Valve, line: Line, state: JobState): boolean {
  const beyond = pointsOf(valve, line).filter((point) => asked === 'nothing' || !movesIt(point));
  return state.records['lock-hung'].some(({ body }) => beyond.some(({ id }) => id === body.point));
}

/** Nothing is locked out: it is moved by its own air. */
export const hasOwnAir = (job: OnJob): boolean => isolatedOn(job) === 'nothing';

/** What of its line is shut and proved for this job. */
export function isolationOf(job: OnJob, line: Line) {
  const [points, energies] = [pointsOf(job.valve, line), energiesOf(job.valve, line)];
  switch (isolatedOn(job)) {
    case 'whole':
      return { points, energies };
    case 'air and power':
      return { points: points.filter(movesIt), energies: energies.filter(({ kind }) => moves(kind)) };
    case 'nothing':
      return { points: [], energies: [] };
  }
}
