import { describe, expect, it } from 'vitest';
import { priorsOf, symptomsOf, type SymptomId } from '../../diagnosis';
import { defaultValve, featuresSchema, type Features } from '../../valve';
import { PLANTED_FAULTS, sickValve, symptomWith, type PlantedFault } from '.';

const FULL = { signal: { at: 1, from: 'below' } } as const;
const HALF = { signal: { at: 0.5, from: 'below' } } as const;
const HALF_FROM_ABOVE = { signal: { at: 0.5, from: 'above' } } as const;
const NONE = { signal: { at: 0, from: 'above' } } as const;
const SHUT = { signal: 'shuts' } as const;
const SEEDS = Array.from({ length: 30 }, (_, i) => 101 + 37 * i);

const globe = defaultValve('control-globe-double-seat').features;
const acting = (action: 'air-to-open' | 'air-to-close'): Features =>
  featuresSchema.parse({ ...globe, moved: { ...globe.moved, action } });
const opensByAir = acting('air-to-open');
const closesByAir = acting('air-to-close');
const piston = defaultValve('control-ball-in-venturi').features;

type Valve = ReturnType<typeof sickValve>;

/** A figure of many valves of a kind, averaged: one alone is noisy. */
const mean = (
  fault: PlantedFault,
  read: (of: Valve) => number,
  symptom?: SymptomId,
  features = opensByAir,
): number =>
  SEEDS.reduce((sum, seed) => sum + read(sickValve(fault, seed, features, symptom)), 0) / SEEDS.length;

/** What the operator sees of each symptom, on gauges and scale. */
const SEEN: Partial<Record<SymptomId, (read: Valve, of: Features) => boolean>> = {
  'half travel': (read) => read(FULL).stroke > 30 && read(FULL).stroke < 75,
  'short of shut': (read) => read(SHUT).open > 15,
  'passes when shut': (read) => read(SHUT).leak > 1 && read(SHUT).open < 6 && read(FULL).stroke > 94,
  'no motion': (read) => Math.abs(read(FULL).stroke - read(NONE).stroke) < 10,
  hunting: (read) => read(HALF).swing > 4,
  sluggish: (read) =>
    read(FULL).actuator - read(FULL).below < 1.05 * read(FULL).driveWanted ||
    read(HALF).breather > 8 ||
    read(HALF).sealLeak > 8 ||
    read(HALF).actuator - read(HALF_FROM_ABOVE).actuator > 2.5 ||
    read(HALF).signs.size > 0,
};

describe('the simulator shows the symptom that it claims', () => {
  const kinds = {
    'air opens': opensByAir,
    'air shuts': closesByAir,
    piston,
    'rolling diaphragm': defaultValve('control-rotary-eccentric').features,
    'cylinder with a spring': defaultValve('control-butterfly').features,
  };
  for (const [kind, features] of Object.entries(kinds))
    for (const symptom of symptomsOf(features)) {
      const seen = SEEN[symptom];
      const faults = PLANTED_FAULTS.filter((fault) => priorsOf(symptom, features).has(fault));
      if (!seen) continue;
      it.each(faults)(`${kind}, ${symptom}: %s`, (fault) => {
        const shown = SEEDS.filter((seed) => seen(sickValve(fault, seed, features, symptom), features));
        expect(shown.length / SEEDS.length).toBeGreaterThanOrEqual(0.9);
      });
    }
  it('a sound valve shows none of them', () => {
    for (const features of Object.values(kinds))
      for (const symptom of ['half travel', 'short of shut', 'no motion', 'hunting'] as const)
        for (const seed of SEEDS)
          expect(SEEN[symptom]?.(sickValve('seat worn', seed, features), features), symptom).toBe(false);
  });
  it('asked for none, it is the first that the fault can give there', () => {
    expect(symptomWith('bottom guide blocked', opensByAir)).toBe('short of shut');
    expect(symptomWith('bottom guide blocked', closesByAir)).toBe('half travel');
    expect(symptomWith('bottom guide blocked', defaultValve('gate-wedge').features)).toBeUndefined();
  });
});

describe('a piston has two sides (positioner set-up: each about 75 % of supply, within 5 psi, no line pressure)', () => {
  const bled = { ...HALF, with: 'line bled' } as const;
  it('sound, at half travel', () => {
    const [above, below, supply] = (['actuator', 'below', 'supply'] as const).map((gauge) =>
      mean('seat worn', (read) => read(bled)[gauge], undefined, piston),
    ) as [number, number, number];
    expect(above / supply).toBeCloseTo(0.75, 1);
    expect(below / supply).toBeCloseTo(0.75, 1);
    expect(Math.abs(above - below)).toBeLessThan(5);
  });
  it('at full signal the upper side has it all and the lower nothing; shut, it is the other way', () => {
    const at = (signal: number, gauge: 'actuator' | 'below') =>
      mean(
        'seat worn',
        (read) => read({ signal: { at: signal, from: signal ? 'below' : 'above' } })[gauge],
        undefined,
        piston,
      );
    expect(at(1, 'actuator')).toBeGreaterThan(60);
    expect(at(1, 'below')).toBeLessThan(2);
    expect(at(0, 'below')).toBeGreaterThan(at(0, 'actuator'));
  });
  it('a tight gland holds them apart; a poor relay leaves both low', () => {
    const apart = (fault: PlantedFault) =>
      mean(fault, (read) => Math.abs(read(bled).actuator - read(bled).below), 'half travel', piston);
    expect(apart('packing too tight')).toBeGreaterThan(10);
    expect(
      mean('relay faulty', (read) => read(bled).actuator + read(bled).below, 'sluggish', piston),
    ).toBeLessThan(84);
  });
});

describe('a simulated valve with something planted in it', () => {
  it('a seed gives the same valve and the same noise', () => {
    for (const fault of PLANTED_FAULTS)
      expect(sickValve(fault, 7, globe)(FULL)).toEqual(sickValve(fault, 7, globe)(FULL));
    expect(sickValve('debris', 7, globe)(FULL)).not.toEqual(sickValve('debris', 8, globe)(FULL));
  });

  it('no gauge reads below zero, no travel beyond its stops', () => {
    const wrong = [opensByAir, closesByAir, piston].flatMap((features) =>
      PLANTED_FAULTS.flatMap((fault) =>
        SEEDS.slice(0, 10).flatMap((seed) =>
          [FULL, HALF, SHUT].flatMap((situation) => {
            const gauges = sickValve(fault, seed, features)(situation);
            const below = Object.values(gauges).some((value) => typeof value === 'number' && value < 0);
            return below || gauges.stroke >= 104 ? [{ fault, gauges }] : [];
          }),
        ),
      ),
    );
    expect(wrong).toEqual([]);
  });

  it('a sound chain of air: 9 psi and friction at half signal on 3–15 psi (handbook part 3)', () => {
    const actuator = mean('seat worn', (read) => read(HALF).actuator);
    expect(actuator).toBeGreaterThan(9);
    expect(actuator).toBeLessThan(10.5);
    expect(mean('seat worn', (read) => read(HALF).stroke)).toBeCloseTo(50, -1);
  });

  it('hysteresis is twice the friction: a tight gland shows it, a slack one does not', () => {
    const width = (fault: PlantedFault, slacked = false) =>
      mean(fault, (read) => {
        const how = slacked ? { with: 'gland slacked' as const } : {};
        return read({ ...HALF, ...how }).actuator - read({ ...HALF_FROM_ABOVE, ...how }).actuator;
      });
    expect(width('packing too tight')).toBeGreaterThan(8);
    expect(width('packing too tight', true)).toBeLessThan(3);
    expect(width('guides galled')).toBeGreaterThan(8);
    expect(width('guides galled', true), 'slacking the gland does not free guides').toBeGreaterThan(8);
    expect(width('seat worn')).toBeLessThan(3);
  });

  it.each([
    ['supply low', (read) => read(FULL).supply, 18],
    ['signal lost', (read) => read(FULL).signal, 85],
    ['flapper dirty', (read) => read(FULL).actuator, 13],
    ['relay faulty', (read) => read(FULL).actuator, 13],
    ['diaphragm torn', (read) => read(FULL).actuator, 13],
  ] as const satisfies readonly (readonly [
    PlantedFault,
    (read: ReturnType<typeof sickValve>) => number,
    number,
  ])[])('%s: its gauge stands below what is wanted', (fault, read, wanted) => {
    expect(mean(fault, read, 'half travel')).toBeLessThan(wanted);
    expect(mean('seat worn', read)).toBeGreaterThan(wanted);
  });

  it('sound, it shuts whichever way its air works, and stands half open at half signal', () => {
    for (const features of [opensByAir, closesByAir, piston]) {
      const read = sickValve('seat worn', 5, features);
      expect(read(SHUT).open).toBeLessThan(4);
      expect(read(HALF).open).toBeGreaterThan(35);
      expect(read(HALF).open).toBeLessThan(65);
    }
  });

  it('the flapper held by hand gives full air past a dirty flapper, not past a bad relay', () => {
    const byHand = (fault: PlantedFault) =>
      mean(fault, (read) => read({ ...FULL, with: 'flapper held by hand' }).actuator);
    expect(byHand('flapper dirty')).toBeGreaterThan(18);
    expect(byHand('relay faulty')).toBeLessThan(13);
  });

  it('debris goes with a flush, wear does not; a plug coupled short holds once it is run down', () => {
    const leak = (fault: PlantedFault, how?: 'flushed' | 'run down by the lock nuts') =>
      mean(fault, (read) => read(how ? { ...SHUT, with: how } : SHUT).leak, 'passes when shut');
    expect(leak('debris', 'flushed')).toBeLessThan(0.4 * leak('debris'));
    expect(leak('seat worn', 'flushed')).toBeGreaterThan(0.8 * leak('seat worn'));
    expect(leak('coupled short', 'run down by the lock nuts')).toBeLessThan(0.2 * leak('coupled short'));
    expect(leak('seat worn', 'run down by the lock nuts')).toBeGreaterThan(0.8 * leak('seat worn'));
  });

  it('the loop in manual steadies a loop, less gain steadies a positioner, neither frees a stem', () => {
    const swing = (fault: PlantedFault, how?: 'loop in manual' | 'gain turned down') =>
      mean(fault, (read) => read(how ? { ...HALF, with: how } : HALF).swing, 'hunting');
    expect(swing('oversize or process')).toBeGreaterThan(5);
    expect(swing('oversize or process', 'loop in manual')).toBeLessThan(2);
    expect(swing('gain too high', 'loop in manual')).toBeGreaterThan(5);
    expect(swing('gain too high', 'gain turned down')).toBeLessThan(2);
    expect(swing('packing too tight', 'gain turned down')).toBeGreaterThan(3);
  });

  it('air that leaks is felt where it leaks: breather for diaphragm and piston, seals for their own', () => {
    expect(mean('diaphragm torn', (read) => read(HALF).breather)).toBeGreaterThan(15);
    expect(mean('piston ring leaks', (read) => read(HALF).breather)).toBeGreaterThan(15);
    expect(mean('cylinder seals leak', (read) => read(HALF).sealLeak)).toBeGreaterThan(10);
    expect(mean('seat worn', (read) => read(HALF).breather)).toBeLessThan(4);
  });

  it('a lock is seen, and holds the stem where it is', () => {
    const locked = sickValve('lock engaged', 3, opensByAir, 'no motion');
    expect(locked(FULL).signs).toContain('lock engaged');
    expect(Math.abs(locked(FULL).stroke - locked(SHUT).open)).toBeLessThan(5);
    expect(sickValve('debris', 3, opensByAir)(FULL).signs.size).toBe(0);
  });
});
