import { v7 } from 'uuid';

/** A new UUIDv7: ids sort by when they were made. */
export function newId(): string {
  return v7();
}
