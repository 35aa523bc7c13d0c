import { firstAfter, openFrom, type OpenTime, type Stretch } from '../open-time';

/** Stretches in which somebody or something is taken, in order; those with nothing open between them are one. */
export class Busy {
  readonly #taken: Stretch[] = [];

  constructor(private readonly open: OpenTime) {}

  /** When it is free again, if anything of [from, to) is taken; else nothing. */
  clash(from: number, to: number): number | undefined {
    const next = this.#taken[firstAfter(this.#taken, from)];
    return next && next.from < to ? next.to : undefined;
  }

  /** Until it is open again: what is closed behind it serves nobody. */
  take(from: number, to: number): void {
    const at = firstAfter(this.#taken, from);
    const [before, next] = [this.#taken[at - 1], this.#taken[at]];
    const until = Math.max(to, Math.min(openFrom(this.open, to), next?.from ?? Infinity));
    const joinsBefore = before?.to === from;
    const joinsNext = next?.from === until;
    this.#taken.splice(joinsBefore ? at - 1 : at, Number(joinsBefore) + Number(joinsNext), {
      from: joinsBefore ? before.from : from,
      to: joinsNext ? next.to : until,
    });
  }
}
