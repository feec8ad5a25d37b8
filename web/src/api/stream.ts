/** A stream that the server refused is asked for again after so long, ms: the browser itself gives it up. */
const AGAIN = 2_000;

interface Hearing {
  readonly message: (data: string) => void;
  readonly down?: () => void;
}

/**
 * Hears a stream of the server for as long as it is wanted: over a lost connection, a server that restarts and a database that was
 * away. Answers what ends it.
 */
export function hear(path: string, { message, down }: Hearing): () => void {
  if (!('EventSource' in window)) return () => undefined;
  let source: EventSource;
  let again: ReturnType<typeof setTimeout> | undefined;
  const open = () => {
    source = new EventSource(`/api/${path}`);
    source.onmessage = ({ data }: MessageEvent<string>) => message(data);
    source.addEventListener('away', () => down?.());
    source.onerror = () => {
      down?.();
      if (source.readyState === EventSource.CLOSED) again = setTimeout(open, AGAIN);
    };
  };
  open();
  return () => {
    clearTimeout(again);
    source.close();
  };
}
