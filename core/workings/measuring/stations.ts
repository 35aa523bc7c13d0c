import { z } from 'zod';
import type { RunoutFit } from '../../analysis';
import { inConflict, ok, type Result } from '../../problem';
import { fromSi, parseQuantity, quantityOf, si, type Length } from '../../quantity';
import { rowsField } from '../frame/field';

/** Dial readings round one place of a stem. */
export interface Station {
  readonly at: Length;
  readonly readings: readonly Length[];
}

/** A list of readings, or one text with semicolons between them. */
const readingsCell = z.union([
  z.array(quantityOf('length')).max(72),
  z
    .string()
    .max(2000)
    .transform((text, context): Length[] =>
      text
        .split(';')
        .filter((part) => part.trim() !== '')
        .flatMap((part) => {
          const read = parseQuantity(part.trim(), 'length');
          if (read.ok) return [read.value];
          context.addIssue({ code: 'custom', message: `“${part.trim()}” is no length` });
          return [];
        }),
    ),
]);

export const stationsField = rowsField(
  { at: quantityOf('length'), readings: readingsCell },
  [
    { name: 'at', label: 'place along the stem', example: '2 in' },
    {
      name: 'readings',
      label: 'readings round it',
      example: '0 thou; 1 thou; 2 thou; 2 thou; 2 thou; 1 thou; 0 thou; 0 thou',
    },
  ],
  { label: 'or stations along the stem' },
  40,
);

export interface AlongStem {
  /** The station with the largest bow, supports taken off; its fit says so. */
  readonly worst: { readonly at: Length; readonly fit: RunoutFit };
  /** Where the axis turns most; from three stations on. */
  readonly bendAt?: Length;
  readonly bows: readonly { readonly at: Length; readonly bow: number; readonly angle: number }[];
}

interface Placed {
  readonly x: number;
  readonly u: number;
  readonly v: number;
  readonly fit: RunoutFit;
}

/** The axis of a stem from the bow at each station, as a vector across it; the line through the supports is straight. */
export function alongStem(
  fits: readonly { readonly at: Length; readonly fit: RunoutFit }[],
  supports: readonly Length[] | undefined,
): Result<AlongStem> {
  const axis = fits
    .map(({ at, fit }) => ({
      x: si(at),
      u: fit.bow * Math.cos(fit.bowAngle),
      v: fit.bow * Math.sin(fit.bowAngle),
      fit,
    }))
    .sort((a, b) => a.x - b.x);
  const straight = supports && throughSupports(axis, supports);
  if (straight?.ok === false) return straight;
  const placed = axis.map((each): Placed => {
    const base = straight?.value(each.x) ?? { u: 0, v: 0 };
    const [u, v] = [each.u - base.u, each.v - base.v];
    const bow = Math.hypot(u, v);
    const angle = (Math.atan2(v, u) + 2 * Math.PI) % (2 * Math.PI);
    // The reading from the bow changes with it; what the oval and a nick add stays.
    const tir = Math.max(0, each.fit.tir + 2 * (bow - each.fit.bow));
    return { x: each.x, u, v, fit: { ...each.fit, bow, bowAngle: angle, tir } };
  });
  const length = (x: number) => fromSi('length', x, 'in');
  const worst = placed.reduce((most, each) => (each.fit.tir > most.fit.tir ? each : most));
  const turn = turnsMostAt(placed);
  return ok({
    worst: { at: length(worst.x), fit: worst.fit },
    ...(turn === undefined ? {} : { bendAt: length(turn) }),
    bows: placed.map(({ x, fit }) => ({ at: length(x), bow: fit.bow, angle: fit.bowAngle })),
  });
}

/** The line through the axis at two supports; each must be at a station. */
function throughSupports(
  axis: readonly { x: number; u: number; v: number }[],
  supports: readonly Length[],
): Result<(x: number) => { u: number; v: number }> {
  const [a, b] = supports.map((place) => axis.find(({ x }) => Math.abs(x - si(place)) < 1e-4));
  if (!a || !b || a.x === b.x)
    return inConflict(
      ['supports', 'stations'],
      'Two supports, each at a station: read round the stem at both.',
    );
  return ok((x) => {
    const share = (x - a.x) / (b.x - a.x);
    return { u: a.u + share * (b.u - a.u), v: a.v + share * (b.v - a.v) };
  });
}

/** The station between two others where the slope of the axis changes most. */
function turnsMostAt(axis: readonly Placed[]): number | undefined {
  let most = { change: 0, x: undefined as number | undefined };
  axis.slice(1, -1).forEach((here, i) => {
    const [before, after] = [axis[i], axis[i + 2]];
    if (!before || !after || before.x === here.x || after.x === here.x) return;
    const slope = (a: Placed, b: Placed) => [(b.u - a.u) / (b.x - a.x), (b.v - a.v) / (b.x - a.x)] as const;
    const [inU, inV] = slope(before, here);
    const [outU, outV] = slope(here, after);
    const change = Math.hypot(outU - inU, outV - inV);
    if (change > most.change) most = { change, x: here.x };
  });
  return most.x;
}
