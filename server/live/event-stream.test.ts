import type { Request, Response } from 'express';
import { EventEmitter } from 'node:events';
import { describe, expect, it } from 'vitest';
import type { OpenStreams } from './open-streams';
import { eventStream } from './event-stream';

/** A listener that reads nothing: all that is written stays in the server's memory. */
class Unread {
  writableLength = 0;
  destroyed = false;
  ended = false;
  status = () => this;
  set = () => this;
  flushHeaders = () => undefined;
  write = (text: string) => {
    this.writableLength += text.length;
    return false;
  };
  destroy = () => {
    this.destroyed = true;
  };
  end = () => {
    this.ended = true;
  };
}

function stream() {
  const request = Object.assign(new EventEmitter(), { person: { id: 'ada' }, sessionID: 'sid' });
  const response = new Unread();
  let open = 0;
  const streams = { add: () => (open++, () => open--) } as unknown as OpenStreams;
  const made = eventStream(request as unknown as Request, response as unknown as Response, streams);
  return { made, request, response, open: () => open };
}

describe('a stream that nobody reads', () => {
  it('is ended once more than a megabyte waits for it', () => {
    const { made, response, request } = stream();
    const message = { text: 'x'.repeat(100_000) };
    for (let i = 0; i < 30; i++) made.send(message);
    expect(response.destroyed).toBe(true);
    expect(response.writableLength).toBeLessThan(1.3 * 1024 * 1024);
    request.emit('close');
  });
  it('is forgotten when its listener goes, and hears nothing after', () => {
    const { made, request, response, open } = stream();
    expect(open()).toBe(1);
    request.emit('close');
    expect(open()).toBe(0);
    expect(made.stop.aborted).toBe(true);
    const before = response.writableLength;
    made.send({ text: 'late' });
    expect(response.writableLength).toBe(before);
  });
});
