import { phrase, psig, quantity } from '../../quantity';
import { closureOf, positionerOf } from '../../valve';
import { pressureAsk } from '../blocks/asks';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft, type Fragment } from '../draft';
import { once, rebuild, sequence, setUp, strip } from '../sequence';

const POSITIONER = feature('force-balance positioner with a pneumatic relay');

/** Flappers and relay cleaned with the positioner off; zero, span and gain set after any overhaul. */
export const positionerSteps: Fragment = {
  name: 'positioner',
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
  return sequence(c, once(rebuild(POSITIONER, ['positioner on', 'air lines on'])), [
    {
      id: 'rebuild.relay',
      title: 'Relay together with new O-rings and gasket; nozzle held down until the four screws are tight',
      why: 'Held down, the slack between the diaphragms comes out right.',
      caution: 'Let the nozzle up before the screws are tight and the relay never balances.',
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

function set(c: Context): Draft[] {
  return sequence(c, setUp(POSITIONER, ['bench set']), [
    {
      id: 'setup.supply',
      title: 'Supply on',
      why: phrase`${psig(35)} to ${psig(100)}. Bias spring is zero, range spring is span, relay nozzles are sensitivity.`,
      caution: CAUTIONS.air,
      minutes: 3,
    },
    {
      id: 'setup.mid',
      title: 'Half of the signal in: bias until mid-travel; then balance by the nozzles',
      why: phrase`${psig(9)} in. Both cylinder gauges at 75 % of supply and within ${quantity('pressure difference', 5, 'psi')} of each other; beam level, its free end midway between its stops.`,
      tools: ['signal source', 'test gauges'],
      task: {
        kind: 'measure',
        asks: [
          pressureAsk('supply', '80 psig'),
          pressureAsk('cylinder, top gauge', '60 psig'),
          pressureAsk('cylinder, bottom gauge', '58 psig'),
        ],
      },
      minutes: 12,
    },
    {
      id: 'setup.span',
      title: 'Span: vary the signal to full travel',
      why: phrase`${psig(12)} is full travel. More than that: range spring anticlockwise; less: clockwise.`,
      task: { kind: 'measure', asks: [pressureAsk('signal for full travel', '12 psig')] },
      minutes: 10,
    },
    {
      id: 'setup.zero',
      title: 'Zero: the lowest signal in, bias until it just moves',
      why: phrase`${psig(3)} in. Zero moves when the span is changed: it is set after it.`,
      task: { kind: 'measure', asks: [pressureAsk('signal where it just moves', '3 psig')] },
      minutes: 6,
    },
    {
      id: 'setup.lock',
      title: 'Check zero and span again; lock both',
      why: 'Locking can move them.',
      minutes: 5,
    },
  ]);
}
