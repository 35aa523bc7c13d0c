import { describe, expect, it } from 'vitest';
import { say } from '../quantity';
import { BenchJob } from '../testing/bench';
import { CONSTRUCTION_IDS, defaultValve, type ConstructionId, type PartRole } from '../valve';

/** Cautions stand at the step where the harm is done (handbook part 1). Common practice. */
const stepsOf = (id: ConstructionId) => new BenchJob(defaultValve(id)).plan().steps;
const takingOff = (id: ConstructionId, part: PartRole) =>
  stepsOf(id).filter((step) => step.stage === 'strip' && step.off.includes(part));

describe('a loaded spring', () => {
  it.each<[ConstructionId, PartRole]>([
    ['check-recirculation', 'cover bolts'],
    ['control-globe-double-seat', 'actuator cover'],
    ['control-balanced-cage', 'actuator cover'],
    ['control-lowpressure-diaphragm', 'adjusting screw'],
    ['control-lowpressure-diaphragm', 'bonnet bolts'],
    ['control-hygienic-seat', 'cylinder'],
    ['control-hygienic-seat', 'locking wire'],
    ['regulator-self-acting', 'range spring'],
    ['relief-spring', 'compression screw'],
    ['control-rotary-eccentric', 'spring barrel'],
  ])('%s: taking off the %s warns of it', (id, part) => {
    const steps = takingOff(id, part);
    expect(steps).toHaveLength(1);
    expect(steps[0]?.caution).toMatch(/spring|press/i);
  });
});

describe('something heavy', () => {
  it.each<[ConstructionId, PartRole]>([
    ['globe-bolted', 'bonnet'],
    ['gate-wedge', 'bonnet'],
    ['gate-slab-unitised', 'bonnet'],
    ['control-balanced-cage', 'bonnet'],
    ['control-balanced-cage', 'actuator'],
    ['control-ball-in-venturi', 'bonnet'],
    ['control-ball-in-venturi', 'actuator'],
    ['dump-weight-lever', 'housing'],
    ['relief-spring', 'bonnet'],
    ['check-recirculation', 'cover'],
  ])('%s: the %s is lifted straight, and rigged', (id, part) => {
    expect(takingOff(id, part)[0]?.caution).toMatch(/[Ll]ift straight up|[Rr]ig/);
  });
});

describe('a joint', () => {
  const joints: readonly [ConstructionId, PartRole][] = [
    ['globe-bolted', 'bonnet studs'],
    ['gate-slab-unitised', 'bonnet studs'],
    ['plug-lubricated', 'cap bolts'],
    ['check-recirculation', 'cover bolts'],
    ['check-swing', 'cover bolts'],
    ['ball-three-piece', 'body bolts'],
    ['control-globe-double-seat', 'blind head studs'],
    ['dump-weight-lever', 'bonnet bolts'],
  ];
  it.each(joints)('%s: %s loosened with two opposing kept, or zero proved again', (id, part) => {
    const [step] = takingOff(id, part);
    expect(`${step?.title ?? ''} ${step?.caution ?? ''}`).toMatch(/two opposing|zero pressure/);
  });
  it.each(joints)('%s: %s go back by torque, in passes', (id, part) => {
    const back = stepsOf(id).filter((step) => step.stage === 'rebuild' && step.on.includes(part));
    expect(back.map(({ task }) => task.kind)).toEqual(['bolt-up']);
    expect(back[0]?.caution).toMatch(/cheater bar/);
  });
});

describe('air', () => {
  it.each<ConstructionId>([
    'control-globe-double-seat',
    'control-balanced-cage',
    'control-ball-in-venturi',
    'control-rotary-eccentric',
    'control-butterfly',
    'control-lowpressure-diaphragm',
    'control-hygienic-seat',
  ])('%s: supply and signal are vented before the strip, and fingers are out when it strokes', (id) => {
    const steps = stepsOf(id);
    const vented = steps.findIndex((step) => step.id === 'isolate.air');
    expect(vented).toBeGreaterThanOrEqual(0);
    expect(vented).toBeLessThan(steps.findIndex(({ off }) => off.length > 0));
    const stroked = steps.filter((step) => step.stage === 'set up' && /stroke|cycle/i.test(step.title));
    expect(stroked.some(({ caution }) => /fingers/.test(caution ?? ''))).toBe(true);
  });
});

describe.each(CONSTRUCTION_IDS)('%s', (id) => {
  const steps = stepsOf(id);
  it('says under whose rules: permit before the line is opened and before it is handed back', () => {
    expect(steps.find((step) => step.id === 'isolate.line')?.caution).toMatch(/permit/);
    expect(steps.find((step) => step.id === 'release.place')?.caution).toMatch(/permit/);
  });
  it('every title and reason is a plain sentence, and no step takes no time', () => {
    for (const step of steps) {
      expect(step.title, step.id).toMatch(/^[A-Z0-9]/);
      expect(step.title, step.id).not.toMatch(/undefined|\s{2}|\.$/);
      expect(say(step.why, 'SI'), step.id).toMatch(/[.?!]$/);
      expect(step.minutes, step.id).toBeGreaterThan(0);
    }
  });
  it('says nothing in inches, pounds or degrees Fahrenheit to whoever reads SI', () => {
    const US = /\d\s?(in|thou|ft|psi|psig|psia|lbf|lbf·ft|lbf·in|ft-lb|lb|gpm|°F)(?![\w’'])/;
    const said = steps.map(
      ({ id: step, title, why, because, caution = '' }) =>
        `${step}: ${title} ${say(why, 'SI')} ${say(because.text, 'SI')} ${caution}`,
    );
    expect(said.filter((words) => US.test(words))).toEqual([]);
  });
  it('is witnessed twice, by somebody who did not do the work', () => {
    const holds = steps.filter(({ task }) => task.kind === 'hold');
    expect(holds.map((step) => step.id)).toEqual(['hold.contact', 'hold.test']);
    const rebuilt = steps.findIndex(({ stage }) => stage === 'rebuild');
    expect(steps.findIndex((step) => step.id === 'hold.contact')).toBeLessThan(rebuilt);
  });
});
