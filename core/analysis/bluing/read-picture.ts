import { arcsOf, degreesIn, raysOf, type RingArc } from './arcs';
import { quantile } from '../quantile';
import { planeOf, type Picture } from './blueness';
import { findRing } from './find-ring';
import { followLine, type FollowedLine } from './follow-line';
import { flatness, type Circle, type SeatRing } from './ring';
import { settled } from './settle-ring';
import { WIDTHS } from './unwrap';

/** Why a picture cannot be trusted to pass a seat. */
export type BluingDoubt =
  | 'pale'
  | 'other blue'
  | 'two rings'
  | 'uneven width'
  | 'little of the ring'
  | 'slanted'
  | 'small'
  | 'fine breaks';

export interface BluingPicture {
  /** The circle the line lies on, as the camera sees it. */
  readonly circle: SeatRing;
  /** Width of the blue at each angle, pixels; `WIDTHS` of them clockwise from 12 o'clock, 0 where there is none. */
  readonly widths: Float32Array;
  /** Where metal shows and no blue. */
  readonly gaps: readonly RingArc[];
  /** At least one of the gaps is plain to see, with nothing blue beside it. */
  readonly sure: boolean;
  /** What may be a gap and is too short for this picture to tell. */
  readonly fine: readonly RingArc[];
  /** Where a reflection or the edge of the picture hides the seat: to be looked at again. */
  readonly hidden: readonly RingArc[];
  readonly doubts: readonly BluingDoubt[];
  /** Share of what can be seen that is blue. */
  readonly continuity: number;
  readonly widthMean: number;
  readonly widthMax: number;
  /** The shortest gap that this picture shows, degrees. */
  readonly finest: number;
}

/** So many pixels make a gap that is seen. */
const GAP_PIXELS = 4;
/** Shorter than this may be a flaw of the line's edge, degrees. */
const LEAST_FINE = 0.5;
/** Widths are smoothed by their median over this many angles to each side. */
const SMOOTHED = 6;
/** Short breaks add up: so many degrees of them are a break, wherever each begins. */
const MANY_FINE = 3;
/** Bare rays at the rim of what is hidden are hidden too, degrees. */
const RIM = 2;
/** Less contrast against the noise than this is no film to judge by. */
const LEAST_CLARITY = 7;
/** Other blue beside the line counts from this long, degrees. */
const [LEAST_BESIDE, MOST_BESIDE] = [2, 5];
/** Wider than this many times the usual width, and so many degrees long: a smear, or a flaw of the seat. */
const [MUCH_WIDER, LEAST_WIDER] = [3, 3];
/** With less of the circle than this its radius cannot be told. */
const LEAST_OF_RING = 1 / 3;
/** Looked at from more than 25°, the far wall of the seat is in the picture. */
const LEAST_FLATNESS = Math.cos((25.5 * Math.PI) / 180);
/** A picture too small to show a gap of this many degrees is not judged by. */
const COARSEST = 3;

/**
 * Reads a photograph of a blued seat: finds the ring (near `dragged`, when a person has drawn it), unwraps it, follows
 * the line at its own radius and says at each angle how wide the blue is; gaps, what is hidden, what to doubt.
 * Undefined when no ring of blue is found, or none whose width can be measured.
 */
export function readBluingPicture(picture: Picture, dragged?: Circle): BluingPicture | undefined {
  const plane = planeOf(picture);
  const found = findRing(plane, dragged);
  const settledRing = found && settled(plane, found.ring);
  const line = settledRing && followLine(settledRing.unwrapped, settledRing.path);
  if (!line) return undefined;
  const { ring: circle, path } = settledRing;
  const widths = smoothed(line.widths).map((width) => width * circle.radius);
  const hiddenRays = withRims(line);
  const hidden = arcsOf(hiddenRays).filter(({ degrees }) => degrees >= LEAST_FINE);
  const bare = arcsOf(line.contact.map((contact, i) => !contact && hiddenRays[i] === false));
  const finest = Math.max(path.averaged, (GAP_PIXELS / circle.radius) * (180 / Math.PI));
  const gaps = bare.filter(({ degrees }) => degrees >= finest).sort((a, b) => b.degrees - a.degrees);
  const fine = bare.filter(({ degrees }) => degrees < finest && degrees >= LEAST_FINE);
  const beside = arcsOf(line.beside.map((each, i) => each && hiddenRays[i] === false)).filter(
    ({ degrees }) => degrees >= LEAST_BESIDE,
  );
  const seen = widths.filter((width, i) => width > 0 && hiddenRays[i] === false);
  const usual = quantile([...seen].sort(), 0.5);
  const wider = arcsOf(Array.from(widths, (width) => width > MUCH_WIDER * usual));
  const visible = 360 - degreesIn(hidden);
  const covered = visible - degreesIn(gaps) - degreesIn(fine);
  const doubts: Record<BluingDoubt, boolean> = {
    pale: line.clarity < LEAST_CLARITY,
    'other blue': degreesIn(beside) > MOST_BESIDE,
    'two rings': found.others > 0,
    'uneven width': wider.some(({ degrees }) => degrees >= LEAST_WIDER),
    'little of the ring': covered < LEAST_OF_RING * 360,
    slanted: flatness(circle) < LEAST_FLATNESS,
    small: finest > COARSEST,
    'fine breaks': fine.length > 0,
  };
  return {
    circle,
    widths,
    gaps,
    sure:
      !doubts.pale &&
      !doubts['little of the ring'] &&
      (gaps.some((gap) => isPlain(gap, beside)) || degreesIn(fine) >= MANY_FINE),
    fine,
    hidden,
    doubts: DOUBTS.filter((doubt) => doubts[doubt]),
    continuity: visible <= 0 ? 0 : Math.max(0, covered / visible),
    widthMean: seen.reduce((sum, width) => sum + width, 0) / Math.max(1, seen.length),
    widthMax: seen.reduce((most, width) => Math.max(most, width), 0),
    finest,
  };
}

const DOUBTS: readonly BluingDoubt[] = [
  'pale',
  'other blue',
  'two rings',
  'uneven width',
  'little of the ring',
  'slanted',
  'small',
  'fine breaks',
];

/** No more than half of a gap has other blue beside it. */
function isPlain(gap: RingArc, beside: readonly RingArc[]): boolean {
  const blue = new Set(beside.flatMap(raysOf));
  const rays = raysOf(gap);
  return rays.filter((ray) => blue.has(ray)).length <= rays.length / 2;
}

/** What is hidden, with the short bare rims beside it that a reflection or the picture's edge makes. */
function withRims({ contact, hidden }: FollowedLine): boolean[] {
  const all = [...hidden];
  const rims = arcsOf(contact.map((each, i) => !each && hidden[i] === false));
  for (const rim of rims) {
    const rays = raysOf(rim);
    const [first = 0, last = 0] = [rays[0], rays.at(-1)];
    const touches = hidden[(first + WIDTHS - 1) % WIDTHS] === true || hidden[(last + 1) % WIDTHS] === true;
    if (touches && rim.degrees <= RIM) for (const ray of rays) all[ray] = true;
  }
  return all;
}

function smoothed(widths: Float32Array): Float32Array {
  const window = new Float32Array(2 * SMOOTHED + 1);
  return widths.map((width, i) => {
    if (width === 0) return 0;
    for (let k = -SMOOTHED; k <= SMOOTHED; k++) window[k + SMOOTHED] = widths[(i + k + WIDTHS) % WIDTHS] ?? 0;
    const sorted = window.sort().filter((each) => each > 0);
    return quantile(sorted, 0.5);
  });
}
