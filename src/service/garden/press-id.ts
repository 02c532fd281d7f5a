import { z } from 'zod';
import { newId } from './new-id';

const Press = z.object({ id: z.uuidv7() });

/** The id that a form gave to what it makes, so that the same press sent twice makes it once; a new one where it gave none. */
export function pressId(input: unknown): string {
  const press = Press.safeParse(input);
  return press.success ? press.data.id : newId();
}
