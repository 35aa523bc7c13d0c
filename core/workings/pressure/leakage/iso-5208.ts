import { notInTable, ok, type Result } from '../../../problem';
import { fromSi, quantity, seconds, si, type GaugePressure } from '../../../quantity';
import {
  dnOf,
  formatSize,
  ISO_5208,
  ISO_5208_CHECK_HOLD,
  ISO_5208_EVENT_MM3,
  ISO_5208_GAS_BAR,
  ISO_5208_HOLDS,
  ISO_5208_RATES,
  isIso5208Rate,
} from '../../../standards';
import { line, shown } from '../../frame/sheet';
import { testPressures } from '../test-pressures';
import type { Worked } from '../../frame/working';
import { needed, pressureClassOf, type LeakAllowance, type LeakQuestion } from './allowance';

/** ISO 5208: a rate by its letter, times the DN; drops of 62.5 and bubbles of 65.4 mm³. */
export function leakByIso5208(given: LeakQuestion): Result<Worked<LeakAllowance>> {
  const letter =
    given.rate ?? (given.class !== undefined && isIso5208Rate(given.class) ? given.class : undefined);
  if (letter === undefined) return needed('rate', 'a rate from A to G', ISO_5208.name);
  if (!isIso5208Rate(letter))
    return notInTable(ISO_5208.name, `rate ${letter}`, Object.keys(ISO_5208_RATES).join(' '));
  if (!given.size) return needed('size', 'the size, such as DN 100', ISO_5208.name);
  const dn = dnOf(given.size);
  if (dn === undefined) return notInTable(ISO_5208.name, formatSize(given.size), 'the usual DN sizes');
  const pressure = testPressure(given);
  if (!pressure.ok) return pressure;
  const perDn = ISO_5208_RATES[letter][given.fluid];
  const flow = quantity('flow', perDn * dn, 'mm³/s');
  const events = given.fluid === 'liquid' ? ISO_5208_EVENT_MM3.drop : ISO_5208_EVENT_MM3.bubble;
  const perMinute = (flow.value * 60) / events;
  const listed = ISO_5208_HOLDS.find(({ upToDn }) => dn <= upToDn)?.seat ?? 120;
  const hold = seconds(given.valve === 'check' ? Math.max(ISO_5208_CHECK_HOLD, listed) : listed);
  return ok({
    result: {
      flow,
      ...(given.fluid === 'liquid' ? { dropsPerMinute: perMinute } : { bubblesPerMinute: perMinute }),
      ...(pressure.value ? { testPressure: pressure.value } : {}),
      hold,
    },
    steps: [
      line('Leak allowed', `rate ${letter}, ${given.fluid}: mm³/s per mm of DN`, `${perDn} × ${dn}`, flow),
      line(
        'As events',
        `60 × flow / ${events} mm³`,
        shown(flow),
        `${Number(perMinute.toPrecision(3))} a minute`,
      ),
      line(
        'Test pressure',
        given.fluid === 'gas' ? `${ISO_5208_GAS_BAR} bar gas` : '1.1 × the rating',
        '',
        pressure.value ?? 'give the class',
      ),
    ],
    notes: [
      ...(pressure.value ? [] : ['Give the pressure class: a liquid is tested at 1.1 × the rating.']),
      ...(perDn === 0 ? ['Rate A: nothing may be seen for the whole hold.'] : []),
      ...(['AA', 'CC', 'EE'].includes(letter)
        ? [`Rate ${letter} is in neither EN 12266-1 nor the 1993 edition.`]
        : []),
      'The bubble is that of this standard’s tube, about 0.065 mL; others differ.',
    ],
    source: ISO_5208,
  });
}

/** Gas at 6 bar; liquid at 1.1 × the rating, for which the class is needed. */
function testPressure(given: LeakQuestion): Result<GaugePressure | undefined> {
  const gas = quantity('gauge pressure', ISO_5208_GAS_BAR, 'bar g');
  const named = given.class !== undefined && !isIso5208Rate(given.class);
  if (given.fluid === 'gas') return ok(gas);
  if (!named) return ok(undefined);
  const pressureClass = pressureClassOf(given, ISO_5208.name);
  if (!pressureClass.ok) return pressureClass;
  const pressures = testPressures.work({
    class: pressureClass.value,
    ...(given.group ? { group: given.group } : {}),
  });
  return pressures.ok
    ? ok(fromSi('gauge pressure', si(pressures.value.result.closureHigh), 'bar g'))
    : pressures;
}
