import type { PartRole } from '@dusk-wren/core/valve';
import { assigned } from './assign';
import type { Anchor, Point } from './section';

/** Its number, in a column beside the drawing, and where its leader touches. */
export interface Label {
  readonly role: PartRole;
  readonly at: Point;
  readonly x: number;
  readonly y: number;
}

/** Where the two columns stand. */
export interface Columns {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

export interface Labelled {
  readonly labels: readonly Label[];
  readonly radius: number;
  /** How far the columns reach, past the drawing where it has many parts. */
  readonly top: number;
  readonly bottom: number;
}

/** Numbers stand no closer than this. */
const LEAST_PITCH = 30;
/** As large as can be read: the taller the drawing, the smaller it stands on the page. */
const largest = (height: number): number => Math.max(15, height / 33);
/** Places left free in each column, so that leaders may stay short. */
const SPARE = 1;

/**
 * Numbers in two columns, their straight leaders of the least length in all. Two leaders that crossed would be shorter
 * with their numbers exchanged, so none do (boundary labelling by least total length, common knowledge).
 */
export function labelled(anchors: readonly Anchor[], { left, right, top, bottom }: Columns): Labelled {
  const each = Math.ceil(anchors.length / 2) + SPARE;
  const pitch = Math.max(LEAST_PITCH, (bottom - top) / Math.max(1, each - 1));
  const middle = (top + bottom) / 2;
  const first = middle - (pitch * (each - 1)) / 2;
  const slots = Array.from({ length: 2 * each }, (_, i): Point => [
    i < each ? left : right,
    first + (i % each) * pitch,
  ]);
  const nearest = anchors.map(({ places }) => slots.map((slot) => closest(places, slot)));
  const chosen = assigned(nearest.map((row) => row.map(({ away }) => away)));
  return {
    labels: anchors.flatMap(({ role }, i): Label[] => {
      const slot = slots[chosen[i] ?? -1];
      const touch = nearest[i]?.[chosen[i] ?? -1];
      return slot && touch ? [{ role, at: touch.place, x: slot[0], y: slot[1] }] : [];
    }),
    radius: Math.min(largest(bottom - top), pitch / 2 - 1),
    top: Math.min(top, first),
    bottom: Math.max(bottom, first + pitch * (each - 1)),
  };
}

function closest(
  [one, ...others]: Anchor['places'],
  slot: Point,
): { readonly place: Point; readonly away: number } {
  const away = ([x, y]: Point) => Math.hypot(x - slot[0], y - slot[1]);
  const place = others.reduce((best, other) => (away(other) < away(best) ? other : best), one);
  return { place, away: away(place) };
}
