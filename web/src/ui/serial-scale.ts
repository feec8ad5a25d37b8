import { useSyncExternalStore } from 'react';
import { readScaleLine } from '@dewpot/core/bench';
import type { ScaleReading } from '@dewpot/contract';

/** As much of the browser's serial ports as a scale needs. */
interface SerialPort {
  readonly readable: ReadableStream<Uint8Array> | null;
  open(ways: { readonly baudRate: number }): Promise<void>;
  close(): Promise<void>;
}
interface Serial {
  requestPort(): Promise<SerialPort>;
}

/** Signs a second on the cable: most bench scales are set so. */
const SPEED = 9600;
/** A line that grows longer than this is none. */
const MOST_LINE = 200;

const serialOf = (): Serial | undefined => (navigator as Navigator & { readonly serial?: Serial }).serial;

type Ear = (reading: ScaleReading) => void;

/** The scale that hangs on a cable of this device; there is one at the most. */
class SerialScale {
  private port: SerialPort | undefined;
  private tare = 0;
  private last = 0;
  readonly ears = new Set<Ear>();
  private readonly changes = new Set<() => void>();

  readonly isThere = (): boolean => this.port !== undefined;

  readonly hearChange = (ear: () => void) => {
    this.changes.add(ear);
    return () => void this.changes.delete(ear);
  };

  /** Asks which port, and reads from it until its cable is drawn. @throws DOMException where none was chosen or it cannot be opened */
  async connect(): Promise<void> {
    const port = await serialOf()?.requestPort();
    if (!port || this.port) return;
    await port.open({ baudRate: SPEED });
    this.tare = 0;
    this.become(port);
    // A cable that is drawn ends it; the simulated scale, or a bridge, is heard again.
    void this.read(port).finally(() => this.become(undefined));
  }

  /** What lies on it now counts as nothing. */
  zero(): void {
    this.tare = this.last;
  }

  private become(port: SerialPort | undefined): void {
    this.port = port;
    this.changes.forEach((ear) => ear());
  }

  private async read(port: SerialPort): Promise<void> {
    const decoder = new TextDecoder();
    let rest = '';
    try {
      for await (const bytes of piecesOf(port)) {
        const lines = (rest + decoder.decode(bytes, { stream: true })).split(/[\r\n]+/);
        rest = (lines.pop() ?? '').slice(-MOST_LINE);
        lines.forEach((line) => this.tell(line));
      }
    } catch {
      // The device is gone: there is nothing to tell but that.
    }
    await port.close().catch(() => undefined);
  }

  private tell(line: string): void {
    const read = readScaleLine(line);
    if (!read) return;
    this.last = read.mass;
    const reading: ScaleReading = { at: Date.now(), state: 'reads', device: 'Cable', step: read.step, mass: read.mass - this.tare }; // prettier-ignore
    this.ears.forEach((ear) => ear(reading));
  }
}

async function* piecesOf({ readable }: SerialPort): AsyncGenerator<Uint8Array> {
  const reader = readable?.getReader();
  for (;;) {
    const piece = await reader?.read();
    if (!piece || piece.done) return;
    yield piece.value;
  }
}

export const serialScale = new SerialScale();

/** Whether this browser can read a scale by its cable. */
export const canSerial = (): boolean => serialOf() !== undefined;

/** Whether a scale hangs on a cable of this device. */
export const useSerialScale = (): boolean => useSyncExternalStore(serialScale.hearChange, serialScale.isThere);
