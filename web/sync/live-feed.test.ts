import { describe, expect, it } from 'vitest';
import { LiveFeed } from './live-feed';

/** A stream under a test's hand. */
class Stream {
  readyState = 0;
  onopen: (() => void) | null = null;
  onmessage: ((event: { data: string }) => void) | null = null;
  onerror: (() => void) | null = null;
  close(): void {
    this.readyState = 2;
  }
}

function feed() {
  const streams: Stream[] = [];
  const afters: number[] = [];
  const said: boolean[] = [];
  const waits: number[] = [];
  const heard: string[] = [];
  let version = 3;
  let looked = 0;
  const made = new LiveFeed({
    open: (after) => {
      afters.push(after);
      const stream = new Stream();
      streams.push(stream);
      return stream as unknown as EventSource;
    },
    version: () => version,
    heard: (data) => heard.push(data),
    live: (isLive) => said.push(isLive),
    refused: () => Promise.resolve(void looked++),
    wait: (milliseconds) => Promise.resolve(void waits.push(milliseconds)),
  });
  const turns = async () => {
    for (let i = 0; i < 10; i++) await Promise.resolve();
  };
  return {
    made,
    streams,
    afters,
    said,
    waits,
    heard,
    turns,
    looked: () => looked,
    grow: () => (version = 9),
  };
}

describe('what others do, live', () => {
  it('a stream that was refused for good is opened again, from where the job stands now', async () => {
    const { streams, afters, said, waits, turns, looked, grow } = feed();
    streams[0]?.onopen?.();
    grow();
    streams[0]?.close();
    streams[0]?.onerror?.();
    expect(said).toEqual([true, false]);
    await turns();
    expect(afters).toEqual([3, 9]);
    expect(looked()).toBe(1);
    streams[1]?.onopen?.();
    expect(said.at(-1)).toBe(true);
    expect(waits).toEqual([1000]);
  });
  it('refused again and again it waits longer each time, and not for ever longer', async () => {
    const { streams, waits, turns } = feed();
    for (let i = 0; i < 8; i++) {
      streams[i]?.close();
      streams[i]?.onerror?.();
      await turns();
    }
    expect(waits.slice(0, 4)).toEqual([1000, 2000, 4000, 8000]);
    expect(Math.max(...waits)).toBe(20_000);
  });
  it('one that the browser tries again by itself is only said not to be live', async () => {
    const { streams, said, turns } = feed();
    streams[0]?.onerror?.();
    await turns();
    expect(streams).toHaveLength(1);
    expect(said).toEqual([false]);
    streams[0]?.onmessage?.({ data: '{}' });
    expect(said.at(-1)).toBe(true);
  });
  it('closed, it opens no more', async () => {
    const { made, streams, turns } = feed();
    made.close();
    streams[0]?.onerror?.();
    await turns();
    expect(streams).toHaveLength(1);
  });
});
