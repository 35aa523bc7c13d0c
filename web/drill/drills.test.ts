import { DRILLS, drillId, ticketFor } from '@dusk-wren/core/drill';
import { describe, expect, it } from 'vitest';
import { addressOf, addressOfTask, ticketIn } from './address';
import { gapsIn, isBare, SECTORS } from './sectors';
import { standingRing, standingWords } from './words';

describe('the address of an exercise', () => {
  it('holds its ticket: a reload is the same exercise', () => {
    for (const drill of drillId.options) {
      const ticket = ticketFor(drill, 3, 4711);
      const { path, query } = addressOf(ticket) as { path: string; query: Record<string, string> };
      expect(path).toBe(`/drill/${drill}`);
      expect(ticketIn(drill, query)).toEqual(ticket);
      expect(DRILLS[drill].sit(ticket).ok).toBe(true);
    }
  });
  it('of one that was sent says nothing of what was put into it', () => {
    expect(addressOfTask('a')).toEqual({ path: '/drill/sent/a' });
  });
  it.each([
    ['poker', { on: 'gate-wedge', level: '1', seed: '1' }],
    ['bolt-it', { on: 'a tap', level: '1', seed: '1' }],
    ['bolt-it', { on: 'gate-wedge', level: '9', seed: '1' }],
    ['bolt-it', { on: 'gate-wedge', level: '1', seed: 'x' }],
    ['bolt-it', {}],
  ])('that is none is none: %s %j', (drill, query) => {
    expect(ticketIn(drill, query)).toBeUndefined();
  });
});

describe('sectors of a drawn ring', () => {
  const bare = (...sectors: number[]) => Array.from({ length: SECTORS }, (_, i) => sectors.includes(i));
  it('bare ones in a row are one break, over 12 o’clock too', () => {
    expect(gapsIn(bare(2, 3, 4))).toEqual([{ from: 10, degrees: 15 }]);
    expect(gapsIn(bare(70, 71, 0, 1))).toEqual([{ from: 350, degrees: 20 }]);
    expect(gapsIn(bare(2, 9))).toHaveLength(2);
    expect(gapsIn(bare())).toEqual([]);
    expect(gapsIn(Array.from({ length: SECTORS }, () => true))).toEqual([{ from: 0, degrees: 360 }]);
  });
  it('a break is bare where it was marked, and nowhere else', () => {
    const marked = bare(70, 71, 0, 1, 30);
    const gaps = gapsIn(marked);
    expect(marked.map((_, i) => isBare(i, gaps))).toEqual(marked);
  });
});

describe('how a subject stands', () => {
  it('in words, and as a ring', () => {
    expect(standingWords({ standing: 'learning', done: 2 })).toBe('learning, 2 of 5 done');
    expect(standingWords({ standing: 'learning', done: 7 })).toBe('learning');
    expect(standingWords({ standing: 'holds', done: 7, fades: new Date('2027-03-01T12:00:00Z') })).toContain(
      '1 Mar',
    );
    expect(standingWords({ standing: 'faded', done: 7 })).toContain('once more');
    expect(standingRing('holds')).toBe('fit');
    expect(standingRing('not begun')).toBe('not yet');
  });
});
