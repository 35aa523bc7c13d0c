import { describe, expect, it } from 'vitest';
import { PLANTED_FAULTS, sickValve, type PlantedFault } from '../simulation';
import { CONSTRUCTION_IDS, defaultValve, featuresSchema, type Features } from '../valve';
import { CAUSES, CHECK_IDS, checkOf, checksFor, priorsOf, symptomsOf, type CheckId, type SymptomId } from '.';

const double = defaultValve('control-globe-double-seat').features;
const shutBy = (action: 'air-to-open' | 'air-to-close'): Features =>
  featuresSchema.parse({ ...double, moved: { ...double.moved, action } });
const SEEDS = Array.from({ length: 20 }, (_, i) => i + 1);

const piston = defaultValve('control-ball-in-venturi').features;

/** How often a check says of a valve with this fault and symptom what its table says it would, over the seeds. */
function agreement(check: CheckId, fault: PlantedFault, features: Features, symptom: SymptomId): number {
  const { read, shows } = checkOf(check);
  const says = SEEDS.filter(
    (seed) => read?.(sickValve(fault, seed, features, symptom)) === (shows[fault] ?? 0),
  );
  return says.length / SEEDS.length;
}

describe('what a check shows is what the gauges of such a valve do (a simulated valve, 20 of a kind)', () => {
  const kinds = { 'air shuts': shutBy('air-to-close'), 'a spring shuts': shutBy('air-to-open'), piston };
  for (const [kind, features] of Object.entries(kinds))
    for (const symptom of symptomsOf(features)) {
      const causes = priorsOf(symptom, features);
      const faults = PLANTED_FAULTS.filter((fault) => causes.has(fault));
      const checks = checksFor(features, symptom).filter((check) => checkOf(check).read);
      if (faults.length === 0) continue;
      it.each(checks)(`${kind}, ${symptom}: %s`, (check) => {
        for (const fault of faults)
          expect(agreement(check, fault, features, symptom), `on ${fault}`).toBeGreaterThanOrEqual(0.8);
      });
    }
  it('what shuts the valve decides what keeps it off its mark: friction for a spring, want of air for air', () => {
    const offered = (action: 'air-to-open' | 'air-to-close') => checksFor(shutBy(action), 'sluggish');
    expect(offered('air-to-open')).toContain('shut mark');
    expect(offered('air-to-open')).not.toContain('shut mark by air');
    expect(offered('air-to-close')).toContain('shut mark by air');
    expect(checkOf('shut mark').shows).toHaveProperty(['packing too tight']);
    expect(checkOf('shut mark by air').shows).not.toHaveProperty(['packing too tight']);
    expect(checkOf('shut mark by air').shows).toHaveProperty(['supply low']);
  });
});

describe('the table of checks', () => {
  it.each(CHECK_IDS)('%s: causes that exist, results that it has, minutes that pass', (id) => {
    const { shows, results, minutes, invasive, sure, title, how } = checkOf(id);
    for (const [cause, result] of Object.entries(shows)) {
      expect(CAUSES).toHaveProperty([cause]);
      expect(results[result]).toBeDefined();
      expect(result).toBeGreaterThanOrEqual(0);
    }
    expect(new Set(results).size).toBe(results.length);
    expect(minutes).toBeGreaterThan(0);
    expect([0, 1, 2, 3]).toContain(invasive);
    expect(sure).toBeGreaterThan(0.5);
    expect(sure).toBeLessThan(1);
    expect(title.length).toBeGreaterThan(5);
    expect(how.length).toBeGreaterThan(5);
  });
  it('looking comes before touching: what only looks never takes longer than what takes something off', () => {
    const minutesOf = (grade: number) =>
      CHECK_IDS.map(checkOf)
        .filter(({ invasive }) => invasive === grade)
        .map(({ minutes }) => minutes);
    const mean = (all: number[]) => all.reduce((sum, each) => sum + each, 0) / all.length;
    expect(mean(minutesOf(0))).toBeLessThan(mean(minutesOf(2)));
    expect(Math.max(...minutesOf(0))).toBeLessThan(Math.max(...minutesOf(2), ...minutesOf(3)));
  });
  it('every cause of a symptom can be told from another by some check, where the valve has it (handbook part 4)', () => {
    for (const id of CONSTRUCTION_IDS) {
      const { features } = defaultValve(id);
      for (const symptom of symptomsOf(features)) {
        expect(checksFor(features, symptom).length, `${id}: ${symptom}`).toBeGreaterThan(0);
      }
    }
  });
  it('a valve without air is offered no gauge of air', () => {
    const gate = defaultValve('gate-wedge').features;
    const offered = symptomsOf(gate).flatMap((symptom) => checksFor(gate, symptom));
    for (const check of ['signal', 'actuator', 'bench set'] as const) expect(offered).not.toContain(check);
  });
});
