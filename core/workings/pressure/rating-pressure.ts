import { z } from 'zod';
import { ok, type Result } from '../../problem';
import { formatNumber, si, valueIn, type GaugePressure } from '../../quantity';
import {
  B16_34,
  GROUP_NAMES,
  LEAST_TEMPERATURE_F,
  MATERIAL_GROUPS,
  ratingAt,
  USE_LIMITS,
} from '../../standards';
import { choiceField, numberField, quantityField } from '../frame/field';
import { line, sheetFor, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const input = z.strictObject({
  class: numberField({ label: 'Pressure class', example: '600' }, 1, 20000, true),
  temperature: quantityField('temperature', { label: 'Temperature', example: '350 °F' }, 'any'),
  group: choiceField(MATERIAL_GROUPS, { label: 'Body material group' }).exactOptional(),
});

export interface RatedPressure {
  pressure: GaugePressure;
}

/**
 * What a body may carry at a temperature: the rating of its class and material group, 1.1 unless said; that of 100 °F
 * below 100 °F, in proportion between listed temperatures. Class 800 lies in proportion between 600 and 900.
 * Errors: a class that is not listed; below −20 °F for groups without low-temperature grades; above the group's last row.
 * Source: ASME B16.34. Example: class 600, group 1.1, 500 °F → 1205 psig.
 */
export const ratingPressure: Working<typeof input, RatedPressure> = {
  id: 'rating.pressure',
  title: 'Pressure rating at temperature',
  asks: ['rating', 'pressure class', 'how much pressure', 'temperature', 'b16.34', 'wcb'],
  meaning: 'The most pressure a valve body may carry at this temperature.',
  input,
  results: { pressure: 'Rated pressure' },
  source: B16_34,
  work: rating,
};

function rating(given: z.output<typeof input>): Result<Worked<RatedPressure>> {
  const group = given.group ?? '1.1';
  const fahrenheit = Math.round(valueIn(given.temperature, '°F') * 1e6) / 1e6;
  const found = ratingAt(given.class, group, fahrenheit);
  if (!found.ok) return found;
  const { pressure: psi, rows } = found.value;
  const sheet = sheetFor(given.temperature);
  const pressure = sheet.of('gauge pressure', si(psi));
  const row = ({ fahrenheit: at, psig }: { fahrenheit: number; psig: number }) => `${at} °F: ${psig} psig`;
  return ok({
    result: { pressure },
    steps: [
      line(
        'Table',
        `group ${group}, ${GROUP_NAMES[group]}, class ${given.class}`,
        rows.map(row).join('; '),
        rows.length > 1 ? 'between rows' : 'on a row',
      ),
      line(
        'Rating',
        rows.length > 1 ? 'in proportion between the rows' : 'as listed',
        `at ${formatNumber(fahrenheit, 1)} °F`,
        pressure,
      ),
    ],
    notes: [
      '2004 and later editions: an older valve carries an older rating. The nameplate wins.',
      ...(USE_LIMITS[group] ?? []).flatMap(({ aboveF, note }) => (fahrenheit > aboveF ? [note] : [])),
      ...(fahrenheit < LEAST_TEMPERATURE_F
        ? [
            `${shown(given.temperature)} is below −20 °F: no more than the rating at 100 °F, and only a grade that was bought and impact tested for it (LCB, LCC, austenitic).`,
          ]
        : fahrenheit < 32 && group.startsWith('1')
          ? [`${shown(given.temperature)}: carbon steel wants a low-temperature grade.`]
          : []),
    ],
    source: B16_34,
  });
}
