/** A browser that is driven from outside, whatever its engine. */
export interface Engine {
  readonly name: string;
  readonly open: (url: string) => Promise<void>;
  /** Runs an expression in the page. */
  readonly evaluate: <Value>(expression: string) => Promise<Value>;
  /** Presses what a selector finds, as a pointer does. */
  readonly click: (selector: string) => Promise<void>;
  /** Types into what has the focus. */
  readonly type: (text: string) => Promise<void>;
  readonly enter: () => Promise<void>;
  readonly quit: () => Promise<void>;
}
