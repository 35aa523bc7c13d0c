import { closureOf, type Features } from '../../valve';
import { always, feature, type Fragment } from '../draft';
import type { MeasureAsk } from '../../task';
import { jointProcedure } from '../joints';
import { moverProcedure } from '../movers';
import { spelt, stepName } from '../relations';
import { sequence, setUp, strip } from '../sequence';

const SETTINGS = stepName('strip.settings');

const asksFor = (features: Features): readonly MeasureAsk[] => [
  ...(moverProcedure(features).settings?.(features.moved) ?? []),
  ...(jointProcedure(features).settings?.(features.joint) ?? []),
];

/** Taken before they are lost, and asked for again at set-up with the difference. */
export const settings: Fragment = {
  name: 'settings',
  room: 'mover',
  openings: 'first',
  of: ['sound', 'quoted'],
  // Repacked where it stands, nothing that is set comes off.
  when: (features) => asksFor(features).length > 0 && !closureOf(features).repackedInPlace,
  compose: (c) => {
    const asks = asksFor(c.features);
    return [
      ...sequence(c, strip(feature('has settings of its own'), ['isolated', 'marked'], 'settings noted'), [
        {
          id: SETTINGS,
          title: 'Measure the settings before they are lost',
          why: 'One turn of a spanner and nobody knows any more how it stood.',
          caution: 'Nothing is slackened for this: it is measured as it stands.',
          task: { kind: 'measure', asks },
          tools: ['caliper'],
          minutes: 5,
        },
      ]),
      ...sequence(c, setUp(always('the settings were taken as found'), ['bench set', 'gland set']), [
        {
          id: 'setup.settings',
          title: 'Measure the settings again: as they were?',
          why: 'A difference is meant and written down, or it is a mistake.',
          task: { kind: 'measure', asks: asks.map((ask) => ({ ...ask, was: spelt(SETTINGS, 1) })) },
          tools: ['caliper'],
          minutes: 5,
        },
      ]),
    ];
  },
};
