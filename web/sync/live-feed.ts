/** What a feed needs of the browser; tests give their own. */
export interface FeedPorts {
  /** Opens the stream after this version of the job. */
  readonly open: (after: number) => EventSource;
  readonly version: () => number;
  readonly heard: (data: string) => void;
  /** Whether it is live now. */
  readonly live: (isLive: boolean) => void;
  /** The stream was refused: looks whether anybody is still signed in. */
  readonly refused: () => Promise<void>;
  readonly wait: (milliseconds: number) => Promise<void>;
}

const FIRST_MILLISECONDS = 1000;
const LONGEST_MILLISECONDS = 20_000;
const CLOSED = 2;

/**
 * What others do on a job, as it happens. A browser gives a stream up for good when it is refused once: this one opens it
 * again, later each time, and says meanwhile that it is not live.
 */
export class LiveFeed {
  private source: EventSource | undefined;
  private closed = false;
  private tries = 0;

  constructor(private readonly ports: FeedPorts) {
    this.start();
  }

  close(): void {
    this.closed = true;
    this.source?.close();
  }

  private start(): void {
    const source = this.ports.open(this.ports.version());
    this.source = source;
    source.onopen = () => {
      this.tries = 0;
      this.ports.live(true);
    };
    source.onmessage = (event) => {
      this.ports.live(true);
      this.ports.heard(String(event.data));
    };
    source.onerror = () => {
      if (this.closed) return;
      this.ports.live(false);
      // Otherwise the browser tries again by itself.
      if (source.readyState === CLOSED) void this.again();
    };
  }

  private async again(): Promise<void> {
    await this.ports.refused();
    await this.ports.wait(Math.min(LONGEST_MILLISECONDS, FIRST_MILLISECONDS * 2 ** this.tries++));
    if (!this.closed) this.start();
  }
}
