import { closureOf, moverOf, relieves } from '../../valve';
import { always, draft, type Fragment } from '../draft';
import type { MeasureAsk } from '../../task';
import { stepName } from '../relations';

const TRAVEL: readonly MeasureAsk[] = [
  { what: 'travel at full signal', dimension: 'ratio', example: '100 %', instrument: 'caliper' },
  { what: 'travel at no signal', dimension: 'ratio', example: '0 %', instrument: 'caliper' },
];
const LEAK: MeasureAsk = {
  what: 'leak when shut',
  dimension: 'flow',
  example: '0 mL/min',
  instrument: 'test rig',
};

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
    ];
  },
};
