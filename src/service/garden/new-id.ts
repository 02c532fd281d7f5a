import { v7 } from 'uuid';

/** A new UUIDv7: ids sort by when they were made. */
export function newId(): string {
  return v7();
}

/** One of several ids that one press makes: the same press sent twice makes the same ones. */
export function nthId(id: string, nth: number): string {
  const last = Number.parseInt(id.slice(-3), 16);
  return `${id.slice(0, -3)}${((last + nth) % 4096).toString(16).padStart(3, '0')}`;
}
