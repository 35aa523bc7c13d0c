import { describe, expect, it } from 'vitest';
import { defaultValve, type ConstructionId } from '../valve';
import {
  CAUSES,
  checkOf,
  findFault,
  priorsOf,
  SYMPTOMS,
  symptomsOf,
  type CauseId,
  type CheckId,
  type Evidence,
  type SymptomId,
} from '.';

/** Answers by their words, so that a case reads as it was found. */
const saw = (check: CheckId, words: string): Evidence => {
  const result = checkOf(check).results.indexOf(words);
  if (result < 0) throw new Error(`${check} has no answer “${words}”`);
  return { check, result };
};
const features = (id: ConstructionId) => defaultValve(id).features;

/** What the handbook's table (part 4) says of each trouble, as a technician would find it. Common practice. */
const CASES: readonly (readonly [ConstructionId, SymptomId, readonly Evidence[], CauseId])[] = [
  [
    'control-globe-double-seat',
    'gland leaks',
    [saw('gland nuts', 'slack'), saw('gland look', 'room left, stem clean')],
    'gland slack',
  ],
  [
    'control-globe-double-seat',
    'gland leaks',
    [saw('gland nuts', 'tight'), saw('gland look', 'bottomed'), saw('lubricate', 'leaks on')],
    'packing used up',
  ],
  [
    'control-globe-double-seat',
    'gland leaks',
    [saw('gland nuts', 'tight'), saw('gland look', 'stem scored')],
    'stem scored',
  ],
  [
    'control-globe-double-seat',
    'gland leaks',
    [saw('gland nuts', 'tight'), saw('gland look', 'room left, stem clean'), saw('lubricate', 'holds')],
    'packing dry',
  ],
  ['regulator-self-acting', 'creeps', [saw('flush', 'leaks less')], 'debris'],
  ['regulator-self-acting', 'creeps', [saw('flush', 'leaks the same')], 'seat worn'],
  [
    'dump-weight-lever',
    'dump stays open',
    [saw('lever', 'moved'), saw('listen shut', 'silent')],
    'weight moved',
  ],
  [
    'dump-weight-lever',
    'dump stays open',
    [saw('lever', 'in its place'), saw('needle valve', 'nothing'), saw('pot off', 'breathes')],
    'pot blocked',
  ],
  [
    'dump-weight-lever',
    'dump stays open',
    [saw('needle valve', 'nothing'), saw('pot off', 'does not')],
    'hole blocked',
  ],
  [
    'dump-weight-lever',
    'dump stays open',
    [saw('listen shut', 'passes still'), saw('flush', 'leaks the same'), saw('lever', 'in its place')],
    'seat worn',
  ],
  [
    'solenoid-pilot',
    'solenoid stuck',
    [saw('coil', 'does not'), saw('pilot breath', 'does not')],
    'armature stuck',
  ],
  [
    'solenoid-pilot',
    'solenoid stuck',
    [saw('coil', 'clicks'), saw('pilot breath', 'does not')],
    'pilot orifice dirty',
  ],
  [
    'solenoid-pilot',
    'solenoid stuck',
    [saw('coil', 'clicks'), saw('pilot breath', 'breathes'), saw('light', 'blocked')],
    'equalising orifice blocked',
  ],
  [
    'solenoid-pilot',
    'solenoid stuck',
    [saw('coil', 'clicks'), saw('pilot breath', 'breathes'), saw('light', 'light through')],
    'pilot diaphragm torn',
  ],
  ['relief-spring', 'weeps', [saw('margin', 'too close')], 'runs near set'],
  ['relief-spring', 'weeps', [saw('margin', 'margin left'), saw('seat flush', 'tight')], 'debris'],
  [
    'relief-spring',
    'weeps',
    [saw('margin', 'margin left'), saw('seat flush', 'weeps on'), saw('piping strain', 'changes')],
    'misaligned',
  ],
  [
    'relief-spring',
    'weeps',
    [
      saw('margin', 'margin left'),
      saw('seat flush', 'weeps on'),
      saw('flush', 'leaks the same'),
      saw('piping strain', 'the same'),
    ],
    'seat worn',
  ],
  [
    'control-globe-double-seat',
    'no motion',
    [saw('supply', 'holds'), saw('signal', 'full'), saw('locks', 'engaged')],
    'lock engaged',
  ],
  ['control-butterfly', 'no motion', [saw('supply', 'holds'), saw('signal', 'low')], 'signal lost'],
  [
    'control-rotary-eccentric',
    'half travel',
    [saw('supply', 'holds'), saw('breather', 'blows'), saw('actuator', 'not there')],
    'diaphragm torn',
  ],
  [
    'control-ball-in-venturi',
    'sluggish',
    [saw('breather', 'blows'), saw('seals', 'tight')],
    'piston ring leaks',
  ],
  ['control-ball-in-venturi', 'sluggish', [saw('seals', 'bubbles')], 'cylinder seals leak'],
  [
    'control-butterfly',
    'no motion',
    [saw('actuator', 'not there'), saw('trip solenoid', 'dead or blowing')],
    'trip solenoid shut',
  ],
  [
    'control-butterfly',
    'passes when shut',
    [saw('flush', 'leaks the same'), saw('answers', 'does not')],
    'pin sheared',
  ],
  ['control-butterfly', 'passes when shut', [saw('shaft mark', 'short or past')], 'closed stop out'],
  [
    'check-recirculation',
    'passes when shut',
    [saw('drops', 'hangs'), saw('flush', 'leaks the same')],
    'insert stiff',
  ],
  ['plug-lubricated', 'passes when shut', [saw('sealant', 'leaks less')], 'sealant used up'],
  [
    'control-balanced-cage',
    'passes when shut',
    [saw('flush', 'leaks the same'), saw('opened', 'seal cut or hard')],
    'balance seal leaks',
  ],
  ['control-balanced-cage', 'passes when shut', [saw('opened', 'gasket tracked')], 'seat gasket leaks'],
  ['ball-three-piece', 'passes when shut', [saw('opened', 'soft seat cut')], 'soft seat cut'],
  [
    'control-globe-double-seat',
    'half travel',
    [saw('actuator', 'not there'), saw('feedback', 'slipped')],
    'positioner out of set',
  ],
  ['control-rotary-eccentric', 'half travel', [saw('output gauge', 'actuator lower')], 'tubing leaks'],
  ['control-rotary-eccentric', 'gland leaks', [saw('play', 'moves')], 'bushing worn'],
  ['control-globe-double-seat', 'hunting', [saw('manual', 'stands still')], 'oversize or process'],
  [
    'control-globe-double-seat',
    'hunting',
    [saw('manual', 'still swings'), saw('gain', 'steadies')],
    'gain too high',
  ],
];

describe('what the answers say', () => {
  it.each(CASES)('%s, %s: %j is %s', (construction, symptom, evidence, cause) => {
    const { suspects } = findFault({ symptom, features: features(construction), evidence });
    expect(suspects[0]?.cause).toBe(cause);
    expect(suspects[0]?.chance).toBeGreaterThan(0.5);
  });
  it('every symptom of the handbook is in a case, and so is every cause that only one symptom has', () => {
    expect(new Set(CASES.map(([, symptom]) => symptom)).size).toBeGreaterThanOrEqual(9);
    const told = new Set(CASES.map(([, , , cause]) => cause));
    const once = (Object.keys(CAUSES) as CauseId[]).filter(
      (cause) => Object.values(SYMPTOMS).filter(({ causes }) => cause in causes).length === 1,
    );
    const control: readonly CauseId[] = ['coupled short', 'bottom guide blocked', 'bench set wrong'];
    expect(once.filter((cause) => !told.has(cause) && !control.includes(cause))).toEqual([]);
  });
});

describe('which valve can show what', () => {
  it.each([
    ['globe-bolted', ['passes when shut', 'gland leaks']],
    ['relief-spring', ['weeps']],
    ['regulator-self-acting', ['creeps']],
    ['relief-shear-pin', ['passes when shut']],
  ] as const)('%s: %j', (construction, symptoms) => {
    expect(symptomsOf(features(construction)).toSorted()).toEqual([...symptoms].toSorted());
  });
  it('a solenoid valve has its own, a dump valve its own', () => {
    expect(symptomsOf(features('solenoid-pilot'))).toContain('solenoid stuck');
    expect(symptomsOf(features('dump-weight-lever'))).toContain('dump stays open');
    expect(symptomsOf(features('gate-wedge'))).not.toContain('half travel');
  });
  it('a piston has no diaphragm to tear, a diaphragm no piston ring', () => {
    expect([...priorsOf('sluggish', features('control-ball-in-venturi')).keys()]).not.toContain(
      'diaphragm torn',
    );
    expect([...priorsOf('sluggish', features('control-globe-double-seat')).keys()]).not.toContain(
      'piston ring leaks',
    );
  });
  it('cheap looks come before anything is touched: the first check of every symptom takes nothing off', () => {
    for (const [construction, symptom] of CASES) {
      const { next } = findFault({ symptom, features: features(construction), evidence: [] });
      expect(next && checkOf(next.check).invasive, `${construction} ${symptom}`).toBeLessThan(3);
    }
  });
});
