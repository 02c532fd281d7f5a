import { createHash } from 'node:crypto';

/** A further id (UUIDv7) out of one that a device made: the same press sent again makes the same ones. @param nth from 1 */
export function derivedId(id: string, nth: number): string {
  const tail = createHash('sha256').update(`${id} ${nth}`).digest('hex').slice(0, 12);
  return `${id.slice(0, -12)}${tail}`;
}
