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
  it('is every word of whom it serves, where and what it is', () => {
    const { shared } = valveWords(valve);
    for (const word of ['sugar', 'pan', '6', 'vapour', 'globe', 'g', '80', 'g80'])
      expect(shared).toContain(word);
    expect(shared).not.toContain('suga');
  });
  it('and every beginning of its tag and serial, in one and in parts', () => {
    const { shared, own } = valveWords(valve);
    for (const word of ['f', 'fv', 'fv2', 'fv22', 'fv22b', '2', '22', 'b', 'k', 'k61', 'k61004', '004'])
      expect(own).toContain(word);
    expect(new Set([...shared, ...own]).size).toBe(shared.length + own.length);
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
