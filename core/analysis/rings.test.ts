import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitRunout, gasFlow, liquidFlow, readBluedRing } from '.';

describe('a blue line marked by hand', () => {
  const arc = (from: number, to: number, width = 1) => ({ from, to, width });
  it.each([
    [[arc(0, 360)], 1, 0],
    [[arc(10, 350)], 340 / 360, 1],
    [[arc(350, 10)], 20 / 360, 1],
    [[arc(0, 90), arc(180, 270)], 0.5, 2],
    [[arc(0, 200), arc(100, 360)], 1, 0],
    [[], 0, 1],
  ])('%j covers %d of the circle with %d gaps', (arcs, continuity, gaps) => {
    const ring = readBluedRing(arcs);
    expect(ring.continuity).toBeCloseTo(continuity, 9);
    expect(ring.gaps).toHaveLength(gaps);
  });
  it('gaps come largest first, and one over 12 o’clock is one', () => {
    const { gaps } = readBluedRing([arc(20, 100), arc(110, 330)]);
    expect(gaps).toEqual([
      { from: 330, to: 20, degrees: 50 },
      { from: 100, to: 110, degrees: 10 },
    ]);
  });
  it('short breaks are breaks, and add up: 300 of 0.49° are 41 % of the circle', () => {
    const ring = readBluedRing(Array.from({ length: 300 }, (_, i) => arc(1.2 * i + 0.49, 1.2 * (i + 1))));
    expect(ring.continuity).toBeCloseTo(1 - (300 * 0.49) / 360, 9);
    expect(ring.gaps).toHaveLength(300);
  });
  it('the mean width is by length of arc, the widest whichever', () => {
    const ring = readBluedRing([arc(0, 270, 1), arc(270, 360, 3)]);
    expect(ring.widthMean).toBeCloseTo(1.5, 9);
    expect([ring.widthMin, ring.widthMax]).toEqual([1, 3]);
  });
  it('what is covered and what is open make the circle, wherever it begins (property)', () => {
    const arcs = fc.array(fc.tuple(fc.integer({ min: 0, max: 359 }), fc.integer({ min: 1, max: 120 })), {
      maxLength: 8,
    });
    fc.assert(
      fc.property(arcs, fc.integer({ min: 0, max: 359 }), (spans, turn) => {
        const at = (shift: number) =>
          readBluedRing(
            spans.map(([from, length]) => arc((from + shift) % 360, (from + shift + length) % 360)),
          );
        const ring = at(0);
        const open = ring.gaps.reduce((sum, { degrees }) => sum + degrees, 0);
        expect(ring.continuity * 360 + open).toBeCloseTo(360, 6);
        expect(at(turn).continuity).toBeCloseTo(ring.continuity, 6);
        expect(at(turn).gaps).toHaveLength(ring.gaps.length);
      }),
      { seed: 1 },
    );
  });
});

describe('readings round a stem', () => {
  const fitOf = (readings: readonly number[]) => {
    const fit = fitRunout({ readings });
    if (!fit) throw new Error('no fit');
    return fit;
  };
  const ring = (n: number, height: (angle: number) => number) =>
    Array.from({ length: n }, (_, i) => height((2 * Math.PI * i) / n));
  it('bow, ovality and zero come apart, whatever their angles (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 36 }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        fc.double({ min: 0, max: 6.2, noNaN: true }),
        fc.double({ min: -9, max: 9, noNaN: true }),
        (n, bow, oval, at, zero) => {
          const fit = fitOf(
            ring(n, (angle) => zero + bow * Math.cos(angle - at) + oval * Math.cos(2 * (angle - at))),
          );
          expect(fit.bow).toBeCloseTo(bow, 9);
          expect(fit.ovality).toBeCloseTo(oval, 9);
          expect(fit.mean).toBeCloseTo(zero, 9);
          expect(fit.residual).toBeCloseTo(0, 9);
          expect(Math.cos(fit.bowAngle - at)).toBeCloseTo(1, 9);
        },
      ),
      { seed: 2 },
    );
  });
  it('a nick is neither bow nor ovality: it is what the fit leaves', () => {
    const readings = ring(24, (angle) => 2 * Math.cos(angle));
    readings[7] = (readings[7] ?? 0) + 6;
    expect(fitOf(readings).residual).toBeGreaterThan(1);
  });
});

describe('flow through a valve (IEC 60534-2-1)', () => {
  const water = {
    inlet: 10e5,
    outlet: 8e5,
    vapour: 2339,
    critical: 22.12e6,
    recovery: 0.9,
    relativeDensity: 1,
  };
  const air = {
    inlet: 10e5,
    outlet: 8e5,
    kelvin: 288.15,
    molarMass: 28.96,
    heatRatio: 1.4,
    pressureRatio: 0.72,
    compressibility: 1,
  };
  it('liquid: the flow goes with the root of the difference, until it chokes', () => {
    expect(liquidFlow({ ...water, outlet: 2e5 }).flowPerKv / liquidFlow(water).flowPerKv).toBeCloseTo(2, 9);
    expect(liquidFlow({ ...water, vapour: 9e5, outlet: 1e5 })).toMatchObject({ choked: true });
  });
  it('liquid: a heavier one flows by the root less', () => {
    expect(liquidFlow({ ...water, relativeDensity: 4 }).flowPerKv).toBeCloseTo(
      liquidFlow(water).flowPerKv / 2,
      9,
    );
  });
  it('gas at a small difference flows as a liquid of its density would', () => {
    const service = { ...air, outlet: 9.99e5 };
    const density = (service.inlet * service.molarMass) / (8314.462618 * service.kelvin);
    const normal = (101_325 * service.molarMass) / (8314.462618 * 273.15);
    const asLiquid = (Math.sqrt(0.01 / (density / 1000)) * density) / normal;
    expect(gasFlow(service).normalFlowPerKv / asLiquid).toBeCloseTo(1, 2);
  });
  it('gas: the expansion factor is 1 at rest and 2/3 when choked', () => {
    expect(gasFlow({ ...air, outlet: 9.999999e5 }).expansion).toBeCloseTo(1, 4);
    expect(gasFlow({ ...air, outlet: 1e5 })).toMatchObject({
      choked: true,
      expansion: expect.closeTo(2 / 3, 9),
    });
  });
});
