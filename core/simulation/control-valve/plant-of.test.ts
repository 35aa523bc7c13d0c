import { describe, expect, it } from 'vitest';
import { valueIn } from '../../quantity';
import {
  CONSTRUCTION_IDS,
  defaultValve,
  featuresSchema,
  moverOf,
  positionerOf,
  type Valve,
} from '../../valve';
import { chance } from '../random';
import { plantOf, readBench, turnScrew } from './plant-of';

const WELL = { zero: 0, span: 0, balance: 0 };
const STANDS = 12;

/** Every valve that a positioner may stand on, with one. */
const placed = CONSTRUCTION_IDS.flatMap((id): Valve[] => {
  const valve = defaultValve(id);
  const { positioner } = moverOf(valve.features);
  if (positionerOf(valve.features)) return [valve];
  if (positioner === undefined) return [];
  return [
    { ...valve, features: featuresSchema.parse({ ...valve.features, positioner: { kind: 'side-mounted' } }) },
  ];
});
const travelAt = (plant: ReturnType<typeof plantOf>, signal: number): number => {
  plant.signal = signal;
  plant.run(STANDS);
  return plant.travel;
};

describe('every valve that takes a positioner', () => {
  it('is of several kinds: cylinders, diaphragms, vanes', () => {
    expect(placed.length).toBeGreaterThan(3);
    expect(new Set(placed.map(({ features }) => moverOf(features).element)).size).toBe(2);
  });

  it.each(placed.map((valve) => [valve.construction, valve] as const))(
    '%s stands where its signal asks, when it is set (common practice: within 2 %%)',
    (_, valve) => {
      const plant = plantOf(valve, WELL);
      for (const signal of [0.25, 0.5, 0.75])
        expect(Math.abs(travelAt(plant, signal) - signal)).toBeLessThan(0.02);
    },
  );

  it.each(placed.map((valve) => [valve.construction, valve] as const))(
    '%s: the zero screw shifts all alike, the range spring makes more of a signal anticlockwise',
    (_, valve) => {
      const plant = plantOf(valve, WELL);
      const before = [0.3, 0.7].map((signal) => travelAt(plant, signal)) as [number, number];
      turnScrew(plant, 'zero', 1);
      const shifted = [0.3, 0.7].map((signal) => travelAt(plant, signal)) as [number, number];
      expect(shifted[0] - before[0]).toBeGreaterThan(0.05);
      expect(Math.abs(shifted[1] - before[1] - (shifted[0] - before[0]))).toBeLessThan(0.01);
      turnScrew(plant, 'zero', -1);
      turnScrew(plant, 'span', -1);
      const wider = [0.3, 0.7].map((signal) => travelAt(plant, signal)) as [number, number];
      expect(wider[1] - wider[0]).toBeGreaterThan(before[1] - before[0] + 0.01);
    },
  );

  it('a nozzle turned clockwise brings both sides of a cylinder up, alike', () => {
    const valve = placed.find(({ features }) => moverOf(features).bothSides === true);
    if (!valve) throw new Error('no cylinder with air on two sides');
    const plant = plantOf(valve, { ...WELL, balance: -0.15 });
    travelAt(plant, 0.5);
    const dice = chance(1);
    const before = readBench(plant, dice);
    turnScrew(plant, 'nozzle', 1);
    plant.run(STANDS);
    const after = readBench(plant, dice);
    expect(valueIn(after.driven, 'psig')).toBeGreaterThan(valueIn(before.driven, 'psig') + 4);
    expect(
      Math.abs(valueIn(after.driven, 'psig') - valueIn(after.other ?? after.supply, 'psig')),
    ).toBeLessThan(5);
  });
});
