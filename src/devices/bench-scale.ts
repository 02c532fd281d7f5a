import type { LineInstrument } from './line-instrument';

/** A bench scale as the application sees it: it prints lines, and it can be told to take off what lies on it. */
export interface BenchScale extends LineInstrument {
  readonly tare: () => void;
}
