import { ok, type Result } from '../../problem';
import { psig, si, type Quantity } from '../../quantity';
import { TRAVEL_WITHIN } from '../../standards';
import { moverOf, opensByAir, type Valve } from '../../valve';
import {
  actuatorBalance,
  actuatorBenchSet,
  actuatorBenchSweep,
  actuatorCoupling,
  type Coupling,
  type Worked,
} from '../../workings';
import type { Verdict } from '../call';
import type { Judge, Judged, Readings } from './judgement';

/** What a coupling is worked out from: of the actuator’s plate or sheet, and by its gauge. */
export const COUPLED = {
  area: 'area of the actuator diaphragm',
  travel: 'rated travel',
  load: 'seat load wanted',
  friction: 'packing friction',
  stop: 'the stem leaves its stop at',
  most: 'most air on the actuator',
} as const;
/** A bench set, read both ways. */
export const BENCH_SET = {
  startsUp: 'start of travel, rising',
  endsUp: 'end of travel, rising',
  endsDown: 'end of travel, falling',
  startsDown: 'start of travel, falling',
} as const;
export const MATCH = {
  limit: 'casing limit of the actuator',
  unbalance: 'unbalanced area of the plug',
  difference: 'pressure difference, shut',
  stroke: 'travel on the scale',
} as const;

/** A bench set that nobody has stamped is the usual one (common practice). */
export const USUAL_BENCH_SET = { low: psig(3), high: psig(15) } as const;

/** The coupling of an actuator as far as its figures are read: with what air on, how far off its stop, what it leaves on the seat. */
export function coupledBy(
  readings: Readings,
  { features, plate }: Valve,
): Result<Worked<Coupling>> | undefined {
  const area = readings(COUPLED.area, 'area');
  const travel = readings(COUPLED.travel, 'length');
  const wantedLoad = readings(COUPLED.load, 'force');
  const friction = readings(COUPLED.friction, 'force');
  const stopPressure = readings(COUPLED.stop, 'gauge pressure');
  const mostAir = readings(COUPLED.most, 'gauge pressure');
  const opens = opensByAir(features);
  if (!area || !travel || !wantedLoad || !friction || !(opens ? stopPressure : mostAir)) return undefined;
  const { low: benchLow, high: benchHigh } = plate?.springRange ?? USUAL_BENCH_SET;
  return actuatorCoupling.work({
    action: opens ? 'air to open' : 'air to close',
    ...{ area, travel, wantedLoad, friction, benchLow, benchHigh },
    ...(stopPressure ? { stopPressure } : {}),
    ...(mostAir ? { mostAir } : {}),
  });
}

/** What a coupling leaves on the seat, before it is made. */
export const couplingLoad: Judge = {
  subject: 'coupling',
  reads: [COUPLED.area, COUPLED.travel, COUPLED.load, COUPLED.friction],
  judge: (readings, valve) => {
    const worked = coupledBy(readings, valve);
    const wanted = readings(COUPLED.load, 'force');
    if (!worked || !wanted || moverOf(valve.features).element !== 'diaphragm') return undefined;
    if (!worked.ok) return worked;
    const { seatLoad, coupleAt, offStop, verdict } = worked.value.result;
    const { source } = worked.value;
    const called: Verdict = verdict === 'stop' ? 'rework' : verdict;
    return ok({
      figures: [
        ...(seatLoad
          ? [{ what: 'seat load, no process', found: seatLoad, limit: wanted, verdict: called, source }]
          : []),
        { what: 'coupled at', found: coupleAt, verdict: 'fit', source },
        ...(offStop
          ? [{ what: 'off its own stop by', found: offStop, verdict: 'fit' as const, source }]
          : []),
      ],
      working: actuatorCoupling.id,
      given: {},
      shown: worked.value,
    });
  },
};

/** Whether an actuator suits its valve: thrust at both ends, stroke, casing, and what it does on loss of air. */
export const actuatorMatch: Judge = {
  subject: 'actuator match',
  reads: [
    COUPLED.area,
    COUPLED.travel,
    COUPLED.load,
    COUPLED.friction,
    COUPLED.most,
    ...Object.values(BENCH_SET),
    ...Object.values(MATCH),
  ],
  judge: (readings, { features }) => {
    const read = readingsFor(readings);
    if (!read || moverOf(features).element !== 'diaphragm') return undefined;
    const { area, travel, load, friction, most, limit, unbalance, difference, stroke, ...ends } = read;
    const swept = actuatorBenchSweep.work(ends);
    if (!swept.ok) return swept;
    const { low: benchLow, high: benchHigh } = swept.value.result;
    const spring = actuatorBenchSet.work({ area, travel, benchLow, benchHigh });
    if (!spring.ok) return spring;
    const opens = opensByAir(features);
    const given = {
      area,
      springRate: spring.value.result.springRate,
      benchLow,
      benchHigh,
      travel,
      action: opens ? ('air to open' as const) : ('air to close' as const),
      unbalanceArea: unbalance,
      difference: { ...difference, value: Math.abs(difference.value) },
      packingFriction: friction,
      flow: si(difference) < 0 ? ('over' as const) : ('under' as const),
      supply: most,
    };
    const worked = actuatorBalance.work(given);
    if (!worked.ok) return worked;
    const { seatLoad, thrustOpenSeat, verdict } = worked.value.result;
    const judged = (
      what: string,
      found: Judged['found'],
      isRight: boolean,
      also: { readonly limit?: Quantity; readonly otherwise?: Verdict } = {},
    ): Judged => ({
      what,
      found,
      ...(also.limit ? { limit: also.limit } : {}),
      verdict: isRight ? 'fit' : (also.otherwise ?? 'rework'),
      source: worked.value.source,
    });
    const isShut = si(seatLoad) > 0;
    return ok({
      figures: [
        judged('left on the seat', seatLoad, si(seatLoad) >= si(load), {
          limit: load,
          otherwise: isShut ? 'ask' : 'rework',
        }),
        ...(thrustOpenSeat
          ? [
              judged('opening thrust at the seat', thrustOpenSeat, verdict !== 'does not open', {
                limit: friction,
              }),
            ]
          : []),
        judged(MATCH.stroke, stroke, Math.abs(si(stroke) / si(travel) - 1) <= TRAVEL_WITHIN + 1e-9, {
          limit: travel,
        }),
        judged('air against the casing', most, si(most) <= si(limit), { limit }),
        judged(
          'on loss of air',
          opens
            ? `the spring ${isShut ? 'shuts it' : 'does not shut it'}`
            : `the spring ${verdict === 'does not open' ? 'does not open it' : 'opens it'}`,
          opens ? isShut : verdict !== 'does not open',
        ),
      ],
      working: actuatorBalance.id,
      given,
      shown: {
        ...worked.value,
        notes: [
          ...worked.value.notes,
          si(difference) < 0
            ? 'Flow from above, the way that presses the plug home.'
            : 'Flow from under the plug, the way that lifts it.',
        ],
      },
    });
  },
};

function readingsFor(readings: Readings) {
  const area = readings(COUPLED.area, 'area');
  const travel = readings(COUPLED.travel, 'length');
  const load = readings(COUPLED.load, 'force');
  const friction = readings(COUPLED.friction, 'force');
  const most = readings(COUPLED.most, 'gauge pressure');
  const limit = readings(MATCH.limit, 'gauge pressure');
  const unbalance = readings(MATCH.unbalance, 'area');
  const difference = readings(MATCH.difference, 'pressure difference');
  const stroke = readings(MATCH.stroke, 'length');
  const startsUp = readings(BENCH_SET.startsUp, 'gauge pressure');
  const endsUp = readings(BENCH_SET.endsUp, 'gauge pressure');
  const endsDown = readings(BENCH_SET.endsDown, 'gauge pressure');
  const startsDown = readings(BENCH_SET.startsDown, 'gauge pressure');
  if (!area || !travel || !load || !friction || !most) return undefined;
  if (!limit || !unbalance || !difference || !stroke) return undefined;
  if (!startsUp || !endsUp || !endsDown || !startsDown) return undefined;
  return {
    ...{ area, travel, load, friction, most, limit, unbalance, difference, stroke },
    ...{ startsUp, endsUp, endsDown, startsDown },
  };
}
