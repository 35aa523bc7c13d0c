import { measuredLast } from '../../job';
import { formatExactly, inches, psig, quantity, valueIn } from '../../quantity';
import { DUMP_WITHIN } from '../../standards';
import type { LeverFigures, MeasureAsk, MeasureTask } from '../../task';
import { leverWeight } from '../../workings';
import type { Context } from '../draft';
import { stepName } from '../relations';
import { lengthAsk, pressureAsk } from './asks';
import { taken } from './taken';

const HEAD: MeasureAsk = { what: 'head wanted', dimension: 'pressure difference', example: '4 psi' };
const AREA: MeasureAsk = { what: 'area of the diaphragm', dimension: 'area', example: '28 in²' };
const ARM: MeasureAsk = {
  what: 'shaft to stem',
  dimension: 'length',
  example: '1.5 in',
  instrument: 'caliper',
};
const WEIGHT: MeasureAsk = { what: 'the weight', dimension: 'force', example: '20 lbf' };
const MOMENT: MeasureAsk = { what: 'moment of the lever itself', dimension: 'torque', example: '40 lbf·in' };
/** What the place of a weight is computed from. */
export const BALANCED = [HEAD, AREA, ARM, WEIGHT, MOMENT];

/** The step that puts the weight where it is computed to go. */
export const WEIGHED = stepName('setup.weight');
const PLACE = 'weight from the shaft';
const [OPENS, SHUTS] = ['opens at a head of', 'shuts again at a head of'];
/** As near as a weight is slid by hand. */
export const PLACED = inches(1 / 4);

/** What was measured of the lever, once all of it was. */
function leverOf({ state }: Context): LeverFigures | undefined {
  const diaphragmArea = measuredLast(state, AREA.what, 'area');
  const shortArm = measuredLast(state, ARM.what, 'length');
  const weight = measuredLast(state, WEIGHT.what, 'force');
  const leverMoment = measuredLast(state, MOMENT.what, 'torque');
  return diaphragmArea && shortArm && weight && leverMoment
    ? { diaphragmArea, shortArm, weight, leverMoment }
    : undefined;
}

const headWanted = ({ state }: Context) => measuredLast(state, HEAD.what, 'pressure difference');

/** Where the weight balances what was measured, once it was. */
export function weightPlaced(c: Context): MeasureTask {
  const ask = lengthAsk(PLACE, '6.4 in');
  const [head, lever] = [headWanted(c), leverOf(c)];
  const worked = head && lever && leverWeight.work({ head, ...lever });
  if (!worked?.ok) return taken(ask);
  const { position } = worked.value.result;
  const inch = valueIn(position, 'in');
  const by = (way: number) => inches(Math.max(0, inch + way * valueIn(PLACED, 'in')));
  return {
    ...taken({ ...ask, example: formatExactly(position), mustBe: { from: by(-1), to: by(1) } }),
    shown: worked.value,
  };
}

/** Found on a water leg or the vessel: it opens at its head, shuts under it, and where its weight then stands is kept. */
export function dumpsAtHead(c: Context): MeasureTask {
  const [head, lever] = [headWanted(c), leverOf(c)];
  const psi = head ? valueIn(head, 'psi') : 4;
  const place = measuredLast(c.state, PLACE, 'length');
  const [low, high] = [psig(psi * (1 - DUMP_WITHIN)), psig(psi * (1 + DUMP_WITHIN))];
  const example = `${Math.round(psi * 100) / 100} psig`;
  return {
    kind: 'measure',
    asks: [
      { ...pressureAsk(OPENS, example), ...(head ? { mustBe: { from: low, to: high } } : {}) },
      { ...pressureAsk(SHUTS, `${Math.round(psi * 90) / 100} psig`), mustBe: { below: high } },
      {
        ...lengthAsk(PLACE, place ? formatExactly(place) : '6.4 in'),
        ...(c.has('weight') ? { was: c.idOf(WEIGHED) } : {}),
      },
    ],
    ...(head && lever && c.place !== 'in line'
      ? {
          live: {
            kind: 'pops',
            aim: quantity('gauge pressure', psi, 'psig'),
            pops: [OPENS],
            reseat: SHUTS,
            weight: { place: PLACE, lever },
          },
        }
      : {}),
  };
}
