import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { GAUGE_PACE_MILLISECONDS } from './burst-reader';
import { afterBurst, listenForBursts } from './bursts';

const done: string[] = [];
const taken: string[] = [];

/** The page’s own keys: each is held until it is known to be no gauge’s. */
function onKey(event: Event & { key?: string }): void {
  const { key = '' } = event;
  if (key === 'Enter') done.push('Enter');
  else if (key.length === 1) afterBurst(() => done.push(key));
}
const page = new EventTarget();
/** Keys so many milliseconds apart. */
function press(keys: readonly string[], apart: number): void {
  for (const key of keys) {
    page.dispatchEvent(Object.assign(new Event('keydown', { cancelable: true }), { key }));
    vi.advanceTimersByTime(apart);
  }
}

describe('the keys of the page where a gauge types too', () => {
  beforeAll(() => {
    vi.stubGlobal('window', page);
    vi.stubGlobal('HTMLInputElement', class {});
    vi.stubGlobal('HTMLTextAreaElement', class {});
    listenForBursts({
      ...{ isAwaited: () => true, isReading: () => true },
      take: (line) => void taken.push(line),
    });
    page.addEventListener('keydown', onKey);
  });
  beforeEach(() => {
    vi.useFakeTimers();
    [done.length, taken.length] = [0, 0];
  });
  afterEach(() => {
    vi.useRealTimers();
  });
  afterAll(() => {
    vi.unstubAllGlobals();
  });
  it('none of them is pressed by what a gauge types', () => {
    press([...'1.250', 'Enter'], 4);
    vi.advanceTimersByTime(GAUGE_PACE_MILLISECONDS);
    expect(taken).toEqual(['1.250']);
    expect(done).toEqual([]);
  });
  it('nor where the gauge shifts for a capital', () => {
    press(['1', 'Shift', 'X', '2', 'Enter'], 4);
    expect(taken).toEqual(['1X2']);
    expect(done).toEqual([]);
  });
  it('a quick hand’s are done one after the other, none is lost', () => {
    press(['1', 'Enter'], 4);
    expect(done).toEqual(['1', 'Enter']);
    expect(taken).toEqual([]);
  });
  it('one alone is done when nothing follows', () => {
    press(['1'], GAUGE_PACE_MILLISECONDS + 1);
    expect(done).toEqual(['1']);
  });
});
