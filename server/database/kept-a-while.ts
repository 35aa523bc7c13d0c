/** Answers that are dear to work out, kept for a while by what was asked; forgotten at once when told. */
export class KeptAWhile<T> {
  private readonly answers = new Map<string, { readonly until: number; readonly answer: Promise<T> }>();

  constructor(
    private readonly milliseconds: number,
    /** Milliseconds since any moment, never backwards. */
    private readonly clock: () => number = () => performance.now(),
  ) {}

  /** The answer that is kept, or the one that is being worked out, or a new one; one that failed is not kept. */
  of(asked: string, work: () => Promise<T>): Promise<T> {
    const known = this.answers.get(asked);
    if (known && known.until > this.clock()) return known.answer;
    const answer = work();
    const own = { until: this.clock() + this.milliseconds, answer };
    this.forgetOver();
    this.answers.set(asked, own);
    answer.catch(() => {
      if (this.answers.get(asked) === own) this.answers.delete(asked);
    });
    return answer;
  }

  forget(): void {
    this.answers.clear();
  }

  private forgetOver(): void {
    for (const [asked, { until }] of this.answers) if (until <= this.clock()) this.answers.delete(asked);
  }
}
