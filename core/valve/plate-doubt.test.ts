import { describe, expect, it } from 'vitest';
import {
  blankDraft,
  CONSTRUCTION_IDS,
  ofConstruction,
  plateDoubt,
  readPlate,
  withoutPlate,
  withPlate,
} from '.';

const FIRST = readPlate('FV-12; S/N K 20 118; 3 in; class 300; WCB; trim 316; set 150 psig');
const SECOND = readPlate('TW-13; S/N K 21 044');

describe('a second plate line', () => {
  it('leaves nothing of the first on the valve', () => {
    const draft = withPlate(withPlate(blankDraft(), FIRST), SECOND, FIRST);
    expect(draft).toMatchObject({
      tag: 'TW-13',
      serial: 'K 21 044',
      nps: null,
      pressureClass: null,
      group: null,
    });
    expect(draft.plate).toEqual({});
    expect(withoutPlate(withPlate(blankDraft(), FIRST), FIRST)).toMatchObject(blankDraft());
  });

  it('keeps what was put right by hand meanwhile', () => {
    const mended = { ...withPlate(blankDraft(), FIRST), nps: 4 as const, location: 'pan 3' };
    expect(withPlate(mended, SECOND, FIRST)).toMatchObject({ nps: 4, location: 'pan 3', tag: 'TW-13' });
  });
});

describe('a plate that does not go with the construction', () => {
  it('a set pressure is a relief valve’s (API 526 plates carry it)', () => {
    const globe = withPlate(blankDraft(), FIRST);
    expect(plateDoubt(globe)).toMatchObject({ likely: 'relief-spring' });
    expect(plateDoubt(globe)?.words).toMatch(/relief valve\?/);
    expect(plateDoubt(withPlate(ofConstruction(blankDraft(), 'relief-spring'), FIRST))).toBeUndefined();
  });

  it('a spring range is an air actuator’s', () => {
    const ranged = readPlate('range 3-15 psi');
    expect(plateDoubt(withPlate(blankDraft(), ranged))?.words).toMatch(/moved by air/);
    expect(
      plateDoubt(withPlate(ofConstruction(blankDraft(), 'control-balanced-cage'), ranged)),
    ).toBeUndefined();
  });

  it('a bare plate raises none, in any construction', () => {
    for (const id of CONSTRUCTION_IDS)
      expect(plateDoubt(ofConstruction(blankDraft(), id)), id).toBeUndefined();
  });
});
