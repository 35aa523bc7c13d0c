import { describe, expect, it } from 'vitest';
import { valueIn } from '../../quantity';
import { valveReplacement } from './valve-replacement';

const asked = {
  pressure: '16 bar g',
  temperature: '240 °C',
  oldType: 'globe',
  newType: 'globe',
  oldSize: 'NPS 3',
  newSize: 'NPS 3',
  oldClass: '300',
  newClass: '300',
  newGroup: '1.1',
  oldFacing: 'raised face',
  newFacing: 'raised face',
  oldFaceToFace: '12 1/2 in',
  newFaceToFace: '12 1/2 in',
  oldFails: 'no actuator',
  newFails: 'no actuator',
};
const answer = (change: Partial<Record<keyof typeof asked, string>> = {}) => {
  const worked = valveReplacement.work(valveReplacement.input.parse({ ...asked, ...change }));
  if (!worked.ok) throw new Error(worked.problem.code);
  return worked.value;
};

describe('a replacement valve (handbook part 2, gate-wedge; part 4)', () => {
  it('same type, rating, flange, facing, face-to-face and fail action: acceptable, each line with its figure', () => {
    const { result, steps } = answer();
    expect(result).toMatchObject({ verdict: 'acceptable', stops: [] });
    expect(steps).toHaveLength(7);
  });
  it('class 300 WCB at 500 °F carries 605 psig (ASME B16.34, handbook part 3)', () => {
    expect(valueIn(answer({ temperature: '500 °F' }).result.rated, 'psig')).toBeCloseTo(605, 6);
  });
  it('a lower rating at service temperature stops it, by its figure', () => {
    const { result } = answer({ newClass: '150', oldClass: '150' });
    expect(result.verdict).toBe('stop');
    expect(result.stops.join()).toMatch(/Rating at service/);
  });
  it.each([
    [{ newType: 'ball' }, /Type: ball, where globe is wanted/],
    [{ newSize: 'NPS 4' }, /Flange size/],
    [{ newClass: '600' }, /Flange class: 600, where 300/],
    [{ newFacing: 'ring joint' }, /Facing/],
    [{ newFaceToFace: '12.6 in' }, /Face-to-face/],
    [{ newFails: 'open' }, /Fail action/],
  ] as const)('%j stops it', (change, words) => {
    const { result } = answer(change);
    expect(result.verdict).toBe('stop');
    expect(result.stops.join('; ')).toMatch(words);
  });
  it('a sixteenth of an inch either way still goes between the flanges', () => {
    expect(answer({ newFaceToFace: '12 9/16 in' }).result.verdict).toBe('acceptable');
    expect(answer({ newFaceToFace: '12 5/8 in' }).result.verdict).toBe('stop');
  });
  it('the higher rating of a better steel at the same class is taken', () => {
    expect(answer({ newGroup: '1.2' }).result.verdict).toBe('acceptable');
  });
});
