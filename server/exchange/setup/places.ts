import { WEEK, workPlaceRequest, type WorkPlaceAsked } from '@dusk-wren/contract';
import { listPlaces, placeAdded, placeChanged } from '../../database/setup-places';
import { setupFile, type SetupFile } from './setup-file';

type Line = WorkPlaceAsked & { readonly retired?: boolean };

/** `07:30` of what a spreadsheet makes of it: `7:30`, `07:30:00`. */
const clock = (cell: string | undefined): string | undefined =>
  cell?.replace(/^(\d):/, '0$1:').replace(/^(\d\d:\d\d):00$/, '$1');

const named = (day: string): string =>
  WEEK.find((each) => day.toLowerCase().startsWith(each.toLowerCase())) ?? day;

/** The places of a shop, their days by their English names with blanks between. */
export const placesFile = (): SetupFile =>
  setupFile<Line>({
    heading: ['name', 'kind', 'count', 'days', 'opens', 'closes'],
    may: [],
    here: async () => (await listPlaces()).map(({ id, ...is }) => ({ id, is })),
    nameOf: ({ name }) => name,
    cellsOf: ({ name, kind, count, days, opens, closes }) => [
      ...[name, kind, String(count)],
      ...[days.join(' '), opens, closes],
    ],
    read: (cells) =>
      workPlaceRequest.safeParse({
        name: cells['name'],
        kind: cells['kind']?.toLowerCase(),
        count: /^\d+$/.test(cells['count'] ?? '') ? Number(cells['count']) : cells['count'],
        days: (cells['days'] ?? '')
          .split(/[\s,|]+/)
          .filter(Boolean)
          .map(named),
        opens: clock(cells['opens']),
        closes: clock(cells['closes']),
      }),
    refuses: ({ name }, was) =>
      was?.retired ? [`${name} is out of use: it is taken back on its own card`] : [],
    writer: (moment, changes) => async (transaction) => {
      for (const { was, is } of changes)
        if (was) await placeChanged(moment, was.id, is, transaction);
        else await placeAdded(moment, is, transaction);
      return [];
    },
  });
