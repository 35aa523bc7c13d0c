import { closureOf, moverOf, positionerOf, relieves, type Features } from '../../valve';
import { always, draft, type Fragment } from '../draft';
import type { MeasureAsk } from '../../task';
import { quantity } from '../../quantity';
import { stepName } from '../relations';

const TRAVEL: readonly MeasureAsk[] = [
  { what: 'travel at full signal', dimension: 'ratio', example: '100 %', instrument: 'caliper' },
  { what: 'travel at no signal', dimension: 'ratio', example: '0 %', instrument: 'caliper' },
];
export const LEAK_WHEN_SHUT = 'leak when shut';
const LEAK: MeasureAsk = {
  what: LEAK_WHEN_SHUT,
  dimension: 'flow',
  example: '0 mL/min',
  instrument: 'test rig',
};

/** Where a valve with a positioner is stroked by points as it was found. */
export const STROKED_AS_FOUND = stepName('diagnose.stroke');
/** Five points of the signal, up and down. */
export const STROKE_POINTS = [0, 25, 50, 75, 100].map((at) => quantity('ratio', at, '%'));

/** What follows a signal by itself: a positioner, or a spring against air. */
const strokedByPoints = (features: Features): boolean =>
  positionerOf(features) !== undefined ||
  (moverOf(features).element === 'diaphragm' && moverOf(features).positioner !== undefined);

/** Stroked and measured before anything is loosened, where it can still be tried. */
export const asFound: Fragment = {
  name: 'as found',
  openings: 'first',
  when: (features) => !relieves(closureOf(features)),
  compose: (c) => {
    if (c.place === 'bare') return [];
    const asks = [...(moverOf(c.features).byAir ? TRAVEL : []), LEAK];
    return [
      draft({
        name: stepName('diagnose.as-found'),
        stage: 'diagnose',
        title: 'As found: stroke it, shut it, read it',
        why: 'The only proof of whether the interval is right, and of what the repair was worth: once it is loosened it is gone for good.',
        caution: 'Only where the process allows it; with the operator.',
        task: { kind: 'measure', asks },
        optional: 'only where it can still be tried',
        minutes: 10,
        because: always('every job that can be tried'),
        after: ['received'],
        provides: ['diagnosed', 'traced'],
      }),
      ...(strokedByPoints(c.features)
        ? [
            draft({
              name: STROKED_AS_FOUND,
              stage: 'diagnose',
              title: 'As found: stroke it by points, up and down',
              why: 'What it is held against when it is set up again: a curve that was not taken now is never seen.',
              caution: 'Only where the process allows it; with the operator, hands clear of stem and clevis.',
              tools: ['signal source'],
              task: {
                kind: 'stroke-test',
                by: positionerOf(c.features) ? 'positioner' : 'signal',
                at: STROKE_POINTS,
                asFound: true,
                screws: [],
              },
              optional: 'only where it can still be tried',
              minutes: 10,
              because: always('what follows a signal'),
              after: ['received'],
              provides: ['diagnosed', 'traced'],
            }),
          ]
        : []),
    ];
  },
};
