import type { BenchScale } from '@/devices/bench-scale';
import { type LinePort, serialScale } from '@/devices/serial-scale';

declare global {
  interface Navigator {
    /** The browser's serial lines, where it has any. */
    readonly serial?: {
      readonly requestPort: () => Promise<
        LinePort & { readonly open: (options: { readonly baudRate: number }) => Promise<void> }
      >;
    };
  }
}

const BAUD = 9600; // what most bench instruments come set to: common practice, no source

export function hasLines(): boolean {
  return typeof navigator !== 'undefined' && navigator.serial !== undefined;
}

/** Lets the gardener choose a serial line and opens it. @returns undefined where none was chosen, or another program has it */
export async function openLine(onBroken: (says: string) => void): Promise<BenchScale | undefined> {
  try {
    const port = await navigator.serial?.requestPort();
    if (!port) return undefined;
    await port.open({ baudRate: BAUD });
    return serialScale(port, onBroken);
  } catch {
    return undefined;
  }
}

export const NOT_OPENED =
  'That line could not be opened: nothing was chosen, or another program has it.';
