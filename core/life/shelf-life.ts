import type { EntryOf } from '../job';
import type { KitLine } from '../stock';
import { inDateUntil } from '../workings';
import type { Due } from './due';

type Counted = EntryOf<'kit-checked'>['body'];

/**
 * How long the seals of a spare last on the shelf, by the oldest of the bag that they came in: storage without extension
 * by ISO 2230, from the cure date. Undefined where no bag says one.
 */
export function shelfDue({ found }: Counted, lines: readonly KitLine[]): Due | undefined {
  const ends = found.flatMap(({ line, count, cureDate }) => {
    const elastomer = lines.find((each) => each.line === line)?.elastomer;
    const until =
      elastomer === undefined || cureDate === undefined || count === 0
        ? undefined
        : inDateUntil(elastomer, cureDate);
    return until === undefined || elastomer === undefined ? [] : [{ until, elastomer }];
  });
  const [first] = ends.toSorted((a, b) => a.until.localeCompare(b.until));
  return (
    first && {
      at: first.until,
      kind: 'shelf life',
      words: `its ${first.elastomer} seals are in date until then`,
    }
  );
}
