import type { BenchScale } from './bench-scale';

/** What of a serial port is needed: the browser's, or a simulated one. */
export interface LinePort {
  readonly readable: ReadableStream<Uint8Array> | null;
  readonly writable: WritableStream<Uint8Array> | null;
}

/** A scale that prints plain lines down a serial line, at whatever pace; half lines are put together. */
export function serialScale(port: LinePort, onBroken: (says: string) => void): BenchScale {
  return {
    name: 'scale on a line',
    isStandIn: false,
    listen: onLine => {
      const reader = port.readable?.getReader();
      let isWanted = true;
      const pump = async (): Promise<void> => {
        const text = new TextDecoder();
        let rest = '';
        while (reader && isWanted) {
          const { value, done } = await reader.read();
          if (done) break;
          const lines = (rest + text.decode(value, { stream: true })).split(/\r\n|\r|\n/);
          rest = (lines.pop() ?? '').slice(-LONGEST);
          for (const line of lines) if (isWanted && line !== '') onLine(line);
        }
        if (isWanted) onBroken('The scale says nothing any more: look at its plug.');
      };
      pump().catch(() => {
        if (isWanted) onBroken('The line to the scale broke off. Plug it in again.');
      });
      return () => {
        isWanted = false;
        void reader?.cancel();
      };
    },
    tare: () => {
      const writer = port.writable?.getWriter();
      void writer?.write(new TextEncoder().encode('T\r\n')).finally(() => writer.releaseLock());
    },
  };
}

const LONGEST = 200; // what has no end by then is noise
