import { describe, expect, it } from 'vitest';
import { instrumentTrouble, sayTrouble, type InstrumentTrouble } from './instrument-trouble';

describe('what is the matter with an instrument', () => {
  it.each<[InstrumentTrouble, RegExp]>([
    [{ is: 'lost', at: '10.0.0.7:502', again: true }, /10\.0\.0\.7:502 does not answer.*asked again/],
    [{ is: 'lost', at: '10.0.0.7:502', again: false }, /does not answer.*stop its pump/],
    [{ is: 'refused', what: 'travel', register: 12 }, /no travel at register 12/],
    [
      { is: 'beyond', what: 'pressure', value: 870, unit: 'bar g', most: 16 },
      /870 bar g.*16 bar g.*Not taken/,
    ],
    [{ is: 'frozen', what: 'pressure', seconds: 30 }, /same for 30 s.*before you trust it/],
    [{ is: 'unit', what: 'pressure', sends: 'psig', setTo: 'bar g' }, /it may send psig/],
    [{ is: 'nothing', what: 'this step' }, /by eye/],
    [{ is: 'typed' }, /press the button on the instrument/],
  ])('%j is said with what to do about it', (trouble, words) => {
    expect(instrumentTrouble.parse(trouble)).toEqual(trouble);
    expect(sayTrouble(trouble)).toMatch(words);
  });
  it('is nothing where all is well', () => {
    expect(sayTrouble({ is: 'none' })).toBe('');
  });
});
