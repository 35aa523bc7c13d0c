import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { format, quantity, valueIn } from '../quantity';
import { HAZARDOUS_MEDIA, MEDIUM_HAZARDS, NOMINAL_SIZES, PRESSURE_CLASSES } from '../standards';
import {
  CONSTRUCTION_IDS,
  CONSTRUCTIONS,
  defaultValve,
  laidSpare,
  likeness,
  matchSpares,
  mismatches,
  plateKey,
  protectionFor,
  readPlate,
  SPARE_KINDS,
} from '.';

const shuffled = (pieces: readonly string[]) =>
  fc.shuffledSubarray([...pieces], { minLength: pieces.length, maxLength: pieces.length });

describe('a plate is read whatever the order and the marks between (property)', () => {
  const PIECES = ['tag PSV-77', 'S/N R 9 4417', '2 in', 'class 300', 'WCB', 'trim 316', 'set 150 psig'];
  it('the same pieces in any order, between any separators, are the same plate', () => {
    const wanted = readPlate(PIECES.join('; ')).plate;
    fc.assert(
      fc.property(shuffled(PIECES), fc.constantFrom('; ', ', ', ' | ', '\n', ' ;'), (pieces, between) => {
        expect(readPlate(pieces.join(between)).plate).toEqual(wanted);
      }),
      { seed: 72, numRuns: 60 },
    );
  });
  it('every size and every class that is made is read back', () => {
    for (const [nps, dn] of NOMINAL_SIZES) {
      expect(readPlate(`DN ${dn}`).plate.nps, `DN ${dn}`).toBe(nps);
      for (const pressureClass of PRESSURE_CLASSES)
        expect(readPlate(`DN ${dn}; class ${pressureClass}`).plate).toEqual({ nps, pressureClass });
    }
  });
  it.each([
    ['set 150 psig', '150 psig'],
    ['set pressure 10.3 bar g', '10.3 bar g'],
    ['CDTP 152 psig', '152 psig'],
    ['set press. 1 MPa g', undefined],
  ])('%s', (line, shown) => {
    const { setPressure } = readPlate(line).plate;
    if (shown === undefined) expect(setPressure ? valueIn(setPressure, 'bar g') : 10).toBeCloseTo(10, 6);
    else expect(setPressure && format(setPressure, shown.includes('bar') ? 'SI' : 'US')).toBe(shown);
  });
});

describe('two valves that look alike', () => {
  const letters = fc.constantFrom(...'ABCDEFGHJKLMNPRSTVWXZ23456789'.split(''));
  const tag = fc.array(letters, { minLength: 4, maxLength: 9 }).map((each) => each.join(''));
  it('likeness goes both ways, and a tag is like itself however it is written (property)', () => {
    fc.assert(
      fc.property(tag, tag, (one, other) => {
        expect(likeness({ tag: one }, { tag: other })).toBe(likeness({ tag: other }, { tag: one }));
        expect(likeness({ tag: one.toLowerCase() }, { tag: one.split('').join('-') })).toBe('same valve');
      }),
      { seed: 73 },
    );
  });
  it('two neighbours swapped are a slip of the pen, two letters apart are another valve (property)', () => {
    fc.assert(
      fc.property(tag, fc.nat(), (text, at) => {
        const i = at % (text.length - 1);
        const swapped = `${text.slice(0, i)}${text[i + 1] ?? ''}${text[i] ?? ''}${text.slice(i + 2)}`;
        const found = likeness({ tag: swapped }, { tag: text });
        expect(found).toBe(plateKey(swapped) === plateKey(text) ? 'same valve' : 'near tag');
      }),
      { seed: 74 },
    );
  });
});

describe('spares of every kind, on every construction', () => {
  it.each(CONSTRUCTION_IDS)('%s: what is printed as the plate has it agrees, line by line', (id) => {
    const valve = { ...defaultValve(id), nps: 3, pressureClass: 300 as const, serial: 'K 7' };
    const lines = matchSpares(
      valve,
      SPARE_KINDS.map((what) => ({
        what,
        construction: id,
        nps: 3,
        pressureClass: 300 as const,
        serial: 'k-7',
      })),
    );
    expect(lines).toHaveLength(SPARE_KINDS.length * 4);
    expect(new Set(lines.map(({ verdict }) => verdict))).toEqual(new Set(['agrees']));
    const other = CONSTRUCTION_IDS.find((each) => each !== id) ?? id;
    expect(mismatches(matchSpares(valve, [{ what: 'kit', construction: other }]))).toEqual([
      `kit: construction ${CONSTRUCTIONS[other].name}, the plate says ${CONSTRUCTIONS[id].name}`,
    ]);
  });
  it('nothing printed is nothing to compare: laid out, it agrees with everything', () => {
    expect(matchSpares(defaultValve(), [{ what: 'kit' }])).toEqual([]);
  });
  it.each([
    [{ what: 'gasket' }],
    [{ what: 'kit', nps: 7 }],
    [{ what: 'kit', pressureClass: 333 }],
    [{ what: 'kit', model: '' }],
    [{ what: 'kit', colour: 'red' }],
  ])('%j is no spare', (raw) => {
    expect(laidSpare.safeParse(raw).success).toBe(false);
  });
});

describe('the hazards of every medium (limits: ACGIH, OSHA, NIOSH, from memory)', () => {
  it.each(HAZARDOUS_MEDIA)(
    '%s: says what it does, how to guard, and never leaves eyes and hands bare',
    (medium) => {
      const { hazards, guards } = MEDIUM_HAZARDS[medium];
      expect(hazards.length).toBeGreaterThan(0);
      expect(guards).toContain('Eye protection and gloves always.');
    },
  );
  it.each(HAZARDOUS_MEDIA)('%s: named on a plate, it brings its own guards', (medium) => {
    const asked = protectionFor({ name: medium, hazards: [] });
    for (const guard of MEDIUM_HAZARDS[medium].guards) expect(asked.guards).toContain(guard);
    expect(new Set(asked.guards).size).toBe(asked.guards.length);
  });
  it.each([
    ['nitrogen', false, true],
    ['carbon dioxide', false, true],
    ['chlorine', true, true],
    ['ammonia', true, true],
    ['hydrogen sulphide', true, true],
    ['water', false, false],
    ['steam', false, false],
  ] as const)('%s: apparatus %s, never alone %s', (name, breathingApparatus, buddy) => {
    expect(protectionFor({ name, hazards: [] })).toMatchObject({ breathingApparatus, buddy });
  });
  it('more hydrogen sulphide never asks for less (property)', () => {
    const rank = (ppm: number): number => {
      const [rule = ''] = protectionFor({
        name: 'Produced water',
        hazards: [],
        h2s: quantity('ratio', ppm, 'ppm'),
      }).guards;
      return /supplied air/.test(rule) ? 2 : /breathing apparatus, two/.test(rule) ? 1 : 0;
    };
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2000 }), fc.integer({ min: 1, max: 2000 }), (one, other) => {
        expect(rank(Math.max(one, other))).toBeGreaterThanOrEqual(rank(Math.min(one, other)));
      }),
      { seed: 75 },
    );
  });
  it('what is ticked counts beside what is named: sour steam is steam and sour', () => {
    const asked = protectionFor({ name: 'Steam', hazards: ['h2s'] });
    expect(asked.breathingApparatus).toBe(true);
    for (const medium of ['steam', 'hydrogen sulphide'] as const)
      for (const guard of MEDIUM_HAZARDS[medium].guards) expect(asked.guards).toContain(guard);
  });
});
