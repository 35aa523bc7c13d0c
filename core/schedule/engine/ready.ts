import type { Task } from '../instance';

/** Tasks that can be put down now: the one of the least rank comes first, of equal ones the first of the list. */
export class Ready {
  readonly #heap: Task[] = [];

  constructor(private readonly rank: readonly number[]) {}

  push(task: Task): void {
    let at = this.#heap.length;
    this.#heap.push(task);
    while (at > 0) {
      const above = (at - 1) >> 1;
      const parent = this.#heap[above];
      if (!parent || !this.#isBefore(task, parent)) break;
      this.#heap[at] = parent;
      at = above;
    }
    this.#heap[at] = task;
  }

  pop(): Task | undefined {
    const [first] = this.#heap;
    const last = this.#heap.pop();
    if (first && last && first !== last) this.#sink(last);
    return first;
  }

  #sink(task: Task): void {
    let at = 0;
    for (;;) {
      const left = this.#heap[2 * at + 1];
      const right = this.#heap[2 * at + 2];
      const child = right && left && this.#isBefore(right, left) ? right : left;
      if (!child || !this.#isBefore(child, task)) break;
      this.#heap[at] = child;
      at = child === left ? 2 * at + 1 : 2 * at + 2;
    }
    this.#heap[at] = task;
  }

  #isBefore(a: Task, b: Task): boolean {
    const [one, other] = [this.rank[a.index] ?? 0, this.rank[b.index] ?? 0];
    return one < other || (one === other && a.index < b.index);
  }
}
