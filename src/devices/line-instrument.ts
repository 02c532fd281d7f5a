/** An instrument that sends lines: a caliper when its key is pressed, a probe when it is pushed in, a scale all the time. */
export interface LineInstrument {
  /** As it stands with every reading. */
  readonly name: string;
  readonly isStandIn: boolean;
  /** Gives every line as it comes. @returns stops listening */
  readonly listen: (onLine: (line: string) => void) => () => void;
}
