import { describe, expect, it } from 'vitest';
import { must } from '../../problem';
import { say } from '../../quantity';
import { chance } from '../../simulation';
import type { ConstructionId, PartRole } from '../../valve';
import { exerciseOf, marksOf, ticketFor, type Level } from '..';
import { comesOffNext, takenApart } from './comes-off-next';
import { makeItDead, setOut, stillThere, type MakeItDead } from './make-it-dead';
import { whereIsTheFault, leastMinutes, spent } from './where-is-the-fault';

const apart = (construction: ConstructionId, level: Level = 1) =>
  must(exerciseOf(comesOffNext, ticketFor('comes-off-next', level, 1, construction)));

describe('what comes off next', () => {
  const relief = apart('relief-spring');
  const move = (part: PartRole) => ({ part });
  const words = (...parts: PartRole[]) => {
    const said = comesOffNext.said(relief, parts.map(move));
    return { right: said?.right, words: say(said?.words ?? '', 'US') };
  };

  it('the bonnet of a relief valve before its screw is backed off: the spring still pushes it', () => {
    // The first pointing marks it; the second would take it off.
    expect(words('bonnet')).toMatchObject({ right: true });
    const answer = words('bonnet', 'bonnet');
    expect(answer.right).toBe(false);
    expect(answer.words).toContain('The spring still pushes the bonnet');
    expect(answer.words).toContain('Back off the compression screw');
  });
  it('cap, screw, bonnet, spring, disc (common practice) is right all the way', () => {
    const order: PartRole[] = [
      'bonnet',
      'cap',
      'compression screw',
      'ring pins',
      'compression screw',
      'bonnet studs',
      'spindle',
      'disc',
      'adjusting rings',
    ];
    expect(takenApart(relief, order.map(move))).toMatchObject({ finished: true, wrong: 0 });
  });
  it('a gate valve: the gland is slackened before the bonnet nuts (common practice)', () => {
    const gate = apart('gate-wedge');
    const slack = gate.pieces.findIndex(({ title }) => title.startsWith('Slacken gland nuts, then bonnet'));
    const nuts = gate.pieces.find(({ title }) => title.startsWith('Bonnet nuts off'));
    expect(slack).toBeGreaterThanOrEqual(0);
    expect(nuts?.after.length).toBeGreaterThan(0);
    expect(takenApart(gate, [move('bonnet'), move('packing')]).wrong).toBe(1);
  });
  it.each([
    ['relief-spring', 'bonnet'],
    ['regulator-self-acting', 'housing bolts'],
    ['control-lowpressure-diaphragm', 'bonnet bolts'],
    ['control-balanced-cage', 'stem lock nuts'],
  ] as const)('%s: its spring is let go before the %s (common practice)', (construction, part) => {
    const exercise = apart(construction);
    expect(exercise.pieces.filter(({ unloads }) => unloads)).toHaveLength(1);
    // Marked first, where pointing at it marks it.
    const said = [1, 2].map((times) =>
      say(
        comesOffNext.said(
          exercise,
          Array.from({ length: times }, () => move(part)),
        )?.words ?? '',
        'US',
      ),
    );
    expect(said.some((words) => words.includes('The spring still pushes'))).toBe(true);
  });
  it('any order that the parts allow has all the marks', () => {
    for (const construction of ['control-balanced-cage', 'dump-weight-lever', 'gate-slab-unitised'] as const)
      for (let seed = 1; seed <= 8; seed++) {
        const exercise = apart(construction, 3);
        const dice = chance(seed);
        const parts = [...new Set(exercise.pieces.flatMap((piece) => piece.parts))];
        const moves: { part: PartRole }[] = [];
        while (!takenApart(exercise, moves).finished) {
          const before = takenApart(exercise, moves);
          const free = parts.filter(
            (part) => takenApart(exercise, [...moves, { part }]).wrong === before.wrong,
          );
          const part = free[Math.floor(dice.uniform() * free.length)];
          if (part === undefined) break;
          moves.push({ part });
        }
        expect(takenApart(exercise, moves).finished).toBe(true);
        expect(marksOf(comesOffNext.mark(exercise, moves), 0).score).toBe(1);
      }
  });
  it('a few wrong moves still pass, as many as right ones do not', () => {
    const order = comesOffNext.best(relief);
    const score = (wrong: number) =>
      marksOf(comesOffNext.mark(relief, [...Array.from({ length: wrong }, () => move('disc')), ...order]), 0);
    expect(score(2).passed).toBe(true);
    expect(score(order.length).passed).toBe(false);
  });
});

describe('make it dead', () => {
  const dead = (planted?: Record<string, unknown>): MakeItDead =>
    must(
      exerciseOf(makeItDead, {
        ...ticketFor('make-it-dead', 1, 4, 'control-globe-double-seat'),
        ...(planted ? { planted } : {}),
      }),
    );
  const sound = dead({});
  const score = (exercise: MakeItDead, moves: Parameters<typeof makeItDead.mark>[1]) =>
    marksOf(makeItDead.mark(exercise, moves), 0);
  const best = makeItDead.best(sound);

  it('zero read once is no proof: the gauge is tried live, and zero read again (handbook part 7)', () => {
    expect(score(sound, best).score).toBe(1);
    const once = best.filter(
      (move, i) => move.do !== 'look' || i > best.findIndex((each) => each.do === 'try live'),
    );
    expect(score(sound, once).passed).toBe(false);
    expect(
      score(
        sound,
        best.filter((move) => move.do !== 'try live'),
      ).passed,
    ).toBe(false);
  });
  it('what was proved is proved no more once something is changed', () => {
    const [last] = sound.points.slice(-1);
    if (!last) throw new Error('no points');
    const late = [
      ...best.filter(
        (move) => !(move.do === 'point' && move.point === last.id) && move.do !== 'call it dead',
      ),
      { do: 'point' as const, point: last.id },
      { do: 'call it dead' as const },
    ];
    expect(score(sound, late).score).toBeLessThan(0.8);
  });
  it('a vent opened before its block is shut is too early; a valve moved by air is placed before its air goes', () => {
    const vent = makeItDead.said(sound, [{ do: 'point', point: 'vent.upstream' }]);
    expect(vent?.right).toBe(false);
    expect(say(vent?.words ?? '', 'US')).toContain('block valve');
    const early = setOut(sound, [{ do: 'point', point: 'vent.upstream' }]);
    expect(early.outOfOrder).toEqual(['vent.upstream']);
  });
  it('a block that passes shows on the gauge, and called dead is unsafe whatever else was right', () => {
    const passing = dead({ passes: 'upstream' });
    const blind = makeItDead.best(passing).filter((move) => move.do !== 'shut further away');
    const upstream = passing.energies.find(({ kind }) => kind === 'upstream pressure');
    if (!upstream) throw new Error('no upstream pressure');
    expect(stillThere(passing, setOut(passing, blind), upstream).value).toBeGreaterThan(10);
    const marks = score(passing, blind);
    expect(marks.lines.some(({ unsafe }) => unsafe)).toBe(true);
    expect(marks.score).toBeLessThanOrEqual(0.5);
    expect(score(passing, makeItDead.best(passing)).score).toBe(1);
  });
  it('having everything shut further away without looking costs points', () => {
    const [last] = best.slice(-1);
    const blind = [
      { do: 'shut further away' as const, side: 'upstream' as const },
      { do: 'shut further away' as const, side: 'downstream' as const },
      ...best,
    ];
    expect(last).toEqual({ do: 'call it dead' });
    expect(score(sound, blind).score).toBeCloseTo(0.8);
  });
  it('a gauge that is stuck shows zero of everything until it is tried live', () => {
    const stuck = dead({ gaugeStuck: true });
    expect(
      say(makeItDead.said(stuck, [{ do: 'look', at: 'upstream pressure' }])?.words ?? '', 'US'),
    ).toContain('0 psig');
    expect(makeItDead.said(stuck, [{ do: 'try live' }])?.right).toBe(false);
    expect(score(stuck, makeItDead.best(stuck)).score).toBe(1);
  });
});

describe('where is the fault', () => {
  const exercise = must(
    exerciseOf(whereIsTheFault, {
      ...ticketFor('where-is-the-fault', 2, 1, 'control-globe-double-seat'),
      planted: { fault: 'relay faulty', symptom: 'half travel' },
    }),
  );
  it('a teacher’s fault is the one to find', () => {
    expect(exercise).toMatchObject({ fault: 'relay faulty', symptom: 'half travel' });
    expect(whereIsTheFault.best(exercise).at(-1)).toEqual({ do: 'name', cause: 'relay faulty' });
  });
  it('half as long again as the least is as good; three times as long is worth nothing for time', () => {
    const best = whereIsTheFault.best(exercise);
    expect(spent(best)).toBeLessThanOrEqual(1.5 * leastMinutes(exercise));
    const all = [
      ...exercise.checks.map((check) => ({ do: 'check' as const, check })),
      { do: 'name' as const, cause: exercise.fault },
    ];
    const time = whereIsTheFault.mark(exercise, all).find(({ what }) => what === 'In little time');
    expect(spent(all) / leastMinutes(exercise)).toBeGreaterThan(3);
    expect(time?.points).toBe(0);
  });
  it('named without a reading that shows it is a guess', () => {
    const guess = marksOf(whereIsTheFault.mark(exercise, [{ do: 'name', cause: 'relay faulty' }]), 0);
    expect(guess.score).toBeCloseTo(0.3);
  });
});
