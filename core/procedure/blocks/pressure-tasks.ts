import {
  formatAs,
  psig,
  quantity,
  seconds,
  valueIn,
  type GaugePressure,
  type Leak,
  type Time,
  type Volume,
} from '../../quantity';
import {
  API_6A_HOLD_SECONDS,
  API_6A_MOST_OVER,
  CAPACITY_TEST_PSI,
  HOLD_SECONDS,
  LOW_PRESSURE_CLOSURE_PSIG,
  requiredClosureTest,
  type ClosureTested,
} from '../../standards';
import { closureOf, type DetailId } from '../../valve';
import { leakAllowance, testPressures, type LeakAllowance } from '../../workings';
import type { Proof } from '../closures/closure';
import type { Context } from '../draft';
import type { Shown, Task } from '../../task';

export type BySize = Extract<Proof, { by: 'size' }>;

const NO_DROPS: Leak = { perMinute: 0, of: 'drops' };
/** A shell is taken no further over its figure than this (common practice): it is proved, not loaded for good. */
const SHELL_MOST_OVER = 1.1;

/** The body proved at one and a half times its rating, or by the table of its rated pressure; nothing may be seen. */
export function shellTest(c: Context, proof: Proof): Task {
  const asked = pressuresOf(c);
  if ('wants' in asked) return asked;
  const { shell } = asked.result;
  const isWellhead = proof.by === 'working pressure';
  return bodyTest({
    test: 'shell',
    pressure: shell,
    most: times(shell, isWellhead ? API_6A_MOST_OVER : SHELL_MOST_OVER),
    hold: isWellhead
      ? seconds(API_6A_HOLD_SECONDS)
      : holdOf(c, proof.by === 'size' ? proof.as : 'globe', 'shell'),
    shown: asked,
  });
}

/** The backseat alone holds; the shell has been proved to more. */
export function backseatTest(c: Context): Task {
  const asked = pressuresOf(c);
  if ('wants' in asked) return asked;
  return bodyTest({
    test: 'backseat',
    pressure: asked.result.backseat,
    most: asked.result.shell,
    hold: holdOf(c, 'globe', 'backseat'),
    shown: asked,
  });
}

function bodyTest(
  asked: Pick<PressureTestTask, 'test' | 'pressure' | 'hold' | 'shown'> & { readonly most: GaugePressure },
): Task {
  const { shown, pressure, hold, most } = asked;
  return {
    kind: 'pressure-test',
    fluid: 'liquid',
    allowed: NO_DROPS,
    ...asked,
    shown: judgedAt(withHold(shown, pressure, hold), pressure, most),
  };
}

type PressureTestTask = Extract<Task, { kind: 'pressure-test' }>;

/** The closure test that API 598 requires of this kind, size and class. */
export function closureTest(c: Context, { as, seat }: BySize): Task {
  const asked = pressuresOf(c);
  if ('wants' in asked) return asked;
  const { nps, pressureClass, group, iron } = c.valve;
  if (nps === undefined) return wants('nps');
  const ratedClass = pressureClass ?? Number(/\d+/.exec(iron ?? '')?.[0] ?? 0);
  const required = requiredClosureTest(as, nps, ratedClass);
  const fluid = required === 'low-pressure gas' ? 'gas' : 'liquid';
  const worked = leakAllowance.work({
    code: 'API 598',
    edition: c.site.api598Edition,
    size: { nps },
    valve: ASKED_AS[as],
    seat,
    fluid,
    ...(pressureClass === undefined ? {} : { class: String(pressureClass) }),
    ...(group === undefined ? {} : { group }),
    ...(iron === undefined ? {} : { iron }),
  });
  const pressure = worked.ok ? worked.value.result.testPressure : undefined;
  if (!worked.ok || !pressure) return wants('pressureClass');
  const most = fluid === 'gas' ? psig(LOW_PRESSURE_CLOSURE_PSIG.high) : asked.result.shell;
  const tube = fluid === 'gas' ? { tube: 'iso-5208' as const, ...underGas(nps) } : {};
  return seatTestBy(worked.value, { fluid, pressure, most, ...tube }, [
    `API 598 requires the ${required} closure test of a ${as} of this size and class; the other is as the buyer asks.`,
  ]);
}

/** A seat tested by what its standard lets through, with the working beside it. */
export function seatTestBy(
  worked: Shown & { readonly result: LeakAllowance },
  asked: Pick<PressureTestTask, 'fluid' | 'pressure' | 'tube' | 'volume'> & { readonly most?: GaugePressure },
  notes: string[] = [],
): Task {
  const { fluid, pressure, most } = asked;
  return {
    kind: 'pressure-test',
    test: 'seat',
    ...asked,
    hold: worked.result.hold,
    allowed: countedLeak(worked.result, fluid),
    shown: judgedAt(worked, pressure, most, notes),
  };
}

/** How the allowance is asked for each of them. */
const ASKED_AS = {
  globe: 'globe',
  gate: 'gate',
  plug: 'plug',
  'lubricated plug': 'plug',
  'floating ball': 'ball',
  'trunnion ball': 'ball',
  butterfly: 'butterfly',
  check: 'check',
} as const satisfies Readonly<Record<ClosureTested, string>>;

/** The seats of an oilfield valve at its rated pressure: nothing to be seen for three minutes (API 6A). */
export function workingPressureTest(c: Context): Task {
  const asked = pressuresOf(c);
  if ('wants' in asked) return asked;
  const pressure = asked.result.closureHigh;
  const most = times(pressure, API_6A_MOST_OVER);
  const hold = seconds(API_6A_HOLD_SECONDS);
  return {
    kind: 'pressure-test',
    test: 'seat',
    fluid: 'liquid',
    pressure,
    most,
    hold,
    allowed: NO_DROPS,
    shown: judgedAt(withHold(asked, pressure, hold), pressure, most),
  };
}

/** Leak through the seat by its class: bubbles for VI, water in millilitres for the others. */
export function leakClassTest({ features, valve }: Context): Task {
  const { tightness, seat } = features;
  if (!tightness) return { kind: 'do' };
  const fluid = tightness.class === 'VI' ? 'gas' : 'liquid';
  const port = seat.diameter ?? (valve.nps === undefined ? undefined : quantity('length', valve.nps, 'in'));
  const worked = leakAllowance.work({
    code: 'FCI 70-2',
    class: tightness.class,
    fluid,
    ...(port ? { portDiameter: port } : {}),
    ...(tightness.difference ? { difference: tightness.difference } : {}),
    ...(tightness.ratedCv ? { ratedCv: tightness.ratedCv } : {}),
  });
  const pressure = worked.ok ? worked.value.result.testPressure : undefined;
  if (!worked.ok || !pressure) return { kind: 'do' };
  const isByCapacity = tightness.class !== 'V' && tightness.class !== 'VI';
  const most = isByCapacity ? psig(CAPACITY_TEST_PSI.most) : undefined;
  return seatTestBy(worked.value, {
    ...{ fluid, pressure },
    ...(most ? { most } : {}),
    ...(fluid === 'gas' ? { tube: 'class-vi', ...underGas(valve.nps) } : {}),
  });
}

/** A body between its blinds holds about three bores in length (common practice): what is under gas until somebody measures it. */
const BORES_LONG = 3;
export function underGas(nps: number | undefined): { readonly volume?: Volume } {
  if (nps === undefined) return {};
  return { volume: quantity('volume', (Math.PI / 4) * nps ** 2 * BORES_LONG * nps, 'in³') };
}

export const wants = (...ids: DetailId[]): Task & { kind: 'wants' } => ({ kind: 'wants', wants: ids });

/** The test pressures of this valve, or what must be known first. */
function pressuresOf({ valve, features }: Context) {
  const { nps, pressureClass, group, iron, ratedPressure } = valve;
  if (nps === undefined) return wants('nps');
  const isWellhead = closureOf(features).ratedBy === 'working pressure';
  const rating = isWellhead
    ? ratedPressure && { ratedPressure, code: 'API 6A' as const }
    : iron
      ? { iron }
      : pressureClass && { class: pressureClass, ...(group === undefined ? {} : { group }) };
  if (!rating) return wants(isWellhead ? 'ratedPressure' : 'pressureClass');
  const worked = testPressures.work({ ...rating, size: { nps } });
  return worked.ok ? worked.value : wants(isWellhead ? 'ratedPressure' : 'pressureClass');
}

/** API 598 holds by size; those of check valves are longer where they are small. */
function holdOf({ valve }: Context, as: ClosureTested, test: 'shell' | 'backseat'): Time {
  const row = HOLD_SECONDS.find(({ upToNps }) => (valve.nps ?? Infinity) <= upToNps);
  if (test === 'backseat') return seconds(row?.backseat ?? 0);
  return seconds((as === 'check' ? row?.checkShell : row?.shell) ?? 0);
}

/** What may leak, in what is counted: drops or bubbles where the standard counts them, else millilitres. */
function countedLeak(
  { flow, dropsPerMinute, bubblesPerMinute }: LeakAllowance,
  fluid: 'liquid' | 'gas',
): Leak {
  const events = fluid === 'gas' ? bubblesPerMinute : dropsPerMinute;
  return events === undefined
    ? { perMinute: valueIn(flow, 'mL/min'), of: 'mL' }
    : { perMinute: events, of: fluid === 'gas' ? 'bubbles' : 'drops' };
}

const times = (pressure: GaugePressure, factor: number): GaugePressure => ({
  ...pressure,
  value: pressure.value * factor,
});

/** The pressure working with the line on how long it is watched. */
function withHold(worked: Shown, pressure: GaugePressure, hold: Time): Shown {
  return {
    ...worked,
    steps: [
      ...worked.steps,
      {
        label: 'Hold',
        formula: 'by size',
        substituted: formatAs(pressure, 'psig'),
        result: formatAs(hold, 's'),
      },
    ],
    notes: [...worked.notes, 'None visible: not one drop in the whole hold.'],
  };
}

/** The limits a test is judged by, and what the gauge itself may be off. */
function judgedAt(worked: Shown, least: GaugePressure, most?: GaugePressure, notes: string[] = []): Shown {
  const limit = most ? ` and not above ${formatAs(most, 'psig')}` : '';
  return {
    ...worked,
    notes: [
      ...worked.notes,
      ...notes,
      `Holds at ${formatAs(least, 'psig')} as the gauge reads it, not below${limit}. ${GAUGE_ERROR}`,
    ],
  };
}

/** ASME B40.100 grades, from memory. */
const GAUGE_ERROR =
  'A gauge of grade 1A is itself off by up to 1 % of its range (2A 0.5 %, A 2 %; its certificate says): keep that much clear of both limits.';
