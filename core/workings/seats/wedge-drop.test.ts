import { describe, expect, it } from 'vitest';
import { ask, refusal } from '../../testing/ask';

describe('seat.wedge-drop (geometry; wear travel by API 600, handbook part 5.10)', () => {
  it.each([
    ['10 thou', '5°', 0.114737],
    ['1 mm', '5°', 0.451721],
    ['10 thou', '3°', 0.191073],
  ])('%s at %s sinks %d in', (removed, halfAngle, sink) => {
    expect(ask('seat.wedge-drop', { removed, halfAngle }).in('sink', 'in')).toBeCloseTo(sink, 6);
  });
  it.each([
    ['10 thou', undefined, 'fit'],
    ['11.3 thou', undefined, 'fit'],
    ['11.4 thou', undefined, 'renew'],
    ['10 thou', '0.02 in', 'renew'],
  ])('NPS 6 has 0.13 in: %s off, sunk %s already: %s', (removed, alreadySunk, verdict) => {
    const asked = ask('seat.wedge-drop', { removed, size: 'NPS 6', ...(alreadySunk ? { alreadySunk } : {}) });
    expect(asked.result['verdict']).toBe(verdict);
  });
  it('what is left of a travel that was measured', () => {
    const asked = ask('seat.wedge-drop', { removed: '5 thou', wearTravel: '0.1 in', alreadySunk: '0.02 in' });
    expect(asked.in('left', 'in')).toBeCloseTo(0.1 - 0.02 - 0.0573686, 6);
  });
  it('nothing known of the travel: ask', () => {
    const asked = ask('seat.wedge-drop', { removed: '5 thou' });
    expect(asked.result['verdict']).toBe('ask');
    expect(asked.result['left']).toBeUndefined();
  });
  it.each([
    [{ removed: '5 thou', wearTravel: '0.1 in', size: 'NPS 6' }, 'input.conflict'],
    [{ removed: '5 thou', halfAngle: '60°' }, 'input.conflict'],
    [{ removed: '-5 thou' }, 'input.invalid'],
  ])('refuses %j', (raw, code) => {
    expect(refusal('seat.wedge-drop', raw).code).toBe(code);
  });
});

describe('seat.rings', () => {
  it.each([
    ['4.06 in', '4 in', 'bonnet', 'upper', 'fit'],
    ['4 in', '4.06 in', 'blind head', 'lower', 'fit'],
    ['4 in', '4.06 in', 'bonnet', 'lower', 'ask'],
    ['4 in', '4 in', 'bonnet', 'neither', 'ask'],
  ])(
    '%s over %s, plug out through the %s: %s, %s (the larger next to the opening: handbook part 6.7)',
    (upper, lower, opening, larger, verdict) => {
      expect(ask('seat.rings', { upper, lower, opening }).result).toMatchObject({ larger, verdict });
    },
  );
  it('says by how much', () => {
    expect(
      ask('seat.rings', { upper: '4.06 in', lower: '4 in', opening: 'bonnet' }).in('difference', 'thou'),
    ).toBeCloseTo(60, 6);
  });
});
