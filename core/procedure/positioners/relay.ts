import { phrase, psig, quantity } from '../../quantity';
import { closureOf, moverOf, positionerOf } from '../../valve';
import { pressureAsk } from '../blocks/asks';
import { taken } from '../blocks/taken';
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

const ONE_SIDE = { asks: [pressureAsk('supply', '20 psig'), pressureAsk('actuator', '9 psig')] } as const;

const SPAN = stepName('setup.span');
const ZERO = stepName('setup.zero');
const FULL = pressureAsk('signal for full travel', '12 psig');
const JUST = pressureAsk('signal where it just moves', '3 psig');
const TOP = 'cylinder, top gauge';
const BOTTOM = 'cylinder, bottom gauge';
const BOTH_SIDES = {
  asks: [pressureAsk('supply', '80 psig'), pressureAsk(TOP, '60 psig'), pressureAsk(BOTTOM, '58 psig')],
  agree: { what: [TOP, BOTTOM], within: quantity('pressure difference', 5, 'psi') },
} as const;

function set(c: Context): Draft[] {
  const isDouble = moverOf(c.features).bothSides === true;
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
      id: 'setup.mid',
      benchAir: true,
      title: isDouble
        ? 'Half of the signal in: bias until mid-travel; then balance by the nozzles'
        : 'Half of the signal in: feedback at a right angle, bias until mid-travel',
      why: !isDouble
        ? phrase`${psig(9)} in. One side only: there is nothing to balance.`
        : phrase`${psig(9)} in. Both cylinder gauges at 75 % of supply and within ${quantity('pressure difference', 5, 'psi')} of each other; beam level, its free end midway between its stops.`,
      tools: ['signal source', 'test gauges'],
      task: {
        kind: 'measure',
        ...(isDouble ? BOTH_SIDES : ONE_SIDE),
      },
      minutes: 12,
    },
    {
      id: SPAN,
      benchAir: true,
      title: 'Span: vary the signal to full travel',
      why: phrase`${psig(12)} is full travel. More than that: range spring anticlockwise; less: clockwise.`,
      tools: ['spanners'],
      task: taken(FULL),
      minutes: 10,
    },
    {
      id: ZERO,
      benchAir: true,
      title: 'Zero: the lowest signal in, bias until it just moves',
      why: phrase`${psig(3)} in. Zero moves when the span is changed: it is set after it.`,
      task: taken(JUST),
      minutes: 6,
    },
    {
      id: 'setup.lock',
      benchAir: true,
      title: 'Check zero and span again; lock both',
      why: 'Locking can move them: both read once more, beside what they were set to.',
      task: {
        kind: 'measure',
        asks: [
          { ...FULL, was: c.idOf(SPAN) },
          { ...JUST, was: c.idOf(ZERO) },
        ],
      },
      minutes: 5,
    },
  ]);
}
