import { quantity } from '../../quantity';
import { closureOf, packedBox, relieves, type PartRole } from '../../valve';
import { pressureAsk } from '../blocks/asks';
import { closureProcedure } from '../closures';
import { draft, feature, type Context, type Draft, type Fragment } from '../draft';
import { jointProcedure } from '../joints';
import type { Task } from '../../task';
import { ifThere, stepName } from '../relations';
import { RESTORED } from './isolation/steps';

const because = feature('it stayed in its line');
const LOOK = stepName('service.look');
const GLAND = stepName('service.gland');

const passing = (what: string): Task => ({
  kind: 'measure',
  asks: [{ what, dimension: 'flow', example: '0 mL/min' }],
});

const PASSES = {
  title: 'Shut it: does it pass?',
  why: 'By the gauge downstream, by its warmth, or by ultrasound. How and how much is kept.',
  caution: 'With the operator: the process feels it.',
  task: passing('passing when shut'),
  optional: 'only where the process lets it be shut',
} as const;

/** What relieves is shut at its working pressure anyway: nobody shuts it to see. */
const WEEPS = {
  title: 'At working pressure: does it weep?',
  why: 'At its outlet by ear, by warmth or by ultrasound: what weeps now is dirt that came with the line.',
  caution: 'Nobody stands before its outlet.',
  task: passing('weeping at the outlet'),
  optional: 'only where its outlet can be heard or felt',
} as const;

const NONE = quantity('count', 0, 'pieces');

/** A valve that stays in its line is proved there, at line pressure, and never on a rig. */
export const inService: Fragment = {
  name: 'in service',
  openings: 'afterwards',
  of: ['sound'],
  compose: (c) => (c.place === 'in line' ? proof(c) : []),
};

function proof(c: Context): Draft[] {
  const thread = { stage: 'test', because, provides: ['proved in service'] } as const;
  const opened = (part: PartRole) => c.has(part) && c.works(part);
  const joints = jointProcedure(c.features).marks.parts.filter(opened);
  const packing = (['packing', 'gland'] as const).filter(opened);
  return [
    draft({
      ...thread,
      name: LOOK,
      title: 'Every opened joint, gland, plug and fitting looked at, at line pressure',
      why: 'Blocks opened slowly, the pressure stood. Leak fluid, or a detector for gas. A joint that weeps is not tightened under pressure: shut, let down, prove zero, then tighten.',
      caution: 'Steam never by hand; a poisonous gas by detector and from upwind only.',
      tools: ['gauge'],
      consumables: ['leak-detecting soap'],
      parts: [...joints, ...packing],
      task: {
        kind: 'measure',
        asks: [
          pressureAsk('line pressure', '90 psig'),
          { what: 'leaks seen', dimension: 'count', example: '0 pieces', mustBe: { from: NONE, to: NONE } },
        ],
      },
      minutes: 10,
      after: [ifThere(RESTORED), 'isolated'],
    }),
    ...(packedBox(c.features)
      ? [
          draft({
            ...thread,
            name: GLAND,
            title: 'Nip the gland up evenly',
            why: 'Both nuts a flat at a time, never over its figure; stroke it, look again.',
            caution: 'A crooked gland scores the stem.',
            parts: (['gland nuts', 'gland', 'packing'] as const).filter(c.has),
            optional: 'only if the gland weeps',
            minutes: 5,
            after: [LOOK],
          }),
        ]
      : []),
    ...(closureProcedure(c.features).proof || relieves(closureOf(c.features))
      ? [
          draft({
            ...thread,
            name: stepName('service.seat'),
            ...(relieves(closureOf(c.features)) ? WEEPS : PASSES),
            minutes: 10,
            after: [LOOK, ifThere(GLAND)],
          }),
        ]
      : []),
  ];
}
