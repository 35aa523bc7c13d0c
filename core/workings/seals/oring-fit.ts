import { z } from 'zod';
import { inConflict, ok, outOfRange, type Result } from '../../problem';
import { formatNumber, quantity, si, valueIn, type Ratio } from '../../quantity';
import { AS568, COMMON_PRACTICE, METRIC_SERIES_MM, nearestDash, type Source } from '../../standards';
import { choiceField, quantityField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  insideDiameter: quantityField('length', { label: 'O-ring inside diameter', example: '0.734 in' }),
  section: quantityField('length', { label: 'O-ring section', example: '0.139 in' }),
  glandDepth: quantityField('length', { label: 'Gland depth, wall to groove bottom', example: '0.113 in' }),
  glandWidth: quantityField('length', { label: 'Groove width', example: '0.187 in' }),
  rod: quantityField('length', {
    label: 'Rod it is stretched over',
    example: '0.750 in',
    inExample: true,
  }).exactOptional(),
  bore: quantityField('length', { label: 'Bore its piston runs in', example: '1 in' }).exactOptional(),
  motion: choiceField(
    ['static', 'moving'],
    { label: 'Motion' },
    { dynamic: 'moving', reciprocating: 'moving', rotary: 'moving' },
  ),
});

type Given = z.output<typeof input>;

export interface ORingFit {
  squeeze: Ratio;
  stretch: Ratio;
  fill: Ratio;
  verdict: 'fit' | 'not fit';
  reasons: string[];
}

/** Squeeze, stretch and fill that work, shares (common practice). */
const LIMITS = {
  static: { low: 0.15, high: 0.3 },
  moving: { low: 0.1, high: 0.2 },
  stretch: 0.05,
  fill: 0.85,
} as const;
const SOURCE: Source = { ...COMMON_PRACTICE, name: 'O-ring practice; sizes by AS568' };

/**
 * How an O-ring sits: squeeze = (section − depth)/section; stretch = what it is stretched over, the rod or the
 * groove bottom `bore − 2·depth`, over its inside diameter; fill = its section's area over the groove's.
 * `fit`: squeeze 15–30 % static, 10–20 % moving, stretch to 5 %, fill to 85 %.
 * Errors: neither or both of rod and bore; a groove deeper than half the bore. Source: common practice; AS568.
 * Example: -210 (0.734 × 0.139 in) in a gland 0.113 deep, 0.187 wide over a 0.750 rod → 18.7 %, 2.2 %, 71.8 %.
 */
export const oringFit: Working<typeof input, ORingFit> = {
  id: 'oring.fit',
  title: 'Fit of an O-ring',
  asks: ['o-ring', 'oring', 'squeeze', 'stretch', 'gland fill', 'dash size', 'groove'],
  meaning: 'Whether an O-ring is squeezed, stretched and boxed in as it should be.',
  input,
  results: {
    squeeze: 'Squeeze',
    stretch: 'Stretch',
    fill: 'Groove filled',
    verdict: 'Verdict',
    reasons: 'Because',
  },
  source: SOURCE,
  work: fit,
};

const percent = (share: number): Ratio => quantity('ratio', share * 100, '%');
const between = (low: number, high: number) =>
  `${formatNumber(low * 100, 0)} to ${formatNumber(high * 100, 0)} %`;

function fit(given: Given): Result<Worked<ORingFit>> {
  const over = stretchedOver(given);
  if (!over.ok) return over;
  const [section, depth] = [si(given.section), si(given.glandDepth)];
  const squeeze = (section - depth) / section;
  const stretch = over.value / si(given.insideDiameter) - 1;
  const fill = ((Math.PI / 4) * section ** 2) / (depth * si(given.glandWidth));
  const range = LIMITS[given.motion];
  const reasons = [
    ...(squeeze < range.low - 1e-9 ? [`squeeze under ${between(range.low, range.high)}: it will weep`] : []),
    ...(squeeze > range.high + 1e-9
      ? [`squeeze over ${between(range.low, range.high)}: it will take a set or drag`]
      : []),
    ...(stretch > LIMITS.stretch + 1e-9 ? ['stretched more than 5 %: it thins and ages'] : []),
    ...(stretch < -1e-9 ? ['loose on what it sits on: it can twist'] : []),
    ...(fill > LIMITS.fill + 1e-9 ? ['groove more than 85 % full: no room to swell or warm up'] : []),
  ];
  const dash = nearestDash(valueIn(given.insideDiameter, 'in'), valueIn(given.section, 'in'));
  return ok({
    result: {
      squeeze: percent(squeeze),
      stretch: percent(stretch),
      fill: percent(fill),
      verdict: reasons.length === 0 ? 'fit' : 'not fit',
      reasons: reasons.length > 0 ? reasons : ['squeeze, stretch and fill are within their limits'],
    },
    steps: [
      line(
        'Squeeze',
        '(section − depth) / section',
        `(${shown(given.section)} − ${shown(given.glandDepth)}) / ${shown(given.section)}`,
        percent(squeeze),
      ),
      line(
        'Stretch',
        given.rod ? 'rod / ID − 1' : '(bore − 2 · depth) / ID − 1',
        `ID ${shown(given.insideDiameter)}`,
        percent(stretch),
      ),
      line(
        'Groove filled',
        'π/4 section² / (depth · width)',
        `width ${shown(given.glandWidth)}`,
        percent(fill),
      ),
    ],
    notes: [
      `Wanted (common practice): squeeze ${between(range.low, range.high)} ${given.motion}, stretch to 5 %, fill to 85 %.`,
      ...(dash
        ? [
            `Nearest dash size: ${AS568.name} -${dash.dash}, ${dash.insideDiameterIn} × ${dash.sectionIn} ± ${dash.toleranceIn} in.`,
          ]
        : []),
      ...(METRIC_SERIES_MM.some((each) => Math.abs(each - valueIn(given.section, 'mm')) < 0.006)
        ? [
            'That is a section of the metric series of ISO 3601-1 (1.8, 2.65, 3.55, 5.3, 7 mm): near a dash size, and not the same ring.',
          ]
        : []),
    ],
    source: SOURCE,
  });
}

/** What the ring is stretched over, metres. */
function stretchedOver(given: Given): Result<number> {
  if ((given.rod === undefined) === (given.bore === undefined))
    return inConflict(
      ['rod', 'bore'],
      'Give the rod the ring is stretched over, or the bore its piston runs in.',
    );
  if (given.rod) return ok(si(given.rod));
  const groove = given.bore ? si(given.bore) - 2 * si(given.glandDepth) : 0;
  return groove > 0
    ? ok(groove)
    : outOfRange(
        'glandDepth',
        shown(given.glandDepth),
        'less than half the bore',
        'the groove would meet itself',
      );
}
