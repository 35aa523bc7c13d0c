import type { WeekView } from '@dusk-wren/contract/week';
import { sayMinutes } from '../parts/dates';
import type { ChainPiece } from '../workers/week.worker';
import { sayKind } from '@dusk-wren/contract/planned';
import { sayAt } from './words';

/** As much of a chain as is read; what lies further back is only counted. */
const READ = 5;

/** A chain in words: a line for each stretch of one job, with what it waited for, the last first. */
export function sayChain(
  view: Pick<WeekView, 'from' | 'zone' | 'jobs' | 'plan' | 'people'>,
  chain: readonly ChainPiece[],
): { readonly lines: readonly string[]; readonly before: number } {
  const stretches: ChainPiece[][] = [];
  for (const piece of chain) {
    const last = stretches.at(-1);
    const later = last?.at(-1);
    if (last && later?.job === piece.job && later.waited === 'follows') last.push(piece);
    else stretches.push([piece]);
  }
  const lines = stretches
    .slice(0, READ)
    .map((stretch, i) => sayStretch(view, stretch, stretches[i + 1]?.[0]));
  return { lines, before: Math.max(0, stretches.length - READ) };
}

function sayStretch(
  view: Parameters<typeof sayChain>[0],
  stretch: readonly ChainPiece[],
  before: ChainPiece | undefined,
): string {
  const [last, first] = [stretch[0], stretch.at(-1)];
  if (!first || !last) return '';
  const job = view.jobs.find(({ id }) => id === first.job);
  const placed = ({ job: of, id }: ChainPiece) => view.plan.find((each) => each.job === of && each.id === id);
  const kind = ({ id }: ChainPiece) => sayKind(job?.kinds[id] ?? id);
  const what = first === last ? kind(first) : `${kind(first)} to ${kind(last)}`;
  const was = view.jobs.find(({ id }) => id === before?.job)?.tag ?? 'other work';
  const person = view.people.find(({ id }) => id === placed(first)?.person)?.name ?? 'who does it';
  const why = {
    follows: 'as soon as what it follows was done',
    nothing: 'as soon as it can',
    place: `the ${placed(first)?.place ?? 'place'} was taken by ${was}`,
    person: `${person} was on ${was}`,
  }[first.waited];
  const closed = first.closed > 0 ? `, ${sayMinutes(first.closed)} closed between` : '';
  return `${job?.tag ?? ''} ${what}, ${sayAt(view, placed(first)?.start ?? 0)}: ${why}${closed}`;
}
