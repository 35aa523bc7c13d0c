import { describe, expect, it } from 'vitest';
import { DASH_SIZES, nearestDash } from '../../standards';
import { ask, refusal } from '../../testing/ask';

describe('AS568 whole', () => {
  it.each([
    ['006', 0.114, 0.07],
    ['050', 5.239, 0.07],
    ['110', 0.362, 0.103],
    ['178', 9.737, 0.103],
    ['219', 1.296, 0.139],
    ['221', 1.421, 0.139],
    ['284', 17.955, 0.139],
    ['324', 1.35, 0.21],
    ['395', 25.94, 0.21],
    ['425', 4.475, 0.275],
    ['475', 25.94, 0.275],
    ['910', 0.755, 0.097],
  ])('-%s is %d × %d in', (dash, inside, section) => {
    expect(DASH_SIZES.find((each) => each.dash === dash)).toMatchObject({
      insideDiameterIn: inside,
      sectionIn: section,
    });
  });
  it('each series rises, without a gap in its numbers', () => {
    for (const series of ['0', '1', '2', '3', '4']) {
      const sizes = DASH_SIZES.filter(({ dash }) => dash.startsWith(series) && Number(dash) > 3);
      sizes.slice(1).forEach((size, i) => {
        expect(size.insideDiameterIn).toBeGreaterThan(sizes[i]?.insideDiameterIn ?? Infinity);
        if (series !== '0') expect(Number(size.dash)).toBe(Number(sizes[i]?.dash) + 1);
      });
    }
    expect(DASH_SIZES.length).toBeGreaterThan(360);
  });
  it.each([
    [1.296, 0.139, '219'],
    [1.421, 0.139, '221'],
    [0.36, 0.104, '110'],
  ])('measured %d × %d in is -%s', (inside, section, dash) => {
    expect(nearestDash(inside, section)?.dash).toBe(dash);
  });
});

describe('oring.groove (usual groove tables, from memory)', () => {
  it.each([
    ['static-radial', 0.112, 0.1895],
    ['static-face', 0.104, 0.182],
    ['dynamic', 0.122, 0.1895],
  ])('-218 %s: %d × %d in; squeeze and fill follow', (use, depth, width) => {
    const asked = ask('oring.groove', { size: '-218', use });
    expect(asked.in('depth', 'in')).toBeCloseTo(depth, 6);
    expect(asked.in('width', 'in')).toBeCloseTo(width, 6);
    expect(asked.in('squeeze', '%')).toBeCloseTo((1 - depth / 0.139) * 100, 6);
    expect(asked.in('fill', '%')).toBeCloseTo(((Math.PI / 4) * 0.139 ** 2 * 100) / (depth * width), 6);
    expect(asked.in('fill', '%')).toBeLessThan(90);
  });
  it('a moving ring is squeezed less than a still one, a face ring more (common practice)', () => {
    for (const section of ['0.07 in', '2.62 mm', '0.21 in', '5 mm']) {
      const squeeze = (use: string) =>
        ask('oring.groove', { insideDiameter: '1 in', section, use }).in('squeeze', '%');
      expect(squeeze('dynamic')).toBeLessThan(squeeze('static-radial'));
      expect(squeeze('dynamic')).toBeGreaterThan(8);
      expect(squeeze('static-face')).toBeLessThan(33);
    }
  });
  it.each([
    ['1000 psig', 70, '2.5 thou', 0],
    ['2000 psig', 70, '2.5 thou', 1],
    ['2000 psig', 90, '2.5 thou', 0],
    ['1000 psig', 70, '8 thou', 1],
  ])('%s, %d Shore, gap %s: %d backups', (pressure, hardness, gap, backups) => {
    const asked = ask('oring.groove', { size: '218', use: 'static-radial', pressure, hardness, gap });
    expect(asked.result['backups']).toBe(backups);
    expect(asked.in('widthTwoBackups', 'in')).toBeGreaterThan(asked.in('widthOneBackup', 'in'));
  });
  it.each([
    [{ size: '-999' }],
    [{}],
    [{ size: '218', section: '0.139 in' }],
    [{ insideDiameter: '1 in', section: '1 in' }],
  ])('refuses %j', (given) => {
    expect(refusal('oring.groove', { use: 'dynamic', ...given }).code).toBe('input.conflict');
  });
});

describe('gland.live-load (Almen and László, as in DIN EN 16984)', () => {
  const stack = {
    outside: '50 mm',
    inside: '25.4 mm',
    thickness: '2 mm',
    coneHeight: '1.4 mm',
    series: 1,
    parallel: 1,
    stacks: 1,
    deflection: '1.05 mm',
    stem: '25 mm',
    bore: '38 mm',
  };
  it('50 × 25.4 × 2, h 1.4, s 1.05 mm: 4 762 N a washer', () => {
    expect(ask('gland.live-load', stack).in('force', 'N')).toBeCloseTo(4762, -0.5);
  });
  it('series share the deflection, parallels and stacks add their force', () => {
    const six = { ...stack, series: 6, deflection: '6.3 mm', parallel: 2, stacks: 2 };
    const asked = ask('gland.live-load', six);
    expect(asked.in('force', 'N') / ask('gland.live-load', stack).in('force', 'N')).toBeCloseTo(4, 9);
    const ring = (Math.PI / 4) * (38 ** 2 - 25 ** 2);
    expect(asked.in('glandStress', 'MPa')).toBeCloseTo(asked.in('force', 'N') / ring, 6);
  });
  it('the rate is the slope of the force (numerically)', () => {
    const at = (mm: number) => ask('gland.live-load', { ...stack, deflection: `${mm} mm` });
    const slope = (at(0.8001).in('force', 'N') - at(0.7999).in('force', 'N')) / 0.0002;
    expect(at(0.8).in('rate', 'N/mm') / slope).toBeCloseTo(1, 4);
  });
  it('what is left after a loss is the force at less deflection', () => {
    const asked = ask('gland.live-load', { ...stack, loss: '0.25 mm' });
    const less = ask('gland.live-load', { ...stack, deflection: '0.8 mm' });
    expect(asked.in('stressAfter', 'MPa')).toBeCloseTo(less.in('glandStress', 'MPa'), 9);
  });
  it('over 75 % is warned of, over 100 % refused', () => {
    expect(ask('gland.live-load', { ...stack, deflection: '1.1 mm' }).notes).toMatch(/over 75 %/);
    expect(ask('gland.live-load', { ...stack, deflection: '1.0 mm' }).notes).not.toMatch(/over 75 %/);
    expect(refusal('gland.live-load', { ...stack, deflection: '1.5 mm' }).code).toBe('input.out-of-range');
  });
  it.each([{ inside: '60 mm' }, { bore: '20 mm' }, { loss: '2 mm' }])('refuses %j', (more) => {
    expect(refusal('gland.live-load', { ...stack, ...more }).code).toBe('input.conflict');
  });
});
