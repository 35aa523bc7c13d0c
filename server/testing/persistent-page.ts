import { jobView } from '@dusk-wren/contract';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { Browser } from './browser';
import { note } from './shop';

const PAUSE = 50;
const itsVersion = z.object({ version: z.number() });

/** A page at a job that enters one note after the other, and sends each again, as it was, until it is answered. */
export class PersistentPage {
  /** The notes that it was told are kept, in order. */
  readonly acknowledged: string[] = [];
  /** What it was refused for good. */
  readonly refused: string[] = [];
  /** The longest that a note waited for its answer, milliseconds. */
  longest = 0;
  private isOpen = true;
  private version: number;

  private constructor(
    readonly browser: Browser,
    readonly person: string,
    readonly job: string,
    version: number,
  ) {
    this.version = version;
  }

  static async open(url: string, person: string, job: string): Promise<PersistentPage> {
    const browser = await Browser.open(url, person);
    const { version } = jobView.parse(await (await browser.get(`/api/jobs/${job}`)).json());
    return new PersistentPage(browser, person, job, version);
  }

  /** Enters notes until it is stopped. */
  async work(): Promise<void> {
    for (let i = 0; this.isOpen; i++) await this.enter(`${this.person} ${this.job} ${i}`);
  }

  stop(): void {
    this.isOpen = false;
  }

  /** Once so many more are acknowledged. */
  async goesOn(more: number): Promise<void> {
    const wanted = this.acknowledged.length + more;
    while (this.acknowledged.length < wanted && this.refused.length === 0)
      await new Promise((done) => setTimeout(done, PAUSE));
  }

  private async enter(text: string): Promise<void> {
    const commandId = randomUUID();
    const began = performance.now();
    for (;;) {
      const answer = await this.browser
        .command(this.job, this.version, note(text), commandId)
        .catch(() => undefined);
      const said: unknown = await answer?.json().catch(() => undefined);
      const grown = answer?.status === 200 || answer?.status === 409 ? itsVersion.safeParse(said) : undefined;
      if (grown?.success) {
        this.version = grown.data.version;
        if (answer?.status === 409) continue;
        this.acknowledged.push(text);
        this.longest = Math.max(this.longest, performance.now() - began);
        return;
      }
      // Away for now, or too many at once: the page says so and sends it again.
      if (answer && answer.status < 500 && answer.status !== 429) {
        this.refused.push(`${answer.status} ${JSON.stringify(said)}`);
        this.stop();
        return;
      }
      await new Promise((done) => setTimeout(done, PAUSE));
    }
  }
}
