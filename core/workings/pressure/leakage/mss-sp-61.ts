import { inConflict, ok, type Result } from '../../../problem';
import { psig, quantity, seconds, type Flow, type GaugePressure } from '../../../quantity';
import {
  B16_34_HOLDS,
  formatSize,
  GAS_ALONE_TO,
  GAS_SEAT_TEST_PSIG,
  MSS_SP_61,
  SP_61_LEAKAGE,
  type NominalSize,
} from '../../../standards';
import { line } from '../../frame/sheet';
import { testPressures } from '../test-pressures';
import type { Worked } from '../../frame/working';
import { mlPerMinute, needed, pressureClassOf, type LeakAllowance, type LeakQuestion } from './allowance';

/** MSS SP-61: 10 mL/h of liquid or 0.1 ft³/h of gas per inch NPS, check valves 40 mL/h; soft seats none. */
export function leakBySp61(given: LeakQuestion): Result<Worked<LeakAllowance>> {
  const { size } = given;
  if (!size) return needed('size', 'the size, such as NPS 3', MSS_SP_61.name);
  const pressure = testPressure(given);
  if (!pressure.ok) return pressure;
  const flow = flowFor(given, size);
  if (!flow.ok) return flow;
  const hold = seconds(B16_34_HOLDS.find(({ upToNps }) => size.nps <= upToNps)?.seat ?? 120);
  return ok({
    result: { flow: flow.value, ...(pressure.value ? { testPressure: pressure.value } : {}), hold },
    steps: [
      line('Leak allowed', ruleFor(given), formatSize(size), flow.value),
      line(
        'Test pressure',
        given.fluid === 'gas' ? 'at least 80 psig gas' : '1.1 × the 100 °F rating',
        '',
        pressure.value ?? 'not with gas alone',
      ),
      line('Hold', 'by size, as ASME B16.34', formatSize(size), hold),
    ],
    notes: [
      ...(given.seat === 'soft' ? ['Nothing may be seen for the whole hold.'] : []),
      ...(given.fluid === 'gas' && size.nps > GAS_ALONE_TO.anyClassNps
        ? [
            'Gas at 80 psi alone only to NPS 12 in class 400 and lower; above that liquid at 1.1 × the rating.',
          ]
        : []),
    ],
    source: MSS_SP_61,
  });
}

function ruleFor({ seat, valve, fluid }: LeakQuestion): string {
  if (seat === 'soft') return 'soft seat: none';
  if (valve === 'check') return '40 mL/h per inch NPS';
  return fluid === 'liquid' ? '10 mL/h per inch NPS' : '0.1 ft³/h per inch NPS';
}

function flowFor({ seat, valve, fluid }: LeakQuestion, { nps }: NominalSize): Result<Flow> {
  if (seat === 'soft') return ok(mlPerMinute(0));
  if (valve === 'check' && fluid === 'gas')
    return inConflict(
      ['valve', 'fluid'],
      'MSS SP-61 check valves are carried here for liquid only: agree the gas figure with the buyer.',
    );
  if (fluid === 'gas') return ok(quantity('flow', SP_61_LEAKAGE.gasCubicFeetPerHour * nps, 'ft³/h'));
  const perInch = valve === 'check' ? SP_61_LEAKAGE.checkLiquidMlPerHour : SP_61_LEAKAGE.liquidMlPerHour;
  return ok(quantity('flow', perInch * nps, 'mL/h'));
}

function testPressure(given: LeakQuestion): Result<GaugePressure | undefined> {
  const pressureClass = pressureClassOf(given, MSS_SP_61.name);
  const nps = given.size?.nps ?? 0;
  if (given.fluid === 'gas') {
    const isSmall = nps <= GAS_ALONE_TO.anyClassNps;
    const isLow =
      nps <= GAS_ALONE_TO.nps && pressureClass.ok && pressureClass.value <= GAS_ALONE_TO.pressureClass;
    return ok(isSmall || isLow || given.class === undefined ? psig(GAS_SEAT_TEST_PSIG) : undefined);
  }
  if (!pressureClass.ok) return pressureClass;
  const pressures = testPressures.work({
    class: pressureClass.value,
    code: 'MSS SP-61',
    ...(given.group ? { group: given.group } : {}),
  });
  return pressures.ok ? ok(pressures.value.result.closureHigh) : pressures;
}
