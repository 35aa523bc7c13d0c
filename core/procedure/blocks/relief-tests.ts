import { psig, quantity, valueIn, type GaugePressure } from '../../quantity';
import {
  CODE_OF_STAMP,
  leastBlowdown,
  mediumOf,
  POP_SPREAD,
  SECTION_I_BLOWDOWN,
  toleranceAt,
  USUAL_BLOWDOWN,
  type HazardousMedium,
} from '../../standards';
import type { Live, MeasureAsk, MeasureTask, Task } from '../../task';
import { leakAllowance, reliefSet } from '../../workings';
import { measuredLast, onStep } from '../../job';
import { CAUTIONS } from '../cautions';
import type { Context } from '../draft';
import { stepName } from '../relations';
import type { ToolName } from '../tools';
import { pressureAsk } from './asks';
import { seatTestBy, underGas, wants } from './pressure-tasks';

/** Where the cold differential test pressure is kept. */
export const RELIEF_SET = stepName('setup.set');
export const COLD_SET = 'cold differential test pressure';

export const POPS = ['first pop', 'second pop', 'third pop'] as const;

/** What the pops are judged about: the cold differential test pressure that was set, else the set pressure. */
function aimOf(c: Context): GaugePressure | undefined {
  const kept = onStep(c.state, 'measured', c.idOf(RELIEF_SET)).findLast(({ body }) => body.what === COLD_SET);
  const value = kept?.body.value;
  return value?.dimension === 'gauge pressure'
    ? quantity('gauge pressure', valueIn(value, 'psig'), 'psig')
    : c.valve.plate?.setPressure;
}

/** A share of the set pressure as somebody would type it, for an example. */
export function shareOfSet(c: Context, share: number): string {
  const psi = valueIn(aimOf(c) ?? psig(250), 'psig');
  return `${Math.round(share * psi * 10) / 10} psig`;
}

export const AS_FOUND = {
  pop: 'set pressure, as found',
  reseat: 'reseat, as found',
  simmer: 'first leak, as found',
} as const;

/** The as-found pop is read off the rig too; nothing is turned. */
export function asFoundLive(c: Context): { readonly live?: Live } {
  const aim = c.valve.plate?.setPressure;
  return aim
    ? { live: { kind: 'pops', aim, pops: [AS_FOUND.pop], reseat: AS_FOUND.reseat, simmer: AS_FOUND.simmer } }
    : {};
}

/** What brings the pressure: the rig of the shop, or a pump at the valve’s own test connection. */
export const sourceOf = ({ place }: Context): ToolName =>
  place === 'in line' ? 'hand pump and test gauge' : 'test rig';

/** The caution at a pop; in its line it says where the pressure comes from. */
export const poppedBy = ({ place }: Context, words: string): string =>
  [
    CAUTIONS.pressure,
    words,
    ...(place === 'in line'
      ? [
          'Its block stays shut and locked: the pressure comes from a hand pump or a bottle of its own, at the test connection between block and valve. No such connection: the valve comes out.',
        ]
      : []),
  ].join(' ');

/** In its line the pressure that was brought to it is let down and proved gone, before the next hand goes in. */
export function letDownAfter({ place }: Context, task: Task): Task {
  if (task.kind !== 'measure' || place !== 'in line') return task;
  return {
    ...task,
    asks: [...task.asks, { ...pressureAsk('test connection, let down', '0 psig'), mustBe: 'zero' }],
  };
}

/** The cold differential test pressure, as worked from the set pressure: back pressure and temperature are in it. */
export function coldSetTask(c: Context, isCorrected: boolean): Task {
  const { setPressure, stamp } = c.valve.plate ?? {};
  if (!setPressure) return wants('setPressure');
  // A balanced bellows and a pilot are not corrected for back pressure; what varies or builds up never is.
  const backPressure = measuredLast(c.state, BACK_PRESSURE, 'gauge pressure');
  const temperature = measuredLast(c.state, TEMPERATURE, 'ratio');
  const isKnown = temperature !== undefined && (backPressure !== undefined || !isCorrected);
  const worked = isKnown
    ? reliefSet.work({
        setPressure,
        code: stamp ? CODE_OF_STAMP[stamp] : 'VIII',
        temperatureFactor: valueIn(temperature, ''),
        ...(backPressure && isCorrected ? { backPressure } : {}),
      })
    : undefined;
  const psi = worked?.ok ? valueIn(worked.value.result.coldSet, 'psig') : undefined;
  return {
    kind: 'measure',
    asks: [
      ...(isCorrected ? [{ ...pressureAsk(BACK_PRESSURE, '0 psig'), orNought: true as const }] : []),
      { what: TEMPERATURE, dimension: 'ratio', example: '1' },
      psi === undefined
        ? pressureAsk(COLD_SET, shareOfSet(c, 1))
        : {
            ...pressureAsk(COLD_SET, `${Math.round(psi * 10) / 10} psig`),
            mustBe: { from: psig(psi * (1 - SAME_SET)), to: psig(psi * (1 + SAME_SET)) },
          },
    ],
    ...(worked?.ok ? { shown: worked.value } : {}),
  };
}

const BACK_PRESSURE = 'constant superimposed back pressure';
const TEMPERATURE = 'temperature factor of the maker';
/** What was computed, and what is written beside it: the same within the rounding of a gauge. */
const SAME_SET = 0.005;

/** Pops within the tolerance of the code, and of each other; reseat below them. */
export function popsTask(c: Context): Task {
  const { plate } = c.valve;
  const aim = aimOf(c);
  if (!aim || !plate?.stamp) return wants(...(aim ? [] : (['setPressure'] as const)), 'stamp');
  const worked = reliefSet.work({ setPressure: aim, code: CODE_OF_STAMP[plate.stamp] });
  if (!worked.ok) return wants('setPressure');
  const { low, high } = worked.value.result;
  const psi = valueIn(aim, 'psig');
  const apart = Math.max(POP_SPREAD.psi, POP_SPREAD.share * psi);
  const reseat: MeasureAsk = {
    ...pressureAsk('reseat', shareOfSet(c, 0.93)),
    mustBe: { below: low },
  };
  return {
    kind: 'measure',
    asks: [
      ...POPS.map((what): MeasureAsk => ({
        ...pressureAsk(what, shareOfSet(c, 1)),
        mustBe: { from: low, to: high },
      })),
      reseat,
    ],
    live: { kind: 'pops', aim, pops: POPS, reseat: 'reseat', screw: 'compression screw' },
    agree: { what: POPS, within: quantity('pressure difference', apart, 'psi') },
    shown: worked.value,
  };
}

/** Section VIII valves that blow down less than this chatter (common practice); Section I has its own least. */
const LEAST_VIII = 0.02;
export const TRUE_RESEAT = 'reseat, with capacity behind it';

/** A true blowdown, where the rig keeps it open: what it shut at, within what its code or common practice lets. */
export function blowdownTask(c: Context, rings: readonly MeasureAsk[]): Task {
  const { plate } = c.valve;
  const aim = aimOf(c);
  if (!aim || !plate?.stamp) return wants(...(aim ? [] : (['setPressure'] as const)), 'stamp');
  const code = CODE_OF_STAMP[plate.stamp];
  const psi = valueIn(aim, 'psig');
  const [from, to] =
    code === 'I'
      ? [psi - toleranceAt(SECTION_I_BLOWDOWN, psi).psi, psi - leastBlowdown(psi)]
      : [(1 - USUAL_BLOWDOWN.high) * psi, (1 - LEAST_VIII) * psi];
  const read = onStep(c.state, 'measured', c.idOf(BLOWDOWN)).findLast(
    ({ body }) => body.what === TRUE_RESEAT,
  );
  const reseat = read?.body.value;
  const worked = reliefSet.work({
    setPressure: aim,
    code,
    ...(reseat?.dimension === 'gauge pressure' &&
    valueIn({ ...reseat, dimension: reseat.dimension }, 'psig') < psi
      ? { reseat: { ...reseat, dimension: reseat.dimension } }
      : {}),
  });
  return {
    kind: 'measure',
    asks: [
      { ...pressureAsk(TRUE_RESEAT, shareOfSet(c, 0.93)), mustBe: { from: psig(from), to: psig(to) } },
      ...rings,
    ],
    ...(worked.ok ? { shown: worked.value } : {}),
  };
}
export const BLOWDOWN = stepName('test.blowdown');

/** Lifted by its lever at three quarters of set or more, and under it (common practice). */
export function leverTask(c: Context): MeasureTask {
  const aim = aimOf(c);
  const ask = pressureAsk('pressure when it was lifted', shareOfSet(c, 0.75));
  if (!aim) return { kind: 'measure', asks: [ask] };
  const psi = valueIn(aim, 'psig');
  // A gauge shows whole psi.
  return { kind: 'measure', asks: [{ ...ask, mustBe: { from: psig(0.75 * psi - 1), to: aim } }] };
}

/** Media whose relief valves are tested for tightness with water; the others with air (API 527). */
const LIQUIDS: readonly HazardousMedium[] = [
  'hot water',
  'water',
  'crude oil',
  'caustic',
  'acid',
  'amine',
  'methanol',
  'brine',
  'benzene',
];

/** Tightness under the set pressure, by API 527: bubbles a minute, or drops of water. */
export function tightnessTask(c: Context): Task {
  const { plate, nps, medium } = c.valve;
  const aim = aimOf(c);
  if (!aim) return wants('setPressure');
  const through = medium && mediumOf(medium.name)?.hazard;
  const fluid = through && LIQUIDS.includes(through) ? 'liquid' : 'gas';
  const worked = leakAllowance.work({
    code: 'API 527',
    fluid,
    setPressure: aim,
    seat: 'face' in c.features.seat ? 'metal' : 'soft',
    ...(plate?.orifice ? { orifice: plate.orifice } : {}),
    ...(nps === undefined ? {} : { size: { nps } }),
  });
  const pressure = worked.ok ? worked.value.result.testPressure : undefined;
  if (!worked.ok || !pressure) return wants(fluid === 'gas' ? 'orifice' : 'nps');
  // Nearer to its set pressure it simmers.
  const most = psig((valueIn(pressure, 'psig') + valueIn(aim, 'psig')) / 2);
  const tube = fluid === 'gas' ? { tube: 'api-527' as const, ...underGas(nps) } : {};
  return seatTestBy(worked.value, { fluid, pressure, most, ...tube });
}
