import { openFrom, type OpenTime } from './open-time';

/** Stretches in which somebody or something is taken, in order; those with nothing open between them are one. */
export class Busy {
  readonly #from: number[] = [];
  readonly #to: number[] = [];

  constructor(private readonly open: OpenTime) {}

  /** Place of the first stretch that ends after `t`. */
  #after(t: number): number {
    let [low, high] = [0, this.#to.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.#to[middle] ?? Infinity) > t) high = middle;
      else low = middle + 1;
    }
    return low;
  }

  /** When it is free again, if anything of [from, to) is taken; else nothing. */
  clash(from: number, to: number): number | undefined {
    const at = this.#after(from);
    return (this.#from[at] ?? Infinity) < to ? this.#to[at] : undefined;
  }

  /** Until it is open again: what is closed behind it serves nobody. */
  take(from: number, to: number): void {
    const at = this.#after(from);
    const until = Math.max(to, Math.min(openFrom(this.open, to), this.#from[at] ?? Infinity));
    const isJoined = this.#to[at - 1] === from;
    const joins = this.#from[at] === until;
    if (isJoined && joins) {
      this.#to.splice(at - 1, 1);
      this.#from.splice(at, 1);
    } else if (isJoined) this.#to[at - 1] = until;
    else if (joins) this.#from[at] = from;
    else {
      this.#from.splice(at, 0, from);
      this.#to.splice(at, 0, until);
    }
  }
}
