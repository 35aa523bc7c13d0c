import { BORE_PLACES, NOMINAL_BORE } from '../../inspection';
import { lengthAsk } from '../blocks/asks';
import { measured } from '../blocks/measured';
import { CAUTIONS } from '../cautions';
import { feature, type Context, type Draft } from '../draft';
import { stepName } from '../relations';
import { once, rebuild, sequence, setUp, strip } from '../sequence';
import type { MoverProcedure } from './mover';
import { coupled, drivenToClosed, uncoupled } from '../blocks/couplings';
import { taken } from '../blocks/taken';

const PISTON = feature('double-acting piston actuator');

/** A double-acting cylinder, its positioner on top where it has one: apart, measured, back with new seals. */
export const piston: MoverProcedure = {
  settings: () => [
    lengthAsk('height of the jam nuts on the stem', '0.875 in'),
    lengthAsk('thread engaged in the coupling', '0.75 in'),
  ],
  steps: (c) => [...off(c), ...apart(c), ...sized(c), ...together(c), ...on(c), ...stroke(c)],
};

const ACTUATOR_OFF = stepName('strip.actuator-off');
const BORE = stepName('inspect.bore');

const sized = (c: Context): Draft[] =>
  measured(c, {
    id: BORE,
    title: 'Cylinder bore: inside micrometer, three depths, two ways',
    why: 'A worn bore is sluggish and hunts.',
    tools: ['inside micrometer'],
    parts: ['cylinder', 'piston'],
    asks: [lengthAsk(NOMINAL_BORE, '6 in'), ...BORE_PLACES.map(({ what }) => lengthAsk(what, '6.001 in'))],
  });

const onTop = (c: Context) => c.has('feedback spring');
const side = (c: Context) => c.has('positioner') && !onTop(c);
const connector = (c: Context) => (c.has('stem connector') ? (['stem connector'] as const) : []);

function off(c: Context): Draft[] {
  return sequence(c, strip(PISTON, ['marked'], 'actuator off'), [
    drivenToClosed(c),
    {
      id: 'strip.air-lines',
      title: 'Air lines off, ends capped',
      why: 'One grain of sand blocks a nozzle. Mark which goes where.',
      caution: CAUTIONS.air,
      off: ['air lines', ...(side(c) ? (['positioner'] as const) : [])],
      minutes: 6,
    },
    ...uncoupled(c),
    {
      id: ACTUATOR_OFF,
      title: 'Actuator off the bonnet',
      why: 'Rigged, straight up off the stem.',
      caution: CAUTIONS.lift,
      tools: ['sling'],
      off: ['actuator', ...connector(c), 'boot'],
      minutes: 10,
    },
  ]);
}

function apart(c: Context): Draft[] {
  return sequence(c, once(strip(PISTON, [ACTUATOR_OFF])), [
    onTop(c) && {
      id: 'strip.positioner',
      provides: ['positioner off'],
      title: 'Range spring off the actuator stem; cap screws; positioner off',
      why: 'The range spring first: it ties the positioner to the stem.',
      caution: 'Do not lose the O-ring that seals it to the cylinder.',
      off: ['feedback spring', 'positioner', 'positioner O-ring'],
      minutes: 10,
    },
    {
      id: 'strip.cylinder',
      title: 'Pry the cylinder off with the piston in it',
      why: 'Evenly, all round.',
      caution: 'Air out of both ends first: a cylinder let go by trapped air flies.',
      off: ['cylinder'],
      minutes: 10,
    },
    {
      id: 'strip.piston',
      title: 'Force the piston out',
      why: 'With a wooden block, through the open end.',
      caution: 'Wood only: a nick in the bore cuts every new seal.',
      tools: ['wooden block'],
      off: ['piston', 'piston O-ring'],
      minutes: 6,
    },
    {
      id: 'strip.bushings',
      title: 'Cylinder seal bushing, yoke seal bushing, their O-rings',
      why: 'The two places where air gets past the stem.',
      off: ['cylinder bushing', 'cylinder bushing seal', 'yoke bushing', 'yoke bushing seal'],
      minutes: 6,
    },
  ]);
}

function together(c: Context): Draft[] {
  return sequence(c, once(rebuild(PISTON, [BORE], 'actuator ready')), [
    {
      id: 'rebuild.bushings',
      title: 'Bushings in with new O-rings',
      why: 'Greased sparingly: grease carried into the relay sticks it.',
      caution: 'Grease sparingly.',
      consumables: ['silicone grease'],
      on: ['yoke bushing seal', 'yoke bushing', 'cylinder bushing seal', 'cylinder bushing'],
      minutes: 8,
    },
    {
      id: 'rebuild.piston',
      title: 'New piston O-ring, piston into the cylinder',
      why: 'Turned in past the edge.',
      consumables: ['silicone grease'],
      on: ['piston O-ring', 'piston'],
      minutes: 8,
    },
    {
      id: 'rebuild.cylinder',
      title: 'Cylinder on, evenly',
      why: 'Screws crosswise.',
      on: ['cylinder'],
      minutes: 8,
    },
    onTop(c) && {
      id: 'rebuild.positioner',
      also: ['relay together'],
      title: 'Positioner on with its new O-ring; range spring to the stem',
      why: 'The O-ring seals it to the cylinder: without it the relay hunts.',
      on: ['positioner O-ring', 'positioner', 'feedback spring'],
      minutes: 10,
    },
  ]);
}

function on(c: Context): Draft[] {
  return sequence(c, rebuild(PISTON, ['packed', 'closed', 'actuator ready', 'trim in', 'plug in']), [
    {
      id: 'rebuild.actuator-on',
      title: 'Actuator on the bonnet, new boot, marks meeting',
      why: 'Its air connections face the way they did.',
      caution: CAUTIONS.lift,
      tools: ['sling'],
      on: ['boot', 'actuator', ...connector(c)],
      minutes: 10,
    },
    ...coupled(c),
    {
      id: 'rebuild.air-lines',
      also: ['relay together'],
      title: 'Air lines back as marked',
      why: 'Blown through first.',
      on: ['air lines', ...(side(c) ? (['positioner'] as const) : [])],
      minutes: 6,
    },
  ]);
}

function stroke(c: Context): Draft[] {
  const placed = c.features.limits.kind === 'position-seated';
  return sequence(c, setUp(PISTON, ['gland set'], 'bench set'), [
    {
      id: 'setup.stroke',
      benchAir: true,
      title: 'Stroke three times, full travel on the scale',
      why: placed
        ? 'It stops short of driving the ball home: the flow does that.'
        : 'The same start and end each time. Slow or jerky: flappers first, they are the cheapest.',
      caution: placed ? `Never over-stroke. ${CAUTIONS.air}` : CAUTIONS.air,
      parts: ['travel indicator'],
      task: taken(lengthAsk('travel on the scale', '1.5 in')),
      minutes: 6,
    },
  ]);
}
