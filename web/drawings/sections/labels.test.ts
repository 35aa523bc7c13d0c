import { stripOrder } from '@dusk-wren/core/plan';
import { BenchJob } from '@dusk-wren/core/testing/bench';
import { CONSTRUCTION_IDS, defaultValve } from '@dusk-wren/core/valve';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apart } from './apart';
import { assigned } from './assign';
import { sectionOf } from './compose';
import { labelled, type Label } from './labels';
import type { Point } from './section';

const side = ([ax, ay]: Point, [bx, by]: Point, [cx, cy]: Point): number =>
  (bx - ax) * (cy - ay) - (by - ay) * (cx - ax);

/** Whether two leaders cross: the ends of each on either side of the other (plane geometry). */
function cross(a: Label, b: Label): boolean {
  const [a1, a2, b1, b2]: Point[] = [[a.x, a.y], a.at, [b.x, b.y], b.at] as const;
  if (!a1 || !a2 || !b1 || !b2) return false;
  const touches = a2[0] === b2[0] && a2[1] === b2[1];
  return !touches && side(a1, a2, b1) * side(a1, a2, b2) < 0 && side(b1, b2, a1) * side(b1, b2, a2) < 0;
}

const crossings = (labels: readonly Label[]): string[] =>
  labels.flatMap((one, i) =>
    labels.slice(i + 1).flatMap((other) => (cross(one, other) ? [`${one.role} × ${other.role}`] : [])),
  );

/** Every way to give each row a column of its own. */
function* choices(rows: number, columns: readonly number[]): Generator<number[]> {
  if (rows === 0) yield [];
  else
    for (const column of columns)
      for (const rest of choices(
        rows - 1,
        columns.filter((each) => each !== column),
      ))
        yield [column, ...rest];
}

describe('numbers beside a section', () => {
  it.each(CONSTRUCTION_IDS)(
    '%s: leaders never cross, whole or half apart, and no number covers another',
    (id) => {
      const valve = defaultValve(id);
      const section = sectionOf(valve);
      const order = stripOrder(new BenchJob(valve).plan().steps);
      for (const off of [0, Math.ceil(order.length / 2)]) {
        const { offsets } = apart(section, order, off);
        const anchors = section.anchors.map(({ role, places: [one, ...others] }) => {
          const [dx, dy] = offsets.get(role) ?? [0, 0];
          const moved = ([x, y]: Point): Point => [x + dx, y + dy];
          return { role, places: [moved(one), ...others.map(moved)] as const };
        });
        const { labels, radius } = labelled(anchors, {
          left: -8,
          right: 468,
          top: 18,
          bottom: section.height - 18,
        });
        expect(crossings(labels)).toEqual([]);
        expect(new Set(labels.map(({ role }) => role)).size).toBe(section.anchors.length);
        expect(radius).toBeGreaterThanOrEqual(14);
        for (const x of [-8, 468]) {
          const ys = labels.flatMap((label) => (label.x === x ? [label.y] : [])).sort((a, b) => a - b);
          for (const [i, y] of ys.entries())
            if (i > 0) expect(y - (ys[i - 1] ?? 0)).toBeGreaterThan(2 * radius);
        }
      }
    },
  );

  it('any parts anywhere: leaders never cross (property)', () => {
    const place = fc.tuple(fc.integer({ min: 0, max: 460 }), fc.integer({ min: 0, max: 700 }));
    fc.assert(
      fc.property(fc.uniqueArray(place, { minLength: 1, maxLength: 40, selector: String }), (places) => {
        const anchors = places.map((at) => ({ role: 'body' as const, places: [at] as const }));
        const { labels } = labelled(anchors, { left: -8, right: 468, top: 18, bottom: 682 });
        expect(labels).toHaveLength(places.length);
        expect(crossings(labels)).toEqual([]);
      }),
      { seed: 12, numRuns: 100 },
    );
  });

  it('the least of all assignments is found: as by trying every one (property)', () => {
    const cost = fc.integer({ min: 0, max: 50 });
    fc.assert(
      fc.property(
        fc.array(fc.array(cost, { minLength: 6, maxLength: 6 }), { minLength: 1, maxLength: 4 }),
        (costs) => {
          const sum = (columns: readonly number[]) =>
            columns.reduce((total, column, row) => total + (costs[row]?.[column] ?? Infinity), 0);
          const all = [...choices(costs.length, [0, 1, 2, 3, 4, 5])].map(sum);
          const chosen = assigned(costs);
          expect(new Set(chosen).size).toBe(costs.length);
          expect(sum(chosen)).toBe(Math.min(...all));
        },
      ),
      { seed: 12, numRuns: 60 },
    );
  });
});
