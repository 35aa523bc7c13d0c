import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { planVariants } from '../testing/plan-variants';
import type { Plan } from '.';

/** A plan as it was written down: each step's id, stage, title, and the steps it waits for directly. */
const written = z.record(
  z.string(),
  z.array(z.tuple([z.string(), z.string(), z.string(), z.array(z.string())])),
);
type Written = z.output<typeof written>[string];

/**
 * The plans of 157 variants as they were on 2026-11-26 before the fragments moved, written down with `planVariants`. Whoever moves the fragments to other rooms
 * leaves these as they are; a step or a relation that changes on purpose is named below.
 */
const BEFORE = written.parse(
  JSON.parse(
    gunzipSync(readFileSync(new URL('samples/plans-2026-11-26.json.gz', import.meta.url))).toString('utf8'),
  ),
);

/** Relations that are new on purpose: what must come before, what waits for it, and why. */
const NEW_RELATIONS: readonly { before: RegExp; after: RegExp; why: string }[] = [
  { before: /^strip\.settings$/, after: /./, why: 'settings are measured before the strip can lose them' },
  { before: /^strip\.mark-wedge$/, after: /./, why: 'a wedge is marked before it comes off its stem' },
  {
    before: /^rebuild\.wedge-sides$/,
    after: /./,
    why: 'the marks are read before the wedge goes on its stem',
  },
];

/** Steps that are gone on purpose. */
const GONE: readonly { step: string; variant: RegExp; why: string }[] = [
  {
    step: 'inspect.bore',
    variant: /eccentric|random valve/,
    why: 'the actuator of a valve repacked where it stands is not opened: its bore cannot be measured',
  },
  {
    step: 'test.shell',
    variant: /^(gate-slab-unitised, in line|random valve (25|41))$/,
    why: 'a body that stays in its line is not taken above its rating (API 6A)',
  },
];

/** Titles that had a figure of one system in them, and have it among their reasons now, in the reader's units. */
const SAID_OTHERWISE: Readonly<Record<string, string>> = {
  'Supply on: 35 to 100 psi': 'Supply on',
  '9 psi in: bias until mid-travel; then balance by the nozzles':
    'Half of the signal in: bias until mid-travel; then balance by the nozzles',
  'Span: vary the signal; 12 psi is full travel': 'Span: vary the signal to full travel',
  'Zero: 3 psi in, bias until it just moves': 'Zero: the lowest signal in, bias until it just moves',
  'Couple: 3 psi on the actuator, screw the plug stem in until the touch is felt':
    'Couple: the lowest signal on the actuator, screw the plug stem in until the touch is felt',
  'Disc, reversible seat, ratio plug, diaphragm the right way up, plate; pivot to 10 lbf·ft':
    'Disc, reversible seat, ratio plug, diaphragm the right way up, plate; pivot to its torque',
  'Housing bolts by hand, then 25 lbf·ft criss-cross': 'Housing bolts by hand, then criss-cross',
  'Upper diaphragm, retainer, diaphragm bolt to 10 lbf·ft with a crow-foot':
    'Upper diaphragm, retainer, diaphragm bolt with a crow-foot',
  'Bonnet bolts 25 lbf·ft criss-cross': 'Bonnet bolts criss-cross',
  'Bushings; trunnion plug with a new O-ring, 25 lbf·ft': 'Bushings; trunnion plug with a new O-ring',
  'Bushings; trunnion plug with a new gasket, 25 lbf·ft': 'Bushings; trunnion plug with a new gasket',
  'Close the disc by the arm; closing-end signal on: 15 psi here':
    'Close the disc by the arm; closing-end signal on',
  '7 psi: the stem has moved about 1/4 in from the scribe':
    'Under air: how far the stem has moved from the scribe',
};

const now = ({ steps }: Plan): Written =>
  steps.map(({ id, stage, title, after }) => [id, stage, title, [...after]]);

/** Everything a step waits for, directly or through others. */
function relations(steps: Written): Set<string> {
  const byId = new Map(steps.map((step) => [step[0], step]));
  const known = new Map<string, Set<string>>();
  const before = (id: string): Set<string> => {
    const held = known.get(id);
    if (held) return held;
    const all = new Set<string>();
    known.set(id, all);
    for (const direct of byId.get(id)?.[3] ?? []) {
      all.add(direct);
      for (const each of before(direct)) all.add(each);
    }
    return all;
  };
  return new Set(steps.flatMap(([id]) => [...before(id)].map((each) => `${each} → ${id}`)));
}

const meant = (relation: string): boolean => {
  const [before = '', after = ''] = relation.split(' → ');
  return NEW_RELATIONS.some((each) => each.before.test(before) && each.after.test(after));
};

describe('plans as they were written down', () => {
  const variants = planVariants();
  it('are of the same variants', () => {
    expect(variants.map(({ name }) => name)).toEqual(Object.keys(BEFORE));
  });
  it.each(variants)('$name: the same steps, in an order that keeps the same relations', ({ name, plan }) => {
    const is = now(plan);
    const left = GONE.filter(({ step, variant }) => variant.test(name) && !is.some(([id]) => id === step));
    const isLeft = (id: string) => left.some(({ step }) => step === id);
    const before = BEFORE[name] ?? [];
    // Who waited for a step that is gone waits for what it waited for.
    const waitedForBy = (gone: string) => before.find(([id]) => id === gone)?.[3] ?? [];
    const was = before
      .filter(([id]) => !isLeft(id))
      .map(([id, stage, title, after]): Written[number] => [
        id,
        stage,
        SAID_OTHERWISE[title] ?? title,
        after.flatMap((each) => (isLeft(each) ? waitedForBy(each) : [each])),
      ]);
    const words = (steps: Written) => steps.map(([id, stage, title]) => `${id} | ${stage} | ${title}`).sort();
    expect(words(is)).toEqual(words(was));
    const [held, holds] = [relations(was), relations(is)];
    expect([...held].filter((each) => !holds.has(each))).toEqual([]);
    expect([...holds].filter((each) => !held.has(each) && !meant(each))).toEqual([]);
  });
});
