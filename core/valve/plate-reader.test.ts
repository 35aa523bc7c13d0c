import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { format, valueIn } from '../quantity';
import { likeness, plateKey, readPlate } from '.';

describe('a nameplate line (handbook part 1, receive)', () => {
  it('is picked apart: tag, serial, size, class, body, trim, set pressure', () => {
    const { plate, left } = readPlate('FV-12; S/N K 20 118; 3 in; CL 300; WCB; trim 316; set 150 psig');
    expect(plate).toMatchObject({
      tag: 'FV-12',
      serial: 'K 20 118',
      nps: 3,
      pressureClass: 300,
      group: '1.1',
      trim: '316',
    });
    expect(plate.setPressure && format(plate.setPressure, 'US')).toBe('150 psig');
    expect(left).toEqual([]);
  });
  it('a relief valve’s orifice letter and stamp', () => {
    const { plate, left } = readPlate('PSV-77; set 150 psig; orifice J; UV');
    expect(plate).toMatchObject({ tag: 'PSV-77', orifice: 'J', stamp: 'UV' });
    expect(left).toEqual([]);
    expect(readPlate('orifice Z').left).toEqual(['orifice Z']);
  });
  it('without commas, words begin the pieces', () => {
    const { plate } = readPlate(
      'Tag PV-301 Serial C40-301 Size 4 in Class 600 Body CF8M Spring 3-15 psi Model Q7',
    );
    expect(plate).toMatchObject({
      tag: 'PV-301',
      serial: 'C40-301',
      nps: 4,
      pressureClass: 600,
      group: '2.2',
      model: 'Q7',
    });
    expect(plate.springRange && valueIn(plate.springRange.high, 'psig')).toBeCloseTo(15, 9);
  });
  it.each([
    ['NPS 2', 2],
    ['DN 80', 3],
    ['1 1/2 in', 1.5],
    ['3/4"', 0.75],
  ])('size %s is NPS %d', (text, nps) => {
    expect(readPlate(text).plate.nps).toBe(nps);
  });
  it.each([
    ['300#', 300],
    ['ANSI 1500', 1500],
    ['class 150', 150],
    ['900 lb', 900],
  ])('%s is class %d', (text, listed) => {
    expect(readPlate(text).plate.pressureClass).toBe(listed);
  });
  it.each([
    ['A216 WCB', '1.1'],
    ['WCC', '1.2'],
    ['LCB', '1.3'],
    ['WC9', '1.10'],
    ['CF8', '2.1'],
    ['body CF8M', '2.2'],
    ['F316L', '2.3'],
  ] as const)('%s belongs to group %s (ASME B16.34)', (text, group) => {
    expect(readPlate(text).plate.group).toBe(group);
  });
  it('what it does not understand it gives back and does not guess at', () => {
    const { plate, left } = readPlate('tag HV-1; class 333; made on a Tuesday; size 7 in');
    expect(plate).toEqual({ tag: 'HV-1' });
    expect(left).toEqual(['class 333', 'made on a Tuesday', 'size 7 in']);
  });
  it.each(['5000 psi WP', 'W.P. 5000 psi', 'rated 34.5 MPa', 'working pressure 5 000 psig'])(
    '%s is a rated working pressure (API 6A)',
    (line) => {
      const { plate } = readPlate(line);
      expect(plate.ratedPressure && format(plate.ratedPressure, 'US')).toBe('5000 psig');
    },
  );
  it('a pressure that API 6A has no rating of is not one', () => {
    expect(readPlate('1234 psi').left).toEqual(['1234 psi']);
  });
  it('a size code and an order key are kept as stamped', () => {
    expect(readPlate('K: 8R2').plate.sizeCode).toBe('8R2');
    expect(readPlate('order key 77-B').plate.sizeCode).toBe('77-B');
  });
  it('reads anything without falling over, and loses no piece (property)', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 120 }), (line) => {
        const { items, left } = readPlate(line);
        expect(items.length + left.length).toBeGreaterThanOrEqual(
          line.split(/[,;|\n\t]+/).filter((piece) => piece.trim() !== '').length,
        );
      }),
      { seed: 71 },
    );
  });
});

describe('duplicates and near-duplicates', () => {
  const onFile = { tag: 'HV-2214', serial: 'K 20 118' };
  it.each([
    [{ tag: 'hv 2214', serial: 'K20118' }, 'same valve'],
    [{ tag: 'HV-2214' }, 'same valve'],
    [{ tag: 'HV-2214', serial: 'B 7' }, 'same tag, other serial'],
    [{ tag: 'TW-9', serial: 'k-20-118' }, 'same serial, other tag'],
    [{ tag: 'HV-2241' }, 'near tag'],
    [{ tag: 'HV-2213' }, 'near tag'],
    [{ tag: 'HV-2141' }, undefined],
    [{ tag: 'TW-31', serial: 'Z 1' }, undefined],
  ] as const)('%j: %s', (typed, found) => {
    expect(likeness(typed, onFile)).toBe(found);
  });
  it('a letter O and a nought, an I and a one, read the same on a worn plate', () => {
    expect(plateKey('FO-1O1')).toBe(plateKey('F0-101'));
    expect(plateKey('PI-7')).toBe(plateKey('P1-7'));
  });
});
