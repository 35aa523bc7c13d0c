import { describe, expect, it } from 'vitest';
import { BenchJob } from '../testing/bench';
import { CONSTRUCTION_IDS, defaultValve, type ConstructionId } from '../valve';
import { energiesOf, pointsOf, usualLine, type EnergyKind } from '.';

/**
 * What the handbook (parts 1 and 2) asks of each construction before its first joint, held against the points and
 * energies of its usual line. Common practice.
 */
interface Wanted {
  readonly points: readonly string[];
  readonly energies: readonly EnergyKind[];
  /** What stays loaded until the strip, in the words of the trade. */
  readonly held?: RegExp;
}

const BOTH_SIDES = ['block.upstream', 'block.downstream', 'vent.upstream', 'vent.downstream'];
const PRESSURES: EnergyKind[] = ['upstream pressure', 'downstream pressure'];
const AIR = ['air', 'signal'];
const AIRS: EnergyKind[] = ['supply air', 'signal air'];
const CONTROL = ['bypass', ...BOTH_SIDES, ...AIR];

const WANTED: Readonly<Record<ConstructionId, Wanted>> = {
  'globe-bolted': { points: BOTH_SIDES, energies: PRESSURES },
  // Valve about half open, then the gland slackened slowly to vent what is trapped.
  'globe-yoke-clamp': { points: [...BOTH_SIDES, 'half-open'], energies: PRESSURES },
  'gate-wedge': { points: [...BOTH_SIDES, 'half-open'], energies: [...PRESSURES, 'cavity pressure'] },
  // Bleed body pressure through the bonnet grease fitting, then close fully.
  'gate-slab-unitised': {
    points: [...BOTH_SIDES, 'body-bleed', 'close'],
    energies: [...PRESSURES, 'cavity pressure'],
  },
  'plug-lubricated': { points: [...BOTH_SIDES, 'half-open'], energies: [...PRESSURES, 'cavity pressure'] },
  // Repacked with its actuator left on: that has its air.
  'plug-eccentric': { points: CONTROL, energies: [...PRESSURES, ...AIRS] },
  // All cover bolts but two opposing, the cover clamped: there is a spring under it.
  // No block stands between a pump and the valve that protects it: the drive is locked out.
  'check-recirculation': {
    points: [
      'pump',
      ...BOTH_SIDES.map((point) => (point === 'block.upstream' ? 'shut-down.upstream' : point)),
    ],
    energies: [...PRESSURES, 'spring'],
    held: /two opposing bolts/,
  },
  'check-swing': { points: BOTH_SIDES, energies: PRESSURES },
  // Depressure, half open to empty the cavity.
  'ball-three-piece': { points: [...BOTH_SIDES, 'half-open'], energies: [...PRESSURES, 'cavity pressure'] },
  'control-globe-double-seat': {
    points: CONTROL,
    energies: [...PRESSURES, ...AIRS, 'spring'],
    held: /adjuster/,
  },
  // Isolate both sides, vent supply and signal.
  'control-balanced-cage': { points: CONTROL, energies: [...PRESSURES, ...AIRS, 'spring'], held: /adjuster/ },
  'control-ball-in-venturi': { points: CONTROL, energies: [...PRESSURES, ...AIRS] },
  'control-rotary-eccentric': {
    points: CONTROL,
    energies: [...PRESSURES, ...AIRS, 'spring'],
    held: /air at mid-travel/,
  },
  'control-butterfly': { points: CONTROL, energies: [...PRESSURES, ...AIRS] },
  // Spring types: back the adjusting screw off first.
  'control-lowpressure-diaphragm': {
    points: CONTROL,
    energies: [...PRESSURES, ...AIRS, 'spring'],
    held: /adjusting screw is backed off first/,
  },
  // Clamped springs are dangerous.
  'control-hygienic-seat': {
    points: [...BOTH_SIDES, ...AIR],
    energies: [...PRESSURES, ...AIRS, 'spring'],
    held: /press before it is freed/,
  },
  'dump-weight-lever': { points: [...BOTH_SIDES, 'weight'], energies: [...PRESSURES, 'weight'] },
  // Range spring fully off first.
  'regulator-self-acting': {
    points: BOTH_SIDES,
    energies: [...PRESSURES, 'spring'],
    held: /screwed fully off before a bolt/,
  },
  'relief-shear-pin': {
    points: ['pump', 'shut-down.upstream', 'vent.upstream'],
    energies: ['upstream pressure'],
  },
  // Power off; coil off.
  'solenoid-pilot': {
    points: [...BOTH_SIDES, 'power'],
    energies: [...PRESSURES, 'electrical', 'spring'],
    held: /cone spring/,
  },
  // Back off the compression screw counting turns.
  'relief-spring': {
    points: ['block.upstream', 'vent.upstream'],
    energies: ['upstream pressure', 'spring'],
    held: /counting turns/,
  },
};

describe.each(CONSTRUCTION_IDS)('%s', (id) => {
  const valve = defaultValve(id);
  const line = usualLine(valve.features);
  const { points, energies, held } = WANTED[id];

  it('has the points of its construction, and no others', () => {
    expect(
      pointsOf(valve, line)
        .map((point) => point.id)
        .toSorted(),
    ).toEqual([...points].toSorted());
  });
  it('has the energies of its construction, and no others', () => {
    expect(
      energiesOf(valve, line)
        .map(({ kind }) => kind)
        .toSorted(),
    ).toEqual([...energies].toSorted());
  });
  it('says what stays loaded and what holds it', () => {
    const words = energiesOf(valve, line).flatMap(({ proof }) => (proof.kind === 'held' ? [proof.how] : []));
    if (held) expect(words.join()).toMatch(held);
    else expect(words).toEqual([]);
  });
  it('hot, its body is cool enough to touch before a spanner is (common practice)', () => {
    const hot = { ...valve, medium: { name: 'Steam', hazards: ['hot' as const] } };
    expect(energiesOf(hot, line).map(({ kind }) => kind)).toContain('heat');
    const job = new BenchJob(hot).workTo('isolate.zero.heat');
    const task = job.step('isolate.zero.heat')?.task;
    if (task?.kind !== 'measure') throw new Error('heat is not measured');
    const what = task.asks[0]?.what ?? '';
    const read = (value: string) =>
      job.send({
        kind: 'take-measurement',
        body: { step: 'isolate.zero.heat', what, value, readBy: 'hand' },
      });
    read('62 °C');
    expect(job.step('isolate.zero.heat')?.status).toBe('ready');
    read('49 °C');
    expect(job.step('isolate.zero.heat')?.status).toBe('done');
  });
  it('every point says why, and what hurts says so', () => {
    for (const point of pointsOf(valve, line)) {
      expect(point.title).toMatch(/^[A-Z]/);
      expect(point.why).toMatch(/[.]$/);
      expect(point.minutes).toBeGreaterThan(0);
      if (/vent|bleed|air/i.test(point.id)) expect(point.caution, point.id).toBeDefined();
    }
  });
});
