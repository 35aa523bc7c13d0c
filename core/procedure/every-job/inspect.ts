import { stemLimit } from '../../inspection';
import { stemRole } from '../../calls';
import { boltedJoint, closureOf, partsOf } from '../../valve';
import { draft, feature, type Context, type Draft, type Fragment } from '../draft';
import { stepName } from '../relations';
import { lookAt } from './looks';
import { inspect, sequence } from '../sequence';

/** Cleaning, then a look at every part that can be judged by eye, and the measurements the features call for. */
export const inspectParts: Fragment = {
  name: 'inspect parts',
  openings: 'first',
  compose: (c) => [
    draft({
      name: stepName('inspect.clean'),
      ofTheJob: true,
      stage: 'inspect',
      title: 'Clean every part and lay it in its place',
      why: `Dirt reads as runout and hides cracks.${chased(c) ? ' Stem and stud threads wire-brushed and chased; joint and flange faces scraped, not gouged.' : ''}`,
      consumables: ['solvent', 'fine cloth'],
      ...(chased(c) ? { tools: ['wire brush', 'thread chaser'] as const } : {}),
      minutes: c.minutes(15),
      because: feature('everything that came off'),
      after: ['stripped'],
      provides: ['inspected', 'clean to inspect'],
    }),
    ...runout(c),
    ...looks(c),
  ],
};

/** Threads that are torqued are cleaned to their roots first. */
const chased = ({ features, scope }: Context): boolean =>
  boltedJoint(features) !== undefined && (scope === 'overhaul' || scope === 'trim');

/** Looks at parts that come off, and at the body and whatever stays in it; of a valve that is only repacked, at its shaft. */
function looks(c: Context): Draft[] {
  const inPlace = closureOf(c.features).repackedInPlace !== undefined;
  return partsOf(c.valve)
    .filter(({ role, stays }) => !(stays && inPlace) || role === stemRole(c.valve))
    .flatMap((part): Draft[] => {
      const look = lookAt(part, c.features);
      return look
        ? [
            draft({
              ...look,
              stage: 'inspect',
              because: feature(`has a part to judge: ${part.name}`),
              after: ['clean to inspect'],
              provides: ['inspected'],
            }),
          ]
        : [];
    });
}

/** Stems and spindles are taken on V-blocks; a short shaft is rolled on a flat bench. */
function runout(c: Context): Draft[] {
  const part = stemRole(c.valve);
  const isLong = part === 'spindle' || (part === 'stem' && c.features.packing.style !== 'none');
  if (!isLong || !c.has(part) || closureOf(c.features).stemRolledFlat) return [];
  return sequence(c, inspect(feature('a stem that runs in its packing or guide')), [
    {
      id: 'inspect.runout',
      title: `Runout of the ${part} on V-blocks`,
      why: 'Roll it on a flat bench first: daylight or a bump is a bend. A bent stem leaks through good packing and wears its bushing.',
      tools: ['V-blocks, 90°', 'dial indicator'],
      parts: [part],
      minutes: 15,
      task: {
        kind: 'runout',
        part,
        stations: 12,
        ...stemLimit(c.valve, c.site),
      },
    },
  ]);
}
