import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { gathered } from './gathered';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

function taking() {
  const took: (readonly number[])[] = [];
  return { took, ...gathered<number>((all) => took.push(all)) };
}

describe('readings that come faster than they can be read', () => {
  it('are handed over in handfuls, none lost and in their order', () => {
    const { took, add } = taking();
    [1, 2, 3].forEach(add);
    expect(took).toEqual([]);
    vi.runAllTimers();
    add(4);
    vi.runAllTimers();
    expect(took).toEqual([[1, 2, 3], [4]]);
  });

  it('are handed over at the end of what sends them, and none twice', () => {
    const { took, add, hand } = taking();
    add(1);
    hand();
    hand();
    vi.runAllTimers();
    expect(took).toEqual([[1]]);
  });
});
