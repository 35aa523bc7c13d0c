import { describe, expect, it } from 'vitest';
import { USUAL_RULES, type SiteRules } from '../inspection';
import { psig } from '../quantity';
import { BenchJob, INSPECTOR, SECOND, TECHNICIAN } from '../testing/bench';
import { defaultValve } from '../valve';

const PIN = {
  'diameter of the shear pin': '0.188 in',
  'pins fitted': '1 piece',
  'set pressure in the pin table': '3000 psig',
};
const valve = () => {
  const pump = defaultValve('relief-shear-pin');
  return { ...pump, plate: { ...pump.plate, setPressure: psig(3000) } };
};
const bench = () => new BenchJob(valve(), { place: 'bare' }).workTo('setup.pin-read');
function take(job: BenchJob, step: string, figures: Readonly<Record<string, string>>, by = TECHNICIAN) {
  for (const [what, value] of Object.entries(figures))
    job.send({ kind: 'take-measurement', body: { step, what, value, readBy: 'hand' } }, by);
  return job.step(step)?.status;
}

describe('a shear pin is read by two people (handbook part 6.6)', () => {
  it('a pin of another pressure than the pump is protected at is not read away', () => {
    const job = bench();
    expect(take(job, 'setup.pin-read', { ...PIN, 'set pressure in the pin table': '3500 psig' })).toBe(
      'ready',
    );
    expect(take(job, 'setup.pin-read', PIN)).toBe('done');
  });
  it('who read it first does not read it again', () => {
    const job = bench();
    take(job, 'setup.pin-read', PIN);
    const refused = job.try({
      kind: 'take-measurement',
      body: { step: 'setup.pin-check', what: 'pins fitted', value: '1 piece', readBy: 'hand' },
    });
    expect(refused).toMatchObject({ code: 'reading.own', person: TECHNICIAN.name });
    expect(take(job, 'setup.pin-check', PIN, SECOND)).toBe('done');
  });
  it.each([
    ['diameter of the shear pin', '0.219 in'],
    ['pins fitted', '2 piece'],
  ])('both must read the same: %s read as %s keeps it open', (what, value) => {
    const job = bench();
    take(job, 'setup.pin-read', PIN);
    expect(take(job, 'setup.pin-check', { ...PIN, [what]: value }, SECOND)).toBe('ready');
  });
});

describe('a relief valve is sealed (handbook part 6.6)', () => {
  const whole =
    'number of the seal: 4471; sealed by, and by what authority: J. V., repairer 12; gag and test plugs out, how many: 1';
  const seal = (note: string, by = INSPECTOR, site?: SiteRules) => {
    const relief = defaultValve('relief-spring');
    const job = new BenchJob(relief, { place: 'bare', ...(site ? { site } : {}) }).workTo('test.seal');
    return job.try({ kind: 'do-step', body: { step: 'test.seal', note } }, by);
  };
  it('with its number, by whom and by what authority, and what of gags is out', () => {
    expect(seal(whole)).toBeUndefined();
    expect(seal('number of the seal: 4471')).toMatchObject({ code: 'step.wants' });
  });
  it('by a lead or an inspector, unless the site lets anybody; and whoever seals may still witness its test', () => {
    expect(seal(whole, TECHNICIAN)).toMatchObject({ code: 'role.not-allowed' });
    expect(seal(whole, TECHNICIAN, { ...USUAL_RULES, sealedBy: 'anybody' })).toBeUndefined();
    const job = new BenchJob(defaultValve('relief-spring'), { place: 'bare' }).workTo('nothing');
    const sealed = job.state.records['step-done'].find(({ body }) => body.step.id === 'test.seal');
    expect(sealed?.by.role).toBe('inspector');
    expect(job.state.records['hold-released'].at(-1)?.by.id).toBe(sealed?.by.id);
  });
});
