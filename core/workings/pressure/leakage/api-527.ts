import { notInTable, ok, type Result } from '../../../problem';
import { psig, quantity, seconds, si, valueIn, type GaugePressure } from '../../../quantity';
import {
  API_527,
  API_527_BUBBLE_ML,
  API_527_BUBBLES,
  API_527_HOLDS,
  API_527_LIQUID_ML_PER_HOUR_INCH,
  API_527_TEST,
  isSmallOrifice,
  USUAL_INLET_NPS,
} from '../../../standards';
import { line, sheetFor, shown } from '../../frame/sheet';
import type { Worked } from '../../frame/working';
import { mlPerMinute, needed, type LeakAllowance, type LeakQuestion } from './allowance';

/** API 527: relief valve seats, air by orifice and set pressure; liquid by inlet; soft seats none. */
export function leakByApi527(given: LeakQuestion): Result<Worked<LeakAllowance>> {
  const { setPressure, orifice } = given;
  if (!setPressure) return needed('setPressure', 'the set pressure', API_527.name);
  if (valueIn(setPressure, 'psig') <= API_527_TEST.lowLessPsi)
    return notInTable(API_527.name, shown(setPressure), `set pressures over ${API_527_TEST.lowLessPsi} psig`);
  const nps = given.size?.nps ?? (orifice && USUAL_INLET_NPS[orifice]);
  const hold = seconds(API_527_HOLDS.find(({ upToNps }) => (nps ?? Infinity) <= upToNps)?.seconds ?? 300);
  const testPressure = pressureFor(setPressure);
  const test = [
    line('Test pressure', '90 % of set; at 50 psig and below, set − 5 psi', shown(setPressure), testPressure),
    line(
      'Hold before counting',
      'by inlet size',
      nps === undefined
        ? 'not given: the longest'
        : `NPS ${nps}${given.size ? '' : ', usual for the orifice'}`,
      hold,
    ),
  ];
  const common = { testPressure, hold };
  if (given.fluid === 'liquid' && given.seat !== 'soft') {
    if (!given.size) return needed('size', 'the inlet size', `${API_527.name} for liquid`);
    const flow = quantity('flow', API_527_LIQUID_ML_PER_HOUR_INCH * Math.max(1, given.size.nps), 'mL/h');
    return ok({
      result: { flow, ...common },
      steps: [
        line('Leak allowed', '10 cm³/h per inch of inlet, at least 10', `NPS ${given.size.nps}`, flow),
        ...test,
      ],
      notes: [],
      source: API_527,
    });
  }
  if (given.seat === 'soft')
    return ok({
      result: {
        flow: mlPerMinute(0),
        ...(given.fluid === 'liquid' ? { dropsPerMinute: 0 } : { bubblesPerMinute: 0 }),
        ...common,
      },
      steps: [line('Leak allowed', 'soft seat: none', '', 'none for one minute'), ...test],
      notes: given.fluid === 'liquid' ? [] : [TUBE],
      source: API_527,
    });
  if (!orifice) return needed('orifice', 'the orifice letter', API_527.name);
  const psi = valueIn(setPressure, 'psig');
  if (psi < LEAST_SET_PSIG)
    return notInTable(API_527.name, shown(setPressure), `set pressures from ${LEAST_SET_PSIG} psig`);
  const row = rowFor(psi);
  const bubbles = isSmallOrifice(orifice) ? row.small : row.large;
  const flow = mlPerMinute(bubbles * API_527_BUBBLE_ML);
  return ok({
    result: { flow, bubblesPerMinute: bubbles, ...common },
    steps: [
      line(
        'Leak allowed',
        `orifice ${isSmallOrifice(orifice) ? 'F and smaller' : 'G and larger'}, ${row.words}`,
        shown(setPressure),
        `${bubbles} bubbles/min`,
      ),
      ...test,
    ],
    notes: [
      TUBE,
      'Steam: nothing seen or heard for 1 min.',
      ...(row.between ? ['Between listed pressures the stricter row is taken.'] : []),
    ],
    source: API_527,
  });
}

const LEAST_SET_PSIG = 15;
const TUBE = `Tube 5/16 in OD × 0.035 in wall, cut square, 1/2 in under water: about ${API_527_BUBBLE_ML} mL a bubble.`;

function pressureFor(set: GaugePressure): GaugePressure {
  const sheet = sheetFor(set);
  const psi = valueIn(set, 'psig');
  const test = psi > API_527_TEST.lowSetPsig ? psi * API_527_TEST.share : psi - API_527_TEST.lowLessPsi;
  return sheet.of('gauge pressure', si(psig(Math.max(0, test))));
}

/** The listed row, or the stricter (lower) of the two the pressure lies between. */
function rowFor(psi: number): { small: number; large: number; words: string; between: boolean } {
  const above = API_527_BUBBLES.findIndex(({ upToPsig }) => psi <= upToPsig);
  const last = API_527_BUBBLES[API_527_BUBBLES.length - 1] ?? API_527_BUBBLES[0];
  if (above < 0) return { ...last, words: '5000 psig and above', between: false };
  const row = API_527_BUBBLES[above] ?? last;
  const onRow = above === 0 || Math.abs(psi - row.upToPsig) < 1e-6;
  const stricter = onRow ? row : (API_527_BUBBLES[above - 1] ?? row);
  return {
    ...stricter,
    words: above === 0 ? '15 to 1000 psig' : `the row of ${stricter.upToPsig} psig`,
    between: !onRow,
  };
}
