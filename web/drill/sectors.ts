import type { Gap } from '@dusk-wren/core/drill';

/** A drawn seat ring is marked in so many parts. */
export const SECTORS = 72;
export const PITCH = 360 / SECTORS;

/** Bare sectors as breaks, those over 12 o'clock as one. */
export function gapsIn(bare: readonly boolean[]): Gap[] {
  const start = bare.indexOf(false);
  if (start < 0) return [{ from: 0, degrees: 360 }];
  const gaps: Gap[] = [];
  for (let k = 1; k <= SECTORS; k++) {
    const i = (start + k) % SECTORS;
    if (!bare[i]) continue;
    const last = gaps.at(-1);
    if (last && bare[(i + SECTORS - 1) % SECTORS])
      gaps[gaps.length - 1] = { ...last, degrees: last.degrees + PITCH };
    else gaps.push({ from: i * PITCH, degrees: PITCH });
  }
  return gaps;
}

/** Whether a sector lies in one of these breaks. */
export function isBare(sector: number, gaps: readonly Gap[]): boolean {
  const middle = (sector + 0.5) * PITCH;
  return gaps.some(({ from, degrees }) => (((middle - from) % 360) + 360) % 360 < degrees);
}
