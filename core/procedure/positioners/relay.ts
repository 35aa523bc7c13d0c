import { phrase, psig, quantity, valueIn, type Ratio } from '../../quantity';
import { onStep } from '../../job';
import { CYLINDER_BALANCE, POSITIONER_LIMITS } from '../../standards';
import {
  CLEAR_OF_STOPS,
  travelReadAt,
  type MeasureAsk,
  type MeasureTask,
  type Stroked,
  type StrokedRead,
} from '../../task';
import { closureOf, moverOf, positionerOf, signalAt, signalSpan } from '../../valve';
import { pressureAsk } from '../blocks/asks';
import { strokeTests } from '../blocks/stroking';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft, type Fragment } from '../draft';
import { hasOwnAir } from '../every-job/isolation/isolated';
import { stepName } from '../relations';
import { once, rebuild, sequence, setUp, strip } from '../sequence';

const POSITIONER = feature('force-balance positioner with a pneumatic relay');

/** Flappers and relay cleaned with the positioner off; zero, span and gain set after any overhaul. */
export const positionerSteps: Fragment = {
  name: 'positioner',
  room: 'positioner',
  openings: 'every',
  when: (features) => positionerOf(features) !== undefined && !closureOf(features).repackedInPlace,
  compose: (c) => [...relayApart(c), ...relayTogether(c), ...set(c)],
};

function relayApart(c: Context): Draft[] {
  return sequence(c, once(strip(POSITIONER, ['actuator off', 'positioner off'])), [
    {
      id: 'strip.flappers',
      title: 'Swing the flappers out and clean them',
      why: 'The cheapest cure of a sluggish actuator, so the first: then relay, piston O-ring, seal O-rings.',
      off: ['flappers'],
      consumables: ['solvent', 'lint-free cloth'],
      minutes: 6,
    },
    {
      id: 'strip.relay',
      title: 'Relay apart: diaphragms, inner valve, gasket, O-rings',
      why: 'Lay them out in order: they stack one way only.',
      off: ['relay gasket', 'relay diaphragms', 'inner valve', 'relay O-rings', 'relay body'],
      minutes: 12,
    },
  ]);
}

function relayTogether(c: Context): Draft[] {
  return sequence(c, once(rebuild(POSITIONER, [], 'relay together')), [
    {
      id: 'rebuild.relay',
      title: 'Relay together with new O-rings and gasket; nozzle held down until the four screws are tight',
      why: 'Held down, the slack between the diaphragms comes out right.',
      consumables: ['O-ring lubricant for the elastomer'],
      caution:
        'O-rings greased sparingly. Let the nozzle up before the screws are tight and the relay never balances.',
      on: ['relay body', 'relay O-rings', 'inner valve', 'relay diaphragms', 'relay gasket'],
      minutes: 12,
    },
    {
      id: 'rebuild.flappers',
      title: 'Flappers back, square on their nozzles',
      why: 'A flapper that touches on one side hunts.',
      on: ['flappers'],
      minutes: 4,
    },
  ]);
}

const TOP = 'cylinder, top gauge';
const BOTTOM = 'cylinder, bottom gauge';
const percent = (value: number): Ratio => quantity('ratio', value, '%');

/** Travel at a share of the signal, within this of it; percent of the rated travel, all of them. */
const travelAt = (at: number, within: number): MeasureAsk => ({
  what: travelReadAt(at),
  dimension: 'ratio',
  example: `${at} %`,
  mustBe: { from: percent(at - within), to: percent(at + within) },
});
/** Shares of the signal, percent: half of it, and off the stops. */
const [MID_SIGNAL, LOW_SIGNAL, HIGH_SIGNAL] = [50, CLEAR_OF_STOPS.low, CLEAR_OF_STOPS.high];
const MID = travelAt(MID_SIGNAL, 2);
/** Off the stops, which would hide an error; within what zero and span may be off. */
const [LOW, HIGH] = [
  travelAt(LOW_SIGNAL, POSITIONER_LIMITS.ends),
  travelAt(HIGH_SIGNAL, POSITIONER_LIMITS.ends),
];
const readAt = (what: string, at: number, off: StrokedRead['off'] = 'travel'): StrokedRead => ({
  what,
  off,
  at: percent(at),
});
const [SUPPLY, ACTUATOR] = ['supply', 'actuator'];

const ONE_SIDE: MeasureTask = {
  kind: 'measure',
  asks: [pressureAsk(SUPPLY, '20 psig'), pressureAsk(ACTUATOR, '9 psig'), MID],
  live: {
    kind: 'stroked',
    reads: [
      readAt(SUPPLY, MID_SIGNAL, 'supply'),
      readAt(ACTUATOR, MID_SIGNAL, 'driven'),
      readAt(MID.what, MID_SIGNAL),
    ],
    screws: ['zero screw', 'gain screw'],
  },
};
/** Where both gauges of a cylinder are to stand, once its supply has been read. */
function balanced(c: Context): Pick<MeasureAsk, 'mustBe'> {
  const read = onStep(c.state, 'measured', c.idOf(MIDWAY)).findLast(({ body }) => body.what === SUPPLY);
  if (read?.body.value.dimension !== 'gauge pressure') return {};
  const supply = valueIn({ ...read.body.value, dimension: 'gauge pressure' }, 'psig');
  const { share, within } = CYLINDER_BALANCE;
  return { mustBe: { from: psig((share - within) * supply), to: psig((share + within) * supply) } };
}

const bothSides = (c: Context): MeasureTask => ({
  kind: 'measure',
  asks: [
    pressureAsk(SUPPLY, '80 psig'),
    { ...pressureAsk(TOP, '60 psig'), ...balanced(c) },
    { ...pressureAsk(BOTTOM, '58 psig'), ...balanced(c) },
    MID,
  ],
  agree: { what: [TOP, BOTTOM], within: quantity('pressure difference', 5, 'psi') },
  live: {
    kind: 'stroked',
    reads: [
      readAt(SUPPLY, MID_SIGNAL, 'supply'),
      readAt(TOP, MID_SIGNAL, 'other'),
      readAt(BOTTOM, MID_SIGNAL, 'driven'),
      readAt(MID.what, MID_SIGNAL),
    ],
    screws: ['zero screw', 'relay nozzle', 'gain screw'],
  },
});
const ENDS: Stroked = {
  kind: 'stroked',
  reads: [readAt(LOW.what, LOW_SIGNAL), readAt(HIGH.what, HIGH_SIGNAL)],
  screws: ['span screw', 'zero screw', 'gain screw'],
};
const SPAN = stepName('setup.span');
const MIDWAY = stepName('setup.mid');

function set(c: Context): Draft[] {
  const isDouble = moverOf(c.features).bothSides === true;
  const at = (share: number) => signalAt(c.valve, share);
  return sequence(c, setUp(POSITIONER, ['bench set']), [
    {
      id: 'setup.supply',
      benchAir: true,
      title: hasOwnAir(c) ? 'Its own supply through the positioner' : 'Bench air through the positioner',
      why: isDouble
        ? phrase`${psig(35)} to ${psig(100)}, or by the sheet. Bias spring is zero, range spring is span, relay nozzles are sensitivity.`
        : phrase`${quantity('pressure difference', 5, 'psi')} over the high end of the bench set at least, and never over the casing limit of the actuator. Bias spring is zero, range spring is span.`,
      caution: CAUTIONS.air,
      minutes: 3,
    },
    {
      id: MIDWAY,
      benchAir: true,
      title: isDouble
        ? 'Half of the signal in: bias until mid-travel; then balance by the nozzles'
        : 'Half of the signal in: feedback at a right angle, bias until mid-travel',
      why: !isDouble
        ? phrase`${at(MID_SIGNAL)} in. One side only: there is nothing to balance.`
        : phrase`${at(MID_SIGNAL)} in. Both cylinder gauges at 75 % of supply and within ${quantity('pressure difference', 5, 'psi')} of each other; beam level, its free end midway between its stops.`,
      tools: ['signal source', 'test gauges'],
      task: isDouble ? bothSides(c) : ONE_SIDE,
      minutes: 12,
    },
    {
      id: SPAN,
      benchAir: true,
      title: 'Span, then zero, and again until neither moves',
      why: phrase`${at(LOW_SIGNAL)} and ${at(HIGH_SIGNAL)} in, clear of both stops. Full travel at more than ${signalSpan(c.valve)} of range: range spring anticlockwise; at less: clockwise. Zero after it, for the span moves it.`,
      tools: ['spanners', 'signal source'],
      task: { kind: 'measure', asks: [LOW, HIGH], live: ENDS },
      minutes: 16,
    },
    {
      id: 'setup.lock',
      benchAir: true,
      title: 'Check zero and span again; lock both',
      why: 'Locking can move them: both read once more, beside what they were set to.',
      task: {
        kind: 'measure',
        asks: [LOW, HIGH].map((ask) => ({ ...ask, was: c.idOf(SPAN) })),
        live: ENDS,
      },
      minutes: 5,
    },
    ...strokeTests(c, ENDS.screws),
  ]);
}
