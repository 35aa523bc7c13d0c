import { stemLimit } from '../../inspection';
import { stemRole } from '../../job';
import { partsOf, type PartRole } from '../../valve';
import { draft, feature, type Context, type Draft, type Fragment, type MeasureAsk } from '../draft';
import { lookAt, lookSwivel } from '../looks';
import { inspect, sequence } from '../sequence';

/** Cleaning, then a look at every part that can be judged by eye, and the measurements the features call for. */
export const inspectParts: Fragment = {
  name: 'inspect parts',
  openings: 'first',
  compose: (c) => [
    draft({
      id: 'inspect.clean',
      stage: 'inspect',
      title: 'Clean every part and lay it in its place',
      why: 'Dirt reads as runout and hides cracks.',
      consumables: ['solvent', 'fine cloth'],
      minutes: c.minutes(15),
      because: feature('everything that came off'),
      after: ['stripped'],
      provides: ['inspected'],
    }),
    ...runout(c),
    ...(c.features.closure.kind === 'swivel-disc' ? [swivel()] : []),
    ...looks(c),
    ...MEASUREMENTS.filter(({ parts, when }) => parts.every(c.has) && (when?.(c) ?? true)).flatMap(
      ({ id, title, why, tools, parts, asks }) =>
        sequence(c, inspect(feature(`has ${parts.join(' and ')}`)), [
          { id, title, why, minutes: 8, tools, parts, task: { kind: 'measure', asks } },
        ]),
    ),
  ],
};

/** Looks at parts that come off, and at the body and whatever stays in it. Nothing of a valve that is only repacked. */
function looks(c: Context): Draft[] {
  const inPlace = c.features.closure.kind === 'eccentric-plug';
  return partsOf(c.valve)
    .filter(({ stays }) => !(stays && inPlace))
    .flatMap((part): Draft[] => {
      const look = lookAt(part, c.features);
      return look
        ? [
            draft({
              ...look,
              stage: 'inspect',
              because: feature(`has a part to judge: ${part.name}`),
              after: ['inspect.clean'],
              provides: ['inspected'],
            }),
          ]
        : [];
    });
}

/** Stems and spindles are taken on V-blocks; a short shaft is rolled on a flat bench. */
function runout(c: Context): Draft[] {
  const part = stemRole(c.valve);
  if ((part !== 'stem' && part !== 'spindle') || !c.has(part) || c.features.closure.kind === 'ball')
    return [];
  if (c.features.closure.kind === 'shear-piston') return [];
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

const swivel = () =>
  draft({
    ...lookSwivel(),
    id: 'inspect.swivel',
    stage: 'inspect',
    title: 'Disc on its stem: does it swivel?',
    why: 'It has to find its own seat; stuck, it closes on one side.',
    minutes: 3,
    because: feature('a disc that swivels'),
    after: ['inspect.clean'],
    provides: ['inspected'],
  });

const length = (what: string, example: string, instrument: MeasureAsk['instrument'] = 'caliper') => ({
  what,
  dimension: 'length' as const,
  example,
  instrument,
});

interface Measurement {
  readonly id: string;
  readonly title: string;
  readonly why: string;
  readonly tools: readonly string[];
  readonly parts: readonly PartRole[];
  readonly asks: readonly MeasureAsk[];
  readonly when?: (c: Context) => boolean;
}

const MEASUREMENTS: readonly Measurement[] = [
  {
    id: 'inspect.wedge-travel',
    title: 'Wedge in its seats: wear travel left',
    why: 'Pressed home it must ride high: API 600 wants 2.3 mm to NPS 2, 3.3 to 6, 6.4 to 12, 9.7 to 18, 12.7 to 24.',
    tools: ['rule', 'feeler gauges'],
    parts: ['wedge'],
    asks: [length('wear travel left', '0.13 in'), length('guide clearance', '0.05 in')],
  },
  {
    id: 'inspect.hinge',
    title: 'Clearance of hinge pin in its bushings',
    why: 'The disc drops by half of it and misses its seat.',
    tools: ['outside micrometer', 'inside micrometer'],
    parts: ['hinge pin', 'hinge bushings'],
    asks: [length('pin diameter', '0.75 in'), length('bush bore', '0.755 in')],
  },
  {
    id: 'inspect.bore',
    title: 'Cylinder bore: inside micrometer, three depths',
    why: 'A worn bore is sluggish and hunts.',
    tools: ['inside micrometer'],
    parts: ['cylinder', 'piston'],
    when: ({ features }) => features.moved.kind === 'piston',
    asks: [
      length('bore at the top', '6 in'),
      length('bore in the middle', '6.001 in'),
      length('bore at the bottom', '6 in'),
    ],
  },
  {
    id: 'inspect.spring-length',
    title: 'Spring: free length and squareness',
    why: 'A spring that has set or leans pops at another pressure than its sheet says.',
    tools: ['rule', 'square'],
    parts: ['spring', 'spindle'],
    asks: [length('free length', '4.5 in'), length('out of square', '0.03 in')],
  },
  {
    id: 'inspect.guide-clearance',
    title: 'Disc holder in its guide: clearance',
    why: 'Too tight it hangs, too slack it lands crooked.',
    tools: ['outside micrometer', 'inside micrometer'],
    parts: ['disc holder', 'guide bush'],
    asks: [length('holder diameter', '1.498 in'), length('guide bore', '1.504 in')],
  },
  {
    id: 'inspect.seat-rings',
    title: 'Seat rings: which is the larger',
    why: 'One is slightly larger so that the plug passes; big and small are never swapped.',
    tools: ['caliper'],
    parts: ['upper seat ring', 'lower seat ring'],
    asks: [length('upper seat bore', '4.06 in'), length('lower seat bore', '4 in')],
  },
];
