import { z } from 'zod';
import { inConflict, ok, type Result } from '../../problem';
import { formatNumber, quantity, si, valueIn, type Angle, type Quantity } from '../../quantity';
import { COMMON_PRACTICE, type Source } from '../../standards';
import { eitherField, quantityField } from '../frame/field';
import { line, shown } from '../frame/sheet';
import type { Working, Worked } from '../frame/working';

const FIGURES = ['gauge pressure', 'ratio', 'length', 'current'] as const;

const input = z.strictObject({
  wanted: eitherField(FIGURES, { label: 'Wanted', example: '250 psig' }, 'not negative'),
  read: eitherField(FIGURES, { label: 'Read now', example: '258 psig' }, 'not negative'),
  before: eitherField(
    FIGURES,
    { label: 'Read before the last turn', example: '263 psig', inExample: true },
    'not negative',
  ).exactOptional(),
  turned: quantityField(
    'angle',
    { label: 'Turned since, clockwise', example: '-0.5 turns', inExample: true },
    'any',
  ).exactOptional(),
  taught: eitherField(
    FIGURES,
    { label: 'One turn clockwise moved one like it by', example: '-4 psig' },
    'any',
  ).exactOptional(),
});

type Given = z.output<typeof input>;

export interface SettingTurns {
  turn: Angle;
  way: 'clockwise' | 'anticlockwise' | 'leave it';
  /** What one turn clockwise moves the reading by, as share of what is wanted. */
  perTurn?: string;
  verdict: 'fit' | 'ask' | 'stop';
}

const SOURCE: Source = { ...COMMON_PRACTICE, name: 'Setting by what one turn did' };
/** A screw that moves the reading by less than this share a turn moves nothing. */
const NOTHING = 1e-4;
const [TRY, LITTLE] = [0.25, 0.25];
/** More turns than this are no setting: what the last turn did was lost in the reading. */
const [MOST, PLAIN] = [10, 1];
const AS_SET = 1e-3;

/**
 * How far to turn a setting screw, learned from what its last turn did: effect = (read − before) / turned, turns =
 * (wanted − read) / effect; of less than a quarter turn half, so that it is come up to and not run past. Nothing turned
 * yet: by what a turn did on one of its model (`taught`), a whole turn at most; else a quarter turn, to see (`ask`). A
 * screw that moves nothing slips or is at its stop (`stop`).
 * Errors: figures of different kinds. Source: common practice.
 * Example: wanted 250, read 258 after half a turn anticlockwise from 263 psig → 0.8 turns anticlockwise.
 */
export const settingTurns: Working<typeof input, SettingTurns> = {
  id: 'setting.turns',
  title: 'How far to turn a screw',
  asks: ['screw', 'turns', 'adjust', 'zero', 'span', 'set', 'quarter turn', 'clockwise', 'compression screw'],
  meaning: 'How far and which way to turn a setting screw, by what its last turn did.',
  input,
  results: {
    turn: 'Turn, clockwise',
    way: 'Which way',
    perTurn: 'One turn clockwise moves it by',
    verdict: 'Verdict',
  },
  source: SOURCE,
  work: turns,
};

function turns({ wanted, read, before, turned, taught }: Given): Result<Worked<SettingTurns>> {
  const given: readonly (Quantity | undefined)[] = [wanted, read, before, taught];
  if (new Set(given.flatMap((each) => (each ? [each.dimension] : []))).size > 1)
    return inConflict(['wanted', 'read', 'before', 'taught'], 'These figures are not of one kind.');
  const answer = (
    turn: number,
    rest: Omit<SettingTurns, 'turn' | 'way'>,
    steps: Worked<unknown>['steps'],
    note: string,
  ) =>
    ok({
      result: {
        turn: quantity('angle', turn, 'turn'),
        way:
          turn === 0 ? ('leave it' as const) : turn > 0 ? ('clockwise' as const) : ('anticlockwise' as const),
        ...rest,
      },
      steps,
      notes: [note],
      source: SOURCE,
    });
  const off = line(
    'Wanted less read',
    '',
    `${shown(wanted)} − ${shown(read)}`,
    inUnitOf(read, si(wanted) - si(read)),
  );
  if (Math.abs(si(wanted) - si(read)) <= AS_SET * Math.abs(si(wanted)))
    return answer(0, { verdict: 'fit' }, [off], 'It is set.');
  const by = turned ? valueIn(turned, 'turn') : 0;
  if ((!before || by === 0) && taught && Math.abs(si(taught)) >= NOTHING * Math.abs(si(wanted))) {
    const guess = (si(wanted) - si(read)) / si(taught);
    return answer(
      Math.sign(guess) * Math.min(Math.abs(guess), PLAIN),
      { perTurn: inUnitOf(read, si(taught)), verdict: 'ask' },
      [off, line('One turn clockwise, on one like it', '', '', inUnitOf(read, si(taught)))],
      'A first guess, by what a turn did on one of its model: read again, and its own turn counts.',
    );
  }
  if (!before || by === 0)
    return answer(
      TRY,
      { verdict: 'ask' },
      [off],
      'What a turn does is not known yet: a quarter turn clockwise, read again, and it is learned. The maker’s direction first, where his sheet says it.',
    );
  const effect = (si(read) - si(before)) / by;
  const perTurn = inUnitOf(read, effect);
  const learned = line(
    'One turn clockwise',
    '(read − before) / turned',
    `(${shown(read)} − ${shown(before)}) / ${formatNumber(by, 2)}`,
    perTurn,
  );
  if (Math.abs(effect) < NOTHING * Math.abs(si(wanted)))
    return answer(
      0,
      { perTurn, verdict: 'stop' },
      [off, learned],
      'The screw moves nothing: it slips, or is at its stop.',
    );
  const whole = (si(wanted) - si(read)) / effect;
  if (Math.abs(whole) > MOST)
    return answer(
      PLAIN * Math.sign(whole),
      { perTurn, verdict: 'ask' },
      [off, learned],
      'What the last turn did is lost in the reading: a whole turn, and read again.',
    );
  const turn = Math.abs(whole) < LITTLE ? whole / 2 : whole;
  return answer(
    turn,
    { perTurn, verdict: 'ask' },
    [
      off,
      learned,
      line('Turn', '(wanted − read) / effect', perTurn, `${formatNumber(whole, 2)} turns`),
      ...(turn === whole
        ? []
        : [line('Less than a quarter: half of it', '', '', `${formatNumber(turn, 2)} turns`)]),
    ],
    'Read again after every turn: what the last one did counts.',
  );
}

/** A difference in the unit of what was read. */
function inUnitOf({ value, unit, ...read }: Quantity, amount: number): string {
  const one = si({ value: 1, unit, ...read }) - si({ value: 0, unit, ...read });
  return `${formatNumber(amount / one, Math.abs(value) < 10 ? 3 : 2)} ${unit}`.trim();
}
