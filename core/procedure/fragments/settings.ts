import type { Features } from '../../valve';
import { always, feature, type Fragment, type MeasureAsk } from '../draft';
import { sequence, setUp, strip } from '../sequence';

const length = (what: string, example: string): MeasureAsk => ({
  what,
  dimension: 'length',
  example,
  instrument: 'caliper',
});

/** Counts and settings that are lost with the first turn of a spanner, by what moves the valve (common practice). */
const SETTINGS: Partial<Record<Features['moved']['kind'], readonly MeasureAsk[]>> = {
  'spring-diaphragm': [
    length('height of the spring adjuster', '1.25 in'),
    length('height of the jam nuts on the stem', '0.875 in'),
    length('thread engaged in the coupling', '0.75 in'),
  ],
  piston: [
    length('height of the jam nuts on the stem', '0.875 in'),
    length('thread engaged in the coupling', '0.75 in'),
  ],
  'rolling-diaphragm': [length('clevis to yoke face', '1.5 in')],
  'vane-arm': [length('clevis thread showing', '0.5 in')],
  'range-spring': [
    length('height of the adjusting screw', '1.5 in'),
    length('length of the spring under load', '3.25 in'),
  ],
  'diaphragm-on-stem': [length('height of the adjusting screw', '1 in')],
  'weight-lever': [length('place of the weight on its lever', '9 in')],
  'set-spring': [
    {
      what: 'turns of the compression screw',
      dimension: 'angle',
      example: '4.5 turns',
    },
    length('height of the compression screw', '1.75 in'),
    length('length of the spring as set', '4.625 in'),
  ],
};

function asksFor({ moved, joint }: Features): MeasureAsk[] {
  return [
    ...(SETTINGS[moved.kind] ?? []),
    ...(joint.kind === 'clamped-yoke' && joint.timingShims
      ? [length('thickness of the timing shims', '0.020 in')]
      : []),
  ];
}

/** Taken before they are lost, and asked for again at set-up with the difference. */
export const settings: Fragment = {
  name: 'settings',
  openings: 'first',
  when: (features) => asksFor(features).length > 0,
  compose: (c) => {
    const asks = asksFor(c.features);
    if (c.condemned) return [];
    return [
      ...sequence(c, strip(feature('has settings of its own'), ['isolated', 'marked'], 'noted'), [
        {
          id: 'strip.settings',
          title: 'Measure the settings before they are lost',
          why: 'One turn of a spanner and nobody knows any more how it stood.',
          caution: 'Nothing is slackened for this: it is measured as it stands.',
          task: { kind: 'measure', asks },
          tools: ['caliper'],
          minutes: 5,
        },
      ]),
      ...sequence(c, setUp(always('the settings were taken as found'), ['rebuilt']), [
        {
          id: 'setup.settings',
          title: 'Measure the settings again: as they were?',
          why: 'A difference is meant and written down, or it is a mistake.',
          task: { kind: 'measure', asks: asks.map((ask) => ({ ...ask, was: 'strip.settings' })) },
          tools: ['caliper'],
          minutes: 5,
        },
      ]),
    ];
  },
};
