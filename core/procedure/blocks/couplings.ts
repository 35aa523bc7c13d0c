import { phrase, psig } from '../../quantity';
import { COUPLED_OFF_STOP } from '../../standards';
import { CAUTIONS } from '../cautions';
import { closureProcedure } from '../closures';
import { opensByAir } from '../../valve';
import type { Context } from '../draft';
import type { Sketch } from '../sequence';
import { stepName } from '../relations';
import { lengthAsk } from './asks';
import { couplingFigures, couplingTask, isSprung } from './coupling-figures';
import { compared, taken } from './taken';

const COUPLER = stepName('strip.coupler');
const COUPLED = [
  lengthAsk('gap between the stems', '1/8 in'),
  lengthAsk('thread engaged, actuator stem', '0.75 in'),
  lengthAsk('thread engaged, valve stem', '0.75 in'),
];

const TOUCH =
  'The touch is of plug on seat, no further. Lock nuts against the connector, indicator to the scale.';

/** Position-seated trim is let go of where it is shut; what no spring shuts is driven there from the bench. */
export const drivenToClosed = ({ features }: Context): Sketch | false =>
  features.limits.kind === 'position-seated' &&
  !opensByAir(features) && {
    id: 'strip.to-closed',
    benchAir: true,
    title: 'Actuator to closed',
    why: 'The gap between its stems is measured there, and goes back the same.',
    caution: CAUTIONS.air,
    minutes: 3,
  };

/** How the actuator is taken off the valve stem, by its coupling. Shared by every linear actuator. */
export function uncoupled({ features }: Context): readonly Sketch[] {
  const { moved } = features;
  if (!('coupling' in moved) || closureProcedure(features).leavesFromBelow?.(features)) return [];
  if (moved.coupling === 'split') {
    return [
      {
        id: COUPLER,
        title: 'Gap and engagement measured; split coupler off',
        why: 'The gap between the two stems and the thread in each half go back the same.',
        task: taken(...COUPLED),
        caution: CAUTIONS.grip,
        off: ['travel indicator', 'coupler nut', 'split coupler'],
        minutes: 6,
      },
    ];
  }
  return [
    {
      id: 'strip.uncouple',
      title: 'Loosen the stem lock nuts, travel indicator off',
      why: opensByAir(features)
        ? 'Bench air lifts the plug off its seat while the stem is turned: the spring shuts it.'
        : 'No air on: the spring holds the plug off its seat while the stem is turned. Gland slack first.',
      ...(opensByAir(features) ? { benchAir: true as const } : {}),
      caution: `${CAUTIONS.grip} ${CAUTIONS.plugSeated}`,
      tools: ['two spanners'],
      off: ['stem lock nuts', 'travel indicator'],
      minutes: 8,
    },
  ];
}

/** And coupled again, the closure never turned on its seat. */
export function coupled(c: Context): readonly Sketch[] {
  const { features, valve } = c;
  const high = valve.plate?.springRange?.high;
  const { moved, limits } = features;
  if (!('coupling' in moved)) return [];
  if (moved.coupling === 'split') {
    const placed = limits.kind === 'position-seated';
    return [
      {
        id: 'rebuild.couple',
        benchAir: true,
        title: 'Split coupler on: equal engagement on both stems',
        why: placed
          ? 'Actuator closed, stem fully down resting lightly on the ball, a gap between the two stems. Finger-tight, square for clearance, then tight with the jam nut.'
          : 'Actuator at its closed end, stem fully down on its seat by its own weight, a gap between the two stems. Finger-tight, square for clearance, then tight with the jam nut.',
        caution: placed
          ? 'No gap, or unequal threads, and the actuator drives the ball home: stem, cage, ball or guide pin breaks.'
          : 'Unequal engagement strips the shorter thread under load.',
        task: compared(COUPLER, ...COUPLED),
        on: ['split coupler', 'coupler nut', 'travel indicator'],
        minutes: 12,
      },
    ];
  }
  const opens = opensByAir(features);
  return [
    ...(isSprung(c) ? [couplingFigures(c)] : []),
    {
      id: 'rebuild.couple',
      benchAir: true,
      title: opens
        ? 'Couple: air until the actuator stem has left its stop, screw the stem in, let it down to the touch'
        : 'Couple: the high end of the bench set on the actuator, the plug just on its seat',
      why: opens
        ? phrase`Off its stop by ${COUPLED_OFF_STOP} at least, or by the sheet: coupled on the stop, the stop takes the spring and the seat has no load. ${TOUCH}`
        : phrase`${high ?? psig(15)} on the actuator, the end at which it touches: at the low end it stands open and the travel would be lost. What closes it in service must be more than this, or there is no seat load: ask. ${TOUCH}`,
      caution: CAUTIONS.plugSeated,
      on: ['stem lock nuts', 'travel indicator'],
      parts: ['stem connector'],
      ...(isSprung(c) ? { task: couplingTask(c) } : {}),
      minutes: 12,
    },
  ];
}
