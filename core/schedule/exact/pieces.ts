import { openFrom, workedOff, type OpenTime } from '../open-time';

/** Starts from `first` to `last`, all of which end so many minutes later than the work alone takes. */
export interface Piece {
  readonly first: number;
  readonly last: number;
  readonly closed: number;
}

/**
 * When work of so many minutes can begin between `from` and `to`, and how long it stands still over closed hours: a step
 * function of its start, piece by piece.
 */
export function piecesOf(open: OpenTime, minutes: number, from: number, to: number): Piece[] {
  if (!open || minutes === 0) return from <= to ? [{ first: from, last: to, closed: 0 }] : [];
  const pieces: Piece[] = [];
  let first = openFrom(open, from);
  while (first <= to) {
    const end = workedOff(open, first, minutes);
    if (end === Infinity) break;
    const last = Math.min(lastAlike(open, first, end), to);
    pieces.push({ first, last, closed: end - first - minutes });
    first = openFrom(open, last + 1);
  }
  return pieces;
}

/** The last start after `first` that stands still as long: until the stretch that it begins or ends in is over. */
function lastAlike(open: NonNullable<OpenTime>, first: number, end: number): number {
  const begins = open.find(({ to }) => to > first);
  const ends = open.find(({ to }) => to >= end);
  const room = Math.min((begins?.to ?? first + 1) - 1 - first, (ends?.to ?? end) - end);
  return first + Math.max(0, room);
}
