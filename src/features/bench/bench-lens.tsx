'use client';

/** What a step's lens shows of a unit. */
export interface UnitLens {
  /** `done` fills the pot, `open` leaves it empty, `dead` crosses it out. */
  readonly state: 'done' | 'open' | 'dead';
  /** 0 to 1: how much of the measure, as the crown's size and shade; null where nothing was read. */
  readonly share: number | null;
  /** Read out, and shown under the pointer: `412 g so far`. */
  readonly words: string;
}
