import { describe, expect, it } from 'vitest';
import { FLANGE_CLASSES, flangeStuds, ringNumber, STUD_THREADS, studLengthIn, type FlangeClass } from '.';

const FRACTIONS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
};
/** `1⅛` as it stands in a table. */
const inches = (text: string): number => {
  const fraction = FRACTIONS[text.slice(-1)];
  return fraction === undefined ? Number(text) : Number(text.slice(0, -1)) + fraction;
};
const sizes = (text: string): number[] => text.trim().split(/\s+/).map(inches);

/** ASME B16.5, number × stud size, classes 150 to 2500, as handbook part 5.4 has it. */
const STUDS = `
  ½  | 4×½ 4×½ 4×½ →1500 4×¾ 4×¾
  ¾  | 4×½ 4×⅝ 4×⅝ →1500 4×¾ 4×¾
  1  | 4×½ 4×⅝ 4×⅝ →1500 4×⅞ 4×⅞
  1½ | 4×½ 4×¾ 4×¾ →1500 4×1 4×1⅛
  2  | 4×⅝ 8×⅝ 8×⅝ →1500 8×⅞ 8×1
  2½ | 4×⅝ 8×¾ 8×¾ →1500 8×1 8×1⅛
  3  | 4×⅝ 8×¾ 8×¾ 8×⅞ 8×1⅛ 8×1¼
  4  | 8×⅝ 8×¾ 8×⅞ 8×1⅛ 8×1¼ 8×1½
  6  | 8×¾ 12×¾ 12×1 12×1⅛ 12×1⅜ 8×2
  8  | 8×¾ 12×⅞ 12×1⅛ 12×1⅜ 12×1⅝ 12×2
  10 | 12×⅞ 16×1 16×1¼ 16×1⅜ 12×1⅞ 12×2½
  12 | 12×⅞ 16×1⅛ 20×1¼ 20×1⅜ 16×2 12×2¾
  14 | 12×1 20×1⅛ 20×1⅜ 20×1½ 16×2¼ –
  16 | 16×1 20×1¼ 20×1½ 20×1⅝ 16×2½ –
  18 | 16×1⅛ 24×1¼ 20×1⅝ 20×1⅞ 16×2¾ –
  20 | 20×1⅛ 24×1¼ 24×1⅝ 20×2 16×3 –
  24 | 20×1¼ 24×1½ 24×1⅞ 20×2½ 16×3½ –`;

const bolted = STUDS.trim()
  .split('\n')
  .flatMap((line) => {
    const [size = '', cells = ''] = line.split('|');
    return cells
      .trim()
      .split(' ')
      .map((cell, i) => [inches(size.trim()), FLANGE_CLASSES[i] ?? 150, cell] as const);
  });

describe('flange bolting (ASME B16.5, handbook part 5.4)', () => {
  it.each(bolted)('NPS %d class %d: %s', (nps, flangeClass, cell) => {
    const [number = '', size = ''] = cell.split('×');
    const wanted =
      cell === '–'
        ? undefined
        : cell === '→1500'
          ? flangeStuds(nps, 1500)
          : ([Number(number), inches(size)] as const);
    expect(flangeStuds(nps, flangeClass)).toEqual(wanted);
  });
  it('every stud size is one that a thread table has (ASME B1.1: UNC to 1 in, 8UN above)', () => {
    const made = STUD_THREADS.map(([, diameter]) => diameter);
    for (const [nps, flangeClass] of bolted) {
      const studs = flangeStuds(nps, flangeClass);
      if (studs) expect(made, `NPS ${nps} class ${flangeClass}`).toContain(studs[1]);
    }
    for (const [designation, diameter, perInch] of STUD_THREADS)
      if (diameter > 1) expect(perInch, designation).toBe(8);
  });
});

const FLANGED = sizes('½ ¾ 1 1¼ 1½ 2 2½ 3 4 5 6 8 10 12 14 16 18 20 24');

describe('stud length, raised face (ASME B16.5, handbook part 5.4)', () => {
  it.each([
    [150, '2.25 2.5 2.5 2.75 2.75 3.25 3.5 3.5 3.5 3.75 4 4.25 4.5 4.75 5.25 5.25 5.75 6.25 6.75'],
    [300, '2.5 3 3 3.25 3.5 3.5 4 4.25 4.5 4.75 4.75 5.5 6.25 6.75 7 7.5 7.75 8 9'],
    [600, '3 3.5 3.5 3.75 4.25 4.25 4.75 5 5.75 6.5 6.75 7.5 8.5 8.75 9.25 10 10.75 11.25 13'],
    [1500, '4.25 4.5 5 5 5.5 5.75 6.25 7 7.75 9.75 10.25 11.5 13.25 14.75 16 17.5 19.5 21.25 24.25'],
    [2500, '4.75 5 5.5 6 6.75 7 7.75 8.75 10 11.75 13.5 15 19.25 21.25'],
  ] as const)('class %d', (flangeClass, lengths) => {
    const wanted = sizes(lengths);
    expect(FLANGED.slice(0, wanted.length).map((nps) => studLengthIn(nps, flangeClass))).toEqual(wanted);
  });
  it('class 900 has its own from NPS 3', () => {
    expect(sizes('3 4 5 6 8 10 12 14 16 18 20 24').map((nps) => studLengthIn(nps, 900))).toEqual(
      sizes('5.75 6.75 7.5 7.5 8.75 9.25 10 10.75 11.25 12.75 13.75 17.25'),
    );
  });
});

describe('ring joint number (ASME B16.20 by way of handbook part 5.4)', () => {
  const RINGS: readonly (readonly [FlangeClass, string])[] = [
    [150, '1 15, 1¼ 17, 1½ 19, 2 22, 2½ 25, 3 29, 4 36, 5 40, 6 43, 8 48, 10 52, 12 56, 14 59, 24 76'],
    [300, '½ 11, ¾ 13, 1 16, 1¼ 18, 1½ 20, 2 23, 2½ 26, 3 31, 4 37, 5 41, 6 45, 8 49, 10 53, 24 77'],
    [600, '½ 11, ¾ 13, 1 16, 1¼ 18, 1½ 20, 2 23, 2½ 26, 3 31, 4 37, 5 41, 6 45, 8 49, 10 53, 24 77'],
    [900, '3 31, 4 37, 5 41, 6 45, 8 49, 10 53, 12 57, 14 62, 16 66, 18 70, 20 74, 24 78'],
    [1500, '½ 12, ¾ 14, 1 16, 1¼ 18, 1½ 20, 2 24, 2½ 27, 3 35, 4 39, 5 44, 6 46, 8 50, 24 79'],
    [2500, '½ 13, ¾ 16, 1 18, 1¼ 21, 1½ 23, 2 26, 2½ 28, 3 32, 4 38, 5 42, 6 47, 8 51, 12 60'],
  ];
  it.each(RINGS)('class %d', (flangeClass, pairs) => {
    for (const pair of pairs.split(', ')) {
      const [nps = '', ring] = pair.split(' ');
      expect(ringNumber(inches(nps), flangeClass), `NPS ${nps}`).toBe(Number(ring));
    }
  });
});
