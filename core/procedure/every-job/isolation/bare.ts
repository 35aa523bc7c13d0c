import { closureOf } from '../../../valve';
import { always, draft, feature, type Context, type Draft } from '../../draft';
import { stepName } from '../../relations';
import { guardsOf, zeroOf } from './steps';

const DECONTAMINATED = stepName('isolate.decontaminated');
const CAVITY = stepName('isolate.cavity');

/** What came in bare has its paper: nobody opens it on somebody’s word. */
export function bare({ valve }: Context): Draft[] {
  const medium = valve.medium?.name ?? 'an unknown medium';
  return [
    draft({
      name: DECONTAMINATED,
      ofTheJob: true,
      stage: 'isolate',
      title: 'See the decontamination certificate',
      why: `It comes from ${medium}; whoever opens it must know that it is clean.`,
      caution: guardsOf(valve) || 'No certificate, no spanner.',
      task: { kind: 'do', writes: 'the number of the decontamination certificate' },
      minutes: 5,
      because: always('the valve came in bare'),
      after: ['received'],
      provides: ['isolated'],
    }),
  ];
}

/** A valve that came in bare may still hold what was in its line: a pocket of it is let out as its construction asks. */
export function cavityOf({ features, valve }: Context): Draft[] {
  const { cavity, isolatedAs } = closureOf(features);
  if (!cavity && isolatedAs === undefined) return [];
  const isBled = isolatedAs === 'closed, its body bled';
  const thread = {
    stage: 'isolate',
    because: feature('a pocket between its faces'),
    provides: ['isolated'],
  } as const;
  return [
    draft({
      ...thread,
      name: CAVITY,
      title: isBled
        ? 'Bleed the body through its fitting, then close the valve fully'
        : 'Valve half open, its cavity vented through its fitting',
      why: isBled
        ? 'Bled first, then closed: its internals come up with the bonnet.'
        : 'Half open, the pocket drains to both ends; a fitting or plug of the body is cracked last.',
      caution:
        `It can hold full line pressure for years on a shelf. Ends and fitting pointed away from everybody. ${guardsOf(valve)}`.trim(),
      minutes: 10,
      after: [DECONTAMINATED],
    }),
    draft({
      ...thread,
      name: zeroOf('cavity pressure'),
      isolation: { is: 'proof', energy: 'cavity pressure' },
      title: 'Prove zero: body cavity',
      why: 'Read at the body fitting, or at an end with the valve half open. A quiet fitting is not proof: only the gauge is.',
      caution: guardsOf(valve) || 'Stand aside of what you open.',
      tools: ['gauge'],
      task: {
        kind: 'measure',
        asks: [
          {
            what: 'pressure in the cavity',
            dimension: 'gauge pressure',
            example: '0 psig',
            mustBe: 'zero',
            instrument: 'gauge',
          },
        ],
      },
      minutes: 5,
      after: [CAVITY],
    }),
  ];
}
