import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { inches, say, thou, type Length } from '../quantity';
import { defaultValve, type PartRole, type Valve } from '../valve';
import { stemRunout } from '../workings';
import {
  callOnFinding,
  callOnPolicy,
  callOnRunout,
  findingSchema,
  stemLimit,
  wordReason,
  USUAL_RULES,
  type Finding,
  type SiteRules,
} from '.';

/** The judgement calls of handbook part 4, one by one. */
const valve = defaultValve();
const withSeat = (seat: Partial<Valve['features']['seat']>): Valve => ({
  ...valve,
  features: { ...valve.features, seat: { ...valve.features.seat, ...seat } as Valve['features']['seat'] },
});
const call = (part: PartRole, finding: Finding, on: Valve = valve, site: SiteRules = USUAL_RULES) =>
  callOnFinding({ part, valve: on, site }, finding);
const damage = (depth: Length): Finding => ({ kind: 'seat damage', form: 'wire drawn', depth });

describe('seat and disc by the depth of the damage (handbook parts 3 and 4)', () => {
  it.each([
    [0.001, 'grind in'],
    [0.002, 'grind in'],
    [0.005, 'reface and lap'],
    [0.01, 'reface and lap'],
    [0.02, 'lathe and lap'],
  ])('%d in: %s', (depth, method) => {
    expect(call('seat', damage(inches(depth)))).toMatchObject({ verdict: 'rework', method });
    expect(call('disc', damage(inches(depth)))).toMatchObject({ verdict: 'rework', method });
  });
  it('the reason has the depth and the limit in it, and says them as it is read', () => {
    const { reason } = call('seat', damage(inches(0.001)));
    expect(reason).toEqual({ code: 'within grinding', depth: inches(0.001), to: USUAL_RULES.grindInTo });
    expect(say(wordReason(reason), 'US')).toMatch(/^1 thou deep/);
    expect(say(wordReason(reason), 'SI')).toMatch(/^0\.0254 mm deep/);
  });
  it('deep damage on a hard facing goes to the lathe, never to a hand reseater', () => {
    expect(call('seat', damage(inches(0.02))).reason.code).toBe('hard facing');
    expect(call('seat', damage(inches(0.02)), withSeat({ face: 'plain' })).reason.code).toBe('past refacing');
  });
  it('more damage than stock: a screwed seat is renewed, an integral one condemns the body', () => {
    const thin = { stock: inches(0.015) };
    expect(call('seat', damage(inches(0.02)), withSeat(thin)).verdict).toBe('renew');
    expect(call('seat', damage(inches(0.02)), withSeat({ ...thin, kind: 'integral' })).verdict).toBe(
      'condemn',
    );
  });
  it('a crack: renew what can be renewed, condemn what cannot', () => {
    expect(call('seat', { kind: 'cracked' }).verdict).toBe('renew');
    expect(call('disc', { kind: 'cracked' }).verdict).toBe('renew');
    expect(call('seat', { kind: 'cracked' }, withSeat({ kind: 'integral' })).verdict).toBe('condemn');
    expect(call('body', { kind: 'cracked' }).verdict).toBe('condemn');
  });
  it("the site's own limits win, under the site's name", () => {
    const strict = { ...USUAL_RULES, name: 'Order 7', grindInTo: inches(0.0005), refaceTo: inches(0.004) };
    const called = call('seat', damage(inches(0.002)), valve, strict);
    expect(called).toMatchObject({ method: 'reface and lap', source: { standing: 'site', name: 'Order 7' } });
  });
});

describe('other parts (handbook part 4)', () => {
  it.each([
    ['stem', { kind: 'stem mark', zone: 'packing zone' }, 'renew', undefined],
    ['stem', { kind: 'stem mark', zone: 'below the backseat' }, 'fit', undefined],
    ['stem', { kind: 'stem mark', zone: 'thread' }, 'rework', 'dress thread'],
    ['stem bushing', { kind: 'thread worn' }, 'renew', undefined],
    ['gland', { kind: 'scored' }, 'renew', undefined],
    ['disc', { kind: 'stuck' }, 'rework', 'free and clean'],
    ['bonnet', { kind: 'joint face damage', form: 'steam cut', depth: thou(3) }, 'rework', 'lap joint face'],
    ['bonnet', { kind: 'joint face damage', form: 'pit', depth: thou(20) }, 'rework', 'turn joint face'],
    ['bonnet', { kind: 'corroded', degree: 'light' }, 'rework', 'clean up'],
    ['body', { kind: 'corroded', degree: 'deep' }, 'ask', undefined],
    ['bonnet studs', { kind: 'corroded', degree: 'deep' }, 'renew', undefined],
    ['gland', { kind: 'unsure', what: 'blue tint' }, 'ask', undefined],
    ['gland', { kind: 'sound' }, 'fit', undefined],
  ] as const)('%s, %j: %s', (part, finding, verdict, method) => {
    const called = call(part, finding);
    expect(called.verdict).toBe(verdict);
    expect(called.method).toBe(method);
    expect(say(wordReason(called.reason), 'SI').length).toBeGreaterThan(5);
    expect(called.source.name.length).toBeGreaterThan(3);
  });
  it('a crushed gasket and packing the stem has left are new every time', () => {
    expect(callOnPolicy('bonnet gasket')).toMatchObject({
      verdict: 'renew',
      reason: { code: 'once crushed' },
    });
    expect(callOnPolicy('packing').verdict).toBe('renew');
  });
});

describe('stem runout (handbook parts 3 and 4)', () => {
  const bent = (amplitude: number, oval = 0) =>
    must(
      stemRunout.work({
        readings: Array.from({ length: 12 }, (_, i) =>
          thou(amplitude * Math.cos((Math.PI * i) / 6) + oval * Math.cos((Math.PI * i) / 3)),
        ),
      }),
    ).result;
  const thick: Valve = {
    ...valve,
    features: { ...valve.features, stem: { motion: 'rising', diameter: inches(1.5) } },
  };
  const { diameter: _unknown, ...bare } = valve.features.stem;
  it('3 thou for stems to 1 in, 5 thou above, the tighter while the diameter is unknown', () => {
    expect(stemLimit(valve, USUAL_RULES).limit).toEqual(thou(3));
    expect(stemLimit(thick, USUAL_RULES).limit).toEqual(thou(5));
    expect(stemLimit({ ...valve, features: { ...valve.features, stem: bare } }, USUAL_RULES).limit).toEqual(
      thou(3),
    );
  });
  it.each([
    [1.4, valve, 'fit'],
    [2, valve, 'renew'],
    [2, thick, 'fit'],
    [3, thick, 'renew'],
  ])('a bow of %d thou', (bow, on, verdict) => {
    expect(callOnRunout(on, USUAL_RULES, bent(bow), 'stem').verdict).toBe(verdict);
  });
  it('straightened only where the site allows it', () => {
    expect(
      callOnRunout(valve, { ...USUAL_RULES, straighteningAllowed: true }, bent(3), 'stem'),
    ).toMatchObject({
      verdict: 'rework',
      method: 'straighten',
    });
  });
  it('an oval is not straightened: packing rides on it', () => {
    const called = callOnRunout(valve, { ...USUAL_RULES, straighteningAllowed: true }, bent(0, 3), 'stem');
    expect(called).toMatchObject({ verdict: 'renew', reason: { code: 'oval' } });
  });
});

describe('findings that come in from outside', () => {
  it.each([
    { kind: 'seat damage', form: 'wire drawn', depth: '2 thou' },
    { kind: 'corroded', degree: 'light' },
    { kind: 'unsure', what: 'odd colour' },
  ])('%j is read', (raw) => {
    expect(findingSchema.safeParse(raw).success).toBe(true);
  });
  it.each([
    { kind: 'seat damage', form: 'melted', depth: '2 thou' },
    { kind: 'seat damage', form: 'pitted', depth: '2 psi' },
    { kind: 'seat damage', form: 'pitted' },
    { kind: 'haunted' },
    { kind: 'sound', extra: 1 },
    { kind: 'unsure', what: '' },
    null,
  ])('%j is refused', (raw) => {
    expect(findingSchema.safeParse(raw).success).toBe(false);
  });
});
