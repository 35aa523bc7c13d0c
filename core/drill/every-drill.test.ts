import { describe, expect, it } from 'vitest';
import { must } from '../problem';
import { chance, seedFrom } from '../simulation';
import { randomMoves } from '../testing/random-moves';
import { ALL_DRILLS, constructionsFor, DRILLS, hintsAt, LEVELS, ticketFor, type Ticket } from '.';

const SEEDS = [1, 2, 3, 5, 8, 13];

/** Exercises of a kind: every construction that it makes sense for, every level, some seeds. */
const ticketsOf = (drill: Ticket['drill']): Ticket[] =>
  constructionsFor(drill).flatMap((construction) =>
    LEVELS.flatMap((level) => SEEDS.map((seed) => ticketFor(drill, level, seed, construction))),
  );

describe.each(ALL_DRILLS.map((drill) => [drill.title, drill] as const))('%s', (_title, drill) => {
  const tickets = ticketsOf(drill.id);
  const score = (ticket: Ticket, moves: readonly unknown[], hints = 0) =>
    must(must(drill.sit(ticket)).mark(moves, hints)).score;

  it('can be solved, and the best answer has all the marks', () => {
    const poor = tickets.filter((ticket) => score(ticket, must(drill.sit(ticket)).best) < 1 - 1e-9);
    expect(poor).toEqual([]);
  });
  it('nothing done is worth nothing; a random answer hardly ever passes', () => {
    expect(tickets.filter((ticket) => score(ticket, []) > 0.01)).toEqual([]);
    const passed = tickets.filter((ticket) => {
      const dice = chance(seedFrom(JSON.stringify(ticket)));
      return must(must(drill.sit(ticket)).mark(randomMoves(ticket, dice), 0)).passed;
    });
    expect(passed.length / tickets.length).toBeLessThan(0.05);
  });
  it('the same ticket is the same exercise, another seed another', () => {
    const best = ({ seed, ...rest }: Ticket) => must(drill.sit({ ...rest, seed })).best;
    for (const ticket of tickets.slice(0, 12)) expect(best(ticket)).toEqual(best({ ...ticket }));
    const first = constructionsFor(drill.id)[0];
    // What comes off next is the valve's own; everything else is drawn.
    const drawn = new Set(
      Array.from({ length: 30 }, (_, seed) => JSON.stringify(best(ticketFor(drill.id, 2, seed, first)))),
    );
    if (drill.id === 'comes-off-next') expect(drawn.size).toBe(1);
    else expect(drawn.size).toBeGreaterThan(1);
  });
  it('a hint costs a tenth, and the last level has none', () => {
    const [ticket] = tickets;
    if (!ticket) throw new Error('no exercise');
    const { best } = must(drill.sit(ticket));
    expect(score(ticket, best, 1)).toBeCloseTo(0.9);
    expect(LEVELS.map(hintsAt)).toEqual([3, 2, 1, 0]);
  });
  it('moves of another kind are refused in words, not marked', () => {
    const [ticket] = tickets;
    if (!ticket) throw new Error('no exercise');
    const answer = must(drill.sit(ticket)).mark([{ nonsense: true }], 0);
    expect(answer.problem?.code).toBe('input.invalid');
  });
});

describe('tickets', () => {
  it('a kind that makes no sense for a construction says so', () => {
    const answer = DRILLS['set-it'].sit({ drill: 'set-it', seed: 1, level: 1, construction: 'gate-wedge' });
    expect(answer.problem?.code).toBe('drill.no-sense');
  });
  it('what cannot be planted is refused, and so is what cannot be read', () => {
    const planted = { what: 'a bent stem' };
    const bolts = DRILLS['bolt-it'].sit({
      drill: 'bolt-it',
      seed: 1,
      level: 1,
      construction: 'gate-wedge',
      planted,
    });
    expect(bolts.problem?.code).toBe('drill.not-planted');
    const ring = DRILLS['read-the-ring'].sit({
      drill: 'read-the-ring',
      seed: 1,
      level: 1,
      construction: 'gate-wedge',
      planted,
    });
    expect(ring.problem?.code).toBe('input.invalid');
  });
  it('all ten have constructions to be done on', () => {
    expect(ALL_DRILLS.map(({ id }) => constructionsFor(id).length > 0)).toEqual(ALL_DRILLS.map(() => true));
    expect(constructionsFor('comes-off-next')).toHaveLength(21);
    expect(constructionsFor('set-it')).toEqual(['relief-spring']);
  });
});
