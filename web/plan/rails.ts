import type { PlacingView, WeekJobView, WeekView } from '@dusk-wren/contract/week';
import { lanesOf } from './lanes';

/** An operation as it lies on a rail. */
export interface Piece {
  /** Job and operation. */
  readonly key: string;
  readonly placing: PlacingView;
  readonly job: WeekJobView;
  readonly kind: string;
  readonly lane: number;
  readonly isLate: boolean;
  readonly isBegun: boolean;
  readonly isPinned: boolean;
}

/** Somebody, or somewhere, with what lies on it. */
export interface Rail {
  readonly id: string;
  readonly name: string;
  /** Beside the name. */
  readonly about: string;
  /** When it is open; nothing where it always is. */
  readonly open: readonly (readonly [number, number])[] | undefined;
  readonly lanes: number;
  readonly pieces: readonly Piece[];
}

export type RailsBy = 'people' | 'places';

export const keyOf = ({ job, id }: { readonly job: string; readonly id: string }): string => `${job} ${id}`;

/** Jobs that end after their date. */
export function lateJobsOf(week: WeekView['week'], plan: readonly PlacingView[]): ReadonlySet<string> {
  return new Set(
    week.jobs.flatMap(({ id, due }) =>
      due !== undefined && plan.some((each) => each.job === id && each.end > due) ? [String(id)] : [],
    ),
  );
}

/** The pieces of a plan on rails: of people or of places, with what nobody holds on a rail of its own, the last. */
export function railsOf(view: WeekView, by: RailsBy, plan: readonly PlacingView[] = view.plan): Rail[] {
  const late = lateJobsOf(view.week, plan);
  const pinned = new Set(view.pins.map(keyOf));
  const jobs = new Map<string, WeekJobView>(view.jobs.map((job) => [job.id, job]));
  const pieces = plan
    .flatMap((placing): Omit<Piece, 'lane'>[] => {
      const job = jobs.get(placing.job);
      if (!job) return [];
      const key = keyOf(placing);
      const state = {
        isLate: late.has(job.id),
        isBegun: job.begun.includes(placing.id),
        isPinned: pinned.has(key),
      };
      return [{ key, placing, job, kind: job.kinds[placing.id] ?? placing.id, ...state }];
    })
    .toSorted((a, b) => a.placing.start - b.placing.start);
  const waits = pieces.filter(
    ({ placing: { place, person } }) => place === undefined && person === undefined,
  );
  const rails = by === 'people' ? peopleRails(view, pieces) : placeRails(view, pieces);
  return waits.length === 0
    ? rails
    : [...rails, railOf({ id: 'waits', name: 'Waits', about: 'parts, what sets', open: undefined }, waits)];
}

const SKILLS: Readonly<Record<string, string>> = { lathe: 'lathe', relief: 'relief', field: 'field' };

const peopleRails = ({ week, people }: WeekView, pieces: readonly Omit<Piece, 'lane'>[]): Rail[] =>
  week.people.map(({ id, skills, open }) =>
    railOf(
      {
        id: String(id),
        name: people.find((each) => each.id === id)?.name ?? String(id),
        about: skills.flatMap((skill) => SKILLS[skill] ?? []).join(', '),
        open,
      },
      pieces.filter(({ placing }) => placing.person === id),
    ),
  );

function placeRails({ week }: WeekView, pieces: readonly Omit<Piece, 'lane'>[]): Rail[] {
  const nowhere = pieces.filter(({ placing }) => placing.place === undefined && placing.person !== undefined);
  const [holds, field] = [
    nowhere.filter(({ kind }) => kind === 'hold'),
    nowhere.filter(({ kind }) => kind !== 'hold'),
  ];
  return [
    ...week.places.map(({ id, count, open }) =>
      railOf(
        { id: String(id), name: String(id), about: count === 1 ? '' : `${count} of them`, open },
        pieces.filter(({ placing }) => placing.place === id),
        count,
      ),
    ),
    ...(field.length === 0
      ? []
      : [
          railOf(
            { id: 'elsewhere', name: 'elsewhere', about: 'no place of the shop', open: undefined },
            field,
          ),
        ]),
    ...(holds.length === 0
      ? []
      : [railOf({ id: 'holds', name: 'holds', about: 'an eye that is waited for', open: undefined }, holds)]),
  ];
}

/** Lanes so that no two pieces lie on each other, as many at least as there are of it. */
function railOf(
  about: Pick<Rail, 'id' | 'name' | 'about' | 'open'>,
  pieces: readonly Omit<Piece, 'lane'>[],
  least = 1,
): Rail {
  const lanes = lanesOf(pieces.map(({ placing }) => placing));
  return {
    ...about,
    lanes: Math.max(least, ...lanes.map((lane) => lane + 1)),
    pieces: pieces.map((piece, i) => ({ ...piece, lane: lanes[i] ?? 0 })),
  };
}
