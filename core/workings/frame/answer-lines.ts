import type { Quantity } from '../../quantity';
import { shown } from './sheet';
import type { RegisteredWorking, ResultValue, Worked } from './working';

export interface AnswerLine {
  readonly label: string;
  readonly value: string;
}

type Answer = Worked<Readonly<Record<string, ResultValue | undefined>>>;

/** The answer of a working in words, one line a result, each quantity in the unit it was answered in. */
export function answerLines(working: RegisteredWorking, { result }: Answer): AnswerLine[] {
  return Object.entries(result).flatMap(([name, value]) =>
    value === undefined ? [] : [{ label: working.results[name] ?? name, value: inWords(value) }],
  );
}

function inWords(value: ResultValue): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(Number(value.toPrecision(6)));
  if (typeof value !== 'object') return value;
  if (isList(value))
    return value.length === 0 ? 'none' : value.map(inWords).join(value.some(isRow) ? '; ' : ' ');
  if (isQuantity(value)) return shown(value);
  return Object.entries(value)
    .map(([name, each]) => `${name} ${inWords(each)}`)
    .join(', ');
}

export function isList(value: ResultValue): value is readonly ResultValue[] {
  return Array.isArray(value);
}

export function isQuantity(value: ResultValue): value is Quantity {
  return typeof value === 'object' && !isList(value) && 'dimension' in value && 'unit' in value;
}

/** A record with names, such as one pass of a bolt-up. */
export function isRow(value: ResultValue): value is Readonly<Record<string, ResultValue>> {
  return typeof value === 'object' && !isList(value) && !isQuantity(value);
}
