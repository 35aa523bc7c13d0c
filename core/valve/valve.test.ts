import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inches, quantity } from '../quantity';
import {
  asksOf,
  defaultValve,
  detailsSchema,
  bareFeatures,
  HAZARD_IDS,
  HAZARDS,
  partsOf,
  valveSchema,
  withDetails,
  type PartRole,
  type Valve,
} from '.';

const bare: Valve = {
  tag: 'V-1',
  construction: 'globe-bolted',
  customer: 'somebody',
  location: 'somewhere',
  features: bareFeatures('globe-bolted'),
};

describe('what is unknown is asked, once', () => {
  it('a bare valve asks for size, class, group, medium, studs, thread and seat, in that order', () => {
    expect(asksOf(bare).map(({ id }) => id)).toEqual([
      'nps',
      'pressureClass',
      'group',
      'mediumName',
      'bolts',
      'thread',
      'seatDiameter',
    ]);
  });
  it('a valve with every figure asks for nothing', () => {
    expect(asksOf(defaultValve())).toEqual([]);
  });
  it('each ask says why, and what answers it', () => {
    for (const ask of asksOf(bare)) {
      expect(ask.question).toMatch(/\?$/);
      expect(ask.why.length).toBeGreaterThan(10);
    }
  });
  it('answering each in turn leaves nothing to ask, in any order (property)', () => {
    const answers = {
      nps: { nps: 4 },
      pressureClass: { pressureClass: 300 as const },
      group: { group: '1.1' as const },
      mediumName: { mediumName: 'Steam' },
      bolts: { bolts: 8 },
      thread: { thread: '3/4-10' },
      seatDiameter: { seatDiameter: inches(4) },
    };
    fc.assert(
      fc.property(
        fc.shuffledSubarray(Object.keys(answers) as (keyof typeof answers)[], { minLength: 7 }),
        (order) => {
          let valve = bare;
          order.forEach((id, i) => {
            valve = withDetails(valve, answers[id]);
            expect(asksOf(valve)).toHaveLength(order.length - i - 1);
          });
        },
      ),
      { seed: 1 },
    );
  });
  it('an answer changes only what it names', () => {
    const valve = defaultValve();
    const changed = withDetails(valve, { nps: 6 });
    expect({ ...changed, nps: valve.nps }).toEqual(valve);
    expect(withDetails(valve, {})).toEqual(valve);
  });
  it('learning the medium keeps its pressure and hazards unless told', () => {
    const steam: Valve = {
      ...bare,
      medium: { name: 'Steam', hazards: ['hot'], pressure: quantity('gauge pressure', 150, 'psig') },
    };
    expect(withDetails(steam, { mediumName: 'Wet steam' }).medium).toEqual({
      ...steam.medium,
      name: 'Wet steam',
    });
    expect(withDetails(steam, { hazards: [] }).medium?.hazards).toEqual([]);
  });
});

describe('parts', () => {
  it('stand in the order they come off, numbered from 1, each once (handbook part 2, construction 1)', () => {
    const parts = partsOf(defaultValve());
    expect(parts.map(({ number }) => number)).toEqual(parts.map((_, i) => i + 1));
    const order = parts.map(({ role }) => role);
    expect(new Set(order).size).toBe(order.length);
    const at = (role: PartRole) => order.indexOf(role);
    expect(at('gland nuts')).toBeLessThan(at('bonnet'));
    expect(at('bonnet')).toBeLessThan(at('stem'));
    expect(at('stem')).toBeLessThan(at('seat'));
  });
  it('gasket and packing are new at every overhaul', () => {
    expect(
      partsOf(defaultValve())
        .filter(({ policy }) => policy === 'renew always')
        .map(({ role }) => role),
    ).toEqual(['bonnet gasket', 'packing']);
  });
  it('an integral seat stays in its body', () => {
    const valve = defaultValve();
    const integral: Valve = {
      ...valve,
      features: { ...valve.features, seat: { kind: 'integral', face: 'plain' } },
    };
    const stays = (on: Valve) =>
      partsOf(on)
        .filter((part) => part.stays)
        .map(({ role }) => role);
    expect(stays(valve)).toEqual(['body']);
    expect(stays(integral)).toEqual(['seat', 'body']);
  });
});

describe('a valve that comes in from outside', () => {
  it('the default valve reads back as it is', () => {
    expect(valveSchema.parse(JSON.parse(JSON.stringify(defaultValve())))).toEqual(defaultValve());
  });
  it.each([
    [{ ...bare, nps: 7 }],
    [{ ...bare, pressureClass: 400 }],
    [{ ...bare, group: '7.1' }],
    [{ ...bare, construction: 'boat' }],
    [{ ...bare, tag: '' }],
    [{ ...bare, features: { ...bareFeatures('globe-bolted'), joint: { kind: 'glued' } } }],
    [{ ...bare, medium: { name: 'Steam', hazards: ['ghosts'] } }],
    [{ ...bare, colour: 'blue' }],
  ])('%# is refused', (raw) => {
    expect(valveSchema.safeParse(raw).success).toBe(false);
  });
  it('details are read from what is typed', () => {
    expect(detailsSchema.parse({ stemDiameter: '1 1/8 in' }).stemDiameter).toMatchObject({
      value: 1.125,
      unit: 'in',
    });
    expect(detailsSchema.safeParse({ stemDiameter: '1 psi' }).success).toBe(false);
    expect(detailsSchema.safeParse({ paint: 'red' }).success).toBe(false);
  });
});

it('every hazard has its word and its guard', () => {
  for (const id of HAZARD_IDS) {
    expect(HAZARDS[id].label.length).toBeGreaterThan(3);
    expect(HAZARDS[id].guard).toMatch(/\.$/);
  }
});
