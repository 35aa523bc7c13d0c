import { sayKind, type PlannedPiece } from '@dusk-wren/contract/planned';
import { isoDay, sayDay, sayTime } from './dates';

/** `now`, `07:30`, `Tue 1 Dec 07:30`. */
export function sayStart({ start }: Pick<PlannedPiece, 'start'>): string {
  const moment = new Date(start);
  if (moment.getTime() <= Date.now()) return 'now';
  const day = isoDay(moment);
  return day === isoDay(new Date()) ? sayTime(start) : `${sayDay(day)} ${sayTime(start)}`;
}

/** `Mon 30 Nov 07:30 lathe, Wen`: when, what, and who. */
export function sayPiece(piece: PlannedPiece): string {
  const who = piece.person?.split(' ')[0];
  return `${sayStart(piece)} ${sayKind(piece.kind)}${who === undefined ? '' : `, ${who}`}`;
}
