/** Milliseconds: quicker than an eye follows a figure, slower than a screen is drawn. */
const EVERY = 40;

/** Gathers what comes faster than it can be read, and hands it over now and then, all of it and in order. */
export function gathered<T>(take: (all: readonly T[]) => void) {
  let waiting: T[] = [];
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** Hands over what waits without waiting longer. */
  const hand = () => {
    clearTimeout(timer);
    timer = undefined;
    const all = waiting;
    waiting = [];
    if (all.length > 0) take(all);
  };
  const add = (one: T) => {
    waiting.push(one);
    timer ??= setTimeout(hand, EVERY);
  };
  return { add, hand };
}
