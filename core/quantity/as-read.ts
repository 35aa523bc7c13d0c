import { formatNumber, type UnitSystem } from './format';
import { valueIn, type Quantity } from './quantity';

/** What a hand reads or sets a figure on. */
export type ReadOn = 'rule' | 'dial' | 'wrench' | 'gauge';

/** The mark to go by: the nearest, the next one up where less would not do, the next one down where more would not. */
export type Mark = 'nearest' | 'up' | 'down';

const ROUND: Readonly<Record<Mark, (marks: number) => number>> = {
  nearest: Math.round,
  // A figure that lies on a mark is that mark, whatever its last binary digit.
  up: (marks) => Math.ceil(marks - 1e-6),
  down: (marks) => Math.floor(marks + 1e-6),
};
const toMarks = (value: number, mark: number, by: Mark): number => ROUND[by](value / mark) * mark;

const THIRTY_SECONDS = 32;

/** Inches as a steel rule has them, by thirty-seconds: `4 23/32 in`. */
function onRule(inches: number): string {
  const marks = Math.round(Math.abs(inches) * THIRTY_SECONDS);
  const whole = Math.floor(marks / THIRTY_SECONDS);
  let [top, bottom] = [marks % THIRTY_SECONDS, THIRTY_SECONDS];
  while (top > 0 && top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  const words = [
    ...(whole > 0 || top === 0 ? [String(whole)] : []),
    ...(top > 0 ? [`${top}/${bottom}`] : []),
  ];
  return `${inches < 0 && marks > 0 ? '-' : ''}${words.join(' ')} in`;
}

/** Gauges have finer marks on a shorter scale (common practice). */
const barMark = (bar: number): number => (Math.abs(bar) < 10 ? 0.05 : Math.abs(bar) < 100 ? 0.1 : 1);
const psiMark = (psi: number): number => (Math.abs(psi) < 30 ? 0.5 : 1);

/** A torque wrench clicks at whole marks; a small one at halves (common practice). */
const wrenchMark = (value: number): number => (Math.abs(value) < 20 ? 0.5 : 1);

/**
 * A figure as it is read off what is in the hand: fractions on a rule, thou or hundredths of a millimetre on a dial, whole
 * marks on a wrench or a gauge. The exact figure stands in its working. What is not a length, a torque or a pressure in
 * gauge is refused by its type.
 */
export function asRead(
  q: Quantity<'length' | 'torque' | 'gauge pressure'>,
  on: ReadOn,
  system: UnitSystem,
  by: Mark = 'nearest',
): string {
  const us = system === 'US';
  switch (on) {
    case 'rule':
      return us
        ? onRule(toMarks(valueIn(q, 'in'), 1 / THIRTY_SECONDS, by))
        : `${formatNumber(toMarks(valueIn(q, 'mm'), 0.5, by), 1)} mm`;
    case 'dial':
      return us ? `${formatNumber(valueIn(q, 'thou'), 1)} thou` : `${formatNumber(valueIn(q, 'mm'), 2)} mm`;
    case 'wrench': {
      const unit = us ? 'lbf·ft' : 'N·m';
      const value = valueIn(q, unit);
      return `${formatNumber(toMarks(value, wrenchMark(value), by), 1)} ${unit}`;
    }
    case 'gauge': {
      const unit = us ? 'psig' : 'bar g';
      const value = valueIn(q, unit);
      return `${formatNumber(toMarks(value, us ? psiMark(value) : barMark(value), by), 2)} ${unit}`;
    }
  }
}
