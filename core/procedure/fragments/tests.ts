import { formatAs, psig, seconds, type GaugePressure, type Time } from '../../quantity';
import { API_598, HOLD_SECONDS } from '../../standards';
import type { PressureTest } from '../../job';
import { leakAllowance, testPressures } from '../../workings';
import { CAUTIONS } from '../cautions';
import {
  draft,
  feature,
  rule,
  type Context,
  type Draft,
  type Fragment,
  type Shown,
  type Task,
} from '../draft';

/** Shell, backseat and seat, then the hold on the seat test. */
export const pressureTests: Fragment = {
  name: 'pressure tests',
  openings: 'every',
  compose: (c) => (c.condemned ? [] : [...tests(c), ...(c.opening.last ? [hold(c)] : [])]),
};

function tests(c: Context): Draft[] {
  const { id, minutes } = c;
  const common = {
    stage: 'test' as const,
    caution: CAUTIONS.pressure,
    tools: ['test rig'],
    parts: ['body' as const],
  };
  return [
    draft({
      ...common,
      id: id('test.shell'),
      title: 'Shell test',
      why: 'Body, bonnet, joint and gland, at one and a half times the rating, valve half open.',
      task: test(c, 'shell'),
      minutes: minutes(20),
      because: rule(API_598.name),
      after: [id('set up'), id('rebuilt'), 'asked'],
      provides: [id('tests')],
    }),
    ...(c.valve.features.backseat
      ? [
          draft({
            ...common,
            id: id('test.backseat'),
            title: 'Backseat test',
            why: 'Fully open, gland slack: the backseat alone holds.',
            parts: ['stem', 'bonnet'],
            task: test(c, 'backseat'),
            minutes: minutes(10),
            because: feature('has a backseat'),
            after: [id('test.shell')],
            provides: [id('tests')],
          }),
        ]
      : []),
    draft({
      ...common,
      id: id('test.seat'),
      title: 'Seat test',
      why: 'Closed by hand, pressure under the disc, the outlet watched for the whole hold.',
      parts: ['seat', 'disc'],
      task: test(c, 'seat'),
      minutes: minutes(15),
      because: rule(API_598.name),
      after: [id('test.shell'), id('test.backseat')],
      provides: [id('tests')],
    }),
  ];
}

function hold(c: Context): Draft {
  return draft({
    id: c.id('hold.test'),
    stage: 'test',
    title: 'Hold: witness the seat test',
    why: 'The certificate says that somebody else saw it hold.',
    task: { kind: 'hold', witness: 'the seat test and its reading' },
    minutes: 10,
    because: rule('hold point before release'),
    after: [c.id('tests')],
    provides: ['tested'],
  });
}

function test({ valve, site }: Context, kind: PressureTest): Task {
  const { nps, pressureClass, group } = valve;
  if (nps === undefined) return { kind: 'wants', wants: ['nps'] };
  if (pressureClass === undefined) return { kind: 'wants', wants: ['pressureClass'] };
  const material = group === undefined ? {} : { group };
  const pressures = testPressures.work({ class: pressureClass, ...material });
  const seat = leakAllowance.work({
    code: 'API 598',
    edition: site.api598Edition,
    size: { nps },
    valve: 'globe',
    seat: 'metal',
    class: String(pressureClass),
    fluid: 'liquid',
    ...material,
  });
  if (!pressures.ok || !seat.ok) return { kind: 'wants', wants: ['pressureClass'] };
  const common = { kind: 'pressure-test' as const, test: kind, fluid: 'liquid' as const };
  if (kind === 'seat') {
    const { result } = seat.value;
    return {
      ...common,
      pressure: result.testPressure,
      hold: result.hold,
      allowedPerMinute: result.dropsPerMinute ?? 0,
      shown: seat.value,
    };
  }
  const row = HOLD_SECONDS.find(({ upToNps }) => nps <= upToNps);
  const { result } = pressures.value;
  const at = kind === 'shell' ? result.shell : result.backseat;
  const held = seconds((kind === 'shell' ? row?.shell : row?.backseat) ?? 0);
  return {
    ...common,
    pressure: psig(at.value),
    hold: held,
    allowedPerMinute: 0,
    shown: withHold(pressures.value, at, held),
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
