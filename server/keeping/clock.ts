/** A clock that was put on or back while the server ran, or a machine that slept: when it was seen, and how far. */
export interface ClockJump {
  readonly at: string;
  /** Less than zero where it went back. */
  readonly bySeconds: number;
}

/** Networks set a clock by seconds: what is more is somebody's hand, or a dead battery. */
const JUMPS_OVER = 60_000;

/**
 * Holds the clock against one that only runs on. What is stored stays in the order that it came in, whatever the clock says;
 * but the days of calibrations and the moments on papers are those of the clock.
 */
export class ClockWatch {
  private last: { readonly wall: number; readonly steady: number };
  private seen: ClockJump | undefined;

  constructor(
    private readonly wall: () => number = () => Date.now(),
    private readonly steady: () => number = () => performance.now(),
  ) {
    this.last = { wall: wall(), steady: steady() };
  }

  /** The last jump since the server was started. */
  get jump(): ClockJump | undefined {
    return this.seen;
  }

  /** Looks at the clock; answers with the jump that it made since the last look. */
  look(): ClockJump | undefined {
    const now = { wall: this.wall(), steady: this.steady() };
    const by = now.wall - this.last.wall - (now.steady - this.last.steady);
    this.last = now;
    if (Math.abs(by) <= JUMPS_OVER) return undefined;
    this.seen = { at: new Date(now.wall).toISOString(), bySeconds: Math.round(by / 1000) };
    return this.seen;
  }
}

const LOOKS_EVERY = 30_000;

/** Looks now and then, and says what it saw; answers with how to stop. */
export function watchClock(clock: ClockWatch, say: (jump: ClockJump) => void): () => void {
  const timer = setInterval(() => {
    const jump = clock.look();
    if (jump) say(jump);
  }, LOOKS_EVERY).unref();
  return () => clearInterval(timer);
}
