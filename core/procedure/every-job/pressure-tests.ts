import {
  formatAs,
  psig,
  quantity,
  seconds,
  valueIn,
  type GaugePressure,
  type Leak,
  type Time,
} from '../../quantity';
import { API_598, FCI_70_2, HOLD_SECONDS } from '../../standards';
import type { PressureTest } from '../../job';
import { moverOf } from '../../valve';
import { leakAllowance, testPressures } from '../../workings';
import { CAUTIONS } from '../cautions';
import { closureProcedure, type Proof } from '../closures';
import { draft, feature, rule, type Context, type Draft, type Fragment } from '../draft';
import type { Shown, Task } from '../../task';
import { ifThere, stepName } from '../relations';

/** Shell, backseat and seat. */
export const pressureTests: Fragment = {
  name: 'pressure tests',
  openings: 'every',
  compose: tests,
};

/** The hold on the last test. */
export const testHold: Fragment = {
  name: 'hold on the test',
  openings: 'last',
  of: 'sound',
  compose: hold,
};

type BySize = Extract<Proof, { by: 'size' }>;

const SHELL = stepName('test.shell');
const BACKSEAT = stepName('test.backseat');

function tests(c: Context): Draft[] {
  const { proof } = closureProcedure(c.features);
  if (!proof) return [];
  const bySize = proof.by === 'size' ? proof : undefined;
  const control = proof.by === 'class' || moverOf(c.features).stem === 'slides';
  return [
    draft({
      ...usual,
      name: SHELL,
      title: 'Shell test',
      why: 'Body, bonnet, joint and gland, at one and a half times the rating, valve half open.',
      task: pressureTest(c, 'shell', bySize),
      parts: ['body'],
      minutes: c.minutes(20),
      because: rule(API_598.name),
      after: ['set up', 'rebuilt', 'asked'],
      provides: ['tests'],
    }),
    ...(c.features.backseat ? [backseat(c, bySize)] : []),
    control && c.features.tightness ? seatByClass(c) : seatBySize(c, bySize),
  ];
}

const usual = { stage: 'test', caution: CAUTIONS.pressure, tools: ['test rig'] } as const;

function backseat(c: Context, proof: BySize | undefined): Draft {
  return draft({
    ...usual,
    name: BACKSEAT,
    title: 'Backseat test',
    why: 'Fully open, gland slack: the backseat alone holds. Light torque is enough: the pressure helps it.',
    parts: c.has('bonnet') ? ['stem', 'bonnet'] : ['stem', 'bonnet chamber'],
    task: pressureTest(c, 'backseat', proof),
    minutes: c.minutes(10),
    because: feature('has a backseat'),
    after: [SHELL],
    provides: ['tests'],
  });
}

function seatBySize(c: Context, proof: BySize | undefined): Draft {
  return draft({
    ...usual,
    name: stepName('test.seat'),
    title: 'Seat test',
    why: proof?.how ?? 'Closed, the outlet watched for the whole hold.',
    parts: (proof?.parts ?? []).filter(c.has),
    task: pressureTest(c, 'seat', proof),
    minutes: c.minutes(15),
    because: rule(API_598.name),
    after: [SHELL, ifThere(BACKSEAT)],
    provides: ['tests', 'seat tested'],
  });
}

function seatByClass(c: Context): Draft {
  const { tightness } = c.features;
  return draft({
    ...usual,
    name: stepName('test.seat'),
    title: `Seat test, class ${tightness?.class ?? 'IV'}`,
    why: 'Closed by the actuator at its own signal, never by hand; the outlet watched.',
    parts: (['plug', 'ball', 'vane', 'disc', 'seat ring', 'cartridge'] as const).filter(c.has),
    task: leakClass(c),
    minutes: c.minutes(15),
    because: rule(FCI_70_2.name),
    after: [SHELL, ifThere(BACKSEAT)],
    provides: ['tests', 'seat tested'],
  });
}

function hold({ features }: Context): Draft[] {
  const tested = closureProcedure(features).proof !== undefined;
  return [
    draft({
      name: stepName('hold.test'),
      ofTheJob: true,
      stage: 'test',
      title: tested ? 'Hold: witness the seat test' : 'Hold: witness the test',
      why: 'The certificate says that somebody else saw it hold.',
      task: {
        kind: 'hold',
        witness: tested ? 'the seat test and its reading' : 'the test and its readings',
      },
      minutes: 10,
      because: rule('hold point before release'),
      after: ['tests', 'set up', 'rebuilt'],
      provides: ['tested'],
    }),
  ];
}

const drops = (perMinute = 0): Leak => ({ perMinute, of: 'drops' });
const bubbles = (perMinute = 0): Leak => ({ perMinute, of: 'bubbles' });

function pressureTest({ valve, site }: Context, kind: PressureTest, proof: BySize | undefined): Task {
  const { nps, pressureClass, group } = valve;
  if (nps === undefined) return { kind: 'wants', wants: ['nps'] };
  if (pressureClass === undefined) return { kind: 'wants', wants: ['pressureClass'] };
  const material = group === undefined ? {} : { group };
  const pressures = testPressures.work({ class: pressureClass, ...material });
  if (!pressures.ok) return { kind: 'wants', wants: ['pressureClass'] };
  if (kind === 'seat') {
    const soft = proof?.seat === 'soft';
    const seat = leakAllowance.work({
      code: 'API 598',
      edition: site.api598Edition,
      size: { nps },
      valve: proof?.as ?? 'globe',
      seat: proof?.seat ?? 'metal',
      class: String(pressureClass),
      fluid: soft ? 'gas' : 'liquid',
      ...material,
    });
    if (!seat.ok) return { kind: 'wants', wants: ['pressureClass'] };
    const { result } = seat.value;
    return {
      kind: 'pressure-test',
      test: 'seat',
      fluid: soft ? 'gas' : 'liquid',
      pressure: result.testPressure,
      hold: result.hold,
      allowed: soft ? bubbles(result.bubblesPerMinute) : drops(result.dropsPerMinute),
      shown: seat.value,
    };
  }
  const row = HOLD_SECONDS.find(({ upToNps }) => nps <= upToNps);
  const { result } = pressures.value;
  const at = kind === 'shell' ? result.shell : result.backseat;
  const held = seconds((kind === 'shell' ? row?.shell : row?.backseat) ?? 0);
  return {
    kind: 'pressure-test',
    test: kind,
    fluid: 'liquid',
    pressure: psig(at.value),
    hold: held,
    allowed: drops(0),
    shown: withHold(pressures.value, at, held),
  };
}

/** Leak through the seat by its class: bubbles for VI, water in millilitres for the others. */
function leakClass({ features, valve }: Context): Task {
  const { tightness, seat } = features;
  if (!tightness) return { kind: 'do' };
  const gas = tightness.class === 'VI';
  const port = seat.diameter ?? (valve.nps === undefined ? undefined : quantity('length', valve.nps, 'in'));
  const worked = leakAllowance.work({
    code: 'FCI 70-2',
    class: tightness.class,
    fluid: gas ? 'gas' : 'liquid',
    ...(port ? { portDiameter: port } : {}),
    ...(tightness.difference ? { difference: tightness.difference } : {}),
    ...(tightness.ratedCv ? { ratedCv: tightness.ratedCv } : {}),
  });
  if (!worked.ok) return { kind: 'do' };
  const { result } = worked.value;
  return {
    kind: 'pressure-test',
    test: 'seat',
    fluid: gas ? 'gas' : 'liquid',
    pressure: result.testPressure,
    hold: result.hold,
    allowed:
      gas && result.bubblesPerMinute !== undefined
        ? bubbles(result.bubblesPerMinute)
        : { perMinute: valueIn(result.flow, 'mL/min'), of: 'mL' },
    shown: worked.value,
  };
}

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
