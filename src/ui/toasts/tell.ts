/** Something that was done at one press, and may have been the wrong press. */
export interface Told {
  readonly words: string;
  /** @returns what stood in the way, as a sentence */
  readonly undo: () => Promise<string | undefined>;
}

type Hear = (told: Told) => void;

let hears: Hear | undefined;
let last: Told | undefined;
const woken = new Set<() => void>();

/** Says what was done, with a way back, where it is seen whatever becomes of what was pressed. */
export function tell(told: Told): void {
  last = told;
  hears?.(told);
  for (const wake of woken) wake();
}

/** Whether anything was told since the page came. */
export function wasTold(): boolean {
  return last !== undefined;
}

/** Calls when the first thing is told. @returns what ends it */
export function whenTold(wake: () => void): () => void {
  woken.add(wake);
  return () => woken.delete(wake);
}

/** Hears all that is told from now on, and what was told last before it listened. @returns what ends it */
export function hear(listener: Hear): () => void {
  hears = listener;
  if (last) listener(last);
  return () => {
    hears = undefined;
  };
}
