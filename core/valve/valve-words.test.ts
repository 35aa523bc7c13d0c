import { describe, expect, it } from 'vitest';
import { defaultValve, typedWords, valveWords } from '.';

const valve = {
  ...defaultValve('globe-bolted'),
  tag: 'FV-22 B',
  serial: 'K 61 004',
  customer: 'Møssgate sugar',
  location: 'pan 6, vapour',
  plate: { model: 'G 80' },
};

describe('what a valve is found by', () => {
  it('is every word of its plate and place, and tag and serial in one', () => {
    const words = valveWords(valve);
    for (const word of ['fv', '22', 'b', 'fv22b', 'k61004', 'sugar', 'pan', '6', 'vapour', 'globe', 'g80'])
      expect(words).toContain(word);
    expect(new Set(words).size).toBe(words.length);
  });
  it('typed, it is compared without capitals, accents, blanks and dashes', () => {
    expect(typedWords('  PAN-6 Vapeur à 3 bar ')).toEqual(['pan', '6', 'vapeur', 'a', '3', 'bar']);
    expect(typedWords('Évaporateur')).toEqual(['evaporateur']);
    expect(typedWords('клапан 7')).toEqual(['клапан', '7']);
    expect(typedWords(' -- ')).toEqual([]);
  });
  it('no more words are looked for than somebody means', () => {
    expect(typedWords('a b c d e f g h')).toHaveLength(6);
    expect(typedWords('x'.repeat(80))[0]).toHaveLength(24);
  });
});
