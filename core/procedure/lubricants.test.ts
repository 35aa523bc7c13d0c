import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { defaultValve, type ConstructionId, type Valve } from '../valve';
import type { ConsumableName } from './consumables';

const fetched = (id: ConstructionId, medium: NonNullable<Valve['medium']>): readonly ConsumableName[] =>
  new BenchJob({ ...defaultValve(id), medium }, { place: 'bare' })
    .plan()
    .steps.flatMap(({ consumables }) => consumables);

const celsius = (value: number) => ({ dimension: 'temperature', value, unit: '°C' }) as const;

/** What is usual by kind (common practice, from memory): never a brand, and a hot thread takes no grease that runs off. */
describe('lubricant, sealant and threadlocker', () => {
  it.each([
    ['Water', 20, 'calcium sulphonate grease'],
    ['Natural gas', 20, 'lithium complex grease'],
    ['Steam', 180, 'molybdenum disulphide paste'],
    ['Steam', 400, 'graphite paste for hot threads'],
  ] as const)('a stem in %s at %i °C is greased with %s', (name, hot, grease) => {
    const names = fetched('globe-bolted', { name, hazards: [], temperature: celsius(hot) });
    expect(names).toContain(grease);
    expect(names).not.toContain('stem grease for the service');
  });

  it.each([
    ['Water', 20, 'plug valve sealant for water and brine'],
    ['Natural gas', 20, 'plug valve sealant insoluble in hydrocarbons'],
    ['Steam', 170, 'plug valve sealant for heat'],
    ['Molasses', 20, 'plug valve sealant, grade by medium and temperature'],
  ] as const)('a lubricated plug in %s at %i °C takes %s', (name, hot, sealant) => {
    expect(fetched('plug-lubricated', { name, hazards: [], temperature: celsius(hot) })).toContain(sealant);
  });

  it('no threadlocker is fetched where none would hold', () => {
    const at = (hot: number) =>
      fetched('dump-weight-lever', { name: 'Crude oil', hazards: [], temperature: celsius(hot) });
    expect(at(60)).toContain('medium-strength anaerobic threadlocker');
    expect(at(170)).toContain('high-temperature anaerobic threadlocker');
    expect(at(250)).toContain('tab or locking wire: no threadlocker holds this hot');
    expect(at(250).filter((name) => name.endsWith('anaerobic threadlocker'))).toEqual([]);
  });

  it('what touches food is greased for it', () => {
    const names = fetched('control-hygienic-seat', { name: 'Milk', hazards: [] });
    expect(names).toContain('food-grade grease');
    expect(names.filter((name) => /lithium|calcium|molybdenum/.test(name))).toEqual([]);
  });
});
