/** A stretch of the blue line, degrees clockwise from 12 o'clock; `to` below `from` runs over the top. */
export interface BlueArc {
  from: number;
  to: number;
  /** Width of the line, any one unit of length. */
  width: number;
}

export interface BlueGap {
  from: number;
  to: number;
  degrees: number;
}

export interface BluedRing {
  /** Share of the circle that carries a line, 0 to 1. */
  continuity: number;
  /** Breaks in the line, largest first. */
  gaps: BlueGap[];
  widthMean: number;
  widthMax: number;
  widthMin: number;
}

const FULL = 360;
/** What rounding leaves between stretches that meet, degrees. */
const ROUNDING = 1e-6;

const turned = (degrees: number) => ((degrees % FULL) + FULL) % FULL;

/** Reduces what was marked on the seat ring: arcs may overlap and may run over 12 o'clock. Every break counts, however short. */
export function readBluedRing(arcs: readonly BlueArc[]): BluedRing {
  const spans = merged(arcs.flatMap(unrolled));
  const gaps = gapsBetween(spans);
  const open = gaps.reduce((total, gap) => total + gap.degrees, 0);
  const weights = arcs.map((arc) => ({ width: arc.width, degrees: spanOf(arc) }));
  const marked = weights.reduce((total, { degrees }) => total + degrees, 0);
  const widths = arcs.map(({ width }) => width);
  return {
    continuity: (FULL - open) / FULL,
    gaps: gaps.sort((a, b) => b.degrees - a.degrees),
    widthMean:
      marked === 0 ? 0 : weights.reduce((total, { width, degrees }) => total + width * degrees, 0) / marked,
    widthMax: Math.max(0, ...widths),
    widthMin: widths.length === 0 ? 0 : Math.min(...widths),
  };
}

function spanOf({ from, to }: BlueArc): number {
  if (Math.abs(to - from) >= FULL) return FULL;
  return turned(to - from);
}

function unrolled(arc: BlueArc): [number, number][] {
  const length = spanOf(arc);
  if (length === 0) return [];
  const start = length === FULL ? 0 : turned(arc.from);
  const end = start + length;
  return end <= FULL
    ? [[start, end]]
    : [
        [start, FULL],
        [0, end - FULL],
      ];
}

function merged(spans: [number, number][]): [number, number][] {
  const result: [number, number][] = [];
  for (const [from, to] of spans.sort((a, b) => a[0] - b[0])) {
    const last = result.at(-1);
    if (last && from <= last[1] + ROUNDING) last[1] = Math.max(last[1], to);
    else result.push([from, to]);
  }
  return result;
}

function gapsBetween(spans: readonly [number, number][]): BlueGap[] {
  const first = spans[0];
  const last = spans.at(-1);
  if (!first || !last) return [{ from: 0, to: FULL, degrees: FULL }];
  const inner = spans.slice(1).map(([from], i) => gap(spans[i]?.[1] ?? 0, from));
  const overTop = gap(last[1], first[0] + FULL);
  return [...inner, overTop].filter(({ degrees }) => degrees > ROUNDING);
}

const gap = (from: number, to: number): BlueGap => ({
  from: turned(from),
  to: turned(to),
  degrees: to - from,
});
