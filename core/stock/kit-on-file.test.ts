import { describe, expect, it } from 'vitest';
import { defaultValve, featuresSchema, type Valve } from '../valve';
import { kitSheetSchema, kitsOnFile, wrongKits } from '.';

const line = { line: '1', name: 'Diaphragm', part: 'diaphragm', quantity: 1, kits: ['15-S', '15-D'] };
const sheets = [
  kitSheetSchema.parse({
    number: 'T-15',
    title: 'Low-pressure valve, 2 in',
    construction: 'control-lowpressure-diaphragm',
    kits: [
      { code: '15-S', fits: { 'moved.variant': 'single acting' } },
      { code: '15-D', fits: { 'moved.variant': 'double acting' } },
    ],
    lines: [line],
  }),
  kitSheetSchema.parse({
    number: 'T-9',
    title: 'Three-piece ball',
    construction: 'ball-three-piece',
    kits: [{ code: '9', fits: {} }],
    lines: [{ ...line, kits: ['9'] }],
  }),
];
const valve = (variant: 'single acting' | 'double acting' | 'adjustable double acting'): Valve => {
  const usual = defaultValve('control-lowpressure-diaphragm');
  return {
    ...usual,
    features: featuresSchema.parse({ ...usual.features, moved: { ...usual.features.moved, variant } }),
  };
};

describe('kits on file against the valve (handbook part 2, construction 15: three kits on one sheet)', () => {
  it('each variant has its own kit; one that no sheet makes has none', () => {
    expect(kitsOnFile(sheets, valve('single acting'))).toEqual([{ sheet: 'T-15', kit: '15-S' }]);
    expect(kitsOnFile(sheets, valve('double acting'))).toEqual([{ sheet: 'T-15', kit: '15-D' }]);
    expect(kitsOnFile(sheets, valve('adjustable double acting'))).toEqual([]);
    expect(kitsOnFile(sheets, defaultValve('ball-three-piece'))).toEqual([{ sheet: 'T-9', kit: '9' }]);
  });
  it('the kit of the other variant is a stop, and says which one is right', () => {
    expect(wrongKits(sheets, valve('single acting'), [{ what: 'kit', code: '15 d' }])).toEqual([
      'kit: 15 d is on file for another valve (sheet T-15), this one takes 15-S of sheet T-15',
    ]);
    expect(wrongKits(sheets, valve('single acting'), [{ what: 'kit', code: '15-S' }])).toEqual([]);
  });
  it('the kit of another construction is a stop too, even where nothing on file is right', () => {
    expect(wrongKits(sheets, defaultValve('gate-wedge'), [{ what: 'kit', code: '9' }])).toEqual([
      'kit: 9 is on file for another valve (sheet T-9)',
    ]);
  });
  it('a code that is on no sheet, papers, and a kit without a code are not judged by the file', () => {
    const of = valve('single acting');
    expect(wrongKits(sheets, of, [{ what: 'kit', code: 'X 1' }])).toEqual([]);
    expect(wrongKits(sheets, of, [{ what: 'kit' }])).toEqual([]);
    expect(wrongKits(sheets, of, [{ what: 'parts list', code: '15-D' }])).toEqual([]);
    expect(wrongKits([], of, [{ what: 'kit', code: '15-D' }])).toEqual([]);
  });
});
