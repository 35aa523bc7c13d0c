import { describe, expect, it } from 'vitest';
import { wantingOf, type Standing } from '..';

describe('what a shop asks before somebody is planned for a kind of work', () => {
  const rules = [
    { work: 'relief', drills: ['set-it', 'comes-off-next'], witnessed: true },
    { work: 'lathe', drills: [], witnessed: false },
  ] as const;
  const skills = (setIt: Standing) => [
    { drill: 'set-it' as const, standing: setIt },
    { drill: 'comes-off-next' as const, standing: 'holds' as const },
  ];
  it.each([
    ['holds', ['relief'], []],
    ['holds', [], [{ work: 'relief', drills: [], witness: true }]],
    ['faded', ['relief'], [{ work: 'relief', drills: ['set-it'], witness: false }]],
    ['learning', [], [{ work: 'relief', drills: ['set-it'], witness: true }]],
  ] as const)('set it %s, watched at %j', (standing, watched, wanting) => {
    expect(wantingOf<'relief' | 'lathe'>(rules, skills(standing), new Set(watched))).toEqual(wanting);
  });
  it('a rule that asks for nothing withholds nothing', () => {
    expect(wantingOf([rules[1]], [], new Set())).toEqual([]);
  });
});
