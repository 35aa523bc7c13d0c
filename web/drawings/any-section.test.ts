import fc from 'fast-check';
import { defaultValve, partsOf, type Valve } from '@dusk-wren/core/valve';
import { describe, expect, it } from 'vitest';
import { anyFeatures } from '@dusk-wren/core/testing/any-features';
import { sectionOf } from './sections/compose';

describe('the section of any valid valve (property)', () => {
  it('draws every part of its list, inside the picture, with one balloon each', () => {
    fc.assert(
      fc.property(anyFeatures, (features) => {
        const valve: Valve = { ...defaultValve(), features };
        const section = sectionOf(valve);
        const drawn = new Set(section.shapes.map(({ role }) => role));
        const listed = partsOf(valve).map(({ role }) => role);
        expect(listed.filter((role) => !drawn.has(role))).toEqual([]);
        expect(section.anchors.map(({ role }) => role).sort()).toEqual([...listed].sort());
        for (const [x, y] of section.anchors.flatMap(({ places }) => places)) {
          expect(x).toBeGreaterThanOrEqual(0);
          expect(x).toBeLessThanOrEqual(section.width);
          expect(y).toBeGreaterThanOrEqual(0);
          expect(y).toBeLessThanOrEqual(section.height);
        }
      }),
      { seed: 6, numRuns: 400 },
    );
  }, 60_000);
});
