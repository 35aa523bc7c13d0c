import { describe, expect, it } from 'vitest';
import { strokeVerdicts } from '../../task';
import { quantity, valueIn } from '../../quantity';
import { defaultValve } from '../../valve';
import { PLANTED_FAULTS, type PlantedFault } from '../sick-valve/planted-fault';
import { plantOf } from './plant-of';

const WELL = { zero: 0, span: 0, balance: 0 };
const VALVE = defaultValve('control-globe-double-seat');
/** A stroke test of five points as the bench runs it. */
function stroked(fault?: PlantedFault) {
  const plant = plantOf(VALVE, WELL, undefined, fault);
  const at = (signal: number) => {
    plant.signal = signal / 100;
    plant.run(14);
    return quantity('ratio', plant.travel * 100, '%');
  };
  const signals = [0, 25, 50, 75, 100];
  const [up, down] = [signals.map(at), signals.toReversed().map(at).toReversed()];
  const none = quantity('ratio', Number.NaN, '%');
  const points = signals.map((signal, i) => ({
    signal: quantity('ratio', signal, '%'),
    up: up[i] ?? none,
    down: down[i] ?? none,
  }));
  const verdicts = strokeVerdicts(points, 'positioner') ?? [];
  return new Map(verdicts.map(({ label, found, fits }) => [label, { found: valueIn(found, '%'), fits }]));
}
const sound = stroked();

describe('faults as a stroke shows them (common practice)', () => {
  it('a sound valve comes back as it went, and stands within 2 %, before anybody has set it', () => {
    expect(sound.get('hysteresis and dead band')?.fits).toBe(true);
    expect(Math.abs(sound.get('largest error')?.found ?? Number.NaN)).toBeLessThan(2);
  });
  it.each(['packing too tight', 'guides galled'] as const)('%s: up and down come apart', (fault) => {
    const apart = stroked(fault).get('hysteresis and dead band');
    expect(apart?.found).toBeGreaterThan(2 * (sound.get('hysteresis and dead band')?.found ?? 0));
  });
  it.each(['debris', 'closed stop out', 'lock engaged', 'signal lost', 'supply low'] as const)(
    '%s: it does not get all the way',
    (fault) => {
      const found = stroked(fault);
      expect(found.get('largest error')?.fits).toBe(false);
      expect(found.get('span')?.found).toBeLessThan(-5);
    },
  );
  it('positioner out of set: zero and span are off, and no fault of the valve', () => {
    const found = stroked('positioner out of set');
    expect(found.get('zero')?.fits).toBe(false);
    expect(found.get('span')?.fits).toBe(false);
  });
  it('what only leaks shows in no stroke', () => {
    for (const fault of ['seat worn', 'soft seat cut', 'balance seal leaks'] as const)
      expect(stroked(fault)).toEqual(sound);
  });
  it('every fault of the finder can be put in it', () => {
    for (const fault of PLANTED_FAULTS)
      expect(() => plantOf(VALVE, WELL, undefined, fault).run(1)).not.toThrow();
  });
});
