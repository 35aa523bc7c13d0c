import { describe, expect, it } from 'vitest';
import { mediumOf } from '.';

describe('what a name on a plate means (common practice)', () => {
  it.each([
    // "Boiler feed water" has the letters of oil in it, and is none.
    ['Boiler feed water', 'hot water'],
    ['BOILER FEEDWATER', 'hot water'],
    ['Steam condensate', 'hot water'],
    ['Soil gas', 'natural gas'],
    ['Gas condensate', 'natural gas'],
    ['Crude oil', 'crude oil'],
    ['Condensate', 'crude oil'],
    ['Sour gas, 2 %', 'hydrogen sulphide'],
    ['Nitric acid', 'acid'],
    ['Hydrogen', 'hydrogen'],
    ['Instrument air', 'air'],
    ['Stair water', 'water'],
    ['Heating water', 'hot water'],
    ['Produced water', 'brine'],
    ['Cooling water', 'water'],
  ])('%s is %s', (name, hazard) => {
    expect(mediumOf(name)?.hazard).toBe(hazard);
  });
  it.each(['Process 7', '', 'Boilersuit', 'Toil'])('%j is nothing known', (name) => {
    expect(mediumOf(name)).toBeUndefined();
  });
  it('tells an elastomer from a lung: thin juice is water to breathe over and hot water to a seal', () => {
    expect(mediumOf('Thin juice')).toEqual({ hazard: 'water', seal: 'hot water' });
  });
});
