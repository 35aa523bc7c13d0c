import { DEGREES_EACH, WIDTHS } from './unwrap';

/** An arc of the ring, degrees clockwise from 12 o'clock; `to` below `from` runs over the top. */
export interface RingArc {
  readonly from: number;
  readonly to: number;
  readonly degrees: number;
}

/** Runs of true round the circle, as arcs; one that runs over 12 o'clock is one arc. */
export function arcsOf(flags: readonly boolean[]): RingArc[] {
  const start = flags.indexOf(false);
  if (start < 0) return [{ from: 0, to: 360, degrees: 360 }];
  const arcs: RingArc[] = [];
  let from: number | undefined;
  for (let k = 1; k <= WIDTHS; k++) {
    const i = start + k;
    const flag = flags[i % WIDTHS] ?? false;
    if (flag && from === undefined) from = i;
    if (!flag && from !== undefined) {
      const turned = (place: number) => (place * DEGREES_EACH) % 360;
      arcs.push({ from: turned(from), to: turned(i), degrees: (i - from) * DEGREES_EACH });
      from = undefined;
    }
  }
  return arcs;
}

/** The rays an arc covers. */
export const raysOf = ({ from, degrees }: RingArc): number[] =>
  Array.from(
    { length: Math.round(degrees / DEGREES_EACH) },
    (_, k) => (Math.round(from / DEGREES_EACH) + k) % WIDTHS,
  );

export const degreesIn = (arcs: readonly RingArc[]): number =>
  arcs.reduce((sum, { degrees }) => sum + degrees, 0);
