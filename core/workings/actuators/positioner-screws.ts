import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, quantity, type Angle, type Ratio } from '../../quantity';
import { COMMON_PRACTICE, POSITIONER_LIMITS, type Source } from '../../standards';
import { quantityField, rowsField } from '../frame/field';
import { line } from '../frame/sheet';
import type { Step, Working, Worked } from '../frame/working';

const turned = z.coerce.number('turns are a number, clockwise positive').min(-10).max(10);
const travel = z.union([
  z.number(),
  z
    .string()
    .max(20)
    .regex(/^\s*-?[\d.]+\s*%?\s*$/, 'travel in percent of the rated travel')
    .transform((text) => Number(text.replace('%', ''))),
]);

/** What a turn did on one of the same model: a first guess, until this one has been turned. */
const taught = (screw: string, end: string) =>
  quantityField(
    'ratio',
    {
      label: `${screw} screw, one turn clockwise on one like it: ${end}`,
      example: screw === 'Span' ? '-6 %' : '8 %',
    },
    'any',
  ).exactOptional();

const input = z.strictObject({
  lowWanted: quantityField('ratio', { label: 'Wanted at the low signal', example: '5 %' }, 'any'),
  highWanted: quantityField('ratio', { label: 'Wanted at the high signal', example: '95 %' }),
  readings: rowsField(
    { zero: turned, span: turned, low: travel, high: travel },
    [
      { name: 'zero', label: 'zero screw turned', example: '0' },
      { name: 'span', label: 'span screw turned', example: '-0.25' },
      { name: 'low', label: 'travel at the low signal', example: '7.7 %' },
      { name: 'high', label: 'travel at the high signal', example: '92.4 %' },
    ],
    {
      label: 'Readings, each with the turns clockwise since the one before',
      exampleRows: [
        ['0', '0', '7.5 %', '90.9 %'],
        ['0', '-0.25', '7.7 %', '92.4 %'],
      ],
    },
    60,
  ),
  spanLow: taught('Span', 'low'),
  spanHigh: taught('Span', 'high'),
  zeroLow: taught('Zero', 'low'),
  zeroHigh: taught('Zero', 'high'),
});

type Given = z.output<typeof input>;
type Screw = 'zero screw' | 'span screw';

export interface PositionerScrews {
  screw: Screw | 'none';
  turn: Angle;
  way: 'clockwise' | 'anticlockwise' | 'leave it';
  /** Where it should come to, once what a turn does is known. */
  low?: Ratio;
  high?: Ratio;
  verdict: 'fit' | 'ask' | 'stop';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Zero and span by what one turn did' };
/** Turned to see, turns; less than this is come up to by half. */
const [QUARTER, HALF] = [0.25, 0.5];
/** By what another one taught no further than this before it is read again, turns. */
const GUESSED = 1;
/** Nearer an end of the stroke than this it may stand on its stop, percent. */
const STOP = 0.6;
/** A screw that moves less than this, percent a turn, moves nothing. */
const NOTHING = 0.05;
/** Turns that are none. */
const UNTURNED = 1e-9;

/** What one turn clockwise does to the two readings, percent. */
interface Effect {
  readonly low: number;
  readonly high: number;
}

/**
 * Which screw of a positioner to turn next, how far and which way, two by two: each screw moves both readings, so each has
 * two effects, learned from the readings before and after it was turned, and until then guessed by what a turn did on one of its
 * model, a whole turn at most. Span first, by the difference of the readings;
 * then zero, by their mean; of less than a quarter turn half. A screw that was not turned yet gets a quarter turn to see:
 * the span screw anticlockwise for more travel, zero clockwise for more (this type). A reading on a stop hides how far it
 * is off: half a turn brings it off first. One that moves nothing slips or is at
 * its stop (`stop`). Errors: no reading; low wanted not below high. Source: common practice.
 * Example: 5 and 95 % wanted, 7.7 and 92.4 % read after a quarter turn of span anticlockwise from 7.5 and 90.9 %
 * → span screw 1.02 turns anticlockwise.
 */
export const positionerScrews: Working<typeof input, PositionerScrews> = {
  id: 'positioner.screws',
  title: 'Zero and span of a positioner, by turns',
  asks: ['positioner', 'zero', 'span', 'screw', 'turns', 'bias spring', 'range spring', 'calibration'],
  meaning: 'Which screw of a positioner to turn next, how far and which way, by what its turns did.',
  input,
  results: {
    screw: 'Screw',
    turn: 'Turn, clockwise',
    way: 'Which way',
    low: 'Low should come to',
    high: 'High should come to',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: screws,
};

function screws({
  lowWanted,
  highWanted,
  readings,
  ...taughtBefore
}: Given): Result<Worked<PositionerScrews>> {
  const wanted = { low: percentOf(lowWanted), high: percentOf(highWanted) };
  const now = readings.at(-1);
  if (!now) return inConflict(['readings'], 'Read the travel at both signals first.');
  if (wanted.low >= wanted.high)
    return inConflict(['lowWanted', 'highWanted'], 'The low travel wanted is not below the high one.');
  const off = { low: wanted.low - now.low, high: wanted.high - now.high };
  const steps = [
    line('Low', 'wanted − read', `${number(wanted.low)} − ${number(now.low)}`, percent(off.low)),
    line('High', 'wanted − read', `${number(wanted.high)} − ${number(now.high)}`, percent(off.high)),
  ];
  const spanOff = off.high - off.low;
  const { ends } = POSITIONER_LIMITS;
  if (Math.abs(spanOff) <= ends && Math.max(Math.abs(off.low), Math.abs(off.high)) <= ends)
    return answer(
      { screw: 'none', turn: 0, verdict: 'fit', now },
      steps,
      'Both stand where they should: lock both screws and read once more.',
    );
  const hidden = offTheStop(now, wanted);
  if (hidden)
    return answer(
      { ...hidden, verdict: 'ask', now },
      steps,
      'It stands on a stop, which hides how far it is off: half a turn to bring it off, then read again.',
    );
  const screw: Screw = Math.abs(spanOff) > ends ? 'span screw' : 'zero screw';
  const wantedBy = screw === 'span screw' ? spanOff : (off.low + off.high) / 2;
  steps.push(
    screw === 'span screw'
      ? line('Span is short by', 'high off − low off', '', percent(spanOff))
      : line('Zero is low by', 'mean of both', '', percent(wantedBy)),
  );
  const learned = effectsOf(readings)[screw];
  const effect = learned ?? taughtOf(taughtBefore)[screw];
  if (!effect) {
    const sign = screw === 'span screw' ? -1 : 1;
    return answer(
      { screw, turn: sign * Math.sign(wantedBy) * QUARTER, verdict: 'ask', now },
      steps,
      'What its turns do is not known yet: a quarter turn, read both again, and it is learned. On another type it may be the other way.',
    );
  }
  const by = screw === 'span screw' ? effect.high - effect.low : (effect.low + effect.high) / 2;
  steps.push(
    line(
      'One turn clockwise',
      learned ? 'by what its turns did' : 'on one of its model',
      `low ${percentText(effect.low)}, high ${percentText(effect.high)}`,
      percent(by),
    ),
  );
  if (Math.abs(by) < NOTHING)
    return answer(
      { screw, turn: 0, verdict: 'stop', now },
      steps,
      'It moves nothing: it slips, or is at its stop.',
    );
  const whole = wantedBy / by;
  const most = learned ? Infinity : GUESSED;
  const turn = Math.abs(whole) < QUARTER ? whole / 2 : Math.sign(whole) * Math.min(Math.abs(whole), most);
  steps.push(
    line('Turn', 'wanted / effect', `${number(wantedBy)} / ${number(by)}`, `${number(whole)} turns`),
  );
  if (turn !== whole)
    steps.push(
      line(
        Math.abs(whole) < QUARTER ? 'Less than a quarter: half of it' : 'A guess: a whole turn at most',
        '',
        '',
        `${number(turn)} turns`,
      ),
    );
  return answer({ screw, turn, verdict: 'ask', now, effect }, steps, 'Read both again after every turn.');
}

/** What each screw does: a line through all the times that it alone was turned, for a small turn shows little. */
function effectsOf(readings: Given['readings']): Partial<Record<Screw, Effect>> {
  const on = (end: keyof Effect, screw: 'zero' | 'span', other: 'zero' | 'span'): number | undefined => {
    let [square, moved] = [0, 0];
    readings.slice(1).forEach((after, i) => {
      const before = readings[i];
      if (!before || Math.abs(after[other]) > UNTURNED || onStop(before[end]) || onStop(after[end])) return;
      square += after[screw] ** 2;
      moved += after[screw] * (after[end] - before[end]);
    });
    return square > UNTURNED ? moved / square : undefined;
  };
  const of = (screw: 'zero' | 'span', other: 'zero' | 'span'): Effect | undefined => {
    const [low, high] = [on('low', screw, other), on('high', screw, other)];
    return low === undefined || high === undefined ? undefined : { low, high };
  };
  const [zero, span] = [of('zero', 'span'), of('span', 'zero')];
  return { ...(zero ? { 'zero screw': zero } : {}), ...(span ? { 'span screw': span } : {}) };
}

/** What a turn did on one of the same model, where both ends of it are known. */
function taughtOf({
  spanLow,
  spanHigh,
  zeroLow,
  zeroHigh,
}: Omit<Given, 'lowWanted' | 'highWanted' | 'readings'>): Partial<Record<Screw, Effect>> {
  const both = (low: Ratio | undefined, high: Ratio | undefined) =>
    low && high && { low: percentOf(low), high: percentOf(high) };
  const [span, zero] = [both(spanLow, spanHigh), both(zeroLow, zeroHigh)];
  return { ...(span ? { 'span screw': span } : {}), ...(zero ? { 'zero screw': zero } : {}) };
}

/** A reading at an end of the stroke: the stop hides how far it is off. */
const onStop = (travel: number) => travel < STOP || travel > 100 - STOP;

/** What brings it off its stop: zero, where the other reading wants the same way, else less span. */
function offTheStop(now: Effect, wanted: Effect): Pick<Next, 'screw' | 'turn'> | undefined {
  const [lowHidden, highHidden] = [onStop(now.low), onStop(now.high)];
  if (!lowHidden && !highHidden) return undefined;
  if (highHidden && !lowHidden && now.low > wanted.low) return { screw: 'zero screw', turn: -HALF };
  if (lowHidden && !highHidden && now.high < wanted.high) return { screw: 'zero screw', turn: HALF };
  return { screw: 'span screw', turn: HALF };
}

const number = (value: number) => formatNumber(value, 2);
const percentOf = ({ value, unit }: Ratio) => (unit === '%' ? value : value * 100);
const percent = (value: number) => quantity('ratio', value, '%');
const percentText = (value: number) => `${number(value)} %`;

interface Next {
  readonly screw: PositionerScrews['screw'];
  readonly turn: number;
  readonly verdict: PositionerScrews['verdict'];
  readonly now: { readonly low: number; readonly high: number };
  readonly effect?: Effect;
}

function answer({ screw, turn, verdict, now, effect }: Next, steps: Step[], note: string) {
  return ok({
    result: {
      screw,
      turn: quantity('angle', turn, 'turn'),
      way:
        turn === 0 ? ('leave it' as const) : turn > 0 ? ('clockwise' as const) : ('anticlockwise' as const),
      ...(effect
        ? { low: percent(now.low + effect.low * turn), high: percent(now.high + effect.high * turn) }
        : {}),
      verdict,
    },
    steps,
    notes: [note],
    source: SOURCE,
  });
}
