import { COUPLED, coupledBy, USUAL_BENCH_SET } from '../../inspection';
import { measuredLast, onStep } from '../../job';
import { formatAs, formatExactly, inches, psig, valueIn, type Force } from '../../quantity';
import { COUPLED_OFF_STOP } from '../../standards';
import type { MeasureAsk, MeasureTask } from '../../task';
import { moverOf, opensByAir } from '../../valve';
import { actuatorSeatLoad } from '../../workings';
import type { Context } from '../draft';
import { stepName } from '../relations';
import type { Sketch } from '../sequence';
import { lengthAsk, orNought, pressureAsk } from './asks';
import { taken } from './taken';

const FIGURES = stepName('rebuild.coupling-figures');

/** An actuator whose spring is pressed, or pressed against, by air on a diaphragm. */
export const isSprung = ({ features }: Context): boolean => moverOf(features).element === 'diaphragm';

/** What its leak class wants on the seat, where that is known. */
function loadFor({ features, valve }: Context): Force | undefined {
  const { tightness, seat } = features;
  const seatDiameter = seat.diameter ?? (valve.nps === undefined ? undefined : inches(valve.nps));
  if (!tightness || !seatDiameter) return undefined;
  const worked = actuatorSeatLoad.work({
    seatDiameter,
    leakClass: tightness.class,
    ...(tightness.difference ? { difference: tightness.difference } : {}),
  });
  return worked.ok ? worked.value.result.load : undefined;
}

const forceAsk = (what: string, example: string): MeasureAsk => ({ what, dimension: 'force', example });

/** What actuator and seat want, before they are coupled: of the plate, the sheet, the gauge. */
export function couplingFigures(c: Context): Sketch {
  const load = loadFor(c);
  const { high } = c.valve.plate?.springRange ?? USUAL_BENCH_SET;
  return {
    id: FIGURES,
    benchAir: true,
    title: 'What the coupling must give: area, travel, seat load, friction, its own stop',
    why: 'Off the plate and the sheet of the actuator. The seat load is what is left of the spring or the air once it shuts: computed here, not found at the first leak test.',
    optional: 'where the area of its diaphragm is nowhere to be read, it is coupled by the sheet alone',
    tools: ['regulator and test gauge'],
    parts: ['actuator'],
    task: taken(
      { what: COUPLED.area, dimension: 'area', example: '105 in²' },
      lengthAsk(COUPLED.travel, '1.5 in'),
      forceAsk(COUPLED.load, load ? formatAs(load, 'lbf') : '250 lbf'),
      orNought(forceAsk(COUPLED.friction, '60 lbf')),
      opensByAir(c.features)
        ? pressureAsk(COUPLED.stop, formatExactly(c.valve.plate?.springRange?.low ?? USUAL_BENCH_SET.low))
        : pressureAsk(COUPLED.most, `${Math.round(valueIn(high, 'psig') + 5)} psig`),
    ),
    minutes: 6,
  };
}

/** The working of this coupling, once its figures are taken. */
function worked(c: Context) {
  const { state, valve } = c;
  if (onStep(state, 'measured', c.idOf(FIGURES)).length === 0) return undefined;
  const answer = coupledBy((what, dimension) => measuredLast(state, what, dimension), valve);
  return answer?.ok ? answer.value : undefined;
}

/** Coupled so: off its own stop by what the seat wants, or with the end of the bench set on and travel left beyond the seat. */
export function couplingTask(c: Context): MeasureTask {
  const shown = worked(c);
  const also = shown ? { shown } : {};
  if (opensByAir(c.features)) {
    const off = shown?.result.offStop ?? COUPLED_OFF_STOP;
    const ask = lengthAsk('off its own stop at coupling', formatExactly(off));
    return { ...taken({ ...ask, mustBe: { atLeast: off } }), ...also };
  }
  const { high } = c.valve.plate?.springRange ?? USUAL_BENCH_SET;
  const psi = valueIn(high, 'psig');
  return {
    ...taken(
      {
        ...pressureAsk('pressure on the actuator at coupling', formatExactly(high)),
        mustBe: { from: psig(psi - WITHIN), to: psig(psi + WITHIN) },
      },
      {
        ...lengthAsk('actuator travel left beyond the seat', formatExactly(COUPLED_OFF_STOP)),
        mustBe: { atLeast: COUPLED_OFF_STOP },
      },
    ),
    ...also,
  };
}
/** As near as a regulator is set, psi. */
const WITHIN = 0.5;
