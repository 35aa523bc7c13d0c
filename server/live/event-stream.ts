import type { Request, Response } from 'express';
import { personOf } from '../sign-in/person';
import type { OpenStreams } from './open-streams';

const KEEP_ALIVE_MILLISECONDS = 20_000;
/** What may wait for a listener that does not read: more, and it is ended; its browser comes back by itself. */
const MOST_UNREAD = 1024 * 1024;

/** A stream of server-sent events; `stop` fires when the listener is gone or the server closes. */
export interface EventStream {
  readonly send: (message: unknown, id?: number) => void;
  readonly end: () => void;
  readonly stop: AbortSignal;
}

export function eventStream(request: Request, response: Response, streams: OpenStreams): EventStream {
  const gone = new AbortController();
  const end = () => {
    gone.abort();
    response.end();
  };
  const { id: personId } = personOf(request);
  const closed = streams.add({ sid: request.sessionID, personId, end });
  response.status(200).set({
    'content-type': 'text/event-stream',
    'cache-control': 'no-cache, no-transform',
    'x-accel-buffering': 'no',
  });
  response.flushHeaders();
  const write = (text: string) => {
    if (gone.signal.aborted) return;
    // A listener is given one message of any size; only what it leaves lying counts against it.
    if (response.writableLength > MOST_UNREAD) response.destroy();
    else response.write(text);
  };
  write('retry: 1000\n\n');
  const keepAlive = setInterval(() => write(': still here\n\n'), KEEP_ALIVE_MILLISECONDS);
  request.on('close', () => {
    clearInterval(keepAlive);
    closed();
    gone.abort();
  });
  return {
    send: (message, id) => {
      write(`${id === undefined ? '' : `id: ${id}\n`}data: ${JSON.stringify(message)}\n\n`);
    },
    end,
    stop: gone.signal,
  };
}
