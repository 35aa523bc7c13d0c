/** Something that moves, read over time. */
export interface Moving {
  readonly seconds: number;
  readonly value: number;
}

/** Seconds that are compared, and how long is waited at most (handbook part 6.5: it stands, or half a minute is over). */
const [LOOK, MOST] = [1, 30];
/** What it may still change by in a second, percent of its travel. */
const STANDS_WITHIN = 0.1;

/** Where it stands, as the mean of its last second; undefined while it moves. `since` is when it was last disturbed. */
export function standsAt(samples: readonly Moving[], since: number): number | undefined {
  const now = samples.at(-1)?.seconds;
  if (now === undefined || now < since + 2 * LOOK) return undefined;
  const meanOf = (from: number, to: number) => {
    const within = samples.filter(({ seconds }) => seconds > from && seconds <= to);
    return within.reduce((sum, { value }) => sum + value, 0) / within.length;
  };
  const [before, last] = [meanOf(now - 2 * LOOK, now - LOOK), meanOf(now - LOOK, now)];
  return Math.abs(last - before) < STANDS_WITHIN || now > since + MOST ? last : undefined;
}

/** It hunts: so many times to and fro about its middle in the last seconds, wider than this, percent. */
const [TO_AND_FRO, WIDE, WATCHED] = [6, 0.4, 4];

/** How far it goes to and fro instead of standing, percent from side to side; undefined where it stands or goes somewhere. */
export function huntsBy(samples: readonly Moving[], since: number): number | undefined {
  const now = samples.at(-1)?.seconds;
  if (now === undefined || now < since + WATCHED) return undefined;
  const values = samples.filter(({ seconds }) => seconds > now - WATCHED).map(({ value }) => value);
  const [least, most] = [Math.min(...values), Math.max(...values)];
  const middle = (least + most) / 2;
  const crossings = values.filter(
    (value, i) => i > 0 && value > middle !== (values[i - 1] ?? value) > middle,
  );
  return most - least > WIDE && crossings.length >= TO_AND_FRO ? most - least : undefined;
}
