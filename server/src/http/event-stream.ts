import type { Response } from 'express';

/** An answer that goes on and on: server-sent events. */
export interface EventStream {
  readonly closed: boolean;
  /** Tells what happened. */
  readonly send: (data: unknown) => void;
  /** Tells that the line still holds. */
  readonly beat: () => void;
}

/** Begins a stream of server-sent events that no cache and no proxy keeps back. */
export function openEventStream(response: Response): EventStream {
  response.writeHead(200, {
    'Content-Type': 'text/event-stream',
    'Cache-Control': 'no-cache, no-transform',
    'X-Accel-Buffering': 'no',
  });
  return {
    get closed() {
      return response.closed;
    },
    send: (data) => void response.write(`data: ${JSON.stringify(data)}\n\n`),
    beat: () => void response.write(': nothing new\n\n'),
  };
}
