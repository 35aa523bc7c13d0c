import { z } from 'zod';
import { ok, tooFew, type Result } from '../../problem';
import {
  formatNumber,
  psig,
  quantity,
  si,
  valueIn,
  type Flow,
  type GaugePressure,
  type PressureDifference,
  type Ratio,
} from '../../quantity';
import {
  ASME_I,
  ASME_VIII,
  leastBlowdown,
  POP_SPREAD,
  SECTION_I_BLOWDOWN,
  SET_TOLERANCES,
  toleranceAt,
} from '../../standards';
import {
  choiceField,
  numberField,
  orificeField,
  quantitiesField,
  quantityField,
  sizeField,
} from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import { leakAllowance } from '../pressure/leak-allowance';
import type { Working, Worked } from '../frame/working';
import { setAndCode } from './set-and-code';

const input = z.strictObject({
  ...setAndCode,
  pops: quantitiesField(
    'gauge pressure',
    { label: 'Popped at, in order', example: '251 psig; 250 psig; 250 psig' },
    50,
  ),
  reseat: quantityField('gauge pressure', { label: 'Reseated at', example: '235 psig' }).exactOptional(),
  coldSet: quantityField('gauge pressure', {
    label: 'Cold differential (CDTP)',
    example: '245 psig',
  }).exactOptional(),
  bubbles: numberField({ label: 'Bubbles a minute at 90 %', example: '5' }, 0, 1e6).exactOptional(),
  orifice: orificeField({ label: 'Orifice', example: 'J' }).exactOptional(),
  seat: choiceField(['metal', 'soft'], { label: 'Seat' }, { resilient: 'soft' }).exactOptional(),
  fluid: choiceField(
    ['gas', 'liquid'],
    { label: 'Tested with' },
    { air: 'gas', nitrogen: 'gas', water: 'liquid' },
  ).exactOptional(),
  size: sizeField({ label: 'Inlet size (liquid)', example: 'NPS 2' }).exactOptional(),
  leak: quantityField('flow', { label: 'Liquid leak', example: '5 mL/h' }, 'not negative').exactOptional(),
});

type Given = z.output<typeof input>;

export interface ReliefTestSheet {
  low: GaugePressure;
  high: GaugePressure;
  mean: GaugePressure;
  spread: Ratio;
  drift: PressureDifference;
  blowdownPercent?: Ratio;
  allowedBubbles?: number;
  allowedLeak?: Flow;
  verdict: 'fit' | 'not fit' | 'ask';
  reasons: string[];
}

const LEAST_POPS = 3;

/**
 * A relief valve's test judged as a whole: every pop within the tolerance of its code about the cold differential test
 * pressure (the set pressure where no other is given), the pops within 1 % or 1 psi of each other, blowdown against
 * Section I (noted only for VIII, which sets no limit in use), tightness against API 527. Spread = (highest − lowest) /
 * mean; drift = last − first; blowdown = (mean pop − reseat) / cold differential test pressure.
 * Verdict: `not fit` for anything outside; else `ask` under three pops, or where what was counted has no allowance
 * (bubbles of a metal seat without its orifice, a liquid leak without the inlet size); else `fit`. Reasons say which.
 * Errors: no pop at all. Source: ASME BPVC VIII (XIII) and Section I; API 527; spread common practice.
 * Example: 250 psig, VIII, pops 251, 250, 250 → 242.5 to 257.5, mean 250.3, spread 0.4 %, fit.
 */
export const reliefTestSheet: Working<typeof input, ReliefTestSheet> = {
  id: 'relief.test-sheet',
  title: 'Test sheet of a relief valve',
  asks: ['relief', 'pops', 'test sheet', 'psv', 'prv', 'blowdown', 'reseat', 'as left', 'simmer', 'bubbles'],
  meaning: 'Whether the pops, the reseat and the tightness of a relief valve pass together.',
  input,
  results: {
    low: 'May pop from',
    high: 'and up to',
    mean: 'Mean pop',
    spread: 'Spread of the pops, of the mean',
    drift: 'Last pop less first',
    blowdownPercent: 'Blowdown',
    allowedBubbles: 'Bubbles allowed a minute',
    allowedLeak: 'Liquid leak allowed',
    verdict: 'Verdict',
    reasons: 'Why',
  },
  source: ASME_VIII,
  work: judge,
};

/** What is against the valve, and what nobody can say yet. */
interface Findings {
  readonly against: string[];
  readonly open: string[];
}

function judge(given: Given): Result<Worked<ReliefTestSheet>> {
  const { setPressure, pops, code } = given;
  if (pops.length === 0) return tooFew('pops', 0, 1, 'there is nothing to judge');
  const source = code === 'I' ? ASME_I : ASME_VIII;
  const aim = given.coldSet ?? setPressure;
  const aimPsi = valueIn(aim, 'psig');
  const tolerance = toleranceAt(SET_TOLERANCES[code], aimPsi);
  const [low, high] = [aimPsi - tolerance.psi, aimPsi + tolerance.psi];
  const psis = pops.map((pop) => valueIn(pop, 'psig'));
  const mean = psis.reduce((sum, pop) => sum + pop, 0) / psis.length;
  const width = Math.max(...psis) - Math.min(...psis);
  const drift = (psis.at(-1) ?? 0) - (psis[0] ?? 0);
  const blowdown = given.reseat && (mean - valueIn(given.reseat, 'psig')) / aimPsi;
  const tight = tightness(given, aim);
  const findings = [
    popFindings(psis, low, high, width, mean),
    blowdownFindings(given, aimPsi, blowdown),
    tight.findings,
  ];
  const against = findings.flatMap((each) => each.against);
  const open = findings.flatMap((each) => each.open);
  const sheet = sheetFor(setPressure);
  const gauge = (psi: number) => sheet.of('gauge pressure', si(psig(psi)));
  const reasons = [...against, ...open];
  return ok({
    result: {
      low: gauge(low),
      high: gauge(high),
      mean: gauge(mean),
      spread: quantity('ratio', (width / mean) * 100, '%'),
      drift: sheet.of('pressure difference', si(quantity('pressure difference', drift, 'psi'))),
      ...(blowdown === undefined ? {} : { blowdownPercent: quantity('ratio', blowdown * 100, '%') }),
      ...tight.allowed,
      verdict: against.length > 0 ? 'not fit' : open.length > 0 ? 'ask' : 'fit',
      reasons:
        reasons.length > 0 ? reasons : ['every pop, their spread and what was counted are within limits'],
    },
    steps: [
      line(
        'Tolerance',
        `${source.name} at ${shown(aim)}`,
        `± ${tolerance.words}`,
        `${shown(gauge(low))} to ${shown(gauge(high))}`,
      ),
      line(
        'Spread',
        '(highest − lowest) / mean',
        `of ${psis.length} pops`,
        `${formatNumber((width / mean) * 100, 2)} %`,
      ),
      ...(blowdown === undefined
        ? []
        : [line('Blowdown', '(mean pop − reseat) / CDTP', '', `${formatNumber(blowdown * 100, 2)} %`)]),
      ...tight.steps,
    ],
    notes: [
      ...(code === 'VIII' && blowdown !== undefined
        ? [
            'Blowdown is noted, not judged: the code has no limit in use, and a small rig shows no true blowdown.',
          ]
        : []),
      'As found first, before cleaning: the first pop alone moves the interval.',
      'In many places only an authorised repairer may set and seal a relief valve.',
    ],
    source,
  });
}

function popFindings(
  psis: readonly number[],
  low: number,
  high: number,
  width: number,
  mean: number,
): Findings {
  const out = psis.filter((pop) => pop < low - 1e-9 || pop > high + 1e-9);
  const most = Math.max(POP_SPREAD.psi, POP_SPREAD.share * mean);
  return {
    against: [
      ...(out.length > 0 ? [`${out.length} of ${psis.length} pops outside the tolerance`] : []),
      ...(width > most + 1e-9
        ? ['the pops differ by more than 1 % and 1 psi: go on popping, or look inside']
        : []),
    ],
    open: psis.length < LEAST_POPS ? [`${psis.length} pops: three are wanted`] : [],
  };
}

function blowdownFindings({ code }: Given, aimPsi: number, blowdown: number | undefined): Findings {
  if (blowdown === undefined) return { against: [], open: [] };
  if (blowdown <= 0) return { against: ['it did not reseat below its pops'], open: [] };
  if (code === 'VIII') return { against: [], open: [] };
  const most = toleranceAt(SECTION_I_BLOWDOWN, aimPsi);
  const least = leastBlowdown(aimPsi);
  const psi = blowdown * aimPsi;
  return {
    against: [
      ...(psi > most.psi + 1e-9 ? [`blowdown over ${most.words} (Section I)`] : []),
      ...(psi < least - 1e-9 ? ['blowdown under 2 psi and 2 % (Section I): it will chatter'] : []),
    ],
    open: [],
  };
}

/** Tightness against API 527, as far as something was counted. */
function tightness(given: Given, aim: GaugePressure) {
  const { bubbles, leak } = given;
  const fluid = given.fluid ?? (leak && bubbles === undefined ? 'liquid' : 'gas');
  const none: Findings = { against: [], open: [] };
  const asked = leakAllowance.work({
    code: 'API 527',
    fluid,
    setPressure: aim,
    ...(given.seat ? { seat: given.seat } : {}),
    ...(given.orifice ? { orifice: given.orifice } : {}),
    ...(given.size ? { size: given.size } : {}),
  });
  if (!asked.ok) {
    const counted = bubbles !== undefined || leak !== undefined;
    const wanted = fluid === 'gas' ? 'the orifice' : 'the inlet size';
    const open = counted ? [`what may leak is not known: ${wanted} decides (API 527)`] : [];
    return { allowed: {}, steps: [], findings: { against: [], open } };
  }
  const { result, steps } = asked.value;
  if (fluid === 'gas') {
    const allowedBubbles = result.bubblesPerMinute ?? 0;
    const over = bubbles !== undefined && bubbles > allowedBubbles + 1e-9;
    return {
      allowed: { allowedBubbles },
      steps,
      findings: over
        ? { against: [`${bubbles} bubbles a minute, ${allowedBubbles} allowed (API 527)`], open: [] }
        : none,
    };
  }
  const over = leak !== undefined && si(leak) > si(result.flow) * (1 + 1e-9);
  return {
    allowed: { allowedLeak: result.flow },
    steps,
    findings: over
      ? { against: [`leaks more than the ${shown(result.flow)} allowed (API 527)`], open: [] }
      : none,
  };
}
