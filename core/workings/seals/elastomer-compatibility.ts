import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, sayDay, valueIn } from '../../quantity';
import {
  ELASTOMERS,
  ELASTOMER_DATA,
  ELASTOMER_PRACTICE,
  SEAL_LUBRICANTS,
  SEAL_MEDIA,
  SHELF_SCHOOLS,
  type ElastomerData,
  type ShelfSchool,
} from '../../standards';
import { choiceField, dateField, quantityField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

const input = z.strictObject({
  elastomer: choiceField(
    ELASTOMERS,
    { label: 'Elastomer' },
    { FPM: 'FKM', nitrile: 'NBR', VMQ: 'silicone', EPR: 'EPDM' },
  ),
  medium: choiceField(
    SEAL_MEDIA,
    { label: 'Medium' },
    {
      h2s: 'hydrogen sulphide',
      'sour gas': 'hydrogen sulphide',
      oil: 'mineral oil',
      'lube oil': 'mineral oil',
      diesel: 'mineral oil',
      'hydraulic oil': 'mineral oil',
      'gear oil': 'mineral oil',
      gas: 'natural gas',
    },
  ).exactOptional(),
  lubricant: choiceField(
    SEAL_LUBRICANTS,
    { label: 'Lubricant' },
    {
      grease: 'mineral grease',
      'petroleum jelly': 'mineral grease',
      'petroleum grease': 'mineral grease',
      'lithium grease': 'mineral grease',
      'soapy water': 'soap solution',
      oil: 'mineral oil',
      soap: 'soap solution',
      silicone: 'silicone grease',
    },
  ).exactOptional(),
  temperature: quantityField(
    'temperature',
    { label: 'Temperature', example: '180 °F' },
    'any',
  ).exactOptional(),
  cureDate: dateField({ label: 'Cure date on the bag', example: '2Q24', inExample: true }).exactOptional(),
  on: dateField({ label: 'Used on', example: '2026-03-01' }).exactOptional(),
  school: choiceField(SHELF_SCHOOLS, { label: 'Shelf life by' }).exactOptional(),
});

type Given = z.output<typeof input>;

export interface Compatibility {
  verdict: 'fit' | 'ask' | 'stop';
  reasons: string[];
}

interface Said {
  verdict: 'fit' | 'ask' | 'stop';
  reason: string;
  step: Step;
}

/**
 * Whether an elastomer may go in: against its medium, lubricant and temperature, and by its age since the cure date.
 * `stop` for a wrong medium or lubricant, a temperature outside its range or a shelf life that has run out; `ask`
 * where it depends. Shelf life by ISO 2230 (stricter, years + extension after inspection) or AS5316.
 * Errors: nothing said of what it meets; a cure date without the day of use, or after it. Source: common practice; ISO 2230; SAE AS5316.
 * Example: EPDM with mineral grease → stop, it swells.
 */
export const elastomerCompatibility: Working<typeof input, Compatibility> = {
  id: 'elastomer.compatibility',
  title: 'Elastomer: medium, lubricant, heat, age',
  asks: ['o-ring', 'elastomer', 'rubber', 'epdm', 'shelf life', 'cure date', 'grease', 'lubricant', 'seal'],
  meaning: 'Whether this rubber may meet this medium and this grease, and whether it is still in date.',
  input,
  results: { verdict: 'Verdict', reasons: 'Because' },
  source: ELASTOMER_PRACTICE,
  work: compatibility,
};

function compatibility(given: Given): Result<Worked<Compatibility>> {
  const data = ELASTOMER_DATA[given.elastomer];
  if (!given.medium && !given.lubricant && !given.temperature && !given.cureDate)
    return inConflict(
      ['medium', 'lubricant', 'temperature', 'cureDate'],
      'Say what it meets: a medium, a lubricant, a temperature or its cure date. Nothing is fit for nothing.',
    );
  const age = onShelf(given, data);
  if (!age.ok) return age;
  const said = [
    ...inMedium(given, data),
    ...withLubricant(given, data),
    ...atTemperature(given, data),
    ...age.value,
  ];
  const worst =
    (['stop', 'ask'] as const).find((verdict) => said.some((each) => each.verdict === verdict)) ?? 'fit';
  const against = said.filter(({ verdict }) => verdict !== 'fit').map(({ reason }) => reason);
  return ok({
    result: { verdict: worst, reasons: against.length > 0 ? against : said.map(({ reason }) => reason) },
    steps: said.map(({ step }) => step),
    notes: [
      'General ratings: the compound sheet of the seal wins. Clean and dry before it goes in.',
      ...(given.cureDate === undefined
        ? []
        : ['Two schools of shelf life: ISO 2230 is the stricter; the site says which it keeps.']),
    ],
    source: ELASTOMER_PRACTICE,
  });
}

const judged = (label: string, by: string, verdict: Said['verdict'], reason: string): Said => ({
  verdict,
  reason,
  step: line(label, by, reason, verdict),
});

function inMedium({ elastomer, medium, temperature }: Given, data: ElastomerData): Said[] {
  if (medium === undefined) return [];
  const no = data.no[medium];
  const most = data.mostIn?.[medium];
  const warm = temperature !== undefined && most !== undefined && valueIn(temperature, '°C') > most;
  const ask = warm ? `to about ${most} °C only, and it is warmer` : data.ask[medium];
  const said = no || warm ? 'stop' : ask ? 'ask' : 'fit';
  return [judged('Medium', medium, said, `${elastomer} in ${medium}: ${no ?? ask ?? 'usual'}`)];
}

function withLubricant({ elastomer, medium, lubricant }: Given, data: ElastomerData): Said[] {
  if (lubricant === undefined) return [];
  const no =
    medium === 'oxygen' && lubricant !== 'none'
      ? 'no oil or grease at all in oxygen service'
      : data.noLubricant[lubricant];
  const ask = data.askLubricant?.[lubricant];
  const said = no ? 'stop' : ask ? 'ask' : 'fit';
  return [judged('Lubricant', lubricant, said, `${elastomer} with ${lubricant}: ${no ?? ask ?? 'usual'}`)];
}

function atTemperature({ elastomer, temperature }: Given, data: ElastomerData): Said[] {
  if (temperature === undefined) return [];
  const celsius = valueIn(temperature, '°C');
  const inside = celsius >= data.lowCelsius && celsius <= data.highCelsius;
  const range =
    temperature.unit === '°F'
      ? `${formatNumber(data.lowCelsius * 1.8 + 32, 0)} to ${formatNumber(data.highCelsius * 1.8 + 32, 0)} °F`
      : `${data.lowCelsius} to ${data.highCelsius} °C`;
  return [
    judged(
      'Temperature',
      range,
      inside ? 'fit' : 'stop',
      `${elastomer} at ${shown(temperature)}: range ${range}`,
    ),
  ];
}

function onShelf(given: Given, data: ElastomerData): Result<Said[]> {
  const { cureDate, on, elastomer } = given;
  if (cureDate === undefined) return ok([]);
  if (on === undefined)
    return inConflict(['on'], 'Say the day of use (on), to reckon the age from the cure date.');
  if (on < cureDate) return inConflict(['cureDate', 'on'], 'The cure date is after the day of use.');
  const school = given.school ?? 'ISO 2230';
  const life = lifeBy(school, data);
  if (life === undefined)
    return ok([
      judged(
        'Shelf life',
        school,
        elastomer === 'PTFE' ? 'fit' : 'ask',
        `${elastomer}: no shelf life is given in ${school}`,
      ),
    ]);
  if (life === 'unlimited')
    return ok([judged('Shelf life', school, 'fit', `${elastomer}: unlimited by ${school}`)]);
  const [expires, extended] = [
    yearsAfter(cureDate, life.years),
    yearsAfter(cureDate, life.years + life.extension),
  ];
  if (on <= expires)
    return ok([judged('Shelf life', school, 'fit', `in date until ${sayDay(expires)} by ${school}`)]);
  return ok([
    on <= extended
      ? judged(
          'Shelf life',
          school,
          'ask',
          `past its ${life.years} years on ${sayDay(expires)}; ${school} lets it be extended to ${sayDay(extended)} after inspection`,
        )
      : judged('Shelf life', school, 'stop', `past its shelf life since ${sayDay(extended)} by ${school}`),
  ]);
}

function lifeBy(school: ShelfSchool, { shelf }: ElastomerData) {
  if (school === 'ISO 2230') return shelf.iso2230;
  const { as5316 } = shelf;
  return typeof as5316 === 'number' ? { years: as5316, extension: 0 } : as5316;
}

/**
 * The day until which a seal that was cured then may lie in storage, by ISO 2230 without its extension; undefined where no
 * life is given, or the words of the bag are no date.
 */
export function inDateUntil(elastomer: Given['elastomer'], cured: string): string | undefined {
  const read = input.shape.cureDate.safeParse(cured);
  const life = lifeBy('ISO 2230', ELASTOMER_DATA[elastomer]);
  return read.success && read.data !== undefined && typeof life === 'object'
    ? yearsAfter(read.data, life.years)
    : undefined;
}

const yearsAfter = (day: string, years: number): string =>
  `${Number(day.slice(0, 4)) + years}${day.slice(4)}`;
