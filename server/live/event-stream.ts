import type { Request, Response } from 'express';

const KEEP_ALIVE_MILLISECONDS = 20_000;

/** A stream of server-sent events; `stop` fires when the listener is gone or the server closes. */
export interface EventStream {
  readonly send: (message: unknown, id?: number) => void;
  readonly end: () => void;
  readonly stop: AbortSignal;
}

export function eventStream(request: Request, response: Response): EventStream {
  const gone = new AbortController();
  response.status(200).set({
    'content-type': 'text/event-stream',
    'cache-control': 'no-cache, no-transform',
    'x-accel-buffering': 'no',
  });
  response.flushHeaders();
  response.write('retry: 1000\n\n');
  const keepAlive = setInterval(() => response.write(': still here\n\n'), KEEP_ALIVE_MILLISECONDS);
  request.on('close', () => {
    clearInterval(keepAlive);
    gone.abort();
  });
  return {
    send: (message, id) => {
      if (!gone.signal.aborted)
        response.write(`${id === undefined ? '' : `id: ${id}\n`}data: ${JSON.stringify(message)}\n\n`);
    },
    end: () => response.end(),
    stop: gone.signal,
  };
}
