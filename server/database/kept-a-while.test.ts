import { describe, expect, it } from 'vitest';
import { KeptAWhile } from './kept-a-while';

function kept() {
  let [now, worked] = [0, 0];
  const answers = new KeptAWhile<number>(1000, () => now);
  return {
    ask: (asked = 'all', work: () => Promise<number> = () => Promise.resolve(++worked)) =>
      answers.of(asked, work),
    pass: (milliseconds: number) => (now += milliseconds),
    forget: () => answers.forget(),
  };
}

describe('an answer that is kept a while', () => {
  it('is the same until it is over, then a new one', async () => {
    const { ask, pass } = kept();
    expect([await ask(), await ask()]).toEqual([1, 1]);
    pass(999);
    expect(await ask()).toBe(1);
    pass(1);
    expect(await ask()).toBe(2);
  });
  it('is of what was asked, worked out once for all who ask together, and forgotten when told', async () => {
    const { ask, forget } = kept();
    expect(await Promise.all([ask(), ask(), ask('other')])).toEqual([1, 1, 2]);
    forget();
    expect(await ask()).toBe(3);
  });
  it('that failed is asked for again', async () => {
    const { ask } = kept();
    await expect(ask('all', () => Promise.reject(new Error('away')))).rejects.toThrow('away');
    expect(await ask()).toBe(1);
  });
});
