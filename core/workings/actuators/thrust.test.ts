import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('actuator.bench-set (statics; 69 in², 3/4 in, 1104 lbf/in: 3 to 15 psi, handbook part 3)', () => {
  const on = { area: '69 in²', travel: '3/4 in' };
  it.each([
    [{ springRate: '1104 lbf/in', benchLow: '3 psig' }],
    [{ springRate: '1104 lbf/in', benchHigh: '15 psig' }],
    [{ benchLow: '3 psig', benchHigh: '15 psig' }],
    [{ springRate: '1110 lbf/in', benchLow: '3 psig', benchHigh: '15 psig' }],
  ])('two of the three give the third: %j', (two) => {
    const asked = ask('actuator.bench-set', { ...on, ...two, lead: '1/16 in' });
    expect(asked.in('benchLow', 'psig')).toBeCloseTo(3, 6);
    expect(asked.in('benchHigh', 'psig')).toBeCloseTo(15, 6);
    expect(asked.in('span', 'psi')).toBeCloseTo(12, 6);
    expect(asked.in('perTurn', 'psi')).toBeCloseTo(asked.in('springRate', 'lbf/in') / 16 / 69, 6);
  });
  it.each([
    [{ springRate: '1104 lbf/in' }],
    [{ springRate: '1140 lbf/in', benchLow: '3 psig', benchHigh: '15 psig' }],
    [{ benchLow: '15 psig', benchHigh: '3 psig' }],
    [{ springRate: '1104 lbf/in', benchHigh: '10 psig' }],
  ])('refuses %j', (given) => {
    expect(refusal('actuator.bench-set', { ...on, ...given }).code).toBe('input.conflict');
  });
});

describe('stem.thrust (any text on power screws)', () => {
  const stem = { meanDiameter: '0.9 in', lead: '0.2 in', friction: 0.15 };
  it('1 000 lbf, 0.9 in, 0.2 in, 0.15: 8.56 lbf·ft', () => {
    const asked = ask('stem.thrust', { ...stem, thrust: '1000 lbf', travel: '2 in' });
    expect(asked.in('torque', 'lbf·ft')).toBeCloseTo(8.56, 2);
    expect(asked.result).toMatchObject({ selfLocking: true, turns: expect.closeTo(10, 9) as number });
    expect(asked.result['efficiency']).toBeCloseTo((1000 * 0.2) / (2 * Math.PI * 8.5563 * 12), 4);
  });
  it('the torque gives the thrust back (inverse)', () => {
    expect(ask('stem.thrust', { ...stem, torque: '8.5563 lbf·ft' }).in('thrust', 'lbf') / 1000).toBeCloseTo(
      1,
      4,
    );
  });
  it('a square thread without friction only lifts: T = F·L/2π', () => {
    const plain = { ...stem, friction: 0, threadAngle: '0°', thrust: '1000 lbf' };
    const asked = ask('stem.thrust', plain);
    expect(asked.in('torque', 'lbf·in')).toBeCloseTo(200 / (2 * Math.PI), 6);
    expect(asked.result).toMatchObject({ selfLocking: false, efficiency: expect.closeTo(1, 9) as number });
  });
  it.each([[{}], [{ thrust: '1 kN', torque: '1 N·m' }], [{ thrust: '1 kN', friction: 1, lead: '4 in' }]])(
    'refuses %j',
    (given) => {
      expect(refusal('stem.thrust', { ...stem, ...given }).code).toBe('input.conflict');
    },
  );
});

describe('gate.thrust (statics)', () => {
  const gate = {
    seatDiameter: '5.5 in',
    difference: '300 psi',
    valveFactor: 0.4,
    stemDiameter: '1 1/4 in',
    pressure: '300 psig',
    packingFriction: '500 lbf',
  };
  it('closing and opening differ by twice the pressure on the stem', () => {
    const asked = ask('gate.thrust', gate);
    const [drag, piston] = [0.4 * 300 * (Math.PI / 4) * 5.5 ** 2, 300 * (Math.PI / 4) * 1.25 ** 2];
    expect(asked.in('stemPiston', 'lbf')).toBeCloseTo(piston, 6);
    expect(asked.in('closing', 'lbf')).toBeCloseTo(drag + piston + 500, 6);
    expect(asked.in('opening', 'lbf')).toBeCloseTo(drag - piston + 500, 6);
  });
});

describe('quarter-turn.torque (common practice)', () => {
  const turn = {
    breakTorque: '60 lbf·ft',
    actuatorBreak: '120 lbf·ft',
    factor: 1.25,
    stemLimit: '200 lbf·ft',
  };
  it.each([
    [{}, 60, 'fit'],
    [{ runTorque: '30 lbf·ft', actuatorRun: '45 lbf·ft' }, 20, 'fit'],
    [{ endTorque: '100 lbf·ft', actuatorEnd: '110 lbf·ft' }, -12, 'not fit'],
    [{ stemLimit: '100 lbf·ft' }, 60, 'twists the shaft'],
  ])('%j: margin %d %%, %s', (more, margin, verdict) => {
    const asked = ask('quarter-turn.torque', { ...turn, ...more });
    expect(asked.in('margin', '%')).toBeCloseTo(margin, 6);
    expect(asked.result['verdict']).toBe(verdict);
  });
  it('what the stem stands not known: ask', () => {
    const { stemLimit: _limit, ...unknown } = turn;
    expect(ask('quarter-turn.torque', unknown).result['verdict']).toBe('ask');
  });
});

describe('actuator.stroke-time (IEC 60534-2-1, isothermal)', () => {
  const tank = { volume: '10 L', supply: '6 bar g', Cv: 0.3 };
  it('while choked the flow is steady: the time is that of ideal choked flow', () => {
    // Air, xT 0.7, γ 1.4, 20 °C: W = N8·Cv·Y·P1·√(x·M/(T·Z)), N8 = 94.8 for kg/h, Cv and bar.
    const kilogramsPerHour = 94.8 * 0.3 * (2 / 3) * 7.01325 * Math.sqrt((0.7 * 28.97) / 293.15);
    const density = (1.01325e5 * 28.97) / (8314.46 * 293.15);
    const litresPerSecond = (kilogramsPerHour / 3600 / density) * 1000;
    const asked = ask('actuator.stroke-time', { ...tank, from: '0 bar g', to: '1 bar g' });
    expect(asked.in('time', 's') / ((10 * 1) / 1.01325 / litresPerSecond)).toBeCloseTo(1, 2);
  });
  it('free air is volume times rise over one atmosphere', () => {
    expect(ask('actuator.stroke-time', { ...tank, to: '4 bar g' }).in('airPerStroke', 'L')).toBeCloseTo(
      40 / 1.01325,
      6,
    );
  });
  it('half the coefficient, twice the time; nearer to the supply it creeps', () => {
    const time = (more: object) => ask('actuator.stroke-time', { ...tank, ...more }).in('time', 's');
    expect(time({ Cv: 0.15 }) / time({})).toBeCloseTo(2, 6);
    expect(time({ to: '5.9 bar g' })).toBeGreaterThan(time({}));
  });
  it.each([{ to: '6 bar g' }, { from: '3 bar g', to: '2 bar g' }])('refuses %j', (more) => {
    expect(refusal('actuator.stroke-time', { ...tank, ...more }).code).toBe('input.conflict');
  });
});

describe('flow.cavitation (IEC 60534-2-1)', () => {
  const water = { inletPressure: '100 psia', outletPressure: '40 psia', vapourPressure: '10 psia' };
  it('σ is 90/60, xF its inverse; no verdict without FL', () => {
    const { result } = ask('flow.cavitation', water);
    expect(result['sigma']).toBeCloseTo(1.5, 9);
    expect(result['xF']).toBeCloseTo(2 / 3, 9);
    expect(result['verdict']).toBeUndefined();
  });
  it.each([
    [{ recovery: 0.8 }, 'choked'],
    [{ recovery: 0.83 }, 'not choked'],
    [{ recovery: 0.815 }, 'choked'],
    [{ recovery: 0.815, criticalPressure: '3208 psia' }, 'not choked'],
  ])('%j: %s (FL² 0.64, 0.689; FF opens it a little)', (more, verdict) => {
    expect(ask('flow.cavitation', { ...water, ...more }).result['verdict']).toBe(verdict);
  });
  it.each([{ outletPressure: '100 psia' }, { vapourPressure: '120 psia' }])('refuses %j', (more) => {
    expect(refusal('flow.cavitation', { ...water, ...more }).code).toBe('input.conflict');
  });
});

describe('valve.turning-torque', () => {
  it.each([
    ['50 lbf·ft', '40 lbf·ft', 125, 'fit'],
    ['50.5 lbf·ft', '40 lbf·ft', 126.25, 'not fit'],
    ['30 lbf·ft', '40 lbf·ft', 75, 'fit'],
    ['29 lbf·ft', '40 lbf·ft', 72.5, 'ask'],
    ['54.2327 N·m', '40 lbf·ft', 100, 'fit'],
  ])('%s against %s: %d %%, %s (75 to 125 %%: handbook part 6.7)', (now, before, share, verdict) => {
    const found = ask('valve.turning-torque', { now, before });
    expect(found.in('share', '%')).toBeCloseTo(share, 3);
    expect(found.result['verdict']).toBe(verdict);
  });
});

describe('setting.turns (handbook part 6.4: how far to turn is learned)', () => {
  it('a turn that did less than can be read is not multiplied: a whole turn, and read again', () => {
    const found = ask('setting.turns', {
      wanted: '3 psig',
      read: '1.40 psig',
      before: '1.41 psig',
      turned: '0.25 turns',
    });
    expect(Math.abs(found.in('turn', 'turn'))).toBe(1);
  });
  const pops = { wanted: '250 psig', read: '258 psig', before: '263 psig', turned: '-0.5 turns' };
  it('by what the last turn did: 10 psi a turn, 0.8 turns back', () => {
    const found = ask('setting.turns', pops);
    expect(found.in('turn', 'turn')).toBeCloseTo(-0.8, 9);
    expect(found.result).toMatchObject({ way: 'anticlockwise', perTurn: '10 psig' });
  });
  it('of less than a quarter turn half', () => {
    expect(
      ask('setting.turns', { ...pops, read: '252 psig', before: '262 psig', turned: '-1 turns' }).in(
        'turn',
        'turn',
      ),
    ).toBeCloseTo(-0.1, 9);
  });
  it('a screw that works the other way is turned the other way', () => {
    const found = ask('setting.turns', {
      wanted: '100 %',
      read: '92 %',
      before: '96 %',
      turned: '0.5 turns',
    });
    expect(found.in('turn', 'turn')).toBeCloseTo(-1, 9);
  });
  it('nothing turned yet: a quarter turn to see; nothing moved: it slips; at its figure: left alone', () => {
    expect(ask('setting.turns', { wanted: '3 psig', read: '3.4 psig' }).result).toMatchObject({
      way: 'clockwise',
      verdict: 'ask',
    });
    expect(ask('setting.turns', { ...pops, before: '258 psig' }).result).toMatchObject({
      way: 'leave it',
      verdict: 'stop',
    });
    expect(ask('setting.turns', { ...pops, read: '250.1 psig' }).result).toMatchObject({
      way: 'leave it',
      verdict: 'fit',
    });
  });
  it('followed, it comes to its figure in three turns whatever a turn does (property)', () => {
    for (const perTurn of [-12, -3, 4, 9, 30]) {
      let [read, before, turned] = [268, 268 + perTurn * -0.25, 0.25];
      for (let i = 0; i < 4; i++) {
        const { in: of } = ask('setting.turns', {
          wanted: '250 psig',
          read: `${read} psig`,
          before: `${before} psig`,
          turned: `${turned} turns`,
        });
        turned = of('turn', 'turn');
        if (turned === 0) break;
        [before, read] = [read, read + perTurn * turned];
      }
      expect(Math.abs(read - 250)).toBeLessThan(2.5);
    }
  });
  it('nothing turned yet, but one like it was: by what that did, a whole turn at most, and its own turn counts', () => {
    const asked = { wanted: '250 psig', read: '258 psig', taught: '10 psig' };
    expect(ask('setting.turns', asked).in('turn', 'turn')).toBeCloseTo(-0.8, 9);
    expect(ask('setting.turns', { ...asked, read: '290 psig' }).in('turn', 'turn')).toBe(-1);
    expect(ask('setting.turns', { ...pops, taught: '40 psig' }).in('turn', 'turn')).toBeCloseTo(-0.8, 9);
  });
  it('refuses figures of two kinds', () => {
    expect(refusal('setting.turns', { wanted: '250 psig', read: '50 %' }).code).toBe('input.conflict');
  });
});

describe('positioner.screws (handbook part 6.4: two by two, span first, then zero)', () => {
  const wanted = { lowWanted: '5 %', highWanted: '95 %' };
  const next = (...readings: readonly (readonly [zero: number, span: number, low: number, high: number])[]) =>
    ask('positioner.screws', {
      ...wanted,
      readings: readings.map(([zero, span, low, high]) => ({ zero, span, low, high })),
    });
  it('short of span by 5.3 %, a turn does 5.2 %: just over one turn more of what was turned', () => {
    const found = next([0, 0, 7.5, 90.9], [0, -0.25, 7.7, 92.4]);
    expect(found.result).toMatchObject({ screw: 'span screw', way: 'anticlockwise', verdict: 'ask' });
    expect(found.in('turn', 'turn')).toBeCloseTo(-5.3 / 5.2, 9);
    expect(found.in('high', '%') - found.in('low', '%')).toBeCloseTo(90, 9);
  });
  it('a span that is right leaves the zero, by the mean of both', () => {
    const found = next([0, 0, 3, 93.1], [0.5, 0, 6, 96.1]);
    expect(found.result).toMatchObject({ screw: 'zero screw', way: 'anticlockwise' });
    expect(found.in('turn', 'turn')).toBeCloseTo(-1.05 / 6 / 2, 9);
  });
  it('nothing turned yet: a quarter, range spring anticlockwise for more travel, bias clockwise for more', () => {
    expect(next([0, 0, 5, 90]).in('turn', 'turn')).toBe(-0.25);
    expect(next([0, 0, 5, 99]).in('turn', 'turn')).toBe(0.25);
    expect(next([0, 0, 2, 92]).result).toMatchObject({ screw: 'zero screw', way: 'clockwise' });
  });
  it('what another type does the other way round is turned the other way round', () => {
    expect(next([0, 0, 5, 90], [0, -0.25, 5, 88]).result).toMatchObject({ way: 'clockwise' });
  });
  it('a screw that moves nothing slips or is at its stop; both right: lock', () => {
    expect(next([0, 0, 5, 90], [0, -0.25, 5, 90]).result).toMatchObject({ way: 'leave it', verdict: 'stop' });
    expect(next([0, 0, 5.2, 95.1]).result).toMatchObject({ screw: 'none', verdict: 'fit' });
  });
  it('both turned between two readings teaches neither', () => {
    expect(next([0, 0, 5, 90], [0.25, -0.25, 6, 93]).in('turn', 'turn')).toBe(-0.25);
  });
  it('what a turn did on one of its model is a first guess, of a whole turn at most (handbook 6.4)', () => {
    const asked = (high: string, more: object = {}) =>
      ask('positioner.screws', {
        ...wanted,
        readings: [{ zero: 0, span: 0, low: '5 %', high }],
        spanLow: '-0.4 %',
        spanHigh: '-5.6 %',
        ...more,
      });
    expect(asked('92.4 %').in('turn', 'turn')).toBeCloseTo(-0.5, 9);
    expect(asked('80 %').in('turn', 'turn')).toBe(-1);
    const own = [
      { zero: 0, span: 0, low: '5 %', high: '90 %' },
      { zero: 0, span: -0.25, low: '5 %', high: '88 %' },
    ];
    expect(asked('', { readings: own }).result).toMatchObject({ way: 'clockwise' });
  });
  it('refuses an empty table and a low travel over the high one', () => {
    expect(refusal('positioner.screws', { ...wanted, readings: [] }).code).toBe('input.conflict');
    const crossed = {
      lowWanted: '95 %',
      highWanted: '5 %',
      readings: [{ zero: 0, span: 0, low: 5, high: 95 }],
    };
    expect(refusal('positioner.screws', crossed).code).toBe('input.conflict');
  });
});

describe('actuator.bench-sweep (handbook part 6.3: the mean of both ways is the bench set, half the difference friction)', () => {
  const read = { startsUp: '4 psig', endsUp: '16 psig', endsDown: '15 psig', startsDown: '3 psig' };
  const wanted = { benchLow: '3 psig', benchHigh: '15 psig' };
  it('3.5 to 15.5 psig and half a psi of friction; on 69 in² 34.5 lbf', () => {
    const asked = ask('actuator.bench-sweep', { ...read, area: '69 in²' });
    expect(asked.in('low', 'psig')).toBeCloseTo(3.5, 9);
    expect(asked.in('high', 'psig')).toBeCloseTo(15.5, 9);
    expect(asked.in('friction', 'psi')).toBeCloseTo(0.5, 9);
    expect(asked.in('frictionForce', 'lbf')).toBeCloseTo(34.5, 6);
    expect(asked.result['verdict']).toBe('no limit given');
  });
  it('turns = (wanted − read) / span × travel / lead: 1 psi of 12 on 3/4 in by 1/16 in is one turn out', () => {
    const high = { startsUp: '4.5 psig', endsUp: '16.5 psig', endsDown: '15.5 psig', startsDown: '3.5 psig' };
    const asked = ask('actuator.bench-sweep', { ...high, ...wanted, travel: '3/4 in', lead: '1/16 in' });
    expect(asked.result['verdict']).toBe('ask');
    expect(asked.in('turn', 'turn')).toBeCloseTo(-1, 9);
  });
  it.each([
    [{ ...read, ...wanted }, 'fit'],
    [{ ...read, endsUp: '19 psig', endsDown: '18 psig', ...wanted }, 'not fit'],
  ])('%j: %s; no adjuster cures a span', (given, verdict) => {
    expect(ask('actuator.bench-sweep', given).result['verdict']).toBe(verdict);
  });
  it('refuses an end under its start, and one wanted end alone', () => {
    expect(refusal('actuator.bench-sweep', { ...read, endsUp: '3 psig', endsDown: '2 psig' }).code).toBe(
      'input.conflict',
    );
    expect(refusal('actuator.bench-sweep', { ...read, benchLow: '3 psig' }).code).toBe('input.conflict');
  });
});

describe('actuator.coupling (handbook part 6.2)', () => {
  const actuator = {
    area: '69 in²',
    travel: '3/4 in',
    benchLow: '3 psig',
    benchHigh: '15 psig',
    wantedLoad: '250 lbf',
    friction: '60 lbf',
  };
  const opens = { ...actuator, action: 'air to open', stopPressure: '3 psig' };
  it('air to open: off its stop by ((load + friction) − A·P) / k, the load is there then', () => {
    const asked = ask('actuator.coupling', opens);
    expect(asked.in('offStop', 'in')).toBeCloseTo((310 - 69 * 3) / 1104, 6);
    expect(asked.in('coupleAt', 'psig')).toBeCloseTo(310 / 69, 6);
    expect(asked.in('seatLoad', 'lbf')).toBeCloseTo(250, 6);
    expect(asked.in('benchHigh', 'psig')).toBeCloseTo(310 / 69 + 12, 6);
  });
  it('never less than 1/16 in off it: coupled on the stop the seat has no load', () => {
    expect(ask('actuator.coupling', { ...opens, wantedLoad: '0 lbf' }).in('offStop', 'in')).toBeCloseTo(
      1 / 16,
      9,
    );
  });
  it('asks where full travel would take more air than there is', () => {
    const asked = ask('actuator.coupling', { ...opens, wantedLoad: '600 lbf', mostAir: '20 psig' });
    expect(asked.result['verdict']).toBe('ask');
  });
  it.each([
    ['15 psig', 'stop'],
    ['18 psig', 'ask'],
    ['20 psig', 'fit'],
  ])('air to close on 3 to 15 psig: with %s at most, %s', (mostAir, verdict) => {
    expect(ask('actuator.coupling', { ...actuator, action: 'air to close', mostAir }).result['verdict']).toBe(
      verdict,
    );
  });
  it('refuses what cannot be worked out: no stop pressure, no most air', () => {
    expect(refusal('actuator.coupling', { ...actuator, action: 'air to open' }).code).toBe('input.conflict');
    expect(refusal('actuator.coupling', { ...actuator, action: 'air to close' }).code).toBe('input.conflict');
  });
});
