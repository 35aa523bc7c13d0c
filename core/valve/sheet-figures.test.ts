import { describe, expect, it } from 'vitest';
import { asFigures, figuresOn, makersSheet, SHEET_FIGURES } from '.';

const everything = SHEET_FIGURES.map(({ key, dimension }, i) => ({
  ...{ key, page: String(i + 1) },
  value: `${i + 1} ${dimension === 'torque' ? 'ft-lb' : 'thou'}`,
}));
const sheet = makersSheet.parse({ model: 'H 7', revision: 'C', figures: asFigures(everything) });

describe('a sheet and its lines', () => {
  it('every figure that a sheet may give is one line, and comes back as it was typed', () => {
    expect(figuresOn(sheet).map(({ figure, value, page }) => [figure.key, value.value, page])).toEqual(
      everything.map(({ key, page }, i) => [key, i + 1, page]),
    );
    expect(new Set(SHEET_FIGURES.map(({ words }) => words)).size).toBe(SHEET_FIGURES.length);
  });
  it('what is not on it is not among them', () => {
    const one = makersSheet.parse({
      ...{ model: 'H 7', revision: 'C' },
      figures: asFigures([{ key: 'torques.yoke', value: '40 ft-lb', page: '9' }]),
    });
    expect(figuresOn(one).map(({ figure, page }) => [figure.words, page])).toEqual([
      ['torque of the yoke', '9'],
    ]);
  });
  it('a figure of no known name is not read', () => {
    const figures = asFigures([{ key: 'torques.flywheel', value: '40 ft-lb', page: '9' }]);
    expect(makersSheet.safeParse({ model: 'H 7', revision: 'C', figures }).success).toBe(false);
  });
});
