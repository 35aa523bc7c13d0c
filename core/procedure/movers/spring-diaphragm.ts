import { BENCH_SET as BENCH_READ, COUPLED, MATCH, USUAL_BENCH_SET } from '../../inspection';
import { measuredLast, onStep, type JobState } from '../../job';
import { formatExactly, psig, valueIn, type GaugePressure } from '../../quantity';
import {
  SWEPT_ENDS,
  type MeanOf,
  type MeasureAsk,
  type MeasureTask,
  type Swept,
  type SweptEnd,
} from '../../task';
import { positionerOf, type SpringDiaphragm } from '../../valve';
import { actuatorBenchSweep, benchWithin } from '../../workings';
import { lengthAsk, pressureAsk } from '../blocks/asks';
import { CAUTIONS } from '../cautions';
import { closureProcedure } from '../closures';
import { feature, type Context, type Draft } from '../draft';
import { stepName } from '../relations';
import { once, rebuild, sequence, setUp, strip } from '../sequence';
import type { MoverProcedure } from './mover';
import { coupled, drivenToClosed, uncoupled } from '../blocks/couplings';
import { strokeTests } from '../blocks/stroking';
import { stackApart, stackTogether } from '../blocks/diaphragm-stack';
import { compared, taken, turnsAsk } from '../blocks/taken';

const ACTUATOR = feature('spring-diaphragm actuator');
const STACK = {
  id: 'actuator-diaphragm',
  diaphragm: 'actuator diaphragm',
  plates: [],
  held: [],
  told: 'part number of the diaphragm',
} as const;

/** Air on a diaphragm against a spring: off the bonnet, looked into, back, coupled and bench set. */
export const springDiaphragm: MoverProcedure<SpringDiaphragm> = {
  settings: () => [
    lengthAsk('height of the spring adjuster', '1.25 in'),
    lengthAsk('height of the jam nuts on the stem', '0.875 in'),
    lengthAsk('thread engaged in the coupling', '0.75 in'),
  ],
  steps: (c, { action }) => [
    ...off(c),
    ...(leftOn(c) ? [] : [...opened(c), ...closed(c)]),
    ...on(c),
    ...set(c, action),
  ],
};

/** The trim alone is worked on: the actuator rides up with the bonnet, its diaphragm undisturbed. */
const leftOn = ({ scope, features }: Context): boolean =>
  scope === 'trim' && closureProcedure(features).liftsWithActuator === true;

const ACTUATOR_OFF = stepName('strip.actuator-off');
const PRELOAD = stepName('strip.preload');
const TURNS = turnsAsk('turns of the spring adjuster', '6 turns');

function off(c: Context): Draft[] {
  return sequence(c, strip(ACTUATOR, ['marked', 'blind head off'], 'actuator off'), [
    drivenToClosed(c),
    {
      id: 'strip.air-lines',
      title: 'Air lines, positioner and switches disconnected',
      why: 'Ends capped: one grain of sand blocks a nozzle. Mark which goes where.',
      caution: CAUTIONS.air,
      off: ['air lines', ...(c.has('positioner') ? (['positioner'] as const) : [])],
      minutes: 6,
    },
    {
      id: PRELOAD,
      title: 'Unwind the adjuster until the spring preload is gone, counting the turns',
      why: 'Before the stem is let go: what is left of the spring would throw it. The bench set goes back by the count.',
      caution: CAUTIONS.spring,
      parts: ['actuator spring'],
      task: taken(TURNS),
      unloads: true,
      minutes: 5,
    },
    ...uncoupled(c),
    !leftOn(c) && {
      id: ACTUATOR_OFF,
      title: 'Actuator off the bonnet',
      why: 'Rigged from its own lifting point, straight up off the stem.',
      caution: CAUTIONS.lift,
      tools: ['sling'],
      off: ['actuator', ...(c.has('stem connector') ? (['stem connector'] as const) : [])],
      minutes: 10,
    },
  ]);
}

function opened(c: Context): Draft[] {
  return sequence(c, once(strip(ACTUATOR, [ACTUATOR_OFF])), [
    {
      id: 'strip.actuator-cover',
      title: 'Cover off with two long bolts opposite each other to the last',
      why: 'The long bolts let the spring up.',
      caution: CAUTIONS.spring,
      tools: ['two long bolts'],
      off: ['actuator cover'],
      minutes: 10,
    },
    stackApart(STACK),
    {
      id: 'strip.actuator-spring',
      title: 'Spring out; stem seals out',
      why: 'Seals are renewed with the diaphragm out.',
      off: ['actuator spring', 'actuator stem seals'],
      minutes: 5,
    },
  ]);
}

function closed(c: Context): Draft[] {
  return sequence(c, once(rebuild(ACTUATOR, [], 'actuator ready')), [
    {
      id: 'rebuild.actuator-spring',
      title: 'New stem seals, spring in',
      why: 'A replacement actuator suits by thrust and stroke, not by size alone.',
      on: ['actuator stem seals', 'actuator spring'],
      consumables: ['silicone grease'],
      minutes: 6,
    },
    stackTogether(STACK),
    {
      id: 'rebuild.actuator-cover',
      title: 'Cover on, the long bolts first, then crosswise',
      why: 'Even, or the diaphragm edge creeps out.',
      caution: CAUTIONS.clampedSpring,
      on: ['actuator cover'],
      minutes: 10,
    },
  ]);
}

function on(c: Context): Draft[] {
  return sequence(c, rebuild(ACTUATOR, ['packed', 'closed', 'actuator ready', 'plug in', 'trim in']), [
    !leftOn(c) && {
      id: 'rebuild.actuator-on',
      title: 'Actuator on the bonnet, marks meeting',
      why: 'Its air connections face the way they did.',
      caution: CAUTIONS.lift,
      tools: ['sling'],
      on: ['actuator', ...(c.has('stem connector') ? (['stem connector'] as const) : [])],
      minutes: 10,
    },
    {
      id: 'rebuild.preload',
      title: 'Adjuster in again by the turns that came off',
      why: 'Near its bench set before it is coupled; the gauge has the last word.',
      parts: ['actuator spring'],
      task: compared(PRELOAD, TURNS),
      minutes: 5,
    },
    ...coupled(c),
    {
      id: 'rebuild.air-lines',
      also: ['relay together'],
      title: 'Air lines and positioner back as marked',
      why: 'Blown through first.',
      on: ['air lines', ...(c.has('positioner') ? (['positioner'] as const) : [])],
      minutes: 6,
    },
  ]);
}

const BENCH_SET = stepName('setup.bench-set');
const MATCHED = stepName('setup.match');
const READS: Swept['reads'] = BENCH_READ;
/** What friction makes of it, psi either way (common practice). */
const RUBS = 0.4;
/** Bench air goes as far over the bench set as it takes to see the end of the travel. */
const OVER = 3;

/** Four readings, whose means are the bench set; the plate says where that is wanted. */
function benchSetTask(c: Context): MeasureTask {
  const range = c.valve.plate?.springRange;
  const { low, high } = range ?? USUAL_BENCH_SET;
  const at = (end: GaugePressure, by: number) =>
    `${Math.round((valueIn(end, 'psig') + by) * 100) / 100} psig`;
  const mean = (what: string, of: MeanOf['of'], end: GaugePressure): MeanOf => ({
    what,
    of,
    ...(range ? { mustBe: wantedAt(end, range) } : {}),
  });
  const { startsUp, endsUp, endsDown, startsDown } = READS;
  const shown = workedSweep(c);
  return {
    kind: 'measure',
    asks: [
      pressureAsk(startsUp, at(low, RUBS)),
      pressureAsk(endsUp, at(high, RUBS)),
      pressureAsk(endsDown, at(high, -RUBS)),
      pressureAsk(startsDown, at(low, -RUBS)),
    ],
    means: [
      mean('bench set, start', [startsUp, startsDown], low),
      mean('bench set, end', [endsUp, endsDown], high),
    ],
    live: {
      kind: 'swept',
      reads: READS,
      screws: ['spring adjuster'],
      most: psig(valueIn(high, 'psig') + OVER),
    },
    ...(shown ? { shown } : {}),
  };
}

/** What was read last, worked through. */
function workedSweep({ valve, state, idOf }: Context) {
  const read = onStep(state, 'measured', idOf(BENCH_SET));
  const last = (end: SweptEnd) => {
    const value = read.findLast(({ body }) => body.what === READS[end])?.body.value;
    return value?.dimension === 'gauge pressure' ? { ...value, dimension: value.dimension } : undefined;
  };
  const [startsUp, endsUp, endsDown, startsDown] = SWEPT_ENDS.map(last);
  if (!startsUp || !endsUp || !endsDown || !startsDown) return undefined;
  const range = valve.plate?.springRange;
  const worked = actuatorBenchSweep.work({
    ...{ startsUp, endsUp, endsDown, startsDown },
    ...(range ? { benchLow: range.low, benchHigh: range.high } : {}),
  });
  return worked.ok ? worked.value : undefined;
}

function wantedAt(
  end: GaugePressure,
  { low, high }: { readonly low: GaugePressure; readonly high: GaugePressure },
) {
  const within = valueIn(benchWithin(low, high), 'psi');
  const at = valueIn(end, 'psig');
  return { from: psig(at - within), to: psig(at + within) };
}

/** What is still wanted to judge the match; what the coupling asked already is not asked again. */
function matchAsks({ features, valve, state, idOf }: Context): MeasureAsk[] {
  const difference = features.tightness?.difference;
  const high = valueIn(valve.plate?.springRange?.high ?? USUAL_BENCH_SET.high, 'psig');
  const asks: MeasureAsk[] = [
    { what: COUPLED.area, dimension: 'area', example: '105 in²' },
    lengthAsk(COUPLED.travel, '1.5 in'),
    { what: COUPLED.load, dimension: 'force', example: '250 lbf' },
    { what: COUPLED.friction, dimension: 'force', example: '60 lbf', orNought: true },
    pressureAsk(COUPLED.most, `${Math.round(high + 5)} psig`),
  ];
  const known = state.records.measured.filter(({ body }) => body.step.id !== idOf(MATCHED));
  return [
    ...asks.filter(({ what }) => !known.some(({ body }) => body.what === what)),
    { ...pressureAsk(MATCH.limit, '35 psig'), ...overMostAir(state) },
    { what: MATCH.unbalance, dimension: 'area', example: '1.5 in²', orNought: true },
    {
      what: MATCH.difference,
      dimension: 'pressure difference',
      example: difference ? formatExactly(difference) : '150 psi',
    },
  ];
}

/** A casing that would be given more than it is made for stops the job here. */
function overMostAir(state: JobState): Pick<MeasureAsk, 'mustBe'> {
  const most = measuredLast(state, COUPLED.most, 'gauge pressure');
  return most ? { mustBe: { atLeast: most } } : {};
}

function set(c: Context, action: SpringDiaphragm['action']): Draft[] {
  const opens = action === 'air-to-open';
  return sequence(c, setUp(ACTUATOR, ['gland set'], 'bench set'), [
    {
      id: BENCH_SET,
      benchAir: true,
      title: 'Bench set: air up and down; spring adjuster until travel starts and ends at its pressures',
      why: opens
        ? 'Air-to-open: it just leaves its seat at the low figure and is fully up at the high one.'
        : 'Air-to-close: it just starts down at the low figure and touches its seat at the high one.',
      caution: CAUTIONS.air,
      tools: ['regulator and test gauge'],
      parts: ['actuator spring'],
      task: benchSetTask(c),
      minutes: 12,
    },
    {
      id: 'setup.stroke',
      benchAir: true,
      title: 'Stroke three times, full travel on the scale',
      why: 'The same start and end each time; a jerk is friction.',
      caution: CAUTIONS.air,
      parts: ['travel indicator'],
      task: taken(lengthAsk(MATCH.stroke, '1.5 in')),
      minutes: 5,
    },
    ...(positionerOf(c.features) ? [] : strokeTests(c, [])),
    {
      id: MATCHED,
      title: 'Does the actuator suit its valve: thrust, stroke, casing, loss of air',
      why: 'Each with its figure, beside what the seat, the packing and the casing ask. The difference with a minus where the flow comes from above and presses the plug home.',
      optional: 'only where its casing limit and the unbalanced area of its plug can be read',
      parts: ['actuator'],
      task: taken(...matchAsks(c)),
      minutes: 4,
    },
  ]);
}
