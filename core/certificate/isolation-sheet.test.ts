import { describe, expect, it } from 'vitest';
import { say } from '../quantity';
import { usualLine } from '../isolation';
import { BenchJob, DIAL, LAPSED, LEAD, TECHNICIAN } from '../testing/bench';
import { defaultValve, type ConstructionId, type Valve } from '../valve';
import { isolationSheet, type IsolationSheet } from '.';

const UPSTREAM = 'isolate.zero.upstream-pressure';

function sheetOf(job: BenchJob, units: 'US' | 'SI' = 'US'): IsolationSheet {
  const sheet = isolationSheet(job.state, units);
  if (!sheet) throw new Error('there is no sheet');
  return sheet;
}
const read = (job: BenchJob, value: string, readBy: 'hand' | typeof DIAL = 'hand') =>
  job.send({
    kind: 'take-measurement',
    body: { step: UPSTREAM, what: 'pressure upstream', value, readBy },
  });
const at = (step: string, construction: ConstructionId = 'globe-bolted') =>
  new BenchJob(defaultValve(construction)).workTo(step);

describe('the isolation sheet', () => {
  it('a bare valve has none, nor has a job before it is open', () => {
    expect(isolationSheet(new BenchJob(defaultValve(), { place: 'bare' }).state, 'US')).toBeUndefined();
  });

  it('before anything is done it lists every point and every energy, none of them proved', () => {
    const sheet = sheetOf(new BenchJob());
    expect(sheet.points.map(({ title }) => title)).toEqual([
      'Shut, lock and tag the upstream block valve',
      'Shut, lock and tag the downstream block valve',
      'Open the upstream vent and leave it open',
      'Open the downstream vent and leave it open',
    ]);
    expect(sheet.points.every(({ by }) => by === undefined)).toBe(true);
    expect(sheet.energies.map(({ state }) => state)).toEqual(['open', 'open']);
    expect(sheet.stopped).toBe(false);
  });

  it('names who locked what, with lock and tag, and when', () => {
    const [first, second, vent] = sheetOf(at(UPSTREAM)).points;
    expect(first).toMatchObject({ locked: true, tag: 'T 1', by: TECHNICIAN.name });
    expect(first?.lock).not.toBe(second?.lock);
    expect(first?.at).toMatch(/^2026-/);
    expect(vent).toMatchObject({ locked: false, by: TECHNICIAN.name });
    expect(vent?.lock).toBeUndefined();
  });

  it('a reading that is not zero stops it, in the units of whoever reads', () => {
    const job = read(at(UPSTREAM), '41 psig');
    expect(sheetOf(job)).toMatchObject({ stopped: true });
    expect(sheetOf(job).energies[0]).toMatchObject({
      state: 'not at zero',
      reading: '41 psig',
      by: TECHNICIAN.name,
      simulated: false,
    });
    expect(sheetOf(job, 'SI').energies[0]?.reading).toBe('2.83 bar g');
  });

  it('the last reading counts: found and mended, it goes on', () => {
    const job = read(read(at(UPSTREAM), '41 psig'), '0 psig');
    expect(sheetOf(job)).toMatchObject({ stopped: false });
    expect(sheetOf(job).energies[0]?.state).toBe('proved');
  });

  it('an instrument out of calibration proves nothing; a simulated one says so', () => {
    const overdue = read(at(UPSTREAM), '0 psig', LAPSED);
    expect(sheetOf(overdue).energies[0]?.state).toBe('open');
    expect(sheetOf(read(at(UPSTREAM), '0 psig', DIAL)).energies[0]).toMatchObject({
      state: 'proved',
      simulated: true,
    });
  });

  it('two signatures, each with its side; both before the strip', () => {
    const job = at('isolate.sign');
    expect(sheetOf(job).signings[0]?.sides.every(({ by }) => by === undefined)).toBe(true);
    job.send({ kind: 'sign-isolation', body: { step: 'isolate.sign', side: 'checked' } }, LEAD);
    const sides = sheetOf(job).signings[0]?.sides;
    expect(sides?.map(({ words, by }) => `${words}: ${by ?? 'nobody'}`)).toEqual([
      'isolated and proved: nobody',
      `checked at every point: ${LEAD.name}`,
    ]);
  });

  it('taken off, every point that is put back says by whom; the second pair of signatures stands', () => {
    const sheet = sheetOf(at('nothing'));
    expect(sheet.points.every(({ off }) => off?.by === TECHNICIAN.name)).toBe(true);
    expect(sheet.signings.map(({ title }) => title)).toEqual([
      'Two sign the isolation',
      'Two sign the isolation off',
    ]);
    expect(sheet.signings[1]?.sides.map(({ by }) => by)).toEqual([TECHNICIAN.name, LEAD.name]);
  });

  it('a spring that stays loaded is on it, held and not proved', () => {
    const held = sheetOf(at('isolate.line', 'relief-spring')).energies.filter(
      ({ state }) => state === 'held',
    );
    expect(held.map(({ how }) => how).join()).toMatch(/compression screw/);
  });

  it('says how the valve stands: what shuts each side, bypass, air', () => {
    const words = sheetOf(at('isolate.line', 'control-globe-double-seat')).stands.join('; ');
    expect(words).toMatch(/Upstream: one block valve, vented/);
    expect(words).toMatch(/Process on the bypass/);
    expect(words).toMatch(/signal pneumatic/);
  });

  it('what is stored between the blocks is on it in figures (ASME PCC-2 art. 501)', () => {
    const usual = defaultValve();
    const valve: Valve = {
      ...usual,
      medium: {
        name: 'Gas',
        hazards: ['flammable'],
        pressure: { dimension: 'gauge pressure', value: 7, unit: 'MPa g' },
      },
    };
    const job = new BenchJob(valve).workTo('isolate.line').send({
      kind: 'draw-line',
      body: { step: 'isolate.line', line: { ...usualLine(usual.features), trapped: '20 L' } },
    });
    const [stored = ''] = sheetOf(job, 'SI').stored;
    expect(stored).toMatch(/^[\d.]+ kJ shut in/);
    expect(Number.parseFloat(stored)).toBeCloseTo(250, 0);
    expect(say(job.step('isolate.line')?.why ?? '', 'SI')).toContain(`Stored: ${stored}`);
  });

  it('a lead who takes off another’s lock is named with the reason in the log', () => {
    const job = at('restore.block.upstream');
    job.send(
      {
        kind: 'remove-lock',
        body: { step: 'restore.block.upstream', reason: 'sent home ill; called, agrees' },
      },
      LEAD,
    );
    expect(sheetOf(job).points[0]?.off?.by).toBe(LEAD.name);
    expect(job.state.records['lock-removed'].at(-1)?.body.reason).toMatch(/agrees/);
  });
});
